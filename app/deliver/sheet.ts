import { DEVICES } from '#core/blocks/devices'
import { deviceFor, type Placed, sheetLayout } from '#core/blocks/sheet'
import { hexOf } from '#core/colour/contrast'
import { slug } from '#core/render/names'
import type { Page, Site } from '#core/site/schema'
import { makeMockup } from '../files/mockup'

/** What is asked of a presentation sheet. */
export type SheetAsked = { widths: readonly number[]; devices: boolean; ground: string }

/** The sheet, px: the ratio of a screen that it is shown on. */
const SHEET = { width: 2880, height: 1800, margin: 140, gap: 80 }
/** A page without a device is shown down to so many heights of the highest one that has its whole width. */
const CUT = 1.6

type Shown = { image: ImageBitmap; width: number; size: { width: number; height: number } }

/** Draws several views of a page on one ground, each with a shadow, in devices or as they are. */
async function drawSheet(siteId: string, site: Site, page: Page, asked: SheetAsked): Promise<HTMLCanvasElement> {
  const views: Shown[] = []
  for (const width of asked.widths) {
    const { blob } = await makeMockup(siteId, page, width, 1)
    const image = await createImageBitmap(blob)
    const { size } = DEVICES[deviceFor(width)]
    views.push({ image, width, size: asked.devices ? size : { width, height: Math.min(image.height, Math.max(width, 812) * CUT) } })
  }
  const canvas = document.createElement('canvas')
  canvas.width = SHEET.width
  canvas.height = SHEET.height
  const context = canvas.getContext('2d')!
  context.imageSmoothingQuality = 'high'
  context.fillStyle = hexOf({ role: asked.ground }, site.guide.colours) ?? '#E6EBE0'
  context.fillRect(0, 0, SHEET.width, SHEET.height)
  const placed = sheetLayout(
    views.map((one) => one.size),
    SHEET,
  )
  views.forEach((view, i) => (asked.devices ? drawInDevice(context, view, placed[i]!) : drawPlain(context, view, placed[i]!)))
  for (const { image } of views) image.close()
  return canvas
}

function withShadow(context: CanvasRenderingContext2D, draw: () => void): void {
  context.save()
  context.shadowColor = 'rgba(0, 0, 0, 0.35)'
  context.shadowBlur = 60
  context.shadowOffsetY = 30
  draw()
  context.restore()
}

function drawPlain(context: CanvasRenderingContext2D, { image, size }: Shown, { x, y, width, height }: Placed): void {
  withShadow(context, () => context.fillRect(x, y, width, height))
  context.drawImage(image, 0, 0, size.width, size.height, x, y, width, height)
}

/** Bodies of devices are dark on every ground. */
const BODY = '#1b1f22'

function drawInDevice(context: CanvasRenderingContext2D, { image, width }: Shown, { x, y, scale }: Placed): void {
  const { screen, corner, body, marks } = DEVICES[deviceFor(width)]
  context.save()
  context.translate(x, y)
  context.scale(scale, scale)
  context.fillStyle = BODY
  withShadow(context, () => body.forEach((path) => context.fill(new Path2D(path))))
  // On a ground as dark as it, its edge is seen.
  context.strokeStyle = 'rgba(255, 255, 255, 0.28)'
  context.lineWidth = 2 / scale
  body.forEach((path) => context.stroke(new Path2D(path)))
  context.save()
  context.beginPath()
  context.roundRect(screen.x, screen.y, screen.width, screen.height, corner)
  context.clip()
  context.fillStyle = '#ffffff'
  context.fillRect(screen.x, screen.y, screen.width, screen.height)
  // As a window of that width shows it: from its top, as far down as the screen goes.
  const by = screen.width / width
  context.drawImage(image, screen.x, screen.y, screen.width, image.height * by)
  context.restore()
  for (const path of marks) context.fill(new Path2D(path))
  context.restore()
}

const nameOf = (site: Site, page: Page) => `${slug(site.name)}-${slug(page.name)}-sheet`

/** A presentation sheet as a PNG. */
export async function sheetPng(siteId: string, site: Site, page: Page, asked: SheetAsked): Promise<{ blob: Blob; name: string }> {
  const canvas = await drawSheet(siteId, site, page, asked)
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
  if (!blob) throw new Error('The browser could not draw the sheet.')
  return { blob, name: `${nameOf(site, page)}.png` }
}

/** The same as a PDF of one page. */
export async function sheetPdf(siteId: string, site: Site, page: Page, asked: SheetAsked): Promise<{ blob: Blob; name: string }> {
  const canvas = await drawSheet(siteId, site, page, asked)
  const { jsPDF } = await import('jspdf')
  const { width, height } = SHEET
  // Half a point for each px: a sheet of A3 and a little more.
  const pdf = new jsPDF({ orientation: 'landscape', unit: 'pt', format: [width / 2, height / 2], compress: true })
  pdf.setProperties({ title: `${site.name}: ${page.name}` })
  pdf.addImage(canvas.toDataURL('image/jpeg', 0.92), 'JPEG', 0, 0, width / 2, height / 2)
  return { blob: pdf.output('blob'), name: `${nameOf(site, page)}.pdf` }
}
