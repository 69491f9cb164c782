/** A header as it is compared: without case, accents, marks, and what stands in brackets. */
export const plainHeader = (header: string) =>
  header
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\([^()]*\)/gu, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
