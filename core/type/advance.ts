/**
 * How often letters and the space stand in English text, in thousandths (Lewand, Cryptological Mathematics, 2000, with
 * one space in 5.7 characters).
 */
const FREQUENCIES: Record<string, number> = {
  ' ': 175,
  e: 105,
  t: 75,
  a: 67,
  o: 62,
  i: 57,
  n: 56,
  s: 52,
  h: 50,
  r: 49,
  d: 35,
  l: 33,
  c: 23,
  u: 23,
  m: 20,
  w: 20,
  f: 18,
  g: 17,
  y: 16,
  p: 16,
  b: 12,
  v: 8,
  k: 6,
  j: 1,
  x: 1,
  q: 1,
  z: 1,
}

/** Mean advance of running text in a face, em. @param advanceOf advance of one character, em */
export function averageAdvance(advanceOf: (character: string) => number): number {
  let [sum, count] = [0, 0]
  for (const [character, often] of Object.entries(FREQUENCIES)) {
    sum += often * advanceOf(character)
    count += often
  }
  return sum / count
}
