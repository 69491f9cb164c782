import { about, type Grown } from './grown'
import type { Trade } from './trades/trade'

/** What is asked for in towns. */
export function* growLocal(trade: Trade, towns: readonly { name: string; population: number }[]): Generator<Grown> {
  const part = trade.parts[0]!
  for (const [service, weight] of trade.services) {
    const make = (text: string, times: number, town: string | null): Grown => ({
      text,
      weight: weight * times,
      part,
      about: about('local', service, { town }),
    })
    yield make(`${service} near me`, 4, null)
    yield make(service, 1.6, null)
    yield make(`${service} cost`, 0.2, null)
    yield make(`best ${service} near me`, 0.3, null)
    for (const { name, population } of towns) {
      const town = name.toLowerCase()
      const times = (population / 100_000) * 0.02
      yield make(`${service} ${town}`, times, name)
      yield make(`${service} in ${town}`, times * 0.3, name)
      yield make(`best ${service} ${town}`, times * 0.1, name)
    }
  }
}
