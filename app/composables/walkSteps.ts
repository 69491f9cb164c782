import type { BriefFields } from '../../core/brief/brief'
import { readPhrase, readText, match } from '../../core/text/match'
import type { Place } from './findPlaces'

/** The brief that a walk is done with. */
export const WALK_BRIEF = { topic: 'A walk: truing a wheel', region: 'GB', language: 'en' }
const SEED = 'true a wheel'
/** Characters from which on a description is one. */
const DRAFTED = 200

export interface WalkStep {
  name: string
  say: string
  /** Where it is done. */
  to: (fields: BriefFields) => Place
  /** Whether it is done, by what the brief holds or where the person is. */
  done: (fields: BriefFields, path: string) => boolean
}

const demand: Place = { path: '/demand', query: { seed: SEED, region: 'GB' } }
const holds = (text: string, phrase: string, language: string) =>
  match(readPhrase(phrase, language), readText(text, language)).grade === 'exact'

/** From a topic to a text that is ready to go out, each step done for real. */
export const WALK_STEPS: readonly WalkStep[] = [
  {
    name: 'Lead',
    say: `These are searches around “${SEED}”. Choose one with many searches and a low difficulty: select its row, then press “Make lead”.`,
    to: () => demand,
    done: ({ tray }) => tray.lead !== null,
  },
  {
    name: 'Support',
    say: 'Select two or more other phrases and add them to the tray: they support the lead.',
    to: () => demand,
    done: ({ tray }) => tray.support.length >= 2,
  },
  {
    name: 'Rivals',
    say: 'See who is found for the lead now, and how firmly. Click a result to read its text.',
    to: ({ tray }) => ({ path: '/rivals', query: { phrase: tray.lead ?? SEED, region: 'GB' } }),
    done: (_, path) => path === '/rivals',
  },
  {
    name: 'Title',
    say: 'Write a title that holds the lead word for word, near its beginning. The ruler shows where a phone cuts it.',
    to: () => ({ path: '/desk' }),
    done: ({ title, tray, language }) => tray.lead !== null && holds(title, tray.lead, language),
  },
  {
    name: 'Description',
    say: `Write at least ${DRAFTED} characters, or let Compose draft them from what you give it.`,
    to: () => ({ path: '/desk', query: { side: 'compose' } }),
    done: ({ description }) => description.length >= DRAFTED,
  },
  {
    name: 'Tags',
    say: 'Add five tags or more; Tags suggests some and says what each brings.',
    to: () => ({ path: '/desk', query: { side: 'tags' } }),
    done: ({ tags }) => tags.length >= 5,
  },
  {
    name: 'Release',
    say: 'Everything that is still owed before it goes out, in the order in which it can be known.',
    to: () => ({ path: '/release' }),
    done: (_, path) => path === '/release',
  },
]
