import type { RouteLocationRaw } from 'vue-router'
import type { Proposal, ProposalFacts } from '../../core/next/proposal'
import { chanceText, counted, dateOnly, dateTime, dayOnly, percentChange, regionName, UNKNOWN } from './figures'
import { fewViews } from './rankCells'

/** A proposal as a person reads it. */
export interface ProposalWords {
  /** What to do. */
  what: string
  /** Why, with the figures it rests on. */
  why: string
  /** How those were worked out. */
  working: string
  /** What the button says, and where it leads. */
  act: string
  to: RouteLocationRaw
}
type Of<Kind extends ProposalFacts['kind']> = Extract<Proposal, { kind: Kind }>

/** A rank of the middle; between two seats it has a half. */
const rank = (value: number) => (Number.isInteger(value) ? String(value) : value.toFixed(1))
const STEPS = {
  shown: {
    what: 'It is shown less than your videos usually are',
    why: 'shown',
    act: 'See where views come from',
  },
  clicked: {
    what: 'It is shown, and clicked less than usual: look at title and thumbnail',
    why: 'clicked when shown',
    act: 'See its first weeks',
  },
  watched: {
    what: 'It is clicked, and left sooner than usual: look at what the title promises',
    why: 'watched when clicked',
    act: 'See its first weeks',
  },
} as const

