import { Download } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { useNavigate, useRevalidator } from 'react-router'
import { toast } from 'sonner'
import { faultsIn, type PageFinding } from '#core/analysis/checks/index'
import type { WebChoices } from '#core/picture/measured'
import { FORMATS } from '#core/picture/picture'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Page, Site } from '#core/site/schema'
import { Button, buttonClass } from '../ui/button'
import { WindowHeight } from '../ui/window-height'
import { LaunchList } from '../ui/launch-list'
import { stepsOf } from '../ui/steps'
import { TopBar } from '../ui/top-bar'
import { download } from '../files/download'
import { exportSite } from './export-site'
import { makeMockup } from '../files/mockup'
import { PictureWeights } from './picture-weights'
import { SheetPart } from './sheet-part'

export type DeliverProps = {
  siteId: string
  site: Site
  page: Page
  file: string
  exported: boolean
  style: 'readable' | 'minified'
  texts: { file: string; text: string; bytes: number }[]
  pictures: string[]
  fonts: string[]
  findings: PageFinding[]
}

/** What is handed over, at the left; the page as it is handed over, at the right. */
export function Deliver(props: DeliverProps) {
  const { siteId, site, page, file, exported } = props
  return (
    <div className="flex h-screen flex-col overflow-clip">
      <TopBar
        siteName={site.name}
        pageName={page.name}
        pages={site.pages.map((one) => ({
          id: one.id,
          name: one.name,
          to: `/sites/${siteId}/pages/${one.id}/deliver`,
        }))}
        steps={stepsOf({ siteId, site, page, exported })}
      >
        <span className="whitespace-nowrap text-on-ink-2">
          {exported ? 'Exported as it stands' : 'Not exported since the last edit'}
        </span>
      </TopBar>
      <main className="grid min-h-0 flex-1 grid-cols-2">
        <div className="relative overflow-y-auto border-r border-line-strong bg-panel px-6 py-4">
          <WebSite {...props} />
          <Mockups {...props} />
          <Before {...props} />
        </div>
        <LivePage siteId={siteId} file={file} site={site} page={page} />
      </main>
    </div>
  )
}

function Heading({ number, title, note }: { number: number; title: string; note: string }) {
  return (
    <div className="mb-3 flex items-baseline gap-3">
      <span className="figure text-muted">{number}</span>
      <h2 className="text-[15px] font-semibold">{title}</h2>
      <span className="ml-auto text-label text-ink-2">{note}</span>
    </div>
  )
}

/** What an error says; a lost connection in words. */
const inSentence = (error: unknown): string =>
  error instanceof Error && !(error instanceof TypeError) ? error.message : 'The server cannot be reached.'

const kilobytes = (bytes: number) => `${(bytes / 1024).toFixed(1)} kB`

function WebSite({ siteId, site, style, texts, pictures, fonts }: DeliverProps) {
  const [three, setThree] = useState(false)
  const [sprite, setSprite] = useState(false)
  const navigate = useNavigate()
  const revalidator = useRevalidator()
  const [shown, setShown] = useState<string | null>(null)
  const [progress, setProgress] = useState<{ made: number; of: number } | null>(null)
  const cancel = useRef<AbortController | null>(null)
  useEffect(() => () => cancel.current?.abort(), [])
  const text = texts.find((one) => one.file === shown)

  /** What is asked for, with the boxes of all pictures as this browser lays them out. */
  const choicesOf = async (signal = new AbortController().signal): Promise<WebChoices> => {
    const { measurePictures } = await import('../live/measure-pictures')
    const measured: NonNullable<WebChoices['measured']> = {}
    for (const page of site.pages) Object.assign(measured, await measurePictures(site, page, signal))
    return { ...(three ? { formats: [...FORMATS] } : {}), ...(sprite ? { sprite: true } : {}), measured }
  }

  const exportZip = async () => {
    const controller = (cancel.current = new AbortController())
    setProgress({ made: 0, of: 0 })
    try {
      await exportSite(siteId, style, await choicesOf(controller.signal), setProgress, controller.signal)
      await revalidator.revalidate()
    } catch (error) {
      if (!controller.signal.aborted) toast.error(`The export was not made. ${inSentence(error)} Nothing was changed.`)
    } finally {
      setProgress(null)
    }
  }
  return (
    <section className="border-b border-line-strong pb-5">
      <Heading number={1} title="HTML and CSS" note={`${texts.length + pictures.length + fonts.length} files`} />
      <div className="mb-3 flex items-center gap-2">
        <div className="flex" role="group" aria-label="Style of the code">
          {(['readable', 'minified'] as const).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={style === one}
              className="h-[30px] border border-line-strong bg-field px-3 first:rounded-l-2 last:rounded-r-2 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => void navigate(`?style=${one}`, { replace: true, preventScrollReset: true })}
            >
              {one === 'readable' ? 'Readable' : 'Minified'}
            </button>
          ))}
        </div>
        <Button look="primary" disabled={progress !== null} onClick={() => void exportZip()}>
          <Download size={14} strokeWidth={1.5} /> Export the site
        </Button>
        {progress && (
          <>
            <progress
              aria-label="Pictures made"
              className="h-1.5 w-24 accent-ink"
              value={progress.of === 0 ? 0 : progress.made}
              max={Math.max(1, progress.of)}
            />
            <span role="status" className="figure text-ink-2">
              {progress.made} of {progress.of} pictures
            </span>
            <Button onClick={() => cancel.current?.abort()}>Cancel</Button>
          </>
        )}
      </div>
      <div className="mb-3 flex flex-wrap gap-x-5">
        <label
          className="flex min-h-6 items-center gap-1.5"
          title="AVIF is lightest and takes longest to make; each browser takes the first that it reads"
        >
          <input type="checkbox" checked={three} onChange={(event) => setThree(event.target.checked)} /> Pictures as AVIF, WebP and
          their own
        </label>
        <label
          className="flex min-h-6 items-center gap-1.5"
          title="One icons.svg that pages refer to, in place of each icon where it stands"
        >
          <input type="checkbox" checked={sprite} onChange={(event) => setSprite(event.target.checked)} /> Icons in one file
        </label>
      </div>
      <ul>
        {texts.map((one) => (
          <li key={one.file} className="border-t border-line">
            <button
              type="button"
              aria-expanded={shown === one.file}
              className="flex w-full items-baseline justify-between py-1 hover:bg-ground"
              onClick={() => setShown(shown === one.file ? null : one.file)}
            >
              <span className="figure">{one.file}</span>
              <span className="figure text-muted">{kilobytes(one.bytes)}</span>
            </button>
            {shown === one.file && text && (
              <pre
                tabIndex={0}
                className="relative figure max-h-72 overflow-auto border border-line bg-field p-3 leading-[17px] whitespace-pre"
              >
                {text.text}
              </pre>
            )}
          </li>
        ))}
        <Names label="Pictures, each in the widths that the layout needs" names={pictures} />
        <Names label="Fonts that the pages use" names={fonts} />
      </ul>
      {pictures.length > 0 && <PictureWeights siteId={siteId} site={site} choicesOf={choicesOf} />}
    </section>
  )
}

