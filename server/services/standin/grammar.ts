import { isBare, type Part, type Task, type Trade } from './trades/trade'
import { ofFault } from './grammarFaults'
import { about, type About, type Grown } from './grown'
import { article, compound, isPlural, joined, lacking, pluralOf, withArticle } from './wording'

/** Endings that go with anything done; how often, against the phrase alone. */
const DOING: [ending: string, weight: number][] = [
  ['at home', 0.09],
  ['for beginners', 0.08],
  ['step by step', 0.06],
  ['yourself', 0.05],
  ['properly', 0.04],
  ['quickly', 0.02],
]
const YEARS: [year: string, weight: number][] = [
  ['2026', 1],
  ['2025', 0.5],
]
/** Buyers and budgets people name. */
const FOR: [who: string, weight: number][] = [
  ['for beginners', 0.03],
  ['under 100', 0.03],
  ['for the money', 0.03],
]
const WORN_BY: [who: string, weight: number][] = [
  ['for women', 0.06],
  ['for men', 0.05],
]

/** Everything the trade's searchers type about one part under one name. */
function* ofPart(trade: Trade, part: Part, name: string, share: number, deep: boolean): Generator<Grown> {
  const weight = part.weight * share
  const a = withArticle(part, name)
  const many = pluralOf(part, name)
  const [is, does] = isPlural(part, name) ? ['are', 'do'] : ['is', 'does']
  const wholes = (part.on ?? trade.wholes).filter(whole => !name.includes(whole) && !whole.includes(name))
  const make = (text: string, times: number, what: About): Grown => ({
    text,
    weight: weight * times,
    part,
    about: what,
  })

  yield make(name, 1, about('name', name))
  if (many !== name) yield make(many, 0.3, about('name', name))
  for (const kind of part.kinds ?? []) yield make(`${kind} ${name}`, 0.2, about('name', name))
  for (const whole of wholes) yield make(joined(whole, name), 0.1, about('name', name, { whole }))
  for (const maker of part.made ? trade.makers : []) {
    yield make(`${maker} ${name}`, 0.05, about('name', name))
    yield make(`${maker} ${name} review`, 0.012, about('buy', name))
  }

  if (!part.plain) {
    yield make(`what ${is} ${a}`, 0.03, about('learn', name))
    yield make(`how ${does} ${a} work`, 0.022, about('learn', name))
    yield make(`${name} explained`, 0.012, about('learn', name))
    yield make(`types of ${many}`, 0.012, about('learn', name))
    yield make(`parts of ${a}`, 0.006, about('learn', name))
  }
  if (part.sized) {
    yield make(`what size ${name} do i need`, 0.03, about('learn', name))
    yield make(`${name} size chart`, 0.03, about('learn', name))
    yield make(`how to measure ${name} size`, 0.012, about('learn', name))
    for (const whole of wholes) yield make(`${joined(whole, name)} size`, 0.006, about('learn', name, { whole }))
  }
  for (const other of part.against ?? []) {
    yield make(`${name} vs ${other}`, 0.05, about('compare', name, { whole: other }))
    yield make(`${name} or ${other}`, 0.015, about('compare', name, { whole: other }))
    yield make(`difference between ${name} and ${other}`, 0.008, about('compare', name, { whole: other }))
    yield make(
      `is ${a} better than ${withArticle({ ...part, mass: other.endsWith('s') }, other)}`,
      0.005,
      about('compare', name, { whole: other }),
    )
  }
  if (part.buy) {
    yield make(`best ${many}`, 0.1, about('buy', name))
    yield make(`cheap ${many}`, 0.05, about('buy', name))
    yield make(`${name} price`, 0.04, about('buy', name))
    yield make(`${name} review`, 0.03, about('buy', name))
    yield make(`used ${many}`, 0.02, about('buy', name))
    yield make(`how to choose ${a}`, 0.02, about('buy', name))
    yield make(`which ${name} should i buy`, 0.01, about('buy', name))
    yield make(`how much ${does} ${a} cost`, 0.02, about('buy', name))
    yield make(`${is} ${isPlural(part, name) ? many : `an expensive ${name}`} worth it`, 0.004, about('buy', name))
    for (const [year, times] of YEARS)
      yield make(`best ${many} ${year}`, 0.04 * times, about('buy', name, { ending: year }))
    for (const [who, times] of [...FOR, ...(part.worn ? WORN_BY : [])])
      yield make(`best ${many} ${who}`, times, about('buy', name, { ending: who }))
    for (const kind of part.kinds ?? []) {
      yield make(`best ${kind} ${many}`, 0.02, about('buy', name))
      yield make(`cheap ${kind} ${many}`, 0.006, about('buy', name))
    }
    for (const whole of wholes) {
      yield make(`best ${joined(whole, many)}`, 0.03, about('buy', name, { whole }))
      yield make(`best ${many} for ${article(whole)} ${whole}`, 0.01, about('buy', name, { whole }))
      for (const [year, times] of YEARS)
        yield make(`best ${joined(whole, many)} ${year}`, 0.008 * times, about('buy', name, { whole, ending: year }))
    }
  }
  for (const key of part.tasks) yield* ofTask(trade, part, name, key, wholes, share, deep)
  for (const key of part.faults ?? []) yield* ofFault(trade, part, name, key, wholes, share)
}