const WORDS: { [Kind in ProposalFacts['kind']]: (of: Of<Kind>) => ProposalWords } = {
  release: ({ left, overdue, due, brief }) => ({
    what: overdue ? 'Its release time has passed, and it is not out' : 'It goes out soon, and is not ready',
    why: `${overdue ? 'It was to go out' : 'It goes out'} ${dateTime(due!)}${left ? `; ${counted(left, 'point')} of its sheet ${left === 1 ? 'is' : 'are'} open` : ''}.`,
    working: 'Releases of the next two days with open points, and those of the last 30 days that are not out.',
    act: left ? 'Open its sheet' : 'Choose when',
    to: { path: '/release', query: { brief, part: left ? undefined : 'when' } },
  }),
  address: ({ phrases, brief }) => ({
    what: 'Say where its video is',
    why: `All its texts were handed over. With the address of the video its ${counted(phrases, 'phrase')} can be looked up.`,
    working: 'Every step of its hand-over is done, and no address is entered.',
    act: 'Enter the address',
    to: { path: '/release', query: { brief, part: 'hand-over' } },
  }),
  fell: ({ fall, phrase, region, video }) => ({
    what: `It fell for “${phrase}”`,
    why: `From about rank ${rank(fall.from)} to ${fall.to === null ? `beyond ${fall.depth}` : rank(fall.to)} since ${dayOnly(fall.since)}, ${regionName(region)}.`,
    working:
      'Each of the last three looks stands below nine in ten of those of the four weeks before. Views lost: searches a month × (share that looks at its rank before − share that looks at it now).',
    act: 'See who came above it',
    to: { path: '/ranks', query: { video, phrase, region: region ?? '' } },
  }),
  first: ({ step, ratio, low, high, days, video }) => ({
    what: STEPS[step].what,
    why: `In its first ${days} days ${STEPS[step].why} ${percentChange(ratio - 1)} against your other videos at that age; nine times in ten ${percentChange(low - 1)} to ${percentChange(high - 1)}.`,
    working:
      'Its first weeks beside those of the channel’s other videos. Views missed: those that this step would bring a month if it were as usual, the other steps as they are.',
    act: STEPS[step].act,
    to: { path: '/ranks', query: { video, view: 'views' } },
  }),
  mend: ({ words, phrase, video, region }) => ({
    what: `Better words for “${phrase}”`,
    why: `With it word for word in title, first line and a tag the video would win ${fewViews(words.expected)} views a month more; nine times in ten ${fewViews(Math.max(0, words.low))} to ${fewViews(words.high)}.`,
    working:
      'Searches a month × (share that looks at its rank with better words − share that looks at its rank now), as under To mend.',
    act: 'See what to mend',
    to: { path: '/ranks', query: { view: 'mend', video, region: region ?? '' } },
  }),
  write: ({ phrase, chance, since, brief }) => ({
    what: `Write it: “${phrase}” is settled`,
    why: `Untouched since ${dateOnly(since)}. Chance of page one ${chanceText(chance)}.`,
    working:
      'Views to win in ninety days ÷ 3: searches × the chance of each rank × the share that looks at it, for a well-worded video of your channel.',
    act: 'Open it on the Desk',
    to: { path: '/desk', query: { brief } },
  }),
  film: ({ chance, also, region }) => ({
    what: 'Film it: none of yours stands there',
    why: `Chance of page one ${chanceText(chance)}${also ? `; ${counted(also, 'phrase')} of much the same results would come along` : ''}.`,
    working:
      'Of the phrases with the words of your titles the sixty worth most: searches × the chance of each rank × the share that looks at it, for a well-worded video of your channel. Searches near a place are left out.',
    act: 'See all of them',
    to: { path: '/ranks', query: { view: 'open', region: region ?? '' } },
  }),
  watch: ({ phrases, video }) => ({
    what: 'Nobody looks up where it stands',
    why: `It is out, and ${counted(phrases, 'phrase')} of its brief can be looked up every day.`,
    working: 'Its brief was published from here, and none of its phrases is watched.',
    act: 'Look up its ranks',
    to: { path: '/ranks', query: { video } },
  }),
  trial: ({ trial, wave, waves, videos }) => ({
    what: wave === null ? 'Your trial has its answer' : `Begin wave ${wave} of ${waves} of your trial`,
    why:
      wave === null
        ? `${counted(videos, 'video')} took part.`
        : `${counted(videos, 'video')} ${videos === 1 ? 'is' : 'are'} changed by it, as you saw.`,
    working: 'Waves of trials that are due, and answers of the last two weeks.',
    act: wave === null ? 'See what came of it' : 'Open the trial',
    to: { path: '/ranks', query: { view: 'many', of: 'trial', trial } },
  }),
  planned: ({ field, note, over, video }) => ({
    what: over ? `What its new ${field} did can be told` : `Change its ${field}, as you planned`,
    why: over ? 'The weeks set beforehand are over.' : note ? `It is to become: “${note}”` : 'Its day has come.',
    working: 'Changes planned for today or before that are not made, and answers of the last two weeks.',
    act: over ? 'See what came of it' : 'Open the plan',
    to: { path: '/ranks', query: { video, view: 'views' } },
  }),
}

/** What a proposal says. */
export const proposalWords = (proposal: Proposal): ProposalWords =>
  (WORDS[proposal.kind] as (of: Proposal) => ProposalWords)(proposal)

/** The figure a proposal is led by: views a month, lost or to be won; points that are open; or a step that is low. */
export function stakeOf(proposal: Proposal): { figure: string; of: string } {
  const { kind, views } = proposal
  if (proposal.kind === 'release')
    return { figure: String(proposal.left), of: proposal.left === 1 ? 'point open' : 'points open' }
  if (proposal.kind === 'trial')
    return { figure: String(proposal.videos), of: proposal.videos === 1 ? 'video' : 'videos' }
  if (proposal.kind === 'planned') return { figure: proposal.over ? 'Told' : 'Due', of: '' }
  // Who leaves early is told in parts of the video, not in views.
  if (proposal.kind === 'first' && views === null)
    return { figure: percentChange(proposal.ratio - 1), of: STEPS[proposal.step].why }
  if (views === null) return { figure: UNKNOWN, of: '' }
  const lost = kind === 'fell' || kind === 'first'
  const least = kind === 'fell' && proposal.fall.to === null ? 'at least ' : ''
  return { figure: `${lost ? '−' : '+'}${fewViews(views)}`, of: `${least}views a month` }
}
