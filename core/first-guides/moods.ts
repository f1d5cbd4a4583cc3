/** A mood that a first style guide is made in: what it does with colour, type, space, corners and light. */
export type Mood = {
  id: string
  name: string
  /** What its ground, its headings and all else are like, and what it is for. */
  says: { ground: string; face: string; rest: string; use: string }
  /** Words of a brief's tone that ask for it. */
  tone: readonly string[]
  /** Words that faces are described by, the weightier first; see `core/type/moods`. */
  faces: readonly string[]
  /** Hue of grounds and ink, degrees in OKLCH, and how much of it there is, 0 to 1. */
  tint: { hue: number; amount: number }
  /** True where light words stand on a dark ground. */
  dark: boolean
  /** Hues of the primary and the accent colour where nobody has named any, degrees. */
  hues: readonly [primary: number, accent: number]
  ratio: { narrow: number; wide: number }
  /** Weight of headings, and their tracking, em. */
  weight: number
  tracking: number
  /** Corners from small to large, px. */
  corners: readonly [number, number, number]
  /** Edge of buttons and fields, px. */
  edge: number
  /** Heights of shadows above the page, px; none for a flat page. */
  heights: readonly [number, number]
  /** Room between things, 1 being the usual. */
  air: number
  eyebrow: 'as-typed' | 'capitals'
}

export const MOODS_OF_OUR_OWN: readonly Mood[] = [
  {
    id: 'bookish',
    name: 'Reading room',
    says: { ground: 'warm paper', face: 'a book face', rest: 'thin rules', use: 'For what is read in peace.' },
    tone: ['warm', 'quiet', 'calm', 'bookish', 'honest', 'traditional', 'slow', 'thoughtful', 'dry'],
    faces: ['bookish', 'warm', 'calm'],
    tint: { hue: 80, amount: 0.7 },
    dark: false,
    hues: [30, 75],
    ratio: { narrow: 1.18, wide: 1.27 },
    weight: 560,
    tracking: -0.01,
    corners: [2, 3, 999],
    edge: 1,
    heights: [0, 4],
    air: 1.1,
    eyebrow: 'as-typed',
  },
  {
    id: 'daylight',
    name: 'Daylight',
    says: { ground: 'white', face: 'a modern sans', rest: 'much room, soft shadows', use: 'For what must be clear at once.' },
    tone: ['clear', 'modern', 'fresh', 'simple', 'light', 'open', 'clean', 'plain', 'exact'],
    faces: ['modern', 'friendly', 'plain'],
    tint: { hue: 250, amount: 0.25 },
    dark: false,
    hues: [255, 160],
    ratio: { narrow: 1.19, wide: 1.31 },
    weight: 640,
    tracking: -0.02,
    corners: [8, 14, 999],
    edge: 1.5,
    heights: [3, 18],
    air: 1.15,
    eyebrow: 'as-typed',
  },
  {
    id: 'evening',
    name: 'Evening',
    says: { ground: 'a dark ground', face: 'an elegant face', rest: 'light words', use: 'For what happens after six.' },
    tone: ['elegant', 'evening', 'dark', 'luxurious', 'mysterious', 'cinematic', 'noble', 'festive'],
    faces: ['elegant', 'warm', 'bookish'],
    tint: { hue: 275, amount: 0.9 },
    dark: true,
    hues: [280, 85],
    ratio: { narrow: 1.2, wide: 1.333 },
    weight: 500,
    tracking: -0.005,
    corners: [3, 6, 999],
    edge: 1,
    heights: [2, 16],
    air: 1.05,
    eyebrow: 'as-typed',
  },
  {
    id: 'workshop',
    name: 'Workshop',
    says: { ground: '', face: 'sturdy letters', rest: 'strong edges, no corners', use: 'For people who make things.' },
    tone: ['sturdy', 'honest', 'practical', 'direct', 'solid', 'hand-made', 'rough', 'technical', 'reliable'],
    faces: ['sturdy', 'technical', 'plain'],
    tint: { hue: 110, amount: 0.35 },
    dark: false,
    hues: [150, 60],
    ratio: { narrow: 1.17, wide: 1.25 },
    weight: 700,
    tracking: -0.01,
    corners: [0, 0, 0],
    edge: 2,
    heights: [0, 2],
    air: 0.95,
    eyebrow: 'capitals',
  },
  {
    id: 'orchard',
    name: 'Orchard',
    says: { ground: 'a pale ground', face: 'friendly letters', rest: 'round corners', use: 'For families and for first visits.' },
    tone: ['friendly', 'cheerful', 'kind', 'playful', 'young', 'lively', 'welcoming', 'funny', 'soft'],
    faces: ['friendly', 'warm', 'lively'],
    tint: { hue: 145, amount: 0.8 },
    dark: false,
    hues: [155, 40],
    ratio: { narrow: 1.17, wide: 1.27 },
    weight: 700,
    tracking: -0.01,
    corners: [12, 22, 999],
    edge: 1.5,
    heights: [2, 10],
    air: 1.05,
    eyebrow: 'as-typed',
  },
  {
    id: 'signal',
    name: 'Signal',
    says: { ground: 'black on white', face: '', rest: 'one loud colour, very large headings', use: 'For a single message.' },
    tone: ['bold', 'loud', 'urgent', 'confident', 'strong', 'sharp', 'energetic', 'daring', 'proud'],
    faces: ['loud', 'lively', 'sturdy'],
    tint: { hue: 20, amount: 0.05 },
    dark: false,
    hues: [20, 100],
    ratio: { narrow: 1.22, wide: 1.414 },
    weight: 800,
    tracking: -0.025,
    corners: [0, 4, 999],
    edge: 2,
    heights: [0, 6],
    air: 1,
    eyebrow: 'capitals',
  },
]
