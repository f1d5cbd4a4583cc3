import { z } from 'zod'

/** What a value should be, in words. */
const TYPES: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  record: 'an object',
}
/** What is counted in a value. */
const COUNTED: Record<string, string> = { string: ' characters', array: ' entries' }
/** Most values that are listed. */
const LISTED = 8

/** What is said of a value where its schema has no sentence of its own; the library would quote types and patterns. */
z.config({
  customError(issue) {
    switch (issue.code) {
      case 'invalid_type':
        return issue.input === undefined ? 'This is missing.' : `This should be ${TYPES[issue.expected] ?? issue.expected}.`
      case 'invalid_union':
        return 'This is nothing that may stand here.'
      case 'unrecognized_keys':
        return `There is no “${issue.keys[0]!.slice(0, 60)}” here.`
      case 'invalid_value':
        return issue.values.length > LISTED
          ? 'This is none of the values that there are.'
          : `This should be ${issue.values.map((one) => String(one)).join(' or ')}.`
      case 'too_big':
        return `This may have ${String(issue.maximum)}${COUNTED[issue.origin] ?? ''} at most.`
      case 'too_small':
        return `This should have ${String(issue.minimum)}${COUNTED[issue.origin] ?? ''} at least.`
      case 'invalid_format':
        return 'This is not written as it should be.'
      default:
        return 'This may not stand here.'
    }
  },
})
