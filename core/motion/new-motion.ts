import type { Line, Motion, MotionKind } from './motion'

const LINE: Line = { value: 75, unit: '%' }

/** A new motion of a kind, to begin with. */
export function newMotion(kind: MotionKind, inFirstWindow: boolean): Motion {
  const begun: Record<MotionKind, Motion> = {
    parallax: { kind: 'parallax', speed: 0.6, ...(inFirstWindow ? { rests: 'opening' as const } : {}) },
    reveal: {
      kind: 'reveal',
      line: LINE,
      from: { opacity: 0, down: { value: 24, unit: 'px' } },
      duration: 0.6,
      easing: 'ease-out',
    },
    scrub: {
      kind: 'scrub',
      range: inFirstWindow
        ? { of: 'page', begins: 0, ends: 400 }
        : {
            of: 'own',
            begins: { edge: 'top', line: { value: 100, unit: '%' } },
            ends: { edge: 'bottom', line: { value: 0, unit: '%' } },
          },
      states: [
        { at: 0, pose: { scale: 1 } },
        { at: 100, pose: { scale: 1.4 } },
      ],
    },
    opening: {
      kind: 'opening',
      from: { opacity: 0, down: { value: 24, unit: 'px' } },
      duration: 0.6,
      easing: 'ease-out',
    },
    loop: { kind: 'loop', to: { scale: 1.06 }, duration: 4, easing: 'ease-in-out' },
    strip: { kind: 'strip', to: 'left', duration: 30 },
  }
  return begun[kind]
}
