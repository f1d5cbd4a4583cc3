import { add, mix, type Painting, ramp, type Rgb, type Shade } from './canvas'
import { layered, noise } from './noise'

/** A picture of the local library, with the words that it is found by. */
export type LibraryPainting = Painting & { title: string; words: string[] }

const SIZE = { width: 2400, height: 1600 }
const scale = (colour: Rgb, k: number): Rgb => [colour[0] * k, colour[1] * k, colour[2] * k]
const hex = ([r, g, b]: Rgb) => `rgb(${r} ${g} ${b})`

/** Hills behind hills under a sky, each nearer row darker and less hazy. */
function hills(
  title: string,
  words: string[],
  seed: number,
  sky: [Rgb, Rgb],
  far: Rgb,
  near: Rgb,
  sun?: [number, number, Rgb],
): LibraryPainting {
  const shade: Shade = (x, y, ratio) => {
    let colour = mix(sky[0], sky[1], y * 1.5 + (layered(x * 3, y * 6, seed, 3) - 0.5) * 0.25)
    if (sun) colour = add(colour, sun[2], Math.exp(-(((x - sun[0]) * ratio) ** 2 + (y - sun[1]) ** 2) * 9) * 0.9)
    for (let row = 0; row < 5; row++) {
      const level = 0.44 + row * 0.11
      const top = level - (layered(x * (2 + row) * 1.3, row, seed + row * 3, 5) - 0.5) * 0.26
      if (y < top) continue
      const rough = 0.86 + 0.28 * layered(x * 30, y * 60, seed + row, 3)
      colour = scale(mix(far, near, row / 4), rough)
    }
    return colour
  }
  return { ...SIZE, title, words: ['landscape', 'hills', ...words], seed, shade, grain: 9, vignette: 0.25 }
}

/** Open water to a horizon. */
function sea(title: string, words: string[], seed: number, sky: [Rgb, Rgb], water: [Rgb, Rgb], swell: number): LibraryPainting {
  const shade: Shade = (x, y, ratio) => {
    if (y < 0.46) return mix(sky[0], sky[1], y / 0.46 + (layered(x * 2, y * 9, seed, 4) - 0.5) * 0.4)
    const depth = (y - 0.46) / 0.54
    const wave = layered((x * ratio * 5) / (0.15 + depth), 6 / (0.08 + depth), seed + 3, 4)
    return add(mix(water[0], water[1], depth), [210, 220, 225], Math.max(0, wave - 0.62) * swell)
  }
  return { ...SIZE, title, words: ['sea', 'water', 'horizon', ...words], seed, shade, grain: 9, vignette: 0.28 }
}

/** Clouds alone. */
function clouds(title: string, words: string[], seed: number, blue: Rgb, white: Rgb): LibraryPainting {
  const shade: Shade = (x, y, ratio) => {
    const warp = layered(x * 4, y * 4, seed + 9, 3)
    const cloud = layered(x * ratio * 3 + warp, y * 4 + warp, seed, 6)
    return mix(scale(blue, 0.8 + y * 0.4), white, (cloud - 0.42) * 4)
  }
  return { ...SIZE, title, words: ['sky', 'clouds', 'air', ...words], seed, shade, grain: 7, vignette: 0.18 }
}

