import { learn, type Learnt } from '../../core/chance/learn'
import { hurdlesOf, learntChance, learntRanks, ownValue, wordingValue, type Hurdles } from '../../core/chance/model'
import { readVideoText } from '../../core/chance/signals'
import { strengthAsWorded } from '../../core/draft/chances'
import { difficulty } from '../../core/rivals/difficulty'
import { chanceOfPageOne, likelyRanks } from '../../core/rivals/forecast'
import { ownStrength } from '../../core/rivals/ownStrength'
import { RivalReader, strength } from '../../core/rivals/strength'
import { readPhrase } from '../../core/text/match'
import { goesOn, LANGUAGE, observed, resultOf, standingAt } from './observed'
import type { Attempt, Trial } from './trial'

/** What is said beforehand of each video, by what a user of the product could know: pages and lists of channels. */
export interface Said {
  learnt: number[]
  constants: number[]
  /** The less difficult the page, the more likely. */
  difficulty: number[]
  /** The trade's rule: it can be won where none of the first five titles has the exact words. */
  rule: number[]
  /** The likely ranks of each video; the last one stands for beyond sixty. */
  likely: [number, number][]
}
export interface Forecasters {
  said: Said
  model: Learnt
  /** Milliseconds it took to learn. */
  took: number
  /** For a channel, the chance of a video worded in full by each way; `null` by the constants where unknown. */
  inFull: (channel: string, phrase: string) => { learnt: number; constants: number; difficulty: number }
}

const RANKS = 60

export function forecastersOf({ pages, alsoKept, channels, attempts, at }: Trial): Forecasters {
  const kept = observed([...pages, ...alsoKept], channels, at)
  const startedAt = performance.now()
  const model = learn(kept)!
  const took = performance.now() - startedAt

  const reader = new RivalReader(LANGUAGE)
  const known = new Map(
    pages.map(page => {
      const read = readPhrase(page.phrase, LANGUAGE)
      const strengths = page.videos.map(
        video =>
          strength(
            read,
            { ...video, subscribers: video.channel.subscribers, viewsPerDay: standingAt(video, at).viewsPerDay },
            reader,
          ).strength,
      )
      const results = page.videos.map(video => resultOf(video, at))
      const more = goesOn(page)
      const hurdles = hurdlesOf(model.model, page.phrase, LANGUAGE, results, more, RANKS)
      return [page.phrase, { page, strengths, more, hurdles, difficulty: difficulty(strengths, true)?.page ?? 50 }]
    }),
  )
  const own = new Map(
    channels.map(({ channel, videos: list }) => [
      channel.id,
      {
        value: ownValue(model.model, channel.id, channel.subscribers),
        strength: ownStrength(
          {
            subscribers: channel.subscribers,
            videos: list.map(video => ({ views: video.views!, publishedAt: video.publishedAt! })),
          },
          at,
        )!,
      },
    ]),
  )
  const ranksOf = ({ channel, phrase, draft }: Attempt) => {
    const text = readVideoText(draft, LANGUAGE)
    const hurdles: Hurdles = known.get(phrase)!.hurdles!
    return learntRanks(own.get(channel)!.value, hurdles, wordingValue(model.model, phrase, LANGUAGE, text))
  }
  const ranks = attempts.map(ranksOf)
  return {
    model,
    took,
    said: {
      learnt: ranks.map(each => each.subarray(0, 20).reduce((sum, part) => sum + part, 0)),
      constants: attempts.map(({ channel, phrase, draft }) => {
        const { strengths, more } = known.get(phrase)!
        const mine = strengthAsWorded(own.get(channel)!.strength, phrase, draft, LANGUAGE, reader)
        return chanceOfPageOne(mine, strengths, more) ?? 0.5
      }),
      difficulty: attempts.map(({ phrase }) => 1 - known.get(phrase)!.difficulty / 100),
      rule: attempts.map(({ phrase }) => {
        const { page } = known.get(phrase)!
        return page.videos.slice(0, 5).some(video => video.title.toLowerCase().includes(phrase)) ? 0 : 1
      }),
      likely: ranks.map(likelyRanks),
    },
    inFull: (channel, phrase) => {
      const page = known.get(phrase)!
      const mine = own.get(channel)!
      return {
        learnt: learntChance(mine.value, page.hurdles!.full),
        constants: chanceOfPageOne(mine.strength.strength, page.strengths, page.more) ?? 0.5,
        difficulty: page.difficulty,
      }
    },
  }
}
