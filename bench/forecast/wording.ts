import type { VideoDraft } from '../../server/services/contract'

/** How a text is worded for its phrase: in full, in the title alone, scattered, in part, in the description alone. */
export const WORDINGS = ['full', 'title', 'scattered', 'partly', 'below'] as const
export type Wording = (typeof WORDINGS)[number]

const AFTER = [
  'step by step',
  'what works',
  'a calm guide',
  'in ten minutes',
  'explained',
  'with simple tools',
  'from start to end',
]
const BEFORE = ['What nobody tells you about', 'Our way with', 'Monday notes:', 'A closer look at', 'We try again:']
const SENTENCES = [
  'We show every step slowly and say why it matters.',
  'Everything is done with what most people have at home.',
  'At the end we look at three mistakes and how to put them right.',
  'Questions are welcome in the comments, and we answer all of them.',
  'The film was made in one afternoon, so that you see the real thing.',
  'There is a list of what you need, and what you can do without.',
]

/** A text for a phrase, worded so. */
export function draftFor(
  phrase: string,
  wording: Wording,
  random: () => number,
): Pick<VideoDraft, 'title' | 'description' | 'tags'> {
  const pick = (list: readonly string[]) => list[Math.floor(random() * list.length)]!
  const words = phrase.split(' ')
  const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
  const sentences = (count: number) => Array.from({ length: count }, () => pick(SENTENCES)).join(' ')
  const long = 1 + Math.floor(random() * 6)
  const tail = random() < 0.7 ? `: ${pick(AFTER)}` : ''
  switch (wording) {
    case 'full':
      return {
        title: capital(phrase) + tail,
        description: `${capital(phrase)}, shown from start to end.\n\n${sentences(long)}`,
        tags: [phrase, ...words.filter(word => word.length > 3)],
      }
    case 'title':
      return { title: capital(phrase) + tail, description: sentences(long), tags: [] }
    case 'scattered':
      return {
        title: `${pick(BEFORE)} ${[...words].reverse().join(' and ')}`.slice(0, 100),
        description: `${sentences(1)} ${phrase}.\n\n${sentences(long)}`,
        tags: words,
      }
    case 'partly': {
      const without = Math.floor(random() * words.length)
      const left = words.length > 1 ? words.filter((_, i) => i !== without) : words
      return {
        title: `${pick(BEFORE)} ${left.join(' ')}`.slice(0, 100),
        description: sentences(long),
        tags: [left.join(' ').slice(0, 90)],
      }
    }
    case 'below':
      return { title: `${pick(BEFORE)} our week`, description: `${sentences(2)}\n\nAbout: ${phrase}.`, tags: [phrase] }
  }
}