/** A person as simple shapes before a wall. */
function portrait(
  title: string,
  words: string[],
  seed: number,
  wall: Rgb,
  skin: Rgb,
  hair: Rgb,
  coat: Rgb,
  long = false,
): LibraryPainting {
  const shade: Shade = (x, y, ratio) => {
    const light = Math.exp(-(((x - 0.3) * ratio) ** 2 + (y - 0.3) ** 2) * 1.4)
    return scale(wall, 0.62 + 0.55 * light + 0.12 * (layered(x * 8, y * 8, seed) - 0.5))
  }
  const shapes = (
    w: number,
    h: number,
  ) => `<defs><linearGradient id="f"><stop offset=".2" stop-color="#fff" stop-opacity=".22"/><stop offset=".9" stop-color="#000" stop-opacity=".38"/></linearGradient></defs>
    ${long ? `<path d="M${w * 0.4} ${h * 0.72}Q${w * 0.36} ${h * 0.18} ${w * 0.5} ${h * 0.17}T${w * 0.6} ${h * 0.72}Z" fill="${hex(hair)}"/>` : ''}
    <path d="M${w * 0.24} ${h}Q${w * 0.26} ${h * 0.74} ${w * 0.44} ${h * 0.7}H${w * 0.56}Q${w * 0.74} ${h * 0.74} ${w * 0.76} ${h}Z" fill="${hex(coat)}"/>
    <path d="M${w * 0.46} ${h * 0.56}H${w * 0.54}V${h * 0.72}Q${w * 0.5} ${h * 0.77} ${w * 0.46} ${h * 0.72}Z" fill="${hex(scale(skin, 0.82))}"/>
    <ellipse cx="${w * 0.5}" cy="${h * 0.42}" rx="${w * 0.083}" ry="${h * 0.175}" fill="${hex(skin)}"/>
    <path d="M${w * 0.412} ${h * 0.41}Q${w * 0.41} ${h * 0.22} ${w * 0.5} ${h * 0.215}T${w * 0.588} ${h * 0.41}Q${w * 0.57} ${h * 0.3} ${w * 0.5} ${h * 0.3}T${w * 0.412} ${h * 0.41}Z" fill="${hex(hair)}"/>
    <ellipse cx="${w * 0.5}" cy="${h * 0.42}" rx="${w * 0.083}" ry="${h * 0.175}" fill="url(#f)"/>
    <path d="M${w * 0.24} ${h}Q${w * 0.26} ${h * 0.74} ${w * 0.44} ${h * 0.7}H${w * 0.56}Q${w * 0.74} ${h * 0.74} ${w * 0.76} ${h}Z" fill="url(#f)"/>`
  return { ...SIZE, title, words: ['portrait', 'person', 'face', ...words], seed, shade, shapes, grain: 11, vignette: 0.4 }
}

/** A surface from near. */
function surface(
  title: string,
  words: string[],
  seed: number,
  colour: Rgb,
  pattern: (x: number, y: number) => number,
): LibraryPainting {
  const shade: Shade = (x, y, ratio) => scale(colour, pattern(x * ratio, y) * (1.12 - 0.3 * Math.hypot(x - 0.35, y - 0.3)))
  return { ...SIZE, title, words: ['texture', 'surface', 'background', ...words], seed, shade, grain: 10, vignette: 0.2 }
}

/** Things on a table, before a wall, in light from the left. */
function still(
  title: string,
  words: string[],
  seed: number,
  wall: Rgb,
  table: Rgb,
  things: (w: number, h: number) => string,
): LibraryPainting {
  const shade: Shade = (x, y, ratio) => {
    const light = Math.exp(-(((x - 0.25) * ratio) ** 2 + (y - 0.35) ** 2) * 0.9)
    if (y < 0.68) return scale(wall, 0.55 + 0.6 * light + 0.1 * (layered(x * 6, y * 6, seed) - 0.5))
    return scale(table, (0.7 + 0.35 * layered(x * 3, y * 40, seed + 2, 4)) * (0.7 + 0.5 * light))
  }
  const shapes = (w: number, h: number) =>
    `<defs><filter id="s" x="-60%" y="-60%" width="220%" height="220%"><feGaussianBlur stdDeviation="26"/></filter><linearGradient id="r"><stop offset="0" stop-color="#fff" stop-opacity=".35"/><stop offset=".45" stop-color="#fff" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity=".5"/></linearGradient></defs>${things(w, h)}`
  return { ...SIZE, title, words: ['still life', 'table', ...words], seed, shade, shapes, grain: 11, vignette: 0.36 }
}

const round = (x: number, y: number, rx: number, ry: number, fill: string) =>
  `<ellipse cx="${x + rx * 0.3}" cy="${y + ry * 0.92}" rx="${rx * 1.1}" ry="${ry * 0.22}" fill="#000" opacity=".5" filter="url(#s)"/><ellipse cx="${x}" cy="${y}" rx="${rx}" ry="${ry}" fill="${fill}"/><ellipse cx="${x}" cy="${y}" rx="${rx}" ry="${ry}" fill="url(#r)"/>`
const block = (x: number, y: number, w: number, h: number, fill: string) =>
  `<rect x="${x + 20}" y="${y + h - 20}" width="${w}" height="34" fill="#000" opacity=".5" filter="url(#s)"/><rect x="${x}" y="${y}" width="${w}" height="${h}" rx="8" fill="${fill}"/><rect x="${x}" y="${y}" width="${w}" height="${h}" rx="8" fill="url(#r)"/>`

