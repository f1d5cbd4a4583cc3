import { Download, FileInput as FileIcon, Printer } from 'lucide-react'
import { useRef, useState } from 'react'
import { toast } from 'sonner'
import { readColourList } from '#core/formats/colour-list'
import { cssProperties, readCssProperties } from '#core/formats/css-properties'
import { designTokens, isOwnTokens, readDesignTokens } from '#core/formats/design-tokens'
import { isToBeAsked, surveyTokens } from '#core/formats/token-survey'
import { slug } from '#core/render/names'
import { currentOf } from '#core/site/directions'
import { nameSchema } from '#core/values/name'
import { download } from '../files/download'
import { makePng } from '../files/mockup'
import { Button, buttonClass } from '../ui/button'
import { FileInput } from '../ui/file-input'
import { useSessionStore } from '../session/context'
import { freeName } from './colour-part'
import { Heading, Part } from './part'
import { TokensDialog } from './tokens-dialog'
import { useGuide } from './use-guide'

const WIDTH = 1280

/** The guide as files: design tokens, custom properties, a list of colours, a page for the client. */
export function FilesPart({ number }: { number: number }) {
  const store = useSessionStore()
  const { site, page, guide, direction, setAll } = useGuide()
  const input = useRef<HTMLInputElement>(null)
  const name = slug(`${site.name} ${currentOf(site).name}`)
  const sheet = `/sites/${store.getState().siteId}/pages/${page.id}/style-sheet?direction=${direction}`

  const [survey, setSurvey] = useState<{ name: string; text: string }[] | null>(null)

  const takeCss = (file: string, text: string) => {
    const { guide: next, changed, unread } = readCssProperties(text, guide)
    if (!setAll(`read ${file}`, next)) return
    toast.success(`${changed.length} ${changed.length === 1 ? 'token' : 'tokens'} read from “${file}”.`)
    if (unread.length > 0) toast(`No place in a style guide for ${unread.slice(0, 5).join(', ')}${unread.length > 5 ? ' …' : ''}.`)
  }
  /** Takes a file of one's own, or one that leaves no question, whole; of all others it is asked what is to be taken. */
  const take = async (files: readonly File[]) => {
    const read = await Promise.all(files.map(async (file) => ({ name: file.name, text: await file.text() })))
    const tokens = read.filter((one) => !/\.css$/i.test(one.name))
    try {
      for (const { name, text } of read) if (/\.css$/i.test(name)) takeCss(name, text)
      if (tokens.length === 0) return
      if (!isOwnTokens(tokens[0]!.text) || tokens.length > 1) {
        const { offers, refusals } = surveyTokens(tokens, guide)
        if (offers.length === 0) throw new Error(refusals[0]!.reason)
        if (isToBeAsked(offers, refusals)) return setSurvey(tokens)
      }
      const { guide: next, changed } = readDesignTokens(tokens[0]!.text, guide)
      if (setAll(`read ${tokens[0]!.name}`, next))
        toast.success(`${changed.length} ${changed.length === 1 ? 'token' : 'tokens'} read from “${tokens[0]!.name}”.`)
    } catch (error) {
      const names = read.map((one) => one.name).join(', ')
      toast.error(`“${names}”: ${(error as Error).message} The guide is as it was.`, { duration: 10_000 })
    }
  }
  return (
    <Part number={number} title="Files" note="design tokens, CSS, a page for the client">
      <div className="flex flex-wrap gap-1.5">
        <Button
          className="!h-[26px]"
          onClick={() =>
            download(
              new Blob([`${JSON.stringify(designTokens(site), null, 2)}\n`], { type: 'application/json' }),
              `${name}.tokens.json`,
            )
          }
        >
          <Download size={14} strokeWidth={1.5} /> Design tokens
        </Button>
        <Button
          className="!h-[26px]"
          onClick={() => download(new Blob([cssProperties(site)], { type: 'text/css' }), `${name}.css`)}
        >
          <Download size={14} strokeWidth={1.5} /> Custom properties
        </Button>
        <FileInput
          ref={input}
          label="File of tokens or custom properties"
          takes={['guide']}
          multiple
          onTake={(files) => files.length > 0 && void take(files)}
        />
        <Button className="!h-[26px]" onClick={() => input.current!.click()}>
          <FileIcon size={14} strokeWidth={1.5} /> Read tokens or CSS
        </Button>
        <a href={sheet} target="_blank" rel="noreferrer" className={`${buttonClass()} !h-[26px]`}>
          <Printer size={14} strokeWidth={1.5} /> Page for the client
        </a>
        <Button
          className="!h-[26px]"
          onClick={async () => {
            try {
              const response = await fetch(`${sheet}&part=body`)
              const { body } = (await response.json()) as { body: string }
              download(await makePng(body, WIDTH, 1), `${name}.png`)
            } catch (error) {
              toast.error((error as Error).message)
            }
          }}
        >
          <Download size={14} strokeWidth={1.5} /> The same as PNG
        </Button>
      </div>
      <Paste />
      {survey && <TokensDialog files={survey} onClose={() => setSurvey(null)} />}
    </Part>
  )
}

/** Colours that are pasted as a list, each a role. */
function Paste() {
  const { guide, set } = useGuide()
  const [text, setText] = useState('')
  const { colours, unread } = readColourList(text)
  const add = () => {
    let next = [...guide.colours]
    const named = new Set<string>()
    for (const { name, hex } of colours) {
      const wanted = name && nameSchema.safeParse(name).success ? name : 'pasted'
      // The first colour under the name of a role is that role's; further ones are roles of their own.
      const isThere = wanted !== 'pasted' && !named.has(wanted) && next.some((one) => one.role === wanted)
      named.add(wanted)
      if (isThere) next = next.map((one) => (one.role === wanted ? { ...one, hex } : one))
      else
        next.push({
          role: freeName(
            wanted,
            next.map((one) => one.role),
          ),
          hex,
        })
    }
    if (next.length > 60) return void toast.error(`That would make ${next.length} roles. A guide has 60 at most.`)
    if (set('colours', next)) setText('')
  }
  return (
    <>
      <Heading>Colours by paste</Heading>
      <div className="flex items-start gap-2">
        <textarea
          aria-label="List of colours"
          rows={3}
          value={text}
          placeholder={'accent: #D9A441\nink-soft: oklch(0.4 0.03 250)'}
          className="figure min-w-0 flex-1 rounded-2 border border-line-strong bg-field px-2 py-1 placeholder:text-muted"
          onChange={(event) => setText(event.target.value)}
        />
        <Button disabled={colours.length === 0} onClick={add}>
          Put in {colours.length > 0 ? colours.length : ''}
        </Button>
      </div>
      {unread.length > 0 && <p className="mt-1 text-label text-rust">No colours: {unread.slice(0, 6).join(', ')}.</p>}
    </>
  )
}
