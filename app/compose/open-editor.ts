import type { Editor } from '@tiptap/core'

let open: Editor | null = null
/** The editor that is open, for the tray's marks. */
export const openEditor = (): Editor | null => open
export const setOpenEditor = (editor: Editor | null): void => void (open = editor)
