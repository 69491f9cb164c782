import type { Answer, ReleaseSheet, Services, VideoDraft } from '../../../../server/services/contract'

export const HOME = 'ch-marrowby'
export const SHEET: ReleaseSheet = {
  visibility: 'public',
  madeForChildren: false,
  ageLimit: false,
  paidPromotion: false,
  category: null,
  licence: 'standard',
  embedding: true,
  comments: 'open',
  ratingsShown: true,
  notifySubscribers: true,
  premiere: false,
  monetised: false,
  automaticCaptions: false,
  recordedAt: null,
  recordedIn: null,
}
export const draft = (more: Partial<VideoDraft> = {}): VideoDraft => ({
  title: 'How to index a rear derailleur',
  description: 'How to index a rear derailleur in seven minutes, with one hand on the barrel adjuster.',
  tags: ['how to index a rear derailleur', 'rear derailleur'],
  language: 'en',
  thumbnail: null,
  captions: null,
  sheet: SHEET,
  cards: [],
  endScreen: null,
  playlists: [],
  ...more,
})
const data = async <Data>(answer: Promise<Answer<Data>>) => (await answer).data

/** A file that has arrived whole. @returns the upload's id. */
export async function uploaded(site: Services['site'], request: string, channel = HOME, seconds = 420) {
  const bytes = Buffer.from('a film')
  const { upload } = await data(site.startUpload(request, channel, { name: 'a.mp4', bytes: bytes.length, seconds }))
  await site.sendPart(upload!.id, 0, bytes.toString('base64'))
  return upload!.id
}
export async function published(
  site: Services['site'],
  request: string,
  more: Partial<VideoDraft> = {},
  at: number | null = null,
) {
  return data(site.publish(request, await uploaded(site, `${request}-file`), draft(more), at))
}
