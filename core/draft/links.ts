import LinkifyIt from 'linkify-it'

/** A link found in a text; `scheme` is false where the site would leave it unclickable. */
export interface TextLink { text: string, url: string, start: number, end: number, scheme: boolean }

const finder = new LinkifyIt({ fuzzyEmail: false })

/** Links in order of the text, with and without a scheme. Bare e-mail addresses are none. */
export function linksOf(text: string): TextLink[] {
  if (!finder.pretest(text)) return []
  return (finder.match(text) ?? []).map(found => ({
    text: found.raw, url: found.url, start: found.index, end: found.lastIndex, scheme: found.schema !== '',
  }))
}
