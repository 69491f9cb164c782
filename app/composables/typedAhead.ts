/** Ends the keeping of keys and gives what was typed; `null` while nothing is kept. */
let take: (() => string) | null = null

/**
 * Keeps what is typed from now until `giveTyped`: the box that a key opens may still be on its way, and its first
 * letters would go to what has the focus, or be taken for keys of the screen. Escape and the pointer end it.
 */
export function keepTyped(onEscape: () => void): void {
  take?.()
  let typed = ''
  const end = () => {
    removeEventListener('keydown', onKey, true)
    removeEventListener('pointerdown', end, true)
    take = null
    return typed
  }
  function onKey(event: KeyboardEvent) {
    const composed = event.getModifierState('AltGraph')
    if (event.isComposing || event.metaKey || ((event.ctrlKey || event.altKey) && !composed)) return
    if (event.key === 'Escape') {
      end()
      onEscape()
    } else if (event.key === 'Backspace') typed = [...typed].slice(0, -1).join('')
    else if ([...event.key].length === 1) typed += event.key
    // It would press what has the focus; other keys are the browser's.
    else if (event.key !== 'Enter') return
    event.preventDefault()
    event.stopImmediatePropagation()
  }
  addEventListener('keydown', onKey, true)
  addEventListener('pointerdown', end, true)
  take = end
}

/** Puts the focus into a field and gives it what was typed before it was there, as if typed into it. */
export function giveTyped(field: { focus: () => void }): void {
  field.focus()
  const typed = take?.()
  const input = document.activeElement
  if (!typed || !(input instanceof HTMLInputElement)) return
  input.setRangeText(typed, input.selectionStart ?? 0, input.selectionEnd ?? 0, 'end')
  input.dispatchEvent(new InputEvent('input', { bubbles: true, data: typed, inputType: 'insertText' }))
}

/** What was to open does not: keys go where they go. */
export function dropTyped(): void {
  take?.()
}
