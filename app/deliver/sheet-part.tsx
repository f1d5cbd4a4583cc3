import { useState } from 'react'
import { toast } from 'sonner'
import type { Page, Site } from '#core/site/schema'
import { download } from '../files/download'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'

/** Several views of the page on one ground: which, in devices or not, and on what. */
export function SheetPart({ siteId, site, page }: { siteId: string; site: Site; page: Page }) {
  const [widths, setWidths] = useState<readonly number[]>(site.views)
  const [devices, setDevices] = useState(true)
  const [ground, setGround] = useState(site.guide.colours.find((one) => one.role === 'ground-2')?.role ?? 'ground')
  const [busy, setBusy] = useState<'png' | 'pdf' | null>(null)
  const make = async (kind: 'png' | 'pdf') => {
    setBusy(kind)
    try {
      const { sheetPdf, sheetPng } = await import('./sheet')
      const asked = { widths: site.views.filter((one) => widths.includes(one)), devices, ground }
      const { blob, name } = await (kind === 'png' ? sheetPng : sheetPdf)(siteId, site, page, asked)
      download(blob, name)
    } catch (error) {
      toast.error(`The sheet was not made. ${error instanceof Error ? error.message : ''}`)
    } finally {
      setBusy(null)
    }
  }
  return (
    <div className="mt-3 border-t border-line pt-3">
      <h3 className="mb-2 font-semibold">Presentation sheet</h3>
      <div className="flex flex-wrap items-center gap-2">
        <div className="flex" role="group" aria-label="Views on the sheet">
          {site.views.map((width) => (
            <button
              key={width}
              type="button"
              aria-pressed={widths.includes(width)}
              className="figure h-[30px] border border-line-strong border-r-0 bg-field px-2.5 last:border-r aria-pressed:bg-ink aria-pressed:text-on-ink"
              onClick={() => setWidths(widths.includes(width) ? widths.filter((one) => one !== width) : [...widths, width])}
            >
              {width}
            </button>
          ))}
        </div>
        <label className="flex min-h-6 items-center gap-1.5">
          <input type="checkbox" checked={devices} onChange={(event) => setDevices(event.target.checked)} /> In devices
        </label>
        <Choice
          className="w-32"
          label="Ground of the sheet"
          value={ground}
          options={site.guide.colours.map(({ role }) => ({ value: role, label: role }))}
          onChange={setGround}
        />
        {(['png', 'pdf'] as const).map((kind) => (
          <Button key={kind} disabled={busy !== null || widths.length === 0} onClick={() => void make(kind)}>
            {busy === kind ? 'Drawing' : `Sheet as ${kind.toUpperCase()}`}
          </Button>
        ))}
      </div>
    </div>
  )
}
