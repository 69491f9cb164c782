/**
 * Remembers a choice in this browser. Where its storage is full or switched off the choice holds for this window alone.
 */
export function remember(key: string, value: string): void {
  try {
    localStorage.setItem(key, value)
  } catch {
    /* Nothing that was typed depends on it. */
  }
}
