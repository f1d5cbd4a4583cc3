import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { WordBlock } from '#core/blocks/index'
import { hasWords } from '#core/blocks/tree'
import { wordsSchema } from '#core/values/words'
import { draftAt, placeOf } from './places'
import { EditError, type EditKind } from './edit'
import { aBlock } from './samples'

const schema = z.strictObject({ kind: z.literal('words'), block: idSchema, words: wordsSchema })
export type WordsEdit = z.infer<typeof schema>

/** Sets the words of a block in the languages given, and leaves its other languages alone. */
export const wordsEdit: EditKind<WordsEdit> = {
  kind: 'words',
  schema,
  label: () => 'words',
  sets: ({ block, words }) => ({ of: block, names: Object.keys(words) }),
  apply(site, edit) {
    const place = placeOf(site, edit.block)
    const { block } = place
    if (!hasWords(block)) throw new EditError(`A ${block.kind} takes no words.`)
    const old = Object.fromEntries(Object.keys(edit.words).map((language) => [language, block.words[language] ?? []]))
    const next = produce(site, (draft) => {
      const target = draftAt(draft, place) as WordBlock
      for (const [language, spans] of Object.entries(edit.words)) {
        if (spans.length > 0) target.words[language] = spans
        else delete target.words[language]
      }
    })
    return { site: next, inverse: { kind: 'words', block: edit.block, words: old } }
  },
  sample(site, choose) {
    const spans = choose.number(3) === 0 ? [] : [`Words ${choose.number(99)}`, { kind: 'strong' as const, children: ['more'] }]
    return { kind: 'words', block: aBlock(site, choose, hasWords), words: { [choose.one(['en', 'cy'])]: spans } }
  },
}
