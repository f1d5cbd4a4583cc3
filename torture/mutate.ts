import type { Chooser } from '#core/edits/edit'
import { joined } from '#core/values/bytes'

/** Values that something breaks on that does not expect them. */
const HOSTILE: readonly unknown[] = [
  null,
  [],
  {},
  true,
  -1,
  0,
  1e308,
  1e9,
  0.1,
  '',
  '__proto__',
  'constructor',
  'toString',
  'javascript:alert(1)',
  '//evil.example/x',
  'https://evil.example/x.js',
  '</script><script>alert(1)</script>',
  '"><img src=x onerror=alert(1)>',
  '</style><script>alert(1)</script>',
  ']]>',
  '\u0000\u0001\ud800',
  'url(https://evil.example/x)',
  'a'.repeat(30_000),
  '𝕏'.repeat(500),
  [[[[[[[[[]]]]]]]]],
]

/** A copy of a JSON value with some of its parts exchanged, taken out, doubled, or put under a hostile name. */
export function mutateJson(value: unknown, choose: Chooser, share = 0.04): unknown {
  const odds = (chance: number) => choose.number(10_000) < chance * 10_000
  const visit = (one: unknown): unknown => {
    if (odds(share)) return choose.one(HOSTILE)
    if (Array.isArray(one)) {
      const items = one.flatMap((item) => (odds(share / 3) ? [] : odds(share / 3) ? [visit(item), visit(item)] : [visit(item)]))
      return items
    }
    if (typeof one !== 'object' || one === null) return one
    const made: Record<string, unknown> = {}
    for (const [key, item] of Object.entries(one)) {
      if (odds(share / 4)) continue
      const name = odds(share / 4) ? choose.one(['__proto__', 'constructor', 'extra', key.toUpperCase()]) : key
      Object.defineProperty(made, name, { value: visit(item), enumerable: true, configurable: true, writable: true })
    }
    return made
  }
  return visit(value)
}

/** A copy of some bytes, damaged in a few places: bits turned, stretches cut, doubled, blanked, or filled with another's. */
export function mutateBytes(bytes: Uint8Array, choose: Chooser): Uint8Array {
  // A `Buffer` that is sliced shares its bytes.
  let made: Uint8Array = new Uint8Array(bytes)
  const times = 1 + choose.number(8)
  for (let i = 0; i < times && made.length > 0; i++) {
    const at = choose.number(made.length)
    const end = Math.min(made.length, at + 1 + choose.number(Math.min(4096, made.length)))
    switch (choose.number(6)) {
      case 0:
        made[at]! ^= 1 << choose.number(8)
        break
      case 1:
        made = joined([made.subarray(0, at), made.subarray(end)])
        break
      case 2:
        made = joined([made.subarray(0, end), made.subarray(at)])
        break
      case 3:
        made.fill(choose.one([0, 255, 60, 32]), at, end)
        break
      case 4:
        made = made.subarray(0, at).slice()
        break
      default:
        // A length or count somewhere becomes the largest there is.
        for (let n = at; n < Math.min(made.length, at + 4); n++) made[n] = 255
    }
  }
  return made
}

const PIECES = [
  '<script>alert(1)</script>',
  'onload="alert(1)"',
  '<svg>',
  '<g>',
  '](javascript:alert(1))',
  '# ',
  '| --- |',
  '\u0000',
  '\r\n',
  '&#x0;',
  '../',
  '%00',
  '{{',
  'url(\\68 ttps://evil.example)',
  '<!ENTITY a "b">',
]

/** A copy of a text with pieces put in, taken out or repeated. */
export function mutateText(text: string, choose: Chooser): string {
  let made = text
  for (let i = 0; i <= choose.number(6); i++) {
    const at = choose.number(made.length + 1)
    const piece = choose.one(PIECES)
    if (choose.number(4) === 0) made = made.slice(0, at) + made.slice(at + choose.number(200))
    else made = made.slice(0, at) + piece.repeat(choose.number(20) === 0 ? 3000 : 1) + made.slice(at)
  }
  return made
}
