import { isBare, stepsOf } from '../trades/trade'
import { isPlural, pluralOf, withArticle } from '../wording'
import {
  CONTACT,
  FIRST_CHAPTERS,
  GEAR,
  LAST_CHAPTERS,
  LEGAL,
  MIDDLES,
  MIDDLES_BY_HAND,
  MIDDLES_OF_IDEAS,
  MIDDLES_OF_MACHINES,
  MIDDLES_OF_WORKSHOPS,
  MORE,
  OPENINGS,
  OPENINGS_BY_HAND,
  OPENINGS_OF_IDEAS,
  OPENINGS_OF_MACHINES,
  REQUESTS,
} from './sentences'
import type { Subject } from './titles'

type Random = () => number
type Pick = <Value>(list: readonly Value[]) => Value

/** What a channel puts under each of its videos. */
export interface Habits {
  /** Where it can be found, without a real address. */
  domain: string
  town: string | null
  /** Parts of its descriptions, 0 to 1: how often each comes. */
  chapters: number
  links: number
  contact: number
  hashtags: number
  /** How many paragraphs it writes at most. */
  paragraphs: number
}

/** What a video says, in the order in which it says it: description, chapters and captions are made of it. */
export interface Outline {
  opening: string
  steps: { label: string; sentence: string }[]
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Some of a list, in its order. */
function some<Value>(list: readonly Value[], count: number, random: Random): Value[] {
  const chosen = new Set<number>()
  while (chosen.size < Math.min(count, list.length)) chosen.add(Math.floor(random() * list.length))
  return [...chosen].sort((a, b) => a - b).map(i => list[i]!)
}

/** Puts a subject's words into a sentence. */
function filled(sentence: string, { trade, part, about }: Subject, channel: string): string {
  const task = trade.tasks[about.task ?? '']
  const words: Record<string, string> = {
    part: about.name,
    parts: pluralOf(part, about.name),
    a: withArticle(part, about.name),
    is: isPlural(part, about.name) ? 'are' : 'is',
    does: isPlural(part, about.name) ? 'do' : 'does',
    verb: task?.verb ?? 'use',
    ing: task?.ing ?? 'using',
    people: trade.people,
    fault: trade.faults[about.fault ?? '']?.is ?? 'broken',
    other: about.whole ?? 'the other kind',
    town: about.town ?? 'town',
    channel,
  }
  const text = sentence.replace(/\{(\w+)\}/gu, (_, name: string) => words[name]!)
  return capital(text)
}

/** Sentences that fit what the video is about: of any kind, and those of things, ideas and machines. */
function sentencesFor({ trade, part, about }: Subject): { openings: readonly string[]; middles: readonly string[] } {
  const kind = about.kind === 'name' ? 'learn' : about.kind
  const [openings, middles] = [OPENINGS[kind], MIDDLES[kind]]
  const machine = !trade.causes
  if (kind === 'fault')
    return machine
      ? { openings: [...openings, ...OPENINGS_OF_MACHINES], middles }
      : { openings, middles: trade.causes! }
  if (kind === 'learn') {
    if (part.idea) return { openings: OPENINGS_OF_IDEAS, middles: MIDDLES_OF_IDEAS }
    return { openings, middles: machine ? [...middles, ...MIDDLES_OF_MACHINES] : middles }
  }
  if (kind === 'local') return { openings, middles: machine ? [...middles, ...MIDDLES_OF_WORKSHOPS] : middles }
  if (kind !== 'do' || isBare(trade, about.task)) return { openings, middles }
  return { openings: [...openings, ...OPENINGS_BY_HAND], middles: [...middles, ...MIDDLES_BY_HAND] }
}

/** What the video shows: an opening, and steps of the task where there is one. */
export function outlineOf(subject: Subject, channel: string, random: Random): Outline {
  const pick: Pick = list => list[Math.floor(random() * list.length)]!
  const { trade, part, about } = subject
  const { openings, middles } = sentencesFor(subject)
  const task = trade.tasks[about.task ?? '']
  const sentences = task
    ? [
        ...some(stepsOf(trade, part, about.task!), 2 + Math.floor(random() * 2), random),
        ...some(middles, Math.floor(random() * 2), random),
      ]
    : some(middles, 2 + Math.floor(random() * 3), random)
  return {
    opening: filled(pick(openings), subject, channel),
    steps: sentences.map(sentence => {
      const text = filled(sentence, subject, channel)
      return { label: labelOf(text), sentence: text }
    }),
  }
}

/** The first words of a sentence, as a chapter's name. */
function labelOf(sentence: string): string {
  const words = sentence
    .replace(/[.,;]$|[.,;] .*$/u, '')
    .split(' ')
    .slice(0, 6)
  while (words.length > 2 && HANGING.has(words.at(-1)!)) words.pop()
  return words.join(' ')
}
/** Words that no name ends with. */
const HANGING = new Set(
  'a an the and or with than you your of in to at is it its will are from for by on more'.split(' '),
)

/** Phrases that are questions; “how to …” is the name of a job. */
const ASKED = /^(?:how (?!to )|(?:why|what|which|when|can|is|are|do|does|should) )/u
/** The phrase before the opening, as those write who want to be found for it. */
function ledBy(phrase: string, opening: string): string {
  if (opening.includes(':')) return opening
  return ASKED.test(phrase) ? `${capital(phrase)}? ${opening}` : `${capital(phrase)}: ${uncapital(opening)}`
}
/** A sentence as it goes on after a colon. */
const uncapital = (text: string) => (/^I\b/u.test(text) ? text : text.charAt(0).toLowerCase() + text.slice(1))
const stamp = (seconds: number) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

/** Times and names of an outline's parts over a video's length. */
function chapterLines({ steps }: Outline, seconds: number, pick: Pick): string {
  const names = [pick(FIRST_CHAPTERS), ...steps.map(step => step.label), pick(LAST_CHAPTERS)]
  const each = seconds / (names.length + 0.5)
  return names.map((name, i) => `${stamp(i ? each * (i + 0.2) : 0)} ${name}`).join('\n')
}

/**
 * A description as creators write it: none, a line, or paragraphs about what the video shows, with links, contact,
 * chapters and hashtags by the channel's habits.
 */
export function descriptionOf(
  subject: Subject,
  outline: Outline,
  { channel, habits, seconds, near }: { channel: string; habits: Habits; seconds: number; near: readonly string[] },
  random: Random,
): string {
  const pick: Pick = list => list[Math.floor(random() * list.length)]!
  const { phrase, trade, part, about } = subject
  const paragraphs: string[] = []
  const effort = random()
  if (effort < 0.05) return ''
  if (effort < 0.12) return random() < 0.5 ? capital(phrase) : `${phrase}, ${near.slice(0, 4).join(', ')}`

  const begins = random()
  const opening = begins < 0.3 ? ledBy(phrase, outline.opening) : outline.opening
  paragraphs.push([opening, ...outline.steps.slice(0, 1).map(step => step.sentence)].join(' '))
  const rest = outline.steps.slice(1).map(step => step.sentence)
  if (rest.length)
    paragraphs.push(
      random() < 0.25 && rest.length > 1 ? rest.map((line, i) => `${i + 1}. ${line}`).join('\n') : rest.join(' '),
    )
  if (random() < 0.5) paragraphs.push(some(trade.remarks, 1 + Math.floor(random() * 2), random).join(' '))
  const body = paragraphs.slice(0, Math.max(1, habits.paragraphs))

  const after: string[] = []
  const request = random() < 0.6 ? pick(REQUESTS) : ''
  if (random() < habits.chapters && seconds > 120) after.push(chapterLines(outline, seconds, pick))
  if (random() < habits.links)
    after.push(
      `${pick(MORE)}\n${some(near, 1 + Math.floor(random() * 2), random)
        .map(each => `${capital(each)}: https://${habits.domain}/${each.replace(/[^a-z0-9]+/gu, '-')}`)
        .join('\n')}`,
    )
  const gear = trade.parts.filter(each => each.buy)
  if (random() < 0.2 && gear.length)
    after.push(
      `${pick(GEAR)}\n${some(gear, 3, random)
        .map(each => `- ${capital(each.name)}`)
        .join('\n')}`,
    )
  if (random() < habits.contact)
    after.push(
      [
        pick(CONTACT),
        `https://${habits.domain}`,
        ...(habits.town ? [`${channel}, ${habits.town}`] : []),
        ...(random() < 0.5 ? [`hello@${habits.domain}`] : []),
      ].join('\n'),
    )
  if (random() < 0.15) after.push(some(LEGAL, 1, random).join(' '))
  const tags = [part.name, trade.id, about.name, trade.wholes[0] ?? trade.id, about.task ?? trade.id]
  const hashtags =
    random() < habits.hashtags
      ? [
          ...new Set(
            some(tags, 1 + Math.floor(random() * 4), random).map(tag => `#${tag.replace(/[^\p{L}\p{N}]/gu, '')}`),
          ),
        ].join(' ')
      : ''
  return [...body, request, ...after, hashtags].filter(Boolean).join('\n\n')
}