function Names({ label, names }: { label: string; names: string[] }) {
  if (names.length === 0) return null
  return (
    <li className="border-t border-line">
      <details>
        <summary className="flex cursor-pointer items-baseline justify-between py-1 hover:bg-ground">
          {label}
          <span className="figure text-muted">{names.length}</span>
        </summary>
        <ul className="pb-2">
          {names.map((name) => (
            <li key={name} className="figure text-ink-2">
              {name}
            </li>
          ))}
        </ul>
      </details>
    </li>
  )
}

function Mockups({ siteId, site, page }: DeliverProps) {
  const [busy, setBusy] = useState<string | null>(null)
  const make = async (width: number, density: number) => {
    setBusy(`${width}@${density}`)
    try {
      const { blob, name } = await makeMockup(siteId, page, width, density)
      download(blob, name)
    } catch (error) {
      toast.error(`The mockup was not made. ${error instanceof Error ? error.message : ''}`)
    } finally {
      setBusy(null)
    }
  }
  return (
    <section className="border-b border-line-strong py-5">
      <Heading number={2} title="Mockups" note="PNG of the whole page, from the same tree" />
      <table className="w-full">
        <tbody>
          {site.views.map((width) => (
            <tr key={width} className="border-t border-line">
              <td className="py-1.5">
                <span className="figure bg-ink px-1.5 py-px text-on-ink">{width}</span>
              </td>
              {[1, 2].map((density) => (
                <td key={density} className="w-40 py-1.5 pl-2">
                  <Button
                    className="w-full"
                    disabled={busy !== null}
                    aria-label={`PNG, ${width * density} px wide: mockup at ${width} px, ${density}x`}
                    onClick={() => void make(width, density)}
                  >
                    {busy === `${width}@${density}` ? 'Drawing' : `PNG, ${width * density} px wide`}
                  </Button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <SheetPart siteId={siteId} site={site} page={page} />
    </section>
  )
}

function Before({ siteId, site, findings }: DeliverProps) {
  const faults = faultsIn(findings).length
  return (
    <section className="py-5">
      <Heading number={3} title="Before handing over" note={faults === 0 ? 'nothing to mend' : `${faults} to mend`} />
      <LaunchList
        siteId={siteId}
        findings={findings}
        nameOf={site.pages.length > 1 ? (page) => site.pages.find((one) => one.id === page)?.name : undefined}
      />
      <p className="mt-4 flex gap-2">
        <a className={buttonClass()} href={`/sites/${siteId}/as/site-zip`} download>
          Site file with its pictures
        </a>
        <a className={buttonClass()} href={`/sites/${siteId}/as/site-json`} download>
          Site file, JSON alone
        </a>
      </p>
    </section>
  )
}

const WIDTH = 1280

/** Height of the window that the page is shown in, px. */
const height = viewportHeightFor(WIDTH)

function LivePage({ siteId, file, site, page }: { siteId: string; file: string; site: Site; page: Page }) {
  const box = useRef<HTMLDivElement>(null)
  const [scale, setScale] = useState(0.45)
  const [free, setFree] = useState(false)
  useEffect(() => {
    const observer = new ResizeObserver(() => setScale(box.current!.clientWidth / WIDTH))
    observer.observe(box.current!)
    return () => observer.disconnect()
  }, [])
  return (
    <div className="flex min-h-0 flex-col px-7 py-3.5">
      <p className="mb-2 flex items-center gap-2">
        <span className="figure bg-ink px-1.5 py-px text-on-ink">{WIDTH}</span>
        <span className="text-label text-ink-2">
          {page.name}, as exported, {site.breakpoints[0]!.columns} columns
        </span>
        <span className="ml-auto" />
        <WindowHeight width={WIDTH} free={free} onFree={setFree} />
      </p>
      <div ref={box} className={`min-h-0 overflow-clip bg-field ${free ? 'flex-1' : ''}`}>
        <iframe
          title={`${page.name} as exported`}
          src={`/visit/${siteId}/${file}?scriptless`}
          sandbox=""
          className="origin-top-left border-0"
          style={{
            width: WIDTH,
            height: free ? `${100 / scale}%` : height,
            transform: `scale(${scale})`,
            // What is drawn smaller takes its room at full size.
            ...(free ? {} : { marginBottom: height * (scale - 1) }),
          }}
        />
      </div>
    </div>
  )
}
