/** What is typed into a field with a list replaces the choice that stands there. */
export function selectAll({ target }: FocusEvent): void {
  if (!(target instanceof HTMLInputElement)) return
  // The field puts its cursor first.
  requestAnimationFrame(() => {
    target.select()
  })
}
