import { DEFAULT_PROFILE, tagsCost } from '../core/draft/limits'
import { RULE_SETS } from '../core/draft/ruleset'
import { scoreDraft } from '../core/draft/score'
import { count } from '../core/text/count'
import { times, timing, type Timing } from './measure'

const SENTENCES = [
  'You will learn how to index a rear derailleur with one tool, in the order we use at the bench.',
  'First we look at the derailleur hanger, since a bent one cannot be indexed at all.',
  'Then the gear cable comes, and a quarter of a turn at a time is enough.',
  'If the chain skips on the smallest sprocket, the limit screw is where to begin.',
  'Nothing here needs a stand, and nobody has to buy anything.',
  'Tell us in the comments what gave you the most trouble.',
  'In wet weather a clean cassette matters more than a new one.',
  'We film every repair as it comes through the door, mistakes and all.',
]
const PHRASES = [
  'how to index a rear derailleur',
  'rear derailleur not shifting',
  'adjust rear derailleur',
  'derailleur hanger',
  'gear cable',
  'limit screw',
  'chain skips',
  'clean cassette',
  'index gears',
  'bike gears',
  'quarter turn',
  'wet weather riding',
]

/** A full English draft: a title of 100, a description of 5,000 bytes and tags of 500 characters, with 12 phrases. */
export function fullDraft() {
  const title = 'How to index a rear derailleur with one tool, in ten minutes, on any bike, at home and without stand'
  let description = ''
  for (let i = 0; count(description, 'bytes') < 5000; i++)
    description += `${SENTENCES[(i * 5 + (i >> 3)) % SENTENCES.length]!.replace('one', String(i + 1))}${i % 4 === 3 ? '\n\n' : ' '}`
  description = description.slice(0, 5000)
  const tags: string[] = []
  for (let i = 0; ; i++) {
    const next = [...tags, `${PHRASES[i % PHRASES.length]!}${i < PHRASES.length ? '' : ` ${i}`}`]
    if (tagsCost(next, DEFAULT_PROFILE) > 500) break
    tags.splice(0, tags.length, ...next)
  }
  const phrases = { lead: PHRASES[0]!, support: PHRASES.slice(1) }
  // The page of the lead and what else is known around a draft, as the Desk has it.
  const context = {
    page: Array.from({ length: 20 }, (_, i) => ({
      title: `${PHRASES[i % PHRASES.length]!} ${SENTENCES[i % SENTENCES.length]!.slice(0, 40)}`,
      channel: `Channel number ${i}`,
    })),
    searches: Object.fromEntries(tags.map((tag, i) => [tag, i * 10])),
    ownName: 'Marrowby Wheels',
    standing: ['Tools we use: https://wheelshed.example/tools', 'Write to us: shop@wheelshed.example'],
    playlist: null,
    placed: [null, null],
  }
  return { draft: { title, description, tags }, phrases, context }
}

/** A full draft scored under each set. */
export async function benchCheck(): Promise<Timing[]> {
  const {
    draft: { title, description, tags },
    phrases,
    context,
  } = fullDraft()
  const found: Timing[] = []
  for (const set of RULE_SETS) {
    // A letter typed each time, so that nothing is answered from before; warm as the scoring worker is after a minute
    // of typing.
    const list = await times(400, 1500, run =>
      scoreDraft(
        { title, description: `${description.slice(0, -8)}${String(run).padStart(8)}`, tags },
        phrases,
        set,
        DEFAULT_PROFILE,
        'en',
        context,
      ),
    )
    found.push(
      timing(
        `check, rule set ${set.name.toLowerCase()}`,
        `${title.length} / ${description.length.toLocaleString('en')} / ${tagsCost(tags, DEFAULT_PROFILE)}, ${PHRASES.length} phrases`,
        list,
        2,
      ),
    )
  }
  return found
}
