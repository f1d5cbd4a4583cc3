/** True where the platform's own clipboard is wanted: in fields and in words that are being edited. */
export function inText(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
}