/** Leaves on a twig, as flat shapes on paper. */
function leaves(title: string, words: string[], seed: number, paper: Rgb, leaf: string): LibraryPainting {
  const shapes = (w: number, h: number, random: () => number) => {
    let svg = `<path d="M${w * 0.5} ${h * 0.95}Q${w * 0.46} ${h * 0.5} ${w * 0.56} ${h * 0.1}" fill="none" stroke="${leaf}" stroke-width="14"/>`
    for (let i = 0; i < 16; i++) {
      const y = h * (0.86 - i * 0.047)
      const side = i % 2 ? 1 : -1
      const length = 190 + random() * 130
      svg += `<g transform="translate(${w * (0.495 + 0.012 * Math.sin(i))} ${y}) rotate(${side > 0 ? -28 - random() * 24 : 208 + random() * 24})"><path d="M0 0Q${length * 0.5} ${-length * 0.28} ${length} 0Q${length * 0.5} ${length * 0.28} 0 0Z" fill="${leaf}" opacity="${0.7 + random() * 0.3}"/><path d="M0 0H${length * 0.9}" stroke="#fff" stroke-width="3" opacity=".35"/></g>`
    }
    return svg
  }
  const shade: Shade = (x, y) => scale(paper, 0.93 + 0.1 * layered(x * 60, y * 60, seed, 2) - 0.1 * Math.hypot(x - 0.3, y - 0.3))
  return { ...SIZE, title, words: ['leaves', 'plant', 'botanical', ...words], seed, shade, shapes, grain: 7, vignette: 0.15 }
}

const thread = (x: number, y: number, n: number) => 0.86 + 0.1 * Math.sin(x * n) * Math.sin(y * n) + 0.06 * noise(x * n, y * n, 3)

