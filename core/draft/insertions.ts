import { tagKey } from './limits'
import type { LimitProfile } from './limits'
import { textFix, type Draft, type Fix, type PlaceId } from './draft'
import { fileNameFor } from './fileName'
import { hashtagFor, withHashtag } from './hashtags'
import { readPhrase } from '../text/match'
import { begunWith } from './opening'
import { leadFirst } from './titleFixes'
import { alsoSentence } from './wording'

/** The name of a cell of the placement grid. */
export const insertionKey = (phrase: string, place: string) => `${phrase}\n${place}`

/** What one click would put in an empty cell; `null` where only a person can write it. */
export function insertionFor(
  place: PlaceId,
  phrase: string,
  draft: Draft,
  profile: LimitProfile,
  language: string,
): Fix | null {
  const description = draft.description ?? ''
  switch (place) {
    case 'title':
    case 'titleFront':
      return leadFirst(draft.title ?? '', readPhrase(phrase, language), profile)[0] ?? null
    case 'firstLine':
    case 'opening':
      return textFix(
        'Start the description with it',
        'description',
        description,
        begunWith(description, phrase, language),
      )
    case 'description': {
      const sentence = alsoSentence([phrase], language)
      return sentence === null
        ? null
        : textFix(
            'Add a line that mentions it',
            'description',
            description,
            `${description.trimEnd()}${description.trim() ? '\n\n' : ''}${sentence}`,
          )
    }
    case 'firstTag': {
      const tags = draft.tags ?? []
      const at = tags.findIndex(tag => tagKey(tag) === tagKey(phrase))
      return {
        label: 'Make it the first tag',
        field: 'tags',
        edits: [{ item: 0, remove: 0, insert: [phrase] }, ...(at < 0 ? [] : [{ item: at, remove: 1, insert: [] }])],
      }
    }
    case 'tags':
      return {
        label: 'Add it as a tag',
        field: 'tags',
        edits: [{ item: (draft.tags ?? []).length, remove: 0, insert: [phrase] }],
      }
    case 'hashtags': {
      const tag = hashtagFor(phrase, language)
      return tag ? textFix(`Add ${tag}`, 'description', description, withHashtag(description, tag)) : null
    }
    case 'fileName': {
      const name = draft.fileName ?? ''
      return textFix('Name the file after it', 'fileName', name, fileNameFor(phrase, name, language))
    }
    case 'chapters':
    case 'playlist':
    case 'spoken':
      return null
  }
}