function* ofTask(
  trade: Trade,
  part: Part,
  name: string,
  key: string,
  wholes: readonly string[],
  share: number,
  deep: boolean,
): Generator<Grown> {
  const task = trade.tasks[key]
  if (!task) throw new Error(`${trade.id} does not say how to ${key}.`)
  const { verb, ing, noun } = task
  const weight = part.weight * share * task.weight * 0.16
  const a = withArticle(part, name)
  const my = `my ${name}`
  const bare = isBare(trade, key)
  const make = (text: string, times: number, more: Partial<About> = {}): Grown => ({
    text,
    weight: weight * times,
    part,
    about: about('do', name, { task: key, ...more }),
  })
  const ways: [text: string, times: number][] = [
    [`how to ${verb} ${a}`, 1],
    ...(part.mass ? [] : ([[`how to ${verb} ${name}`, 0.55]] as [string, number][])),
    [`${verb} ${name}`, 0.3],
    [`${ing} ${a}`, 0.16],
    ...(noun ? ([[`${compound(part, name)} ${noun}`, 0.26]] as [string, number][]) : []),
  ]
  for (const [text, times] of ways) yield make(text, times)
  yield make(`how do you ${verb} ${a}`, 0.08)
  yield make(`how do i ${verb} ${my}`, 0.07)
  yield make(`best way to ${verb} ${a}`, 0.08)
  yield make(`easy way to ${verb} ${a}`, 0.04)
  if (task.paid) yield make(`can you ${verb} ${a} yourself`, 0.012)
  if (!bare) {
    yield make(`tools to ${verb} ${a}`, 0.02)
    yield make(`what do i need to ${verb} ${a}`, 0.01)
    yield make(`how long does it take to ${verb} ${a}`, 0.02)
  }
  if (noun) {
    yield make(`${compound(part, name)} ${noun} tutorial`, 0.03)
    yield make(`${compound(part, name)} ${noun} tips`, 0.02)
    yield make(`${compound(part, name)} ${noun} mistakes`, 0.008)
  }
  if (task.paid) {
    yield make(`how much does it cost to ${verb} ${a}`, 0.05)
    if (noun) yield make(`${compound(part, name)} ${noun} cost`, 0.07)
  }
  if (task.care) {
    yield make(`how often should you ${verb} ${a}`, 0.05)
    yield make(`how often to ${verb} ${name}`, 0.03)
    yield make(`when to ${verb} ${a}`, 0.04)
    yield make(`when should i ${verb} ${my}`, 0.02)
  }
  const endings: [string, number][] = [
    ...DOING.filter(
      ([ending]) =>
        !(ending === 'yourself' && !task.paid) &&
        !((ending === 'quickly' || ending === 'at home') && bare) &&
        !(trade.unsaid ?? []).includes(ending),
    ),
    ...[...(task.without ?? []), ...((key === 'replace' && part.without) || [])].map((tool): [string, number] => [
      `without ${lacking(part, name, tool)}`,
      0.07,
    ]),
    ...(task.using ?? []).map((what): [string, number] => [`with ${what}`, 0.06]),
  ]
  for (const [ending, times] of endings) {
    yield make(`how to ${verb} ${a} ${ending}`, times, { ending })
    yield make(`${verb} ${name} ${ending}`, times * 0.35, { ending })
    if (!ending.startsWith('with')) continue
    yield make(`how to ${verb} ${name} ${ending}`, times * 0.5, { ending })
    yield make(`can you ${verb} ${a} ${ending}`, times * 0.4, { ending })
    yield make(`${ing} ${a} ${ending}`, times * 0.3, { ending })
  }
  for (const whole of wholes) {
    yield make(`how to ${verb} ${joined(whole, name)}`, 0.06, { whole })
    yield make(`how to ${verb} ${a} ${trade.before ?? 'on'} ${article(whole)} ${whole}`, 0.03, { whole })
    if (noun) yield make(`${joined(whole, compound(part, name))} ${noun}`, 0.04, { whole })
    if (noun && task.paid) yield make(`${joined(whole, compound(part, name))} ${noun} cost`, 0.012, { whole })
    for (const [ending, times] of endings)
      yield make(`how to ${verb} ${joined(whole, name)} ${ending}`, times * 0.05, { whole, ending })
  }
  for (const kind of part.kinds ?? []) {
    yield make(`how to ${verb} ${part.mass ? '' : `${article(kind)} `}${kind} ${name}`, 0.05)
    if (noun) yield make(`${kind} ${compound(part, name)} ${noun}`, 0.04)
  }
  for (const maker of part.made ? trade.makers : []) {
    yield make(`how to ${verb} ${maker} ${name}`, 0.03)
    if (noun) yield make(`${maker} ${compound(part, name)} ${noun}`, 0.02)
  }
  if (deep) yield* deeper(trade, part, name, key, wholes, endings, make)
}

