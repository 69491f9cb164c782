import { clock } from '../../captions/cue'
import { cardsSchema, KIND_NAMES, type Card } from '../../release/cards'
import { choiceField } from '../field'

const line = ({ at, kind, title, target, teaser, message }: Card) =>
  `${clock(at)} ${KIND_NAMES[kind]}: ${title || target || '(open)'} – ${[teaser, message].filter(Boolean).join(' / ')}`
const lines = (cards: readonly Card[]) => cards.toSorted((one, other) => one.at - other.at).map(line)

/** What shows while the video plays and leads to something else. */
export const cards = choiceField<Card[]>({
  label: 'Cards',
  schema: cardsSchema,
  copied: false,
  empty: [],
  shown: value => lines(value).join('\n'),
  exported: value => [{ heading: 'Cards', text: lines(value).join('\n') }],
})
