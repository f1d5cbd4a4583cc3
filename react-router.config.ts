import type { Config } from '@react-router/dev/config'

export default {
  ssr: true,
  // What stands before every request is a middleware of the root route.
  future: { v8_middleware: true },
} satisfies Config
