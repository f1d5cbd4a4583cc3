import type { Config } from '@react-router/dev/config'

export default {
  ssr: true,
  // Loaders and actions are given the context that `app/serve` makes, with who asks.
  future: { v8_middleware: true },
} satisfies Config
