import { add, mix, type Painting, ramp, type Rgb } from './canvas'
import { layered, noise } from './noise'

const stars = (width: number, height: number, random: () => number, count: number, lowest: number): string => {
  let svg = ''
  for (let i = 0; i < count; i++) {
    const r = 0.6 + random() ** 6 * 4.2
    const warm = random()
    const colour = warm > 0.85 ? '#ffe2b0' : warm < 0.2 ? '#bcd0ff' : '#ffffff'
    svg += `<circle cx="${(random() * width).toFixed(1)}" cy="${(random() ** 1.15 * height * lowest).toFixed(1)}" r="${r.toFixed(2)}" fill="${colour}" opacity="${(0.25 + random() * 0.75).toFixed(2)}"/>`
  }
  return svg
}

/** A line of hills as a path, from noise. */
const ridge = (width: number, height: number, level: number, rise: number, seed: number, fill: string): string => {
  let path = `M0 ${height}`
  for (let x = 0; x <= width; x += 8) {
    const h = layered((x / width) * 3.2, seed, seed, 6) - 0.5
    path += `L${x} ${(height * (level - h * rise)).toFixed(1)}`
  }
  return `<path d="${path}L${width} ${height}Z" fill="${fill}"/>`
}

const blur = (id: string, amount: number) =>
  `<filter id="${id}" x="-60%" y="-60%" width="220%" height="220%"><feGaussianBlur stdDeviation="${amount}"/></filter>`

/** The night sky over the hills, with the band of the galaxy across it. */
const sky = (seed: number, glow: Rgb, x0: number): Painting['shade'] => {
  const top: Rgb = [16, 15, 46]
  const middle: Rgb = [34, 30, 88]
  const low: Rgb = [72, 62, 138]
  return (x, y, ratio) => {
    const base = ramp(
      [
        [0, top],
        [0.5, middle],
        [0.85, low],
        [1, low],
      ],
      y + (layered(x * 2, y * 2, seed, 3) - 0.5) * 0.12,
    )
    const along = (x - x0) * 0.82 + (y - 0.4) * 0.58
    const across = -(x - x0) * 0.58 + (y - 0.4) * 0.82
    const cloud = layered(along * 7 * ratio, across * 12, seed + 5)
    const band = Math.exp(-((across * 5.2) ** 2)) * cloud
    const dust = Math.exp(-(((across + 0.02) * 16) ** 2)) * layered(along * 14, across * 20, seed + 9)
    const horizon = Math.exp(-(((y - 0.86) * 5) ** 2)) * Math.exp(-(((x - 0.8) * 2.4) ** 2))
    return add(add(add(base, [150, 132, 200], band * 0.75), [-70, -62, -90], dust * 0.55), glow, horizon * 0.6)
  }
}

const dome = (x: number, y: number, r: number): string => `
  <g transform="translate(${x} ${y})">
    <rect x="${-r * 0.98}" y="${-r * 0.02}" width="${r * 1.96}" height="${r * 0.62}" fill="#0b0a1e"/>
    <path d="M${-r} 0A${r} ${r} 0 0 1 ${r} 0Z" fill="#12102b"/>
    <path d="M${-r} 0A${r} ${r} 0 0 1 ${-r * 0.2} ${-r * 0.98}L${-r * 0.36} 0Z" fill="#1d1a42" opacity=".7"/>
    <path d="M${r * 0.1} ${-r * 0.995}A${r} ${r} 0 0 1 ${r * 0.34} ${-r * 0.94}L${r * 0.44} 0H${r * 0.2}Z" fill="#ffd56f"/>
    <path d="M${r * 0.1} ${-r * 0.995}A${r} ${r} 0 0 1 ${r * 0.34} ${-r * 0.94}L${r * 0.44} 0H${r * 0.2}Z" fill="#ffcf5c" filter="url(#glow)" opacity=".9"/>
    <rect x="${-r * 0.7}" y="${r * 0.2}" width="${r * 0.2}" height="${r * 0.4}" fill="#f0b64a"/>
  </g>`

