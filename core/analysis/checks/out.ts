import { type Check, nameOf } from '#core/analysis/finding'
import { hasWords, isWordless } from '#core/blocks/tree'
import { hrefsIn } from '#core/analysis/links'
import { isOwn } from '#core/render/own-links'

/** Hosts that stand for others in examples (RFC 2606, RFC 6761), and this machine. */
const STANDIN = /^(www\.)?example\.(com|org|net)$|^localhost$|^127\.0\.0\.1$|\.(test|invalid|localhost)$/

/** What is wrong with an address that leads out of the site, as far as it can be known without asking for it. */
export function outProblem(href: string): { sentence: string; fault: boolean } | undefined {
  if (isOwn(href)) return undefined
  if (/^tel:/i.test(href)) {
    const digits = href.replace(/\D/g, '').length
    return digits >= 3 && digits <= 15 ? undefined : { sentence: 'leads to a telephone number that cannot be one.', fault: true }
  }
  if (/^mailto:/i.test(href))
    return /^mailto:[^\s@?]+@[^\s@?]+\.[^\s@?.]{2,}(\?.*)?$/i.test(href)
      ? undefined
      : { sentence: 'leads to a mail address that cannot be one.', fault: true }
  let url: URL
  try {
    url = new URL(href, 'https://here.example')
  } catch {
    return { sentence: `leads to “${href}”, which is no address.`, fault: true }
  }
  if (STANDIN.test(url.hostname))
    return { sentence: `leads to ${url.hostname}, which stands for an address in examples.`, fault: true }
  if (!url.hostname.includes('.')) return { sentence: `leads to ${url.hostname}, which is no host of the web.`, fault: true }
  if (url.protocol === 'http:') return { sentence: `leads to ${url.hostname} without encryption: try https.`, fault: false }
  return undefined
}

/** Addresses out of the site, of blocks and within words, that cannot be reached. */
export const out: Check = ({ blocks, site: { language } }) =>
  blocks.flatMap((block) => {
    const own = 'link' in block && block.link && 'href' in block.link && !isWordless(block, language) ? [block.link.href] : []
    const within = hasWords(block) ? [...hrefsIn(block.words[language] ?? [])] : []
    return [...own, ...within].map((href) => {
      const problem = outProblem(href)
      return problem && { block: block.id, fault: problem.fault, sentence: `“${nameOf(block)}” ${problem.sentence}` }
    })
  })
