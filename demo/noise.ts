/** A repeatable source of random numbers in [0, 1) (mulberry32, public domain, Tommy Ettinger). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

function lattice(x: number, y: number, seed: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ Math.imul(seed, 2246822519)
  h = Math.imul(h ^ (h >>> 13), 1274126177)
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296
}

const smooth = (t: number) => t * t * (3 - 2 * t)

/** Value noise at a point, 0 to 1. */
export function noise(x: number, y: number, seed: number): number {
  const x0 = Math.floor(x)
  const y0 = Math.floor(y)
  const u = smooth(x - x0)
  const v = smooth(y - y0)
  const top = lattice(x0, y0, seed) * (1 - u) + lattice(x0 + 1, y0, seed) * u
  const bottom = lattice(x0, y0 + 1, seed) * (1 - u) + lattice(x0 + 1, y0 + 1, seed) * u
  return top * (1 - v) + bottom * v
}

/** Several octaves of noise, each half as strong and twice as fine as the one before; 0 to 1. */
export function layered(x: number, y: number, seed: number, octaves = 5): number {
  let sum = 0
  let strength = 0.5
  let total = 0
  for (let i = 0; i < octaves; i++) {
    sum += strength * noise(x, y, seed + i * 17)
    total += strength
    strength /= 2
    x *= 2.03
    y *= 2.03
  }
  return sum / total
}
