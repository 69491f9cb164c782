import { OUTLET_MEDIA, tagFor, type Outlet } from './outlet'

/** What stands in a text for the address of the video, until the text is copied for an outlet. */
export const LINK = '{link}'
/** Characters that are reckoned for an address that is not known yet, its tags with it. */
const USUAL_LENGTH = 90

/**
 * The address of a video with the tags by which visits from an outlet are told apart.
 * @param campaign what the visits are for, such as the video's file name.
 * @returns the address as it is where it is none of the web.
 */
export function taggedAddress(address: string, { tag, kind }: Pick<Outlet, 'tag' | 'kind'>, campaign: string): string {
  if (!/^https?:\/\//u.test(address) || !URL.canParse(address)) return address
  const url = new URL(address)
  url.searchParams.set('utm_source', tag)
  url.searchParams.set('utm_medium', OUTLET_MEDIA[kind])
  const named = tagFor(campaign)
  if (named) url.searchParams.set('utm_campaign', named)
  return url.href
}

/** A text with the address where its mark stands; with '' the mark stays. */
export const withAddress = (text: string, address: string): string =>
  address ? text.replaceAll(LINK, () => address) : text

/** A text as long as it will be once the address is in. */
export const asLong = (text: string, address: string): string => withAddress(text, address || 'x'.repeat(USUAL_LENGTH))
