import type { Properties } from 'hast'
import { z } from 'zod'
import { byLanguage } from '#core/values/language'
import { idSchema } from '#core/values/ids'
import { attributes, labelOf } from './element'
import { label } from './fields'
import { element } from './html'
import type { BlockBase, Kind } from './kind'
import { saidIn } from './said'

/** Most characters of a captions file. */
export const MAX_CAPTIONS = 200_000

/** Captions as WebVTT (W3C): the file begins with its name. */
export const captionsSchema = z
  .string()
  .max(MAX_CAPTIONS)
  .regex(/^\uFEFF?WEBVTT(?:[ \t][^\n]*)?(?:\r?\n|$)/, 'A captions file is WebVTT: its first line is WEBVTT.')

const fields = z.strictObject({
  ...label,
  /** The video, among the pictures of the site. */
  video: idSchema.optional(),
  /** The picture that is seen before it plays. */
  poster: idSchema.optional(),
  captions: byLanguage(captionsSchema).optional(),
  /** True for one that runs without sound, again and again, with a control that stops it. */
  background: z.literal(true).optional(),
})
export type Video = BlockBase<'video', typeof fields>

/** The class of a video that runs by itself. */
export const RUNNING = 'running'

/** A video with its controls; or one that runs behind other things, which stands still without a script and for those who want no motion. */
export const video: Kind<Video> = {
  fields,
  traits: ['flow', 'sides', 'box', 'contact', 'ratio'],
  sharedClass: ({ background }) => (background ? RUNNING : ''),
  defaults: () => ({}),
  element(block, context) {
    const chosen = block.video === undefined ? undefined : context.film(block.video)
    if (!chosen) {
      const className = [...context.className, 'frame', 'frame-open']
      return element('div', attributes(block, { ...context, className }), [
        element('svg', { ariaHidden: 'true', viewBox: '0 0 24 24', width: '100%', height: '100%' }, [
          element('polygon', { points: '9 7 17 12 9 17', fill: 'currentColor' }, []),
        ]),
      ])
    }
    const poster = block.poster === undefined ? undefined : context.poster(block.poster)
    const shown: Properties = { width: chosen.width, height: chosen.height, ...(poster ? { poster } : {}) }
    const source = element('source', { src: chosen.src, type: chosen.type }, [])
    if (!block.background) {
      const tracks = Object.keys(block.captions ?? {}).flatMap((language) => {
        const src = context.captions(block, language)
        const isOwn = language === context.language
        return src
          ? [
              element(
                'track',
                { kind: 'captions', src, srcLang: language, label: language, ...(isOwn ? { default: true } : {}) },
                [],
              ),
            ]
          : []
      })
      return element(
        'video',
        attributes(block, context, {
          ...shown,
          controls: true,
          preload: 'metadata',
          playsInline: true,
          ...labelOf(block, context),
        }),
        [source, ...tracks],
      )
    }
    const { pause } = saidIn(context.language)
    const moving = { muted: true, loop: true, playsInline: true, preload: 'metadata', ariaHidden: 'true' }
    return element('div', attributes(block, context, context.editing ? {} : { dataRunning: '' }), [
      element('video', { ...shown, ...moving }, [source]),
      element('button', { type: 'button', hidden: true, ariaLabel: pause, dataPause: '' }, [{ type: 'text', value: '❚❚' }]),
    ])
  },
}