/** A longer tail for a large world: two things said at once, in every wording. */
function* deeper(
  trade: Trade,
  part: Part,
  name: string,
  key: string,
  wholes: readonly string[],
  endings: readonly [string, number][],
  make: (text: string, times: number, more?: Partial<About>) => Grown,
): Generator<Grown> {
  const { verb, ing, noun } = trade.tasks[key] as Task
  const sorts = [...(part.kinds ?? []), ...(part.made ? trade.makers : []), '']
  const levels: [string, number][] = [
    ...endings,
    ...YEARS.map(([year, times]): [string, number] => [year, times * 0.03]),
    ['', 1],
  ]
  for (const sort of sorts) {
    const sorted = sort ? `${sort} ${name}` : name
    for (const whole of [...wholes, '']) {
      const named = whole ? joined(whole, sorted) : sorted
      for (const [first, firstTimes] of levels) {
        for (const [second, secondTimes] of levels) {
          if (first === second || (first.startsWith('with') && second.startsWith('with'))) continue
          if (!first && second) continue
          const ending = [first, second].filter(Boolean).join(' ')
          const times = 0.03 * firstTimes * secondTimes
          const more = { whole: whole || null, ending: ending || null }
          yield make(`how to ${verb} ${named} ${ending}`.trim(), times, more)
          yield make(`${verb} ${named} ${ending}`.trim(), times * 0.4, more)
          yield make(`${ing} ${named} ${ending}`.trim(), times * 0.3, more)
          yield make(`best way to ${verb} ${named} ${ending}`.trim(), times * 0.2, more)
          yield make(`how do i ${verb} my ${named} ${ending}`.trim(), times * 0.15, more)
          if (noun) yield make(`${named} ${noun} ${ending}`.trim(), times * 0.4, more)
        }
      }
    }
  }
}

/** Everything the trade's searchers type; the same text may come more than once. @param deep a longer tail. */
export function* grow(trade: Trade, deep: boolean): Generator<Grown> {
  for (const part of trade.parts) {
    yield* ofPart(trade, part, part.name, 1, deep)
    for (const other of part.also ?? []) yield* ofPart(trade, part, other, 0.3, false)
  }
}
