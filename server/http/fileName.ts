/** A name for a file that is offered: plain letters and digits, separated by hyphens. */
export function fileNameOf(text: string, otherwise: string): string {
  const parts =
    text
      .normalize('NFKD')
      .slice(0, 400)
      .match(/[A-Za-z0-9]+/gu) ?? []
  return parts.join('-').slice(0, 80) || otherwise
}
