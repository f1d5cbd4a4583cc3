import albertSans from '@capsizecss/metrics/albertSans'
import aleo from '@capsizecss/metrics/aleo'
import archivo from '@capsizecss/metrics/archivo'
import bitter from '@capsizecss/metrics/bitter'
import bricolageGrotesque from '@capsizecss/metrics/bricolageGrotesque'
import caveat from '@capsizecss/metrics/caveat'
import cormorant from '@capsizecss/metrics/cormorant'
import crimsonPro from '@capsizecss/metrics/crimsonPro'
import dMSans from '@capsizecss/metrics/dMSans'
import eBGaramond from '@capsizecss/metrics/eBGaramond'
import epilogue from '@capsizecss/metrics/epilogue'
import figtree from '@capsizecss/metrics/figtree'
import fraunces from '@capsizecss/metrics/fraunces'
import hankenGrotesk from '@capsizecss/metrics/hankenGrotesk'
import heptaSlab from '@capsizecss/metrics/heptaSlab'
import instrumentSans from '@capsizecss/metrics/instrumentSans'
import inter from '@capsizecss/metrics/inter'
import jetBrainsMono from '@capsizecss/metrics/jetBrainsMono'
import karla from '@capsizecss/metrics/karla'
import libreFranklin from '@capsizecss/metrics/libreFranklin'
import literata from '@capsizecss/metrics/literata'
import lora from '@capsizecss/metrics/lora'
import manrope from '@capsizecss/metrics/manrope'
import newsreader from '@capsizecss/metrics/newsreader'
import nunito from '@capsizecss/metrics/nunito'
import oswald from '@capsizecss/metrics/oswald'
import outfit from '@capsizecss/metrics/outfit'
import petrona from '@capsizecss/metrics/petrona'
import piazzolla from '@capsizecss/metrics/piazzolla'
import playfairDisplay from '@capsizecss/metrics/playfairDisplay'
import plusJakartaSans from '@capsizecss/metrics/plusJakartaSans'
import publicSans from '@capsizecss/metrics/publicSans'
import robotoSerif from '@capsizecss/metrics/robotoSerif'
import robotoSlab from '@capsizecss/metrics/robotoSlab'
import rubik from '@capsizecss/metrics/rubik'
import schibstedGrotesk from '@capsizecss/metrics/schibstedGrotesk'
import sora from '@capsizecss/metrics/sora'
import sourceCodePro from '@capsizecss/metrics/sourceCodePro'
import sourceSerif4 from '@capsizecss/metrics/sourceSerif4'
import spaceGrotesk from '@capsizecss/metrics/spaceGrotesk'
import vollkorn from '@capsizecss/metrics/vollkorn'
import workSans from '@capsizecss/metrics/workSans'
import arial from '@capsizecss/metrics/arial'
import courierNew from '@capsizecss/metrics/courierNew'
import georgia from '@capsizecss/metrics/georgia'

/** Measures of a face, in em. */
export type FontMetrics = {
  ascent: number
  /** Below the baseline, as a positive figure. */
  descent: number
  lineGap: number
  capHeight: number
  xHeight: number
  /** Mean advance of the letters of running text, each counted as often as it occurs. */
  averageAdvance: number
}

type Unpacked = {
  unitsPerEm: number
  ascent: number
  descent: number
  lineGap: number
  capHeight: number
  xHeight: number
  xWidthAvg: number
}

/** Measures in units of a font as measures in em. */
export const inEm = (font: Unpacked): FontMetrics => ({
  ascent: font.ascent / font.unitsPerEm,
  descent: -font.descent / font.unitsPerEm,
  lineGap: font.lineGap / font.unitsPerEm,
  capHeight: font.capHeight / font.unitsPerEm,
  xHeight: font.xHeight / font.unitsPerEm,
  averageAdvance: font.xWidthAvg / font.unitsPerEm,
})

const SHIPPED: Record<string, Unpacked> = {
  'albert-sans': albertSans,
  aleo,
  archivo,
  bitter,
  'bricolage-grotesque': bricolageGrotesque,
  caveat,
  cormorant,
  'crimson-pro': crimsonPro,
  'dm-sans': dMSans,
  'eb-garamond': eBGaramond,
  epilogue,
  figtree,
  fraunces,
  'hanken-grotesk': hankenGrotesk,
  'hepta-slab': heptaSlab,
  'instrument-sans': instrumentSans,
  inter,
  'jetbrains-mono': jetBrainsMono,
  karla,
  'libre-franklin': libreFranklin,
  literata,
  lora,
  manrope,
  newsreader,
  nunito,
  oswald,
  outfit,
  petrona,
  piazzolla,
  'playfair-display': playfairDisplay,
  'plus-jakarta-sans': plusJakartaSans,
  'public-sans': publicSans,
  'roboto-serif': robotoSerif,
  'roboto-slab': robotoSlab,
  rubik,
  'schibsted-grotesk': schibstedGrotesk,
  sora,
  'source-code-pro': sourceCodePro,
  'source-serif-4': sourceSerif4,
  'space-grotesk': spaceGrotesk,
  vollkorn,
  'work-sans': workSans,
}

/** Fonts that stand in until the real one arrives, by class of face. */
export const STANDINS = {
  serif: { name: 'Georgia', ...inEm(georgia) },
  slab: { name: 'Georgia', ...inEm(georgia) },
  sans: { name: 'Arial', ...inEm(arial) },
  display: { name: 'Arial', ...inEm(arial) },
  mono: { name: 'Courier New', ...inEm(courierNew) },
}

/** Measures of a family that ships with the application; those of Arial for any other. */
export const metricsOf = (id: string): FontMetrics => inEm(SHIPPED[id] ?? arial)