const fire: Rgb = [255, 150, 60]

/** The demo's pictures, by name. Each is made up of light, shapes and grain; none is of a real place. */
export const PAINTINGS: Record<string, Painting> = {
  'ridge-at-dusk': {
    width: 2880,
    height: 1800,
    seed: 11,
    shade: sky(11, [190, 110, 90], 0.42),
    grain: 9,
    vignette: 0.3,
    shapes: (w, h, random) => `<defs>${blur('glow', 34)}</defs>${stars(w, h, random, 1500, 0.92)}
      ${ridge(w, h, 0.82, 0.2, 3, '#242052')}${ridge(w, h, 0.88, 0.2, 7, '#171438')}
      ${dome(w * 0.79, h * 0.83, h * 0.085)}${ridge(w, h, 0.93, 0.13, 12, '#0b0a1e')}`,
  },
  'the-long-telescope': {
    width: 2400,
    height: 1800,
    seed: 23,
    shade: (x, y, ratio) => {
      const wall: Rgb = [44, 34, 44]
      const plank = 0.86 + 0.14 * noise(x * 26, y * 1.5, 4) - ((x * 26) % 1 < 0.04 ? 0.3 : 0)
      const lamp = Math.exp(-(((x - 0.18) * 1.9 * ratio) ** 2 + ((y - 0.72) * 2.4) ** 2) * 0.9)
      const slit = x > 0.5 + (y - 0.5) * 0.12 && x < 0.76 - (y - 0.5) * 0.06 && y < 0.62
      const night = sky(31, [20, 20, 40], 0.6)(x, y * 0.8, ratio)
      const lit = add(
        [wall[0] * plank, wall[1] * plank, wall[2] * plank],
        [210, 130, 60],
        lamp * (0.55 + 0.5 * layered(x * 9, y * 9, 2)),
      )
      return slit ? night : lit
    },
    grain: 12,
    vignette: 0.42,
    shapes: (w, h, random) => {
      const tube = `<g transform="translate(${w * 0.47} ${h * 0.66}) rotate(-52)">
        <rect x="${-w * 0.08}" y="-92" width="${w * 0.42}" height="184" rx="10" fill="#1c1a24"/>
        <rect x="${-w * 0.08}" y="-92" width="${w * 0.42}" height="46" fill="#6b5a4a" opacity=".75"/>
        <rect x="${w * 0.33}" y="-112" width="84" height="224" rx="8" fill="#b8863a"/>
        <rect x="${w * 0.33}" y="-112" width="84" height="64" fill="#f2cf7e" opacity=".8"/>
        <rect x="${-w * 0.08}" y="-104" width="56" height="208" fill="#b8863a"/>
        <rect x="${-w * 0.15}" y="-38" width="${w * 0.08}" height="76" fill="#2a2630"/>
        <rect x="${w * 0.02}" y="-148" width="${w * 0.16}" height="44" rx="16" fill="#8d6a35"/></g>`
      return `<defs>${blur('glow', 60)}</defs>
        <g clip-path="inset(0)">${stars(w * 0.24, h * 0.6, random, 130, 1).replace(/^/, `<g transform="translate(${w * 0.5} 0)">`)}</g></g>
        <path d="M${w * 0.36} ${h}L${w * 0.45} ${h * 0.6}H${w * 0.5}L${w * 0.62} ${h}Z" fill="#131019"/>
        <circle cx="${w * 0.47}" cy="${h * 0.655}" r="120" fill="#3a2f2c"/><circle cx="${w * 0.47}" cy="${h * 0.655}" r="66" fill="#b8863a"/>${tube}
        <ellipse cx="${w * 0.18}" cy="${h * 0.7}" rx="70" ry="92" fill="#ffdf96" filter="url(#glow)"/><ellipse cx="${w * 0.18}" cy="${h * 0.7}" rx="34" ry="52" fill="#fff3d0"/>
        <rect x="${w * 0.14}" y="${h * 0.755}" width="${w * 0.08}" height="26" fill="#120e12"/><rect x="0" y="${h * 0.77}" width="${w * 0.31}" height="34" fill="#2a1d19"/>`
    },
  },
  moon: {
    width: 2400,
    height: 1800,
    seed: 37,
    shade: (x, y, ratio) => {
      const dx = (x - 0.5) * ratio
      const dy = y - 0.52
      const d = Math.hypot(dx, dy) / 0.4
      const night: Rgb = add([13, 13, 30], [60, 60, 110], Math.exp(-((d - 1) ** 2) * 9) * 0.45)
      if (d > 1) return night
      const z = Math.sqrt(1 - d * d)
      const light = Math.max(0, dx * 1.5 - dy * 0.35 + z * 0.5)
      const seas = layered(dx * 4.2 + 7, dy * 4.2, 41, 5)
      const rough = layered(dx * 26, dy * 26, 43, 4)
      const tone = (seas < 0.47 ? 0.62 : 1) * (0.76 + rough * 0.42)
      const grey: Rgb = [232, 226, 212]
      return mix(night, [grey[0] * tone * light, grey[1] * tone * light, grey[2] * tone * light], (1 - d) * 90)
    },
    grain: 10,
    vignette: 0.2,
    shapes: (w, h, random) => {
      let svg = ''
      for (let i = 0; i < 210; i++) {
        const angle = random() * Math.PI * 2
        const reach = Math.sqrt(random()) * 0.36
        const x = w * 0.5 + Math.cos(angle) * reach * h
        const y = h * 0.52 + Math.sin(angle) * reach * h
        if (x < w * 0.45) continue
        const r = 4 + random() ** 4 * 52
        svg += `<circle cx="${x}" cy="${y}" r="${r}" fill="#000" opacity=".13"/><path d="M${x - r} ${y}A${r} ${r} 0 0 0 ${x + r} ${y}" fill="none" stroke="#fff" stroke-width="${r * 0.16}" opacity=".25"/>`
      }
      return svg
    },
  },
  'the-stove': {
    width: 2400,
    height: 1600,
    seed: 51,
    shade: (x, y, ratio) => {
      const wall: Rgb = [66, 46, 40]
      const stone = 0.7 + 0.5 * layered(x * 9 * ratio, y * 9, 53)
      const heat = Math.exp(-(((x - 0.5) * ratio) ** 2 * 5 + (y - 0.62) ** 2 * 9))
      const floor = y > 0.84 ? 0.62 : 1
      return add([wall[0] * stone * floor, wall[1] * stone * floor, wall[2] * stone * floor], fire, heat * 0.62)
    },
    grain: 13,
    vignette: 0.5,
    shapes: (w, h) => `<defs>${blur('glow', 42)}${blur('soft', 12)}</defs>
      <rect x="${w * 0.47}" y="0" width="${w * 0.06}" height="${h * 0.44}" fill="#15110f"/><rect x="${w * 0.475}" y="0" width="12" height="${h * 0.44}" fill="#5a453a" opacity=".6"/>
      <rect x="${w * 0.36}" y="${h * 0.42}" width="${w * 0.28}" height="${h * 0.42}" rx="18" fill="#14100f"/>
      <rect x="${w * 0.345}" y="${h * 0.405}" width="${w * 0.31}" height="34" rx="8" fill="#241c19"/>
      <rect x="${w * 0.4}" y="${h * 0.52}" width="${w * 0.2}" height="${h * 0.2}" rx="14" fill="#ff9a3c"/>
      <path d="M${w * 0.42} ${h * 0.72}Q${w * 0.44} ${h * 0.58} ${w * 0.47} ${h * 0.66}Q${w * 0.5} ${h * 0.52} ${w * 0.53} ${h * 0.65}Q${w * 0.56} ${h * 0.58} ${w * 0.58} ${h * 0.72}Z" fill="#ffe9a8"/>
      <rect x="${w * 0.4}" y="${h * 0.52}" width="${w * 0.2}" height="${h * 0.2}" rx="14" fill="#ff8a2c" filter="url(#glow)" opacity=".8"/>
      <path d="M${w * 0.433} ${h * 0.52}V${h * 0.72}M${w * 0.466} ${h * 0.52}V${h * 0.72}M${w * 0.5} ${h * 0.52}V${h * 0.72}M${w * 0.533} ${h * 0.52}V${h * 0.72}M${w * 0.566} ${h * 0.52}V${h * 0.72}" stroke="#14100f" stroke-width="12"/>
      <rect x="${w * 0.38}" y="${h * 0.84}" width="44" height="${h * 0.08}" fill="#0c0909"/><rect x="${w * 0.6}" y="${h * 0.84}" width="44" height="${h * 0.08}" fill="#0c0909"/>
      <path d="M${w * 0.55} ${h * 0.395}Q${w * 0.55} ${h * 0.3} ${w * 0.6} ${h * 0.3}Q${w * 0.645} ${h * 0.3} ${w * 0.645} ${h * 0.395}Z" fill="#39507a"/>
      <path d="M${w * 0.645} ${h * 0.36}L${w * 0.675} ${h * 0.32}" stroke="#39507a" stroke-width="22"/><path d="M${w * 0.57} ${h * 0.3}Q${w * 0.6} ${h * 0.235} ${w * 0.63} ${h * 0.3}" fill="none" stroke="#1a1413" stroke-width="12"/>
      <path d="M${w * 0.68} ${h * 0.3}q22 -60 -6 -110t8 -110" fill="none" stroke="#fff" stroke-width="26" opacity=".16" filter="url(#soft)"/>
      <g fill="#c9a36a"><rect x="${w * 0.2}" y="${h * 0.76}" width="${w * 0.05}" height="${h * 0.08}" rx="6"/><rect x="${w * 0.26}" y="${h * 0.76}" width="${w * 0.05}" height="${h * 0.08}" rx="6" fill="#d8d0c0"/></g>`,
  },
  'the-log-book': {
    width: 2400,
    height: 1600,
    seed: 67,
    shade: (x, y, ratio) => {
      const table: Rgb = [72, 48, 34]
      const vein = 0.75 + 0.4 * layered(x * 3, y * 40, 71, 4)
      const lamp = Math.exp(-(((x - 0.7) * ratio) ** 2 * 1.3 + (y - 0.2) ** 2 * 2))
      return add([table[0] * vein, table[1] * vein, table[2] * vein], [190, 140, 70], lamp * 0.5)
    },
    grain: 11,
    vignette: 0.4,
    shapes: (w, h, random) => {
      const hand = (x: number, y: number, length: number) => {
        let path = `M${x} ${y}`
        for (let at = 0; at < length; at += 15)
          path += random() > 0.86 ? `m17 0` : `q${4 + random() * 5} ${-10 - random() * 18} 9 0t6 ${random() * 4 - 2}`
        return `<path d="${path}" fill="none" stroke="#26264a" stroke-width="3.2" stroke-linecap="round" opacity=".85"/>`
      }
      let lines = ''
      for (let i = 0; i < 11; i++) {
        lines += hand(w * 0.2, h * (0.27 + i * 0.05), w * (0.15 + random() * 0.1))
        if (i < 8) lines += hand(w * 0.53, h * (0.27 + i * 0.05), w * (0.14 + random() * 0.11))
      }
      return `<defs>${blur('soft', 26)}<linearGradient id="p" x1="0" x2="1"><stop offset="0" stop-color="#d9c8a0"/><stop offset=".48" stop-color="#f3e8c9"/><stop offset=".5" stop-color="#b8a57c"/><stop offset=".54" stop-color="#efe3c2"/><stop offset="1" stop-color="#fbf1d6"/></linearGradient></defs>
        <g transform="rotate(-5 ${w / 2} ${h / 2})"><rect x="${w * 0.145}" y="${h * 0.17}" width="${w * 0.71}" height="${h * 0.72}" fill="#000" opacity=".5" filter="url(#soft)"/>
        <rect x="${w * 0.14}" y="${h * 0.15}" width="${w * 0.72}" height="${h * 0.7}" rx="8" fill="#1b2344"/><rect x="${w * 0.155}" y="${h * 0.165}" width="${w * 0.69}" height="${h * 0.67}" fill="url(#p)"/>${lines}
        <circle cx="${w * 0.66}" cy="${h * 0.73}" r="74" fill="none" stroke="#26264a" stroke-width="5"/><ellipse cx="${w * 0.66}" cy="${h * 0.73}" rx="120" ry="26" fill="none" stroke="#26264a" stroke-width="4"/></g>
        <g transform="translate(${w * 0.9} ${h * 0.62}) rotate(62)"><rect x="-240" y="-15" width="400" height="30" rx="12" fill="#15131f"/><path d="M160 -15L226 0L160 15Z" fill="#caa14c"/></g>`
    },
  },
  'cloud-in-the-hunter': {
    width: 2400,
    height: 1800,
    seed: 83,
    shade: (x, y, ratio) => {
      const wx = x * ratio * 2.6 + layered(x * 5, y * 5, 85) * 1.3
      const wy = y * 2.6 + layered(x * 5 + 9, y * 5, 87) * 1.3
      const gas = layered(wx, wy, 89, 6)
      const dust = layered(wx * 1.7 + 3, wy * 1.7, 91, 6)
      const reach = Math.exp(-(((x - 0.5) * ratio) ** 2 + (y - 0.5) ** 2) * 3.6)
      const red = Math.max(0, gas - 0.36) * reach * 3
      const blue = Math.max(0, dust - 0.46) * reach * 2.2
      const core = Math.exp(-(((x - 0.47) * ratio) ** 2 + (y - 0.48) ** 2) * 42)
      return add(add(add([10, 9, 24], [210, 74, 110], red), [90, 130, 230], blue), [255, 226, 190], core * (0.35 + gas * 0.8))
    },
    grain: 8,
    vignette: 0.3,
    shapes: (w, h, random) => stars(w, h, random, 900, 1),
  },
  'lanterns-on-the-path': {
    width: 2400,
    height: 1600,
    seed: 97,
    shade: (x, y, ratio) => {
      const night = sky(101, [120, 80, 90], 0.3)(x, y * 1.1, ratio)
      const grass: Rgb = [20, 26, 34]
      if (y < 0.55 + (layered(x * 3, 1, 103) - 0.5) * 0.12) return night
      const rough = 0.6 + 0.8 * layered(x * 40, y * 60, 105, 3)
      return [grass[0] * rough, grass[1] * rough, grass[2] * rough]
    },
    grain: 11,
    vignette: 0.36,
    shapes: (w, h, random) => {
      const path = `<path d="M${w * 0.2} ${h}Q${w * 0.5} ${h * 0.8} ${w * 0.44} ${h * 0.7}T${w * 0.62} ${h * 0.54}L${w * 0.635} ${h * 0.54}Q${w * 0.5} ${h * 0.64} ${w * 0.53} ${h * 0.71}T${w * 0.62} ${h}Z" fill="#5a4a3c" opacity=".8"/>`
      let lamps = ''
      for (let i = 0; i < 9; i++) {
        const t = i / 8
        const x = w * (0.22 + 0.4 * t + 0.07 * Math.sin(t * 7))
        const y = h * (0.95 - 0.4 * t)
        const r = 30 * (1 - t * 0.78)
        lamps += `<circle cx="${x}" cy="${y}" r="${r * 4}" fill="#ffb347" opacity=".5" filter="url(#glow)"/><rect x="${x - r * 0.6}" y="${y - r}" width="${r * 1.2}" height="${r * 2}" rx="${r * 0.3}" fill="#ffe7ab"/><path d="M${x} ${y + r}v${r * 2.4}" stroke="#0d0c14" stroke-width="${r * 0.28}"/>`
      }
      return `<defs>${blur('glow', 36)}</defs>${stars(w, h, random, 700, 0.55)}${dome(w * 0.64, h * 0.52, h * 0.055)}${path}${lamps}`
    },
  },
  'coils-of-rope': {
    width: 2400,
    height: 1600,
    seed: 113,
    shade: (x, y, ratio) => {
      const cell = 0.34
      const cx = (Math.floor((x * ratio) / cell) + 0.5) * cell
      const cy = (Math.floor(y / cell) + 0.5) * cell
      const d = Math.hypot(x * ratio - cx, y - cy)
      const turn = Math.atan2(y - cy, x * ratio - cx)
      const tint = noise(cx * 13, cy * 17, 115)
      const hemp: Rgb = tint > 0.6 ? [201, 168, 112] : tint > 0.3 ? [176, 138, 86] : [222, 206, 168]
      const rope = d * 46 + turn / (Math.PI * 2)
      const strand = 0.55 + 0.45 * Math.sin(rope * Math.PI * 2) * 0.7 + 0.16 * Math.sin(turn * 40 + d * 300)
      const light = 1.05 - y * 0.45 + (layered(x * 8, y * 8, 117) - 0.5) * 0.5
      const inside = d < 0.155 && d > 0.03 ? strand : 0.16
      return [hemp[0] * inside * light, hemp[1] * inside * light, hemp[2] * inside * light]
    },
    grain: 12,
    vignette: 0.38,
  },
  'brass-lamp': {
    width: 2400,
    height: 1800,
    seed: 131,
    shade: (x, y, ratio) => {
      const wall: Rgb = [38, 66, 70]
      const board = 0.8 + 0.3 * layered(x * 2, y * 30, 133, 3) - ((y * 9) % 1 < 0.03 ? 0.3 : 0)
      const glow = Math.exp(-(((x - 0.5) * ratio) ** 2 * 3.2 + (y - 0.5) ** 2 * 4))
      return add([wall[0] * board, wall[1] * board, wall[2] * board], [240, 170, 80], glow * 0.7)
    },
    grain: 11,
    vignette: 0.42,
    shapes: (
      w,
      h,
    ) => `<defs>${blur('glow', 50)}<linearGradient id="b" x1="0" x2="1"><stop offset="0" stop-color="#7a5520"/><stop offset=".3" stop-color="#f6d98c"/><stop offset=".55" stop-color="#b8863a"/><stop offset="1" stop-color="#5c3f17"/></linearGradient></defs>
      <path d="M${w * 0.44} ${h * 0.24}Q${w * 0.5} ${h * 0.1} ${w * 0.56} ${h * 0.24}" fill="none" stroke="url(#b)" stroke-width="22"/>
      <path d="M${w * 0.43} ${h * 0.32}L${w * 0.46} ${h * 0.24}H${w * 0.54}L${w * 0.57} ${h * 0.32}Z" fill="url(#b)"/>
      <rect x="${w * 0.43}" y="${h * 0.32}" width="${w * 0.14}" height="${h * 0.34}" fill="#ffe9b8" opacity=".85"/>
      <ellipse cx="${w * 0.5}" cy="${h * 0.5}" rx="60" ry="130" fill="#fff6dc" filter="url(#glow)"/><path d="M${w * 0.5} ${h * 0.4}q46 90 0 150q-46 -60 0 -150Z" fill="#fffdf2"/>
      <path d="M${w * 0.43} ${h * 0.32}V${h * 0.66}M${w * 0.476} ${h * 0.32}V${h * 0.66}M${w * 0.524} ${h * 0.32}V${h * 0.66}M${w * 0.57} ${h * 0.32}V${h * 0.66}" stroke="url(#b)" stroke-width="16"/>
      <rect x="${w * 0.415}" y="${h * 0.66}" width="${w * 0.17}" height="${h * 0.12}" rx="14" fill="url(#b)"/><rect x="${w * 0.4}" y="${h * 0.77}" width="${w * 0.2}" height="34" rx="8" fill="url(#b)"/>
      <rect x="0" y="${h * 0.79}" width="${w}" height="${h * 0.21}" fill="#1d1714" opacity=".82"/>`,
  },
}
