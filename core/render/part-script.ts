/**
 * Leads through a long form part by part: on only where all of a part is well, back at any time, and to the part that is
 * wrong where the form is sent. Without it all parts stand below each other.
 */
export const PART_SCRIPT = `for (const form of document.querySelectorAll('form[data-parts]')) {
  const parts = [...form.querySelectorAll('[data-part]')]
  const [back, next] = form.querySelectorAll('.part-steps button')
  const status = form.querySelector('.part-steps [role=status]')
  const last = parts.length - 1
  let now = 0
  const show = (to) => {
    now = to
    parts.forEach((one, i) => one.toggleAttribute('data-shown', i === to))
    form.toggleAttribute('data-at-last', to === last)
    back.hidden = to === 0
    next.hidden = to === last
    status.textContent = status.textContent.replace(/\\d+/, to + 1)
  }
  const go = (to) => {
    show(to)
    parts[to].tabIndex = -1
    parts[to].focus()
  }
  const on = () => {
    const wrong = form.wrongIn(parts[now])
    wrong ? wrong.focus() : go(now + 1)
  }
  back.addEventListener('click', () => go(now - 1))
  next.addEventListener('click', on)
  // Before the form itself looks at what is wrong in it.
  form.addEventListener(
    'submit',
    (event) => {
      if (now < last) {
        event.preventDefault()
        event.stopImmediatePropagation()
        return on()
      }
      const wrong = parts.findIndex((one) => form.wrongIn(one))
      if (wrong >= 0) show(wrong)
    },
    true,
  )
  show(0)
}
`
