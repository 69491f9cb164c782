import { tagKey } from './limits'
import type { LimitProfile } from './limits'
import { asSentence } from './check'
import type { Draft, Fix, PlaceId } from './draft'
import { readPhrase } from '../text/match'
import { leadFirst } from './titleFixes'

/** A change that puts a phrase where the placement grid shows it absent; a file name is a field of its own. */
export type Insertion = Fix | { label: string, field: 'fileName', value: string }

/** The phrase as one hashtag: its words run together, each but the first with a capital. */
const hashtag = (phrase: string) => `#${(phrase.match(/[\p{L}\p{M}\p{N}]+/gu) ?? []).map((word, i) => i ? asSentence(word) : word).join('')}`

/** What one click would put in an empty cell; `null` where only a person can write it. */
export function insertionFor(place: PlaceId, phrase: string, draft: Draft, profile: LimitProfile, language: string): Insertion | null {
  const description = draft.description ?? ''
  switch (place) {
    case 'title':
    case 'titleFront':
      return leadFirst(draft.title ?? '', readPhrase(phrase, language), profile)[0] ?? null
    case 'firstLine':
    case 'opening':
      return { label: 'Begin the description with it', field: 'description', value: `${asSentence(phrase)}${description.trim() ? `: ${description.trimStart()}` : '. '}` }
    case 'description':
      return { label: 'Add a line that names it', field: 'description', value: `${description.trimEnd()}${description.trim() ? '\n\n' : ''}Also in this video: ${phrase}.` }
    case 'firstTag':
      return { label: 'Make it the first tag', field: 'tags', value: [phrase, ...(draft.tags ?? []).filter(tag => tagKey(tag) !== tagKey(phrase))] }
    case 'tags':
      return { label: 'Add it as a tag', field: 'tags', value: [...draft.tags ?? [], phrase] }
    case 'hashtags':
      return { label: `Add ${hashtag(phrase)}`, field: 'description', value: `${description.trimEnd()}${/#[\p{L}\p{N}_]+\s*$/u.test(description) ? ' ' : '\n\n'}${hashtag(phrase)}`.trimStart() }
    case 'fileName':
      return { label: 'Name the file after it', field: 'fileName', value: `${(phrase.match(/[\p{L}\p{M}\p{N}]+/gu) ?? []).join('-').toLowerCase()}${/\.[a-z0-9]{2,4}$/iu.exec(draft.fileName ?? '')?.[0] ?? '.mp4'}` }
    case 'chapters':
    case 'playlist':
    case 'spoken':
      return null
  }
}
