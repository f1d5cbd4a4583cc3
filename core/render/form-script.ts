/**
 * What a form says beside a field: once it was left, or the form was sent, and no longer than it is wrong. The browser's
 * own checks are asked (HTML, 4.10.20); without a script they speak for themselves. While it is sent, it is so once.
 */
export const FORM_SCRIPT = `for (const [nth, form] of document.querySelectorAll('form[data-said]').entries()) {
  const said = JSON.parse(form.dataset.said)
  let sent
  form.noValidate = true
  const fieldOf = (input) => input.closest('.field')
  const wordsFor = ({ type, validity }) =>
    validity.valueMissing
      ? { radio: said.choose, checkbox: said.tick }[type] || said.wanted
      : type === 'email' ? said.mail : said.other
  const check = (input) => {
    const field = fieldOf(input)
    if (!field) return true
    let words = field.querySelector('.field-problem')
    const well = input.validity.valid
    if (well) words?.remove()
    else {
      if (!words) {
        words = document.createElement('span')
        words.className = 'field-problem'
        words.id = input.name + '-problem-' + nth
        words.ariaHidden = 'true'
        field.append(words)
      }
      words.textContent = wordsFor(input)
    }
    for (const one of field.querySelectorAll('input, textarea, select')) {
      one.ariaInvalid = well ? null : 'true'
      if (well) one.removeAttribute('aria-describedby')
      else one.setAttribute('aria-describedby', words.id)
    }
    return well
  }
  // What is not seen is not sent.
  const asked = [...form.querySelectorAll('[data-when] :is(input, textarea, select):enabled')]
  const settle = () => {
    for (const one of asked) one.disabled = getComputedStyle(fieldOf(one)).display === 'none'
  }
  form.addEventListener('change', settle)
  settle()
  form.addEventListener('focusout', ({ target }) => target.value && target.willValidate && check(target))
  form.addEventListener('input', ({ target }) => target.ariaInvalid && check(target))
  form.wrongIn = (box) => [...form.elements].filter((one) => box.contains(one) && one.willValidate && !check(one))[0]
  form.addEventListener('submit', (event) => {
    const wrong = form.wrongIn(form)
    wrong?.focus()
    if (wrong || sent) return event.preventDefault()
    const button = event.submitter
    if (!button) return
    sent = { button, words: [...button.childNodes] }
    button.ariaBusy = 'true'
    button.textContent = said.sending
  })
  // Who comes back to it may send it again.
  addEventListener('pageshow', () => {
    if (!sent) return
    sent.button.replaceChildren(...sent.words)
    sent.button.ariaBusy = null
    sent = undefined
  })
}
`
