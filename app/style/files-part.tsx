import { Download, FileInput, Printer } from 'lucide-react'
import { useRef, useState } from 'react'
import { toast } from 'sonner'
import { readColourList } from '#core/formats/colour-list'
import { cssProperties, readCssProperties } from '#core/formats/css-properties'
import { designTokens, readDesignTokens } from '#core/formats/design-tokens'
import { slug } from '#core/render/names'
import { currentOf } from '#core/site/directions'
import { nameSchema } from '#core/style/values'
import { download } from '../deliver/download'
import { makePng } from '../deliver/mockup'
import { Button, buttonClass } from '../ui/button'
import { useCompose } from '../compose/context'
import { freeName } from './colour-part'
import { Heading, Part } from './part'
import { useGuide } from './use-guide'

const WIDTH = 1280

/** The guide as files: design tokens, custom properties, a list of colours, a page for the client. */
export function FilesPart({ number }: { number: number }) {
  const store = useCompose()
  const { site, page, guide, direction, setAll } = useGuide()
  const input = useRef<HTMLInputElement>(null)
  const name = slug(`${site.name} ${currentOf(site).name}`)
  const sheet = `/sites/${store.getState().siteId}/pages/${page.id}/style-sheet?direction=${direction}`

  const take = async (file: File) => {
    const text = await file.text()
    try {
      const isCss = /\.css$/i.test(file.name)
      const {
        guide: next,
        changed,
        unread,
      } = isCss ? readCssProperties(text, guide) : { ...readDesignTokens(text, guide), unread: [] as string[] }
      if (!setAll(`read ${file.name}`, next)) return
      toast.success(`${changed.length} ${changed.length === 1 ? 'token' : 'tokens'} read from “${file.name}”.`)
      if (unread.length > 0)
        toast(`No place in a style guide for ${unread.slice(0, 5).join(', ')}${unread.length > 5 ? ' …' : ''}.`)
    } catch (error) {
      toast.error(`“${file.name}”: ${(error as Error).message} The guide is as it was.`, { duration: 10_000 })
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
        <input
          ref={input}
          type="file"
          accept=".json,.css"
          aria-label="File of tokens or custom properties"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const [file] = event.target.files ?? []
            if (file) void take(file)
            event.target.value = ''
          }}
        />
        <Button className="!h-[26px]" onClick={() => input.current!.click()}>
          <FileInput size={14} strokeWidth={1.5} /> Read tokens or CSS
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
