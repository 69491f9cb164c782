import { hash, normal, seeded } from './chance'
import { TOWNS } from './places'
import { TRADES, type Part, type Trade } from './trades'
import { MISSPELLINGS, PREFIXES, SUFFIXES, TASK_WEIGHT } from './vocabulary'

/** A phrase of the world with what drives its demand. */
export interface WorldPhrase {
  text: string
  trade: string
  part: string
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

interface Raw {
  text: string
  weight: number
  trade: Trade
  part: Part
  town: string | null
}

/** The most searched phrase of the world, and how fast volume falls with rank (Zipf). */
const TOP_VOLUME = 1_400_000
const ZIPF = 0.97

function* combinations(trade: Trade, deep: boolean): Generator<Raw> {
  const endings: [string, number][] = [
    ['', 1],
    ...trade.suffixes,
    ...SUFFIXES,
    ...trade.wholes.map((whole): [string, number] => [`on a ${whole}`, 0.12]),
    ...trade.wholes.map((whole): [string, number] => [whole, 0.16]),
  ]
  for (const part of trade.parts) {
    yield { text: part.name, weight: part.weight * 3, trade, part, town: null }
    for (const [ending, weight] of endings) {
      if (ending) yield { text: `${part.name} ${ending}`, weight: part.weight * weight, trade, part, town: null }
      if (ending)
        yield { text: `best ${part.name} ${ending}`, weight: part.weight * weight * 0.12, trade, part, town: null }
    }
    for (const other of trade.parts)
      if (other !== part)
        yield {
          text: `${part.name} vs ${other.name}`,
          weight: Math.min(part.weight, other.weight) * 0.02,
          trade,
          part,
          town: null,
        }
    for (const task of part.tasks) {
      for (const [prefix, prefixWeight] of PREFIXES) {
        for (const [ending, endWeight] of endings) {
          const weight = part.weight * TASK_WEIGHT[task]! * prefixWeight * endWeight
          const text = `${prefix}${task} ${part.name}${ending ? ` ${ending}` : ''}`
          yield { text, weight, trade, part, town: null }
          if (prefix && !ending)
            yield { text: `${prefix}${task} a ${part.name}`, weight: weight * 0.7, trade, part, town: null }
          if (deep)
            for (const [second, secondWeight] of endings)
              if (second && ending && second !== ending)
                yield { text: `${text} ${second}`, weight: weight * secondWeight * 0.2, trade, part, town: null }
        }
      }
    }
  }
}

function* local(trade: Trade): Generator<Raw> {
  const part = trade.parts.find(each => each.name === 'bike repair')
  if (!part) return
  for (const town of TOWNS) {
    const size = town.population / 60_000
    for (const [what, weight] of [
      ['bike repair', 0.02],
      ['bike shop', 0.03],
      ['mobile bike repair', 0.006],
      ['bike tune-up', 0.006],
      ['puncture repair', 0.006],
      ['bike service', 0.01],
      ['wheel truing', 0.003],
      ['bike hire', 0.008],
      ['cycle lessons', 0.003],
    ] as const) {
      yield { text: `${what} ${town.name.toLowerCase()}`, weight: weight * size * 60, trade, part, town: town.name }
      yield { text: `${what} in ${town.name.toLowerCase()}`, weight: weight * size * 15, trade, part, town: town.name }
    }
  }
}

function misspelt(raw: Raw): Raw[] {
  const made: Raw[] = []
  for (const [word, spellings] of Object.entries(MISSPELLINGS)) {
    if (!raw.text.includes(word)) continue
    for (const [spelling, share] of spellings)
      made.push({ ...raw, text: raw.text.replaceAll(word, spelling), weight: raw.weight * share })
  }
  return made
}

/**
 * The phrases of a world, most searched first, cut at `size`. Volumes are Zipf-shaped over the
 * rank of each phrase's weight, so that a larger world has a longer tail and the same head.
 */
export function makePhrases(size: number, seed: number): WorldPhrase[] {
  const best = new Map<string, Raw>()
  const deep = size > 60_000
  for (const trade of TRADES) {
    const raws = function* () {
      yield* combinations(trade, deep)
      yield* local(trade)
    }
    for (const raw of raws()) {
      for (const each of [raw, ...misspelt(raw)]) {
        const luck = Math.exp(0.7 * normal(seeded(hash(each.text) ^ seed)))
        const weight = each.weight * luck * trade.share
        const before = best.get(each.text)
        if (!before || before.weight < weight) best.set(each.text, { ...each, weight })
      }
    }
  }
  const ranked = [...best.values()].sort((a, b) => b.weight - a.weight || (a.text < b.text ? -1 : 1)).slice(0, size)
  return ranked.map((raw, rank) => {
    const random = seeded(hash(raw.text) ^ (seed + 7))
    const { trade, part } = raw
    return {
      text: raw.text,
      trade: trade.id,
      part: part.name,
      base: TOP_VOLUME / Math.pow(rank + 1, ZIPF),
      swing: (part.swing ?? trade.swing) * (0.6 + 0.8 * random()),
      peak: (part.peak ?? trade.peak) + (random() < 0.2 ? 1 : 0),
      growth: (part.growth ?? 0) + 0.05 * normal(random),
      spikeAt: random() < 0.015 ? Math.floor(random() * 30) + 3 : -1,
      town: raw.town,
    }
  })
}
