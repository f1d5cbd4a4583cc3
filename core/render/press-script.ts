/**
 * What a press does that HTML cannot do alone: blocks of a group shown one at a time, as tabs (ARIA Authoring Practices,
 * Tabs), dialogs in engines that know no commands, and the focus that stays in what covers the page.
 */
export const PRESS_SCRIPT = `for (const group of document.querySelectorAll('.one-shown')) {
  const panels = [...group.children]
  const tabs = [...document.querySelectorAll('a[data-shows]')].filter((tab) => panels.some((one) => '#' + one.id === tab.hash))
  const panelOf = (tab) => panels.find((one) => '#' + one.id === tab.hash)
  const row = tabs[0]?.parentElement
  const inOneRow = tabs.length > 1 && tabs.every((one) => one.parentElement === row)
  const show = (panel) => {
    for (const one of panels) one.toggleAttribute('data-shown', one === panel)
    for (const tab of tabs) {
      const on = panelOf(tab) === panel
      tab.setAttribute(inOneRow ? 'aria-selected' : 'aria-pressed', String(on))
      if (inOneRow) tab.tabIndex = on ? 0 : -1
    }
  }
  if (inOneRow) row.setAttribute('role', 'tablist')
  for (const tab of tabs) {
    const panel = panelOf(tab)
    tab.setAttribute('role', inOneRow ? 'tab' : 'button')
    tab.setAttribute('aria-controls', panel.id)
    if (inOneRow) {
      tab.id ||= panel.id + '-tab'
      panel.setAttribute('role', 'tabpanel')
      panel.setAttribute('aria-labelledby', tab.id)
    }
    tab.addEventListener('click', (event) => {
      event.preventDefault()
      show(panel)
    })
    tab.addEventListener('keydown', (event) => {
      const at = tabs.indexOf(tab)
      const to = { ' ': at, ArrowLeft: at - 1, ArrowRight: at + 1, Home: 0, End: tabs.length - 1 }[event.key]
      if (to === undefined || (!inOneRow && to !== at)) return
      event.preventDefault()
      const next = tabs[(to + tabs.length) % tabs.length]
      show(panelOf(next))
      next.focus()
    })
  }
  show(panels.find((one) => one.id && '#' + one.id === location.hash) ?? panels[0])
  const { line } = group.dataset
  if (!line) continue
  // Blocks that are shown as others pass a line: the window down to it is what those come into.
  const passed = new Set()
  let watch
  const place = () => {
    const px = line.endsWith('%') ? (parseFloat(line) / 100) * innerHeight : parseFloat(line)
    watch?.disconnect()
    watch = new IntersectionObserver(
      (entries) => {
        for (const { isIntersecting, target } of entries) passed[isIntersecting ? 'add' : 'delete'](target.id)
        show(panels.findLast((one) => passed.has(one.dataset.from)) ?? panels.find((one) => !one.dataset.from) ?? panels[0])
      },
      { rootMargin: '9999999px 0px ' + (px - innerHeight) + 'px' },
    )
    for (const { dataset } of panels) {
      const start = dataset.from && document.getElementById(dataset.from)
      if (start) watch.observe(start)
    }
  }
  addEventListener('resize', place)
  place()
}

if (!('commandForElement' in HTMLButtonElement.prototype))
  document.addEventListener('click', ({ target }) => {
    const button = target.closest('button[commandfor]')
    const dialog = button && document.getElementById(button.getAttribute('commandfor'))
    if (button?.getAttribute('command') === 'show-modal') dialog?.showModal()
    else dialog?.close()
  })

// A place on the same page is seen once what covers it is gone.
document.addEventListener('click', ({ target }) => {
  const over = target.closest('a') && target.closest('dialog, [popover]')
  over?.[over.close ? 'close' : 'hidePopover']?.()
})

// In a wide window nothing is folded, and Tab goes on.
for (const fold of document.querySelectorAll('[data-fold=cover]')) {
  fold.addEventListener('keydown', (event) => {
    if (event.key !== 'Tab' || !fold.matches(':is(:popover-open)')) return
    const all = [...fold.querySelectorAll('a[href], button')]
    const to = event.shiftKey ? all.at(-1) : all[0]
    if (document.activeElement !== (event.shiftKey ? all[0] : all.at(-1))) return
    event.preventDefault()
    to.focus()
  })
}
`
