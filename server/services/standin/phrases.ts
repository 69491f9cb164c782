import { hash, normal, seeded } from './chance'
import { growGerman, type GermanAbout } from './germanGrammar'
import { grow } from './grammar'
import { growLocal } from './grammarLocal'
import type { About } from './grown'
import { misspelt } from './misspellings'
import { TOWNS } from './places'
import { GERMAN, TRADES } from './trades'
import type { Part } from './trades/trade'

/** A phrase of the world with what drives its demand. */
export interface WorldPhrase {
  text: string
  /** BCP 47. */
  language: 'en' | 'de'
  trade: string
  /** Name of the trade's part it belongs to. */
  part: string
  about: About | GermanAbout
  /** Searches a month everywhere, before season and noise. */
  base: number
  swing: number
  /** 0 January … 11 December. */
  peak: number
  growth: number
  /** Months before the newest at which a spike began, or −1. */
  spikeAt: number
  /** The town it names, if any: searched in one country only. */
  town: string | null
}

/** What phrases about one part have in common. */
type Ground = Pick<WorldPhrase, 'language' | 'trade' | 'part' | 'swing' | 'peak' | 'growth'>
/** A phrase before its place among the others is known. */
interface Raw {
  text: string
  weight: number
  about: WorldPhrase['about']
  ground: Ground
}

/** How far luck takes a phrase's searches from what its words let expect: the spread of their logarithm. */
const LUCK = 0.6
/** What a thing is called alone is searched as much as it weighs, nearly. */
const NAME_LUCK = 0.25
/** From this size on a world has the longer tail. */
const DEEP = 60_000
/** The most searched phrase, and so many searches a month below which this part of all phrases lies. */
const TOP_VOLUME = 1_300_000
const FEW = 10
const FEW_PART = 0.125

const heavier = (a: Raw, b: Raw) => b.weight - a.weight || (a.text < b.text ? -1 : 1)

/** Keeps the heaviest of those with the same text, with the text's own luck. */
class Heaviest {
  private readonly by = new Map<string, Raw>()
  constructor(private readonly seed: number) {}

  add(text: string, weight: number, about: WorldPhrase['about'], ground: Ground): void {
    const spread = about.kind === 'name' ? NAME_LUCK : LUCK
    const lucky = weight * Math.exp(spread * normal(seeded(hash(`${ground.language} ${text}`) ^ this.seed)))
    const before = this.by.get(text)
    if (!before || before.weight < lucky) this.by.set(text, { text, weight: lucky, about, ground })
  }

  /** The heaviest ones, heaviest first. */
  first(count: number): Raw[] {
    const all = [...this.by.values()]
    // Of the millions that a large world draws from most are left out: to order them too takes most of the time.
    const least = all.length > count ? Float64Array.from(all, each => each.weight).sort()[all.length - count]! : 0
    return all
      .filter(each => each.weight >= least)
      .sort(heavier)
      .slice(0, count)
  }
}

function english(seed: number, size: number): Heaviest[] {
  return TRADES.map(trade => {
    const all = new Heaviest(seed)
    const raws = function* () {
      yield* grow(trade, size > DEEP)
      yield* growLocal(trade, TOWNS)
    }
    const grounds = new Map(
      trade.parts.map((part): [Part, Ground] => [
        part,
        {
          language: 'en',
          trade: trade.id,
          part: part.name,
          swing: part.swing ?? trade.swing,
          peak: part.peak ?? trade.peak,
          growth: part.growth ?? 0,
        },
      ]),
    )
    for (const { text, weight, part, about } of raws()) {
      const ground = grounds.get(part)!
      all.add(text, weight, about, ground)
      for (const [spelling, share] of misspelt(text)) all.add(spelling, weight * share, about, ground)
    }
    return all
  })
}

function german(seed: number): Heaviest {
  const all = new Heaviest(seed)
  for (const { text, weight, part, about } of growGerman())
    all.add(text, weight * 0.12, about, {
      language: 'de',
      trade: GERMAN.id,
      part: part.name,
      swing: 0.5,
      peak: 4,
      growth: part.name.startsWith('e-bike') ? 0.25 : 0,
    })
  return all
}

/**
 * The phrases of a world, most searched first. Each trade has its part of them, as far as it has so many; the demo's
 * own trade fills what is left.
 *
 * Searches follow from what a phrase says, and luck: the thing itself is searched more than what is done to its parts.
 * The weights are bent by one exponent so that the top and the tail stand where they should (1.3 million searches for
 * the first, an eighth of all below ten); between them they lie as they fall, on no curve.
 */
export function makePhrases(size: number, seed: number): WorldPhrase[] {
  const trades = english(seed, size)
  const others = [
    german(seed).first(Math.round(size * GERMAN.share)),
    ...trades.slice(1).map((all, i) => all.first(Math.round(size * TRADES[i + 1]!.share))),
  ].flat()
  // A phrase that two trades share belongs to the one in which it is searched more.
  const keyOf = ({ text, ground }: Raw) => `${ground.language} ${text}`
  const taken = new Map(others.map(raw => [keyOf(raw), raw]))
  for (const raw of trades[0]!.first(size)) {
    const key = keyOf(raw)
    const other = taken.get(key)
    if (other ? other.weight < raw.weight : taken.size < size) taken.set(key, raw)
  }
  const ranked = [...taken.values()].sort(heavier)
  const volume = bend(ranked.map(raw => raw.weight))
  return ranked.map(({ text, weight, about, ground }) => {
    const random = seeded(hash(text) ^ (seed + 7))
    return {
      text,
      language: ground.language,
      trade: ground.trade,
      part: ground.part,
      about,
      town: about.town,
      base: volume(weight),
      swing: ground.swing * (0.6 + 0.8 * random()),
      peak: ground.peak + (random() < 0.2 ? 1 : 0),
      growth: ground.growth + 0.05 * normal(random),
      spikeAt: random() < 0.015 ? Math.floor(random() * 30) + 3 : -1,
    }
  })
}

/** The power of a weight, and its factor, that put the first and the few in their places. @param weights falling. */
function bend(weights: readonly number[]): (weight: number) => number {
  const top = weights[0] ?? 1
  const few = weights[Math.floor(weights.length * (1 - FEW_PART))] ?? top
  if (few >= top) return () => TOP_VOLUME
  const power = Math.log(TOP_VOLUME / FEW) / Math.log(top / few)
  return weight => TOP_VOLUME * Math.pow(weight / top, power)
}
