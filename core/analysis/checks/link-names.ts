import { isVague } from '#core/analysis/vague'
import { type Check, nameOf } from '#core/analysis/finding'
import { hasWords } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

/** Names of buttons and links that say nothing out of their context, and one name for several places (WCAG 2.2, 2.4.4 and 2.4.9). */
export const linkNames: Check = ({ blocks, site: { language } }) => {
  const leads = new Map<string, string>()
  return blocks.map((block) => {
    if ((block.kind !== 'button' && block.kind !== 'link') || !hasWords(block)) return undefined
    const name = plainText(block.words[language] ?? []).trim()
    if (name === '') return undefined
    if (isVague(name))
      return {
        block: block.id,
        fault: false,
        sentence: `“${name}” does not say what it leads to when it is read alone. Name the action.`,
      }
    if (!block.link) return undefined
    const to = JSON.stringify(block.link)
    const before = leads.get(name.toLowerCase())
    if (before === undefined) leads.set(name.toLowerCase(), to)
    return before === undefined || before === to
      ? undefined
      : {
          block: block.id,
          fault: false,
          sentence: `Two links are called “${name}” and lead to different places: “${nameOf(block)}” is one.`,
        }
  })
}
