import { normaliseWord, words } from '../text/words'
import { CUES } from './intentCues'
import { INTENTS, type Intent } from './intentNames'
import { PlaceNames } from './placeNames'

interface Cue {
  intent: Intent
  weight: number
  text: string
  norms: string[]
}
/** The cues of a language by their first word, made when it is first met. */
const read = new Map<string, ReadonlyMap<string, Cue[]>>()
function cuesOf(language: string): ReadonlyMap<string, Cue[]> {
  const primary = language.split('-')[0]!.toLowerCase()
  const known = CUES.has(primary) ? primary : 'en'
  let byFirst = read.get(known) as Map<string, Cue[]> | undefined
  if (byFirst) return byFirst
  byFirst = new Map()
  for (const [intent, weight, list] of CUES.get(known)!)
    for (const text of list.split(',')) {
      const norms = words(text).map(word => word.norm)
      const same = byFirst.get(norms[0]!)
      const cue = { intent, weight, text, norms }
      if (same) same.push(cue)
      else byFirst.set(norms[0]!, [cue])
    }
  read.set(known, byFirst)
  return byFirst
}

export interface IntentAnswer {
  intent: Intent
  /** What told it: the words of the phrase, or of the titles it brings up. */
  from: 'wording' | 'results'
  cues: string[]
}

type Points = Map<Intent, { points: number; cues: Set<string> }>

function add(points: Points, norms: readonly string[], byFirst: ReadonlyMap<string, Cue[]>): void {
  for (let i = 0; i < norms.length; i++) {
    for (const cue of byFirst.get(norms[i]!) ?? []) {
      if (!cue.norms.every((norm, k) => norms[i + k] === norm)) continue
      const has = points.get(cue.intent) ?? { points: 0, cues: new Set<string>() }
      has.points += cue.weight
      has.cues.add(cue.text)
      points.set(cue.intent, has)
    }
  }
}

function best(points: Points): { intent: Intent; points: number; cues: string[] } | null {
  let found: { intent: Intent; points: number; cues: string[] } | null = null
  for (const intent of INTENTS) {
    const has = points.get(intent)
    if (has && (!found || has.points > found.points)) found = { intent, points: has.points, cues: [...has.cues] }
  }
  return found
}

const NOWHERE = new PlaceNames()

/**
 * What a searcher wants, from the wording, else from the titles the phrase brings up.
 *
 * @param places a phrase that names one of them is looking near it.
 * @param titles of the results, as far as known; they decide only when at least a third of them agree.
 * @param language BCP 47: whose words tell it.
 * @returns `null` when neither tells.
 */
export function intentOf(
  phrase: string,
  places: PlaceNames = NOWHERE,
  titles: readonly string[] = [],
  language = 'en',
): IntentAnswer | null {
  const byFirst = cuesOf(language)
  const norms = words(phrase).map(word => word.norm)
  const points: Points = new Map()
  add(points, norms, byFirst)
  const place = places.in(norms)
  if (place) {
    const near = points.get('near') ?? { points: 0, cues: new Set<string>() }
    points.set('near', { points: near.points + 6, cues: near.cues.add(place) })
  }
  const found = best(points)
  if (found) return { intent: found.intent, from: 'wording', cues: found.cues }
  const votes: Points = new Map()
  for (const title of titles) {
    const own: Points = new Map()
    add(
      own,
      words(title).map(word => word.norm),
      byFirst,
    )
    const vote = best(own)
    if (!vote) continue
    const has = votes.get(vote.intent) ?? { points: 0, cues: new Set<string>() }
    votes.set(vote.intent, { points: has.points + 1, cues: new Set([...has.cues, ...vote.cues]) })
  }
  const most = best(votes)
  return most && most.points >= Math.max(2, titles.length / 3)
    ? { intent: most.intent, from: 'results', cues: most.cues.slice(0, 6) }
    : null
}

const ASKING = new Set([
  'how',
  'what',
  'why',
  'when',
  'where',
  'who',
  'which',
  'can',
  'is',
  'are',
  'do',
  'does',
  'should',
  'will',
  'wie',
  'was',
  'warum',
  'wann',
  'wo',
  'comment',
  'pourquoi',
  'quand',
  'como',
  'cuando',
  'donde',
  'come',
  'perche',
  'hoe',
  'waarom',
  'cual',
  'cuanto',
  'quien',
  'qual',
  'quanto',
  'quel',
  'quelle',
  'combien',
  'welcher',
  'welche',
  'welches',
  'wer',
])
/** Whether a phrase is asked as a question. */
export function isQuestion(phrase: string): boolean {
  if (phrase.includes('?')) return true
  const space = phrase.indexOf(' ')
  const first = space < 0 ? phrase : phrase.slice(0, space)
  return ASKING.has(first) || ASKING.has(normaliseWord(/[\p{L}\p{M}\p{N}]+/u.exec(first)?.[0] ?? ''))
}
