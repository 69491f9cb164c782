import { normaliseWord, words } from '../text/words'
import { PlaceNames } from './placeNames'

/** What a searcher wants. */
export const INTENTS = ['do', 'learn', 'buy', 'compare', 'hire', 'near'] as const
export type Intent = (typeof INTENTS)[number]

export const INTENT_WORDS: Record<Intent, string> = {
  do: 'do it',
  learn: 'learn',
  buy: 'buy',
  compare: 'compare',
  hire: 'hire',
  near: 'near a place',
}

/**
 * Words and word pairs that tell an intent, for English; each is worth its weight. Other languages tell by their
 * results alone when those are English.
 */
const CUES: [Intent, number, string][] = [
  [
    'do',
    2,
    'how to,how do,diy,yourself,at home,step by step,without tools,fix,replace,adjust,clean,install,remove,repair it,make,build,true,bleed,index,patch,wax,lubricate,tighten,sharpen,tune,polish',
  ],
  [
    'learn',
    2,
    'what is,what are,why,explained,guide,tutorial,for beginners,tips,mistakes,lesson,lessons,course,meaning,basics,when to,introduction',
  ],
  ['buy', 2, 'buy,price,cheap,sale,deal,deals,discount,for sale,order,cost of,budget,under'],
  ['buy', 1, 'best,choose,cost,worth it'],
  ['compare', 3, 'vs,versus,or,compare,comparison,difference,differences,review,reviews,alternative,better than'],
  [
    'hire',
    3,
    'service,services,repair service,hire,company,professional,quote,book,mobile,repair shop,shop,workshop,mechanic',
  ],
  ['hire', 1, 'repair'],
  ['near', 4, 'near me,nearby,near,local,closest,open now'],
]

interface Cue {
  intent: Intent
  weight: number
  text: string
}
const byFirst = new Map<string, Cue[]>()
for (const [intent, weight, list] of CUES) {
  for (const text of list.split(',')) {
    const first = text.split(' ')[0]!
    byFirst.set(first, [...(byFirst.get(first) ?? []), { intent, weight, text }])
  }
}

export interface IntentAnswer {
  intent: Intent
  /** What told it: the words of the phrase, or of the titles it brings up. */
  from: 'wording' | 'results'
  cues: string[]
}

type Points = Map<Intent, { points: number; cues: Set<string> }>

function add(points: Points, norms: readonly string[], weight: number): void {
  for (let i = 0; i < norms.length; i++) {
    for (const cue of byFirst.get(norms[i]!) ?? []) {
      const parts = cue.text.split(' ')
      if (!parts.every((part, k) => norms[i + k] === part)) continue
      const has = points.get(cue.intent) ?? { points: 0, cues: new Set<string>() }
      has.points += weight * cue.weight
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
 * @returns `null` when neither tells.
 */
export function intentOf(
  phrase: string,
  places: PlaceNames = NOWHERE,
  titles: readonly string[] = [],
): IntentAnswer | null {
  const norms = words(phrase).map(word => word.norm)
  const points: Points = new Map()
  add(points, norms, 1)
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
      1,
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
])
/** Whether a phrase is asked as a question. */
export function isQuestion(phrase: string): boolean {
  if (phrase.includes('?')) return true
  const space = phrase.indexOf(' ')
  const first = space < 0 ? phrase : phrase.slice(0, space)
  return ASKING.has(first) || ASKING.has(normaliseWord(/[\p{L}\p{M}\p{N}]+/u.exec(first)?.[0] ?? ''))
}
