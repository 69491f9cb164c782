import { about, type About, type Grown } from './grown'
import type { Part, Trade } from './trades/trade'
import { article, isPlural, joined } from './wording'

/** Everything people type about one fault of a part. */
export function* ofFault(
  trade: Trade,
  part: Part,
  name: string,
  key: string,
  wholes: readonly string[],
  share: number,
): Generator<Grown> {
  const fault = trade.faults[key]
  if (!fault) throw new Error(`${trade.id} does not know the fault ${key}.`)
  const weight = part.weight * share * 0.1
  const many = isPlural(part, name)
  const [is, does] = many ? ['are', 'do'] : ['is', 'does']
  const make = (text: string, times: number, more: Partial<About> = {}): Grown => ({
    text,
    weight: weight * times,
    part,
    about: about('fault', name, { fault: key, ...more }),
  })
  yield make(`${name} ${fault.is}`, 1)
  yield make(`why ${is} my ${name} ${fault.is}`, 0.5)
  // “Keeps not shifting” and “getting broken” nobody says.
  if (!/^(?:not|broken|too)\b/u.test(fault.is)) {
    const going = /^\S+ing/u.test(fault.is) ? fault.is : `getting ${fault.is}`
    yield make(`${name} ${many ? 'keep' : 'keeps'} ${going}`, 0.12)
    yield make(`how to stop ${name} ${going}`, 0.25)
  }
  if (fault.does) yield make(`why ${does} my ${name} ${fault.does}`, 0.25)
  if (fault.adjective) {
    yield make(`how to fix ${many || part.mass ? '' : `${article(fault.adjective)} `}${fault.adjective} ${name}`, 0.3)
    yield make(`${fault.adjective} ${name}`, 0.35)
    yield make(`${fault.adjective} ${name} fix`, 0.1)
  }
  for (const when of fault.when ?? []) {
    yield make(`${name} ${fault.is} ${when}`, 0.16, { ending: when })
    yield make(`why ${is} my ${name} ${fault.is} ${when}`, 0.06, { ending: when })
  }
  for (const whole of wholes) {
    yield make(`${joined(whole, name)} ${fault.is}`, 0.08, { whole })
    yield make(`why ${is} my ${joined(whole, name)} ${fault.is}`, 0.03, { whole })
    for (const when of fault.when ?? [])
      yield make(`${joined(whole, name)} ${fault.is} ${when}`, 0.02, { whole, ending: when })
  }
  for (const maker of part.made ? trade.makers : []) yield make(`${maker} ${name} ${fault.is}`, 0.03)
}
