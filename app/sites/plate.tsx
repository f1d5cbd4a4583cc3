import { Copy, Download, FileJson, MoreHorizontal, Pencil, Trash2 } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import { AskName } from './ask-name'

export type SiteSummary = {
  id: string
  name: string
  revision: number
  updatedAt: number
  exported: string
  pages: number
  sections: number
  blocks: number
}

type PlateProps = {
  site: SiteSummary
  number: number
  submit: (fields: Record<string, string>, open?: boolean) => void
}

const WIDTH = 1280
const HEIGHT = 860

const EXPORTED: Record<string, string> = {
  never: 'Not exported yet',
  current: 'Exported as it stands',
  older: 'Edited since its last export',
}
const when = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  timeZone: 'UTC',
})

/** One site: a small live rendering of its first page, numbered and captioned. */
export function Plate({ site, number, submit }: PlateProps) {
  const frame = useRef<HTMLDivElement>(null)
  const [scale, setScale] = useState(0.25)
  const [renaming, setRenaming] = useState(false)
  useEffect(() => {
    const observer = new ResizeObserver(() => setScale(frame.current!.clientWidth / WIDTH))
    observer.observe(frame.current!)
    return () => observer.disconnect()
  }, [])
  const item = 'flex h-7 cursor-default items-center gap-2 rounded-2 px-2 outline-none data-[highlighted]:bg-ground'
  return (
    <li>
      <Link
        to={`/sites/${site.id}`}
        className="block border border-line-strong bg-field hover:border-ink"
        aria-label={`Open ${site.name}`}
      >
        <div ref={frame} className="relative overflow-clip" style={{ aspectRatio: `${WIDTH} / ${HEIGHT}` }}>
          <iframe
            title={`First page of ${site.name}`}
            src={`/visit/${site.id}/index.html?engine=calm&scriptless&r=${site.revision}`}
            sandbox=""
            loading="lazy"
            tabIndex={-1}
            className="pointer-events-none absolute left-0 top-0 origin-top-left border-0"
            style={{ width: WIDTH, height: HEIGHT, transform: `scale(${scale})` }}
          />
        </div>
      </Link>
      <div className="grid grid-cols-[24px_1fr_auto] pt-2.5">
        <span className="figure text-ink-2">{String(number).padStart(2, '0')}</span>
        <div className="min-w-0">
          <h2 className="truncate text-[15px] font-semibold">{site.name}</h2>
          <p className="text-label text-ink-2">
            {site.pages} {site.pages === 1 ? 'page' : 'pages'}, {site.sections} sections on the first, {site.blocks} blocks
          </p>
          <p className="text-label text-ink-2">
            Edited {when.format(site.updatedAt)}. {EXPORTED[site.exported]}.
          </p>
        </div>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger
            aria-label={`More for ${site.name}`}
            className="flex h-7 w-7 items-center justify-center rounded-2 hover:bg-line"
          >
            <MoreHorizontal size={16} strokeWidth={1.5} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              sideOffset={2}
              className="z-50 min-w-48 rounded-2 border border-line-strong bg-field p-1 shadow-float"
            >
              <DropdownMenu.Item className={item} onSelect={() => setRenaming(true)}>
                <Pencil size={14} strokeWidth={1.5} /> Rename
              </DropdownMenu.Item>
              <DropdownMenu.Item className={item} onSelect={() => submit({ intent: 'duplicate', site: site.id })}>
                <Copy size={14} strokeWidth={1.5} /> Duplicate
              </DropdownMenu.Item>
              <DropdownMenu.Item asChild className={item}>
                <a href={`/sites/${site.id}/as/site-zip`} download>
                  <Download size={14} strokeWidth={1.5} /> Site file with its pictures
                </a>
              </DropdownMenu.Item>
              <DropdownMenu.Item asChild className={item}>
                <a href={`/sites/${site.id}/as/site-json`} download>
                  <FileJson size={14} strokeWidth={1.5} /> Site file, JSON alone
                </a>
              </DropdownMenu.Item>
              <DropdownMenu.Item className={`${item} text-rust`} onSelect={() => submit({ intent: 'delete', site: site.id })}>
                <Trash2 size={14} strokeWidth={1.5} /> Delete
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <AskName
        title="Rename the site"
        value={site.name}
        action="Rename"
        open={renaming}
        onClose={() => setRenaming(false)}
        onTake={(name) => submit({ intent: 'rename', site: site.id, name })}
      />
    </li>
  )
}
