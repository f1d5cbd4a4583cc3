import { z } from 'zod'

/** What is said of a value where its schema has no sentence of its own; the library would quote a regular expression. */
z.config({
  customError: (issue) =>
    issue.code === 'invalid_format' && issue.format === 'regex' ? 'This is not written as it should be.' : undefined,
})
