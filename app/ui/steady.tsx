import { type ComponentType, memo, useRef } from 'react'

type Call = (...values: unknown[]) => unknown

const same = (a: unknown, b: unknown): boolean =>
  Object.is(a, b) ||
  (typeof a === 'object' && typeof b === 'object' && a !== null && b !== null && JSON.stringify(a) === JSON.stringify(b))

const sameProps = (a: object, b: object): boolean => {
  const names = Object.keys(b)
  return names.length === Object.keys(a).length && names.every((name) => same(a[name as never], b[name as never]))
}

/**
 * A part that is drawn again only when what it shows changes: its values are compared by what they hold, and its
 * callbacks always reach the newest ones. For fields, of which the tray has dozens on the path of every key press.
 */
export function steady<P extends object>(Part: ComponentType<P>): ComponentType<P> {
  const Still = memo(Part as ComponentType<object>, sameProps)
  function Steady(props: P) {
    const latest = useRef(props)
    latest.current = props
    const calls = useRef(new Map<string, Call>())
    const passed: Record<string, unknown> = { ...(props as Record<string, unknown>) }
    for (const [name, value] of Object.entries(props)) {
      if (typeof value !== 'function') continue
      let call = calls.current.get(name)
      if (!call) calls.current.set(name, (call = (...values) => (latest.current[name as keyof P] as Call)(...values)))
      passed[name] = call
    }
    return <Still {...passed} />
  }
  return Steady as ComponentType<P>
}
