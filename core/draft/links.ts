import LinkifyIt from 'linkify-it'
import { remembering } from '../text/remembering'

/** A link found in a text; `scheme` is false where the site would leave it unclickable. */
export interface TextLink {
  text: string
  url: string
  start: number
  end: number
  scheme: boolean
}

/**
 * Endings the finder does not know by itself; countries' two letters it does. `example` is reserved for made-up
 * addresses.
 */
const ENDINGS =
  'academy app art blog bike cafe camera care chat city clothing club coach coffee community cool design dev dog earth email events example fan farm film fit fitness fm fun gallery games garden gifts guide guru health help home house land law life link live love ltd market media moda movie music network news ninja one online page photo photography photos pictures plus radio recipes red rent repair rocks run school science shoes show site social solutions space store studio style team tech tips today tools tours town toys training travel tube vet video watch wiki wine work works world xyz yoga zone'.split(
    ' ',
  )

const finder = new LinkifyIt({ fuzzyEmail: false }).tlds(ENDINGS, true)

/**
 * No address is taken to be longer, in characters. The finder looks through all that comes after each scheme, so that a
 * long run of addresses without a space took a time that grew with the square of its length.
 */
const LONGEST = 2048
/** A sentence that ends without a space after its full stop: “the wheel.In a shop”. */
const MISSING_SPACE = /\p{Ll}\.\p{Lu}\p{Ll}/u
/** Stretches without a space that may hold a link. */
const RUN = /\S+/gu
const MAY_HOLD = /[^.]\.[^.]|:\/\//u

/** Links in order of the text, with and without a scheme. Bare e-mail addresses are none. */
export function linksOf(text: string): readonly TextLink[] {
  // Most texts hold no link; a dot within a word or a scheme is cheap to look for.
  if (!/[^\s.]\.[^\s.]|:\/\//u.test(text)) return []
  return remembered(text)
}

function findLinks(text: string): TextLink[] {
  const links: TextLink[] = []
  for (const { 0: run, index } of text.matchAll(RUN)) {
    if (!MAY_HOLD.test(run)) continue
    for (const found of finder.match(run.slice(0, LONGEST)) ?? [])
      if (found.schema !== '' || !MISSING_SPACE.test(found.raw))
        links.push({
          text: found.raw,
          url: found.url,
          start: index + found.index,
          end: index + found.lastIndex,
          scheme: found.schema !== '',
        })
  }
  return links
}

const remembered = remembering<readonly TextLink[]>(16, findLinks)
