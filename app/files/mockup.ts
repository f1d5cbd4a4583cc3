import type { Page } from '#core/site/schema'
import { pageNonce } from '../nonce'
import { slug } from '#core/render/names'

/** Greatest side of a canvas that browsers draw, px. */
const MAX_SIDE = 16_384

/** Height of the page at a width, measured in a frame of that width. */
async function measure(body: string, width: number): Promise<number> {
  const frame = document.createElement('iframe')
  frame.setAttribute('sandbox', 'allow-same-origin')
  frame.style.cssText = `position:fixed;left:-10000px;top:0;width:${width}px;height:800px;border:0`
  const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }))
  frame.srcdoc = `<!doctype html><html><head></head>${body.replace('<style>', `<style nonce="${pageNonce()}">`)}</html>`
  document.body.append(frame)
  try {
    await loaded
    const inner = frame.contentDocument!
    await inner.fonts.ready
    await Promise.all([...inner.images].map((image) => image.decode().catch(() => undefined)))
    // A page ends on a whole px, as the browser rounds it.
    return Math.round(inner.body.getBoundingClientRect().height)
  } finally {
    frame.remove()
  }
}

/** Draws self-contained markup as a PNG at a width in px, with `density` pixels for each. */
export async function makePng(body: string, width: number, density: number): Promise<Blob> {
  const height = await measure(body, width)
  if (height * density > MAX_SIDE)
    throw new Error(
      `The page is ${height} px high; at ${density}x that is more than the ${MAX_SIDE} px that can be drawn. Take 1x.`,
    )
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><foreignObject width="100%" height="100%">${body}</foreignObject></svg>`
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = width * density
  canvas.height = height * density
  const context = canvas.getContext('2d')!
  context.scale(density, density)
  context.drawImage(image, 0, 0, width, height)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (!blob) throw new Error('The browser could not draw a picture of this size.')
  return blob
}

/** Longest that a film is waited for, ms. */
const PATIENCE = 10_000

/** The first frame of a film as an image; nothing where the browser cannot play it. */
async function firstFrame(src: string): Promise<string | undefined> {
  const video = document.createElement('video')
  video.muted = true
  video.preload = 'auto'
  const ready = new Promise<boolean>((resolve) => {
    video.addEventListener('loadeddata', () => resolve(true), { once: true })
    video.addEventListener('error', () => resolve(false), { once: true })
    setTimeout(() => resolve(false), PATIENCE)
  })
  video.src = src
  if (!(await ready)) return undefined
  const canvas = document.createElement('canvas')
  canvas.width = video.videoWidth
  canvas.height = video.videoHeight
  canvas.getContext('2d')!.drawImage(video, 0, 0)
  return canvas.toDataURL('image/jpeg', 0.92)
}

/** Markup in which every film stands as its poster, or else as its first frame: a drawing plays nothing. */
async function withFirstFrames(body: string): Promise<string> {
  if (!body.includes('<video')) return body
  const parsed = new DOMParser().parseFromString(body, 'application/xhtml+xml')
  for (const video of parsed.querySelectorAll('video')) {
    const source = video.querySelector('source')
    const src = source?.getAttribute('src')
    const frame = video.hasAttribute('poster') || !src ? undefined : await firstFrame(src)
    if (frame) video.setAttribute('poster', frame)
    video.removeAttribute('controls')
    source?.remove()
  }
  return new XMLSerializer().serializeToString(parsed)
}

/** Draws a page as a PNG at a width in px, with `density` pixels for each. */
export async function makeMockup(
  siteId: string,
  page: Page,
  width: number,
  density: number,
): Promise<{ blob: Blob; name: string }> {
  const response = await fetch(`/sites/${siteId}/pages/${page.id}/mockup?width=${width}&density=${density}`)
  const answer = (await response.json()) as { body: string } | { problem: string }
  if ('problem' in answer) throw new Error(answer.problem)
  return {
    blob: await makePng(await withFirstFrames(answer.body), width, density),
    name: `${slug(page.name)}-${width}${density === 2 ? '@2x' : ''}.png`,
  }
}
