import { useClipboard } from '@vueuse/core'

// Under a plain address of a network browsers have no clipboard of the newer kind.
const { copy } = useClipboard({ legacy: true })

/** Puts a text on the clipboard. */
export const copyText = (text: string) => copy(text)
