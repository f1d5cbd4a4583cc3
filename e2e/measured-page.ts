/** What is wrong with the words of a published page at one width: of which kind, and the mark of the words; none for the page itself, and by how many px that is wider. */
export type Wrong = { kind: 'wide' | 'cut' | 'broken' | 'covered'; mark: string; width: number; by?: number }

/**
 * Measures a published page at every px of some widths, inside a page of its own: it knows its elements and letters, and
 * nothing of blocks, documents and checks. It is sent to the browser as it stands, so it names nothing outside itself.
 * @param src path of the page, on the server that this is run at
 * @param way from the widest window down, or from the narrowest up
 */
export async function measurePage([src, from, to, way]: readonly [string, number, number, 'down' | 'up']): Promise<Wrong[]> {
  const iframe = document.createElement('iframe')
  Object.assign(iframe.style, { position: 'fixed', inset: '0 auto auto 0', width: `${to}px`, height: '800px', border: '0' })
  // As its own text, so that no policy of the server keeps it from being looked into.
  const html = await (await fetch(src)).text()
  iframe.srcdoc = html.replace('<head>', `<head><base href="${location.origin}${src}">`)
  const loaded = new Promise((done) => iframe.addEventListener('load', done))
  document.body.replaceChildren(iframe)
  await loaded
  const root = iframe.contentDocument!
  const view = iframe.contentWindow!
  const style = root.createElement('style')
  style.textContent = '*{pointer-events:auto!important}html{scrollbar-width:none}'
  root.head.append(style)
  await root.fonts.ready
  for (const image of root.images) image.loading = 'eager'
  await Promise.all([...root.images].map((image) => image.decode().catch(() => undefined)))
  const styles = new Map<Element, CSSStyleDeclaration>()
  const styleOf = (element: Element) => {
    let one = styles.get(element)
    if (!one) styles.set(element, (one = view.getComputedStyle(element)))
    return one
  }

  // Every text with the mark that is nearest to it, and every word of it.
  type Said = { text: Text; parent: Element; mark: string; words: Range[] }
  const said: Said[] = []
  const walker = root.createTreeWalker(root.body, NodeFilter.SHOW_TEXT)
  for (let node = walker.nextNode() as Text | null; node; node = walker.nextNode() as Text | null) {
    if (node.data.trim() === '') continue
    let mark = ''
    for (let at: Element | null = node.parentElement; at && mark === ''; at = at.parentElement) {
      const found = [...at.textContent.matchAll(/q\d+q/g)]
      if (found.length > 0) mark = found[0]![0]
    }
    const words = [...node.data.matchAll(/[\p{L}\p{N}\u00a0.,£+]{2,}/gu)].map(({ index, 0: word }) => {
      const range = root.createRange()
      range.setStart(node, index)
      range.setEnd(node, index + word.length)
      return range
    })
    said.push({ text: node, parent: node.parentElement!, mark, words })
  }
  const whole = said.map(({ text }) => {
    const range = root.createRange()
    range.selectNodeContents(text)
    return range
  })
  const all = [...root.body.querySelectorAll('*')]
  type Sides = { left: number; top: number; right: number; bottom: number }
  const holdersOf = (element: Element): Element[] => {
    const list: Element[] = []
    for (let at: Element | null = element; at && at !== root.documentElement; at = at.parentElement) list.push(at)
    return list
  }
  const holders = said.map(({ parent }) => holdersOf(parent))
  const isClip = (value: string) => value === 'hidden' || value === 'clip'
  const meet = (a: Sides, b: Sides): Sides => ({
    left: Math.max(a.left, b.left),
    top: Math.max(a.top, b.top),
    right: Math.min(a.right, b.right),
    bottom: Math.min(a.bottom, b.bottom),
  })
  const seenPart = (sides: Sides, element: Element): Sides => {
    let part = sides
    for (const one of holdersOf(element)) {
      const { overflowX, overflowY } = styleOf(one)
      if (one !== root.body && one !== element && (overflowX !== 'visible' || overflowY !== 'visible'))
        part = meet(part, one.getBoundingClientRect())
    }
    return part
  }
  const opacityOf = (element: Element) => holdersOf(element).reduce((product, one) => product * Number(styleOf(one).opacity), 1)
  const groundOf = (element: Element): number => {
    const { backgroundColor } = styleOf(element)
    const parts = backgroundColor.split(/[(,)/ ]+/).filter((one) => one !== '')
    return backgroundColor === 'transparent' ? 0 : parts.length > 4 ? Number(parts[4]) : 1
  }
  const isSolid = (element: Element): boolean => (element.tagName === 'IMG' ? 1 : groundOf(element)) * opacityOf(element) >= 0.9
  // The opacity of each picture, pixel by pixel.
  const pixels = new Map<Element, ImageData>()
  for (const image of root.images) {
    if (image.naturalWidth === 0) continue
    const canvas = root.createElement('canvas')
    ;[canvas.width, canvas.height] = [image.naturalWidth, image.naturalHeight]
    const context = canvas.getContext('2d')!
    context.drawImage(image, 0, 0)
    pixels.set(image, context.getImageData(0, 0, canvas.width, canvas.height))
  }
  /** How much of what is behind a part of a picture it hides: at many points of the part, each where it is drawn. */
  const hiddenBy = (image: Element, part: Sides): number => {
    const data = pixels.get(image)
    if (!data) return 1
    const box = image.getBoundingClientRect()
    const fit = styleOf(image).objectFit
    const scales = [box.width / data.width, box.height / data.height]
    const scale = fit === 'contain' ? Math.min(...scales) : Math.max(...scales)
    const [across, down] = fit === 'fill' ? [box.width, box.height] : [data.width * scale, data.height * scale]
    const [x0, y0] = [box.left + (box.width - across) / 2, box.top + (box.height - down) / 2]
    let [sum, count] = [0, 0]
    for (let i = 0.5; i < 24; i++)
      for (let j = 0.5; j < 24; j++) {
        const x = (part.left + ((part.right - part.left) * i) / 24 - x0) / across
        const y = (part.top + ((part.bottom - part.top) * j) / 24 - y0) / down
        count++
        if (x < 0 || y < 0 || x >= 1 || y >= 1) continue
        sum += data.data[4 * (Math.floor(y * data.height) * data.width + Math.floor(x * data.width)) + 3]! / 255
      }
    return sum / count
  }
  const lengthOf = (word: Range) => [...word.getClientRects()].reduce((sum, one) => sum + one.width, 0)
  const sizeOf = (element: Element) => Number.parseFloat(styleOf(element).fontSize)
  // How long each word is by the size of its letters, in the widest window, where most stand on one line.
  const natural = new Map<Range, number>()
  for (const { words, parent } of said) for (const word of words) natural.set(word, lengthOf(word) / sizeOf(parent))
  const trial = root.createElement('p')
  trial.innerHTML = 'information'
  trial.style.cssText = 'position:absolute;width:1px;line-height:20px;hyphens:auto;overflow-wrap:normal'
  root.body.append(trial)
  const hyphenates = trial.offsetHeight > 20
  trial.remove()
  /** Whether a word stands on more than one line, and not with a hyphen that the engine put there, which makes it longer. */
  const isBroken = (word: Range, parent: Element): boolean => {
    const lines: { top: number; bottom: number }[] = []
    for (const { top, bottom, width } of word.getClientRects())
      if (width > 0 && !lines.some((line) => Math.min(line.bottom, bottom) - Math.max(line.top, top) > (bottom - top) / 2))
        lines.push({ top, bottom })
    return lines.length > 1 && !(hyphenates && lengthOf(word) > (natural.get(word)! + 0.15) * sizeOf(parent))
  }

  // What the stylesheets ask of the window: styles differ only where an answer does.
  const asked = new Set<string>()
  const ask = (rules: CSSRuleList) => {
    for (const rule of rules) {
      if (rule instanceof (view as unknown as typeof globalThis).CSSMediaRule) asked.add(rule.conditionText)
      if ('cssRules' in rule) ask(rule.cssRules as CSSRuleList)
    }
  }
  for (const sheet of root.styleSheets) ask(sheet.cssRules)
  const answers = [...asked].map((one) => view.matchMedia(one))
  let solid = new Set<Element>()
  let clips = new Map<Element, [across: boolean, down: boolean]>()
  let styled = ''

  // Which of two is painted over the other follows from their styles, wherever both are.
  const painted = new Map<Element, Map<Element, boolean>>()
  const isOver = (one: Element, parent: Element, { left, right, top, bottom }: Sides): boolean => {
    const known = painted.get(one)?.get(parent)
    if (known !== undefined) return known
    // A point may be in a round corner, between letters, or beside the window.
    for (const share of [0.5, 0.2, 0.8, 0.05, 0.95]) {
      const [x, y] = [left + (right - left) * share, top + (bottom - top) * share]
      const { scrollX, scrollY } = view
      view.scrollTo({ left: scrollX + x - 100, top: scrollY + y - 300, behavior: 'instant' })
      const stack = root.elementsFromPoint(x + scrollX - view.scrollX, y + scrollY - view.scrollY)
      view.scrollTo({ left: scrollX, top: scrollY, behavior: 'instant' })
      const [over, under] = [stack.findIndex((each) => one.contains(each)), stack.findIndex((each) => parent.contains(each))]
      if (over < 0 || under < 0) continue
      if (!painted.has(one)) painted.set(one, new Map())
      painted.get(one)!.set(parent, over < under)
      return over < under
    }
    return false
  }

  const wrong: Wrong[] = []
  for (let n = 0; n <= to - from; n++) {
    const width = way === 'down' ? to - n : from + n
    iframe.style.width = `${width}px`
    iframe.style.height = `${width >= 1024 ? 800 : width >= 640 ? 1024 : 812}px`
    const by = root.documentElement.scrollWidth - width
    if (by > 0) wrong.push({ kind: 'wide', mark: '', width, by })
    const found = new Set<string>()
    const say = (kind: Wrong['kind'], mark: string) => {
      const key = `${kind} ${mark}`
      if (!found.has(key)) wrong.push({ kind, mark, width })
      found.add(key)
    }
    root.body.getBoundingClientRect()
    const now = answers.map(({ matches }) => matches).join()
    if (now !== styled) {
      styled = now
      painted.clear()
      solid = new Set(all.filter(isSolid))
      clips = new Map(
        all.flatMap((one) => {
          const { overflowX, overflowY } = styleOf(one)
          return isClip(overflowX) || isClip(overflowY) ? [[one, [isClip(overflowX), isClip(overflowY)]]] : []
        }),
      )
    }
    const boxes = [...solid].map((one) => ({ one, whole: one.getBoundingClientRect() }))
    for (const [n, { parent, mark, words }] of said.entries()) {
      const lines = [...whole[n]!.getClientRects()].filter((one) => one.width > 0.5)
      if (lines.length === 0) continue
      const size = Number.parseFloat(styleOf(parent).fontSize)
      for (const holder of holders[n]!) {
        const clip = clips.get(holder)
        if (holder === root.body || !clip) continue
        const box = holder.getBoundingClientRect()
        for (const line of lines) {
          if (clip[0] && Math.max(line.right - box.right, box.left - line.left) > 2) say('cut', mark)
          if (clip[1] && Math.max(line.bottom - box.bottom, box.top - line.top) > 2) say('cut', mark)
        }
      }
      // A word in two parts, or one that stands out of the box that its lines are set in.
      const set = holders[n]!.find((one) => !/^(inline|contents)$/.test(styleOf(one).display))!.getBoundingClientRect()
      if (
        (lines.length > 1 && words.some((word) => isBroken(word, parent))) ||
        lines.some((line) => Math.max(line.right - set.right, set.left - line.left) > 1)
      )
        say('broken', mark)
      for (const line of found.has(`covered ${mark}`) ? [] : lines) {
        const letters = seenPart(
          { left: line.left, right: line.right, top: line.top + 0.22 * size, bottom: line.bottom - 0.22 * size },
          parent,
        )
        const shares = (common: Sides) => common.right - common.left > 1 && common.bottom - common.top > 1
        for (const { one, whole: box } of boxes) {
          if (!shares(meet(letters, box)) || one.contains(parent) || parent.contains(one)) continue
          const common = meet(letters, seenPart(box, one))
          if (!shares(common)) continue
          // A ground of its own hides all the same.
          if (one.tagName === 'IMG' && groundOf(one) < 0.9 && hiddenBy(one, common) < 0.9) continue
          if (isOver(one, parent, common)) say('covered', mark)
        }
      }
    }
  }
  return wrong
}
