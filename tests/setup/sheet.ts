import type { SheetAnswers } from '../../core/release/sheet'

/** A release sheet on which everything that applies is answered. */
export const ANSWERED: SheetAnswers = {
  visibility: 'public',
  madeForChildren: false,
  ageLimit: false,
  paidPromotion: false,
  category: '',
  recordedOn: '',
  recordedIn: '',
  licence: 'standard',
  embedding: true,
  comments: 'open',
  ratingsShown: true,
  notifySubscribers: true,
  premiere: false,
  monetised: false,
  adverts: null,
  automaticCaptions: null,
}