/** The pictures of the local library, by name. */
export const LIBRARY: Record<string, LibraryPainting> = {
  'hills-at-dawn': hills(
    'Hills at dawn',
    ['dawn', 'morning', 'pink', 'haze'],
    201,
    [
      [246, 204, 190],
      [250, 226, 196],
    ],
    [206, 172, 178],
    [70, 60, 84],
    [0.62, 0.36, [120, 70, 10]],
  ),
  'hills-at-noon': hills(
    'Hills at noon',
    ['day', 'summer', 'green', 'blue sky'],
    203,
    [
      [120, 170, 214],
      [206, 226, 236],
    ],
    [150, 178, 170],
    [58, 92, 48],
  ),
  'hills-in-autumn': hills(
    'Hills in autumn',
    ['autumn', 'brown', 'orange', 'dry'],
    205,
    [
      [206, 196, 176],
      [232, 214, 184],
    ],
    [196, 160, 120],
    [110, 58, 24],
  ),
  'hills-in-snow': hills(
    'Hills in snow',
    ['winter', 'snow', 'white', 'cold'],
    207,
    [
      [176, 190, 206],
      [222, 228, 234],
    ],
    [226, 232, 238],
    [150, 166, 186],
  ),
  'hills-in-rain': hills(
    'Hills in rain',
    ['rain', 'grey', 'mist', 'quiet'],
    209,
    [
      [120, 128, 134],
      [160, 166, 168],
    ],
    [146, 152, 152],
    [52, 62, 60],
  ),
  'hills-at-night': hills(
    'Hills at night',
    ['night', 'dark', 'moonlight', 'blue'],
    211,
    [
      [12, 14, 34],
      [44, 50, 92],
    ],
    [42, 46, 84],
    [8, 8, 18],
    [0.3, 0.18, [60, 66, 90]],
  ),
  'calm-sea': sea(
    'Calm sea',
    ['calm', 'blue', 'summer'],
    213,
    [
      [150, 190, 220],
      [226, 232, 226],
    ],
    [
      [128, 170, 188],
      [24, 72, 104],
    ],
    1.2,
  ),
  'grey-sea': sea(
    'Grey sea',
    ['storm', 'grey', 'cold', 'wind'],
    215,
    [
      [96, 104, 112],
      [168, 172, 172],
    ],
    [
      [120, 130, 132],
      [40, 52, 58],
    ],
    2.6,
  ),
  'sea-at-evening': sea(
    'Sea at evening',
    ['evening', 'orange', 'sunset', 'warm'],
    217,
    [
      [110, 70, 110],
      [250, 176, 110],
    ],
    [
      [226, 150, 110],
      [40, 36, 66],
    ],
    1.4,
  ),
  'summer-clouds': clouds('Summer clouds', ['summer', 'white', 'light'], 219, [92, 150, 206], [250, 250, 246]),
  'evening-clouds': clouds('Evening clouds', ['evening', 'pink', 'violet'], 221, [96, 88, 150], [252, 198, 176]),
  'woman-in-a-green-coat': portrait(
    'Woman in a green coat',
    ['woman', 'coat', 'green'],
    223,
    [176, 164, 146],
    [214, 168, 140],
    [60, 38, 30],
    [46, 84, 66],
    true,
  ),
  'man-with-grey-hair': portrait(
    'Man with grey hair',
    ['man', 'old', 'grey'],
    225,
    [122, 134, 140],
    [206, 164, 140],
    [190, 188, 184],
    [52, 56, 74],
  ),
  'young-woman': portrait(
    'Young woman',
    ['woman', 'young', 'yellow'],
    227,
    [206, 190, 160],
    [122, 78, 54],
    [24, 18, 18],
    [226, 178, 60],
  ),
  'man-in-a-red-jumper': portrait(
    'Man in a red jumper',
    ['man', 'red', 'wool'],
    229,
    [92, 100, 96],
    [174, 124, 92],
    [30, 22, 20],
    [150, 42, 34],
  ),
  'warden-by-the-door': portrait(
    'Warden by the door',
    ['woman', 'warden', 'blue', 'work'],
    231,
    [150, 138, 128],
    [232, 190, 168],
    [196, 150, 84],
    [40, 62, 110],
    true,
  ),
  'boy-in-a-cap': portrait(
    'Boy in a cap',
    ['boy', 'child', 'school'],
    233,
    [196, 206, 200],
    [236, 196, 168],
    [44, 60, 92],
    [120, 128, 96],
  ),
  'laid-paper': surface(
    'Laid paper',
    ['paper', 'cream', 'light', 'writing'],
    235,
    [240, 232, 212],
    (x, y) => 0.94 + 0.03 * Math.sin(y * 700) + 0.08 * (layered(x * 14, y * 14, 5) - 0.5),
  ),
  'grey-linen': surface('Grey linen', ['cloth', 'linen', 'grey', 'woven'], 237, [186, 182, 172], (x, y) => thread(x, y, 420)),
  'oak-board': surface(
    'Oak board',
    ['wood', 'oak', 'brown', 'grain'],
    239,
    [170, 124, 76],
    (x, y) => 0.72 + 0.5 * layered(x * 1.6, y * 34 + layered(x * 3, y * 2, 7) * 4, 9, 4),
  ),
  slate: surface(
    'Slate',
    ['stone', 'slate', 'dark', 'blue grey'],
    241,
    [74, 82, 90],
    (x, y) => 0.6 + 0.8 * layered(x * 4 + y * 2, y * 18, 11, 6),
  ),
  'lime-plaster': surface(
    'Lime plaster',
    ['wall', 'plaster', 'white', 'rough'],
    243,
    [226, 220, 206],
    (x, y) => 0.84 + 0.26 * layered(x * 5, y * 5, 13, 6),
  ),
  bricks: surface('Bricks', ['wall', 'brick', 'red', 'rows'], 245, [164, 78, 58], (x, y) => {
    const row = Math.floor(y * 16)
    const gap = (y * 16) % 1 < 0.1 || (x * 7 + (row % 2) * 0.5) % 1 < 0.04
    return gap
      ? 1.25 + 0.1 * noise(x * 90, y * 90, 15)
      : 0.7 + 0.4 * noise(Math.floor(x * 7 + (row % 2) * 0.5) * 3.1, row * 1.7, 17) + 0.2 * (layered(x * 40, y * 40, 19, 3) - 0.5)
  }),
  'three-pears': still('Three pears', ['fruit', 'pears', 'green', 'food'], 247, [138, 124, 112], [110, 78, 52], (w, h) =>
    [0.36, 0.5, 0.63]
      .map(
        (x, i) =>
          round(w * x, h * (0.66 + (i % 2) * 0.02), 150, 180, ['#a9a24a', '#c2b257', '#8f9440'][i]!) +
          round(w * x, h * 0.53, 84, 110, ['#b4ad55', '#ccbd63', '#9aa04a'][i]!),
      )
      .join(''),
  ),
  'stack-of-books': still('Stack of books', ['books', 'reading', 'study', 'paper'], 249, [96, 104, 110], [84, 60, 44], (w, h) =>
    ['#7d2f2a', '#2f4a5c', '#c9b37a', '#3d4f3a', '#d8cdb4']
      .map((fill, i) => block(w * (0.33 + (i % 3) * 0.015), h * (0.68 - i * 0.085), w * (0.32 - i * 0.014), h * 0.08, fill))
      .join(''),
  ),
  'cup-of-tea': still(
    'Cup of tea',
    ['tea', 'cup', 'warm', 'drink', 'steam'],
    251,
    [156, 138, 116],
    [120, 84, 54],
    (w, h) =>
      `${round(w * 0.5, h * 0.74, 330, 54, '#e9e2d4')}<path d="M${w * 0.4} ${h * 0.5}H${w * 0.6}Q${w * 0.59} ${h * 0.74} ${w * 0.5} ${h * 0.74}T${w * 0.4} ${h * 0.5}Z" fill="#f1ebde"/><path d="M${w * 0.4} ${h * 0.5}H${w * 0.6}Q${w * 0.59} ${h * 0.74} ${w * 0.5} ${h * 0.74}T${w * 0.4} ${h * 0.5}Z" fill="url(#r)"/><ellipse cx="${w * 0.5}" cy="${h * 0.5}" rx="${w * 0.1}" ry="40" fill="#8a4a1c"/><path d="M${w * 0.6} ${h * 0.54}q110 10 80 110t-130 50" fill="none" stroke="#e4dccb" stroke-width="34"/><path d="M${w * 0.48} ${h * 0.46}q40 -80 0 -150t20 -150" fill="none" stroke="#fff" stroke-width="30" opacity=".25" filter="url(#s)"/>`,
  ),
  'vase-and-twigs': still(
    'Vase and twigs',
    ['vase', 'twigs', 'winter', 'white'],
    253,
    [204, 196, 184],
    [176, 160, 138],
    (w, h) =>
      `${Array.from({ length: 9 }, (_, i) => `<path d="M${w * 0.5} ${h * 0.48}Q${w * (0.5 + (i - 4) * 0.02)} ${h * 0.28} ${w * (0.5 + (i - 4) * 0.062)} ${h * (0.08 + Math.abs(i - 4) * 0.03)}" fill="none" stroke="#4a3a30" stroke-width="9"/>`).join('')}${round(w * 0.5, h * 0.6, 190, 210, '#f2eee6')}${block(w * 0.47, h * 0.43, w * 0.06, h * 0.08, '#f2eee6')}`,
  ),
  'brass-and-glass': still(
    'Brass and glass',
    ['brass', 'lens', 'instrument', 'workshop'],
    255,
    [52, 48, 52],
    [66, 46, 36],
    (w, h) =>
      `${block(w * 0.3, h * 0.58, w * 0.3, h * 0.12, '#b8863a')}${round(w * 0.62, h * 0.64, 150, 150, '#d9b56a')}<circle cx="${w * 0.62}" cy="${h * 0.64}" r="112" fill="#27384a"/><circle cx="${w * 0.6}" cy="${h * 0.62}" r="40" fill="#9fc0d8" opacity=".7"/>${round(w * 0.22, h * 0.68, 80, 90, '#8d6a35')}`,
  ),
  'ash-twig': leaves('Ash twig', ['green', 'spring', 'paper'], 257, [242, 238, 226], '#4f6b3c'),
  'copper-leaves': leaves('Copper leaves', ['autumn', 'copper', 'red'], 259, [236, 226, 212], '#9a4a2c'),
  'star-trails': {
    ...SIZE,
    title: 'Star trails',
    words: ['stars', 'night', 'sky', 'astronomy', 'turning'],
    seed: 261,
    grain: 8,
    vignette: 0.3,
    shade: (x, y) =>
      ramp(
        [
          [0, [8, 10, 30]],
          [0.7, [26, 30, 72]],
          [1, [70, 58, 90]],
        ],
        y + (layered(x * 2, y * 2, 261, 3) - 0.5) * 0.1,
      ),
    shapes: (w, h, random) => {
      let svg = ''
      for (let i = 0; i < 190; i++) {
        const r = 60 + random() * w * 0.62
        const from = random() * Math.PI * 2
        const to = from + 0.22
        const at = (angle: number) => `${(w * 0.56 + Math.cos(angle) * r).toFixed(1)} ${(h * 0.5 + Math.sin(angle) * r).toFixed(1)}`
        svg += `<path d="M${at(from)}A${r} ${r} 0 0 1 ${at(to)}" fill="none" stroke="${random() > 0.7 ? '#ffe2b0' : '#dfe6ff'}" stroke-width="${(1 + random() * 3).toFixed(1)}" opacity="${(0.3 + random() * 0.6).toFixed(2)}"/>`
      }
      return svg
    },
  },
}
