import type { Check } from '#core/analysis/finding'
import type { Block } from '#core/blocks/index'
import { hasWords, isContainer } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

/** What cameras and programs call their files. */
const FILE = /\.(jpe?g|png|webp|avif|svg|gif)$|^(img|dsc|dscn|pict?|image|photo|screenshot|scan|bild)[\s_-]?\d+/i
const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/**
 * Alternative texts that are missing though the picture is not marked as decoration, that are names of files, or that repeat
 * the words beside them (WCAG 2.2, 1.1.1).
 */
export const alternatives: Check = ({ page, blocks, site: { language, pictures } }) => {
  const beside = new Map<string, readonly Block[]>()
  for (const one of [...page.sections, ...blocks])
    if (isContainer(one)) for (const child of one.children) beside.set(child.id, one.children)
  return blocks.map((block) => {
    if (block.kind !== 'device' && (block.kind !== 'picture' || block.link)) return undefined
    const picture = pictures.find((one) => one.id === block.picture)
    const alt = block.alt?.[language]
    if (!picture) return undefined
    const say = (fault: boolean, sentence: string) => ({ block: block.id, fault, sentence })
    if (alt === undefined)
      return block.style.base?.position === 'backdrop'
        ? undefined
        : say(true, `The picture “${picture.name}” has no alternative text and is not marked as decoration.`)
    if (alt === '') return undefined
    if (FILE.test(alt.trim()) || plain(alt) === plain(picture.name))
      return say(true, `The alternative text “${alt}” is the name of a file. Say what is seen.`)
    const same = beside.get(block.id)?.find((one) => hasWords(one) && plain(plainText(one.words[language] ?? [])) === plain(alt))
    return same && say(false, `The alternative text “${alt}” is what the words beside it say, so it is read out twice.`)
  })
}
