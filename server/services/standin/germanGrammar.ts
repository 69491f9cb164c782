import { CARE, TOWNS, TASKS, PARTS, ENDINGS, type GermanPart } from './trades/germanBicycle'

/** What a German phrase is about. */
export interface GermanAbout {
  kind: 'name' | 'do' | 'fault' | 'buy' | 'local'
  task: string | null
  fault: string | null
  town: string | null
}
/** A German phrase with how much is searched for it against others. */
export interface GermanGrown {
  text: string
  weight: number
  part: GermanPart
  about: GermanAbout
}

/** “stellt … ein”: verbs whose first half goes to the end. */
const SEPARATED: Record<string, string> = { einstellen: 'ein' }

/** Everything searchers type in German; the same text may come more than once. */
export function* growGerman(): Generator<GermanGrown> {
  for (const part of PARTS) {
    const { name, weight } = part
    const about = (kind: GermanAbout['kind'], more: Partial<GermanAbout> = {}): GermanAbout => ({
      kind,
      task: null,
      fault: null,
      town: null,
      ...more,
    })
    const make = (text: string, times: number, what: GermanAbout): GermanGrown => ({
      text,
      weight: weight * times,
      part,
      about: what,
    })
    yield make(name, 1, about('name'))
    if (part.buy) {
      for (const [text, times] of [
        [`${name} kaufen`, 0.2],
        [`${name} test`, 0.16],
        [`${name} günstig`, 0.06],
        [`${name} vergleich`, 0.04],
        [`${name} preis`, 0.05],
        [`${name} größe`, 0.05],
        [`${name} gebraucht`, 0.04],
        [
          `welches ${name} ${part.gender === 'plural' ? 'sind' : 'ist'} gut`.replace(
            'welches',
            { der: 'welcher', die: 'welche', das: 'welches', plural: 'welche' }[part.gender],
          ),
          0.02,
        ],
      ] as const)
        yield make(text, times, about('buy'))
    }
    for (const task of part.tasks) {
      const { third, noun, weight: often } = TASKS[task]!
      const doing = about('do', { task })
      for (const [ending, times] of ENDINGS) yield make(`${name} ${task} ${ending}`.trim(), 0.3 * often * times, doing)
      yield make(
        `wie ${third} man ${part.accusative}${SEPARATED[task] ? ` ${SEPARATED[task]}` : ''}`,
        0.12 * often,
        doing,
      )
      yield make(`${name} ${noun.toLowerCase()}`, 0.06 * often, doing)
      yield make(`${name} ${noun.toLowerCase()} kosten`, 0.03 * often, doing)
      if (CARE.has(task)) {
        yield make(`wie oft ${name} ${task}`, 0.08 * often, doing)
        yield make(`wann ${name} ${task}`, 0.02 * often, doing)
      }
    }
    for (const fault of part.fault ?? []) {
      const failing = about('fault', { fault })
      yield make(`${name} ${fault}`, 0.12, failing)
      yield make(`${name} ${fault} was tun`, 0.05, failing)
      // A question needs a verb: “warum quietscht meine kette”, not “warum verbogen …”.
      if (part.gender === 'plural' ? /^\S+en( |$)/u.test(fault) : /^\S+t( |$)/u.test(fault))
        yield make(
          `warum ${fault.split(' ')[0]} ${{ der: 'mein', die: 'meine', das: 'mein', plural: 'meine' }[part.gender]} ${name} ${fault.split(' ').slice(1).join(' ')}`.trim(),
          0.04,
          failing,
        )
      yield make(`${name} ${fault} ursache`, 0.03, failing)
      yield make(`${name} ${fault} beim fahren`, 0.02, failing)
    }
  }
  const whole = PARTS[0]!
  for (const [text, times] of [
    ['fahrradwerkstatt', 0.3],
    ['fahrrad reparatur', 0.2],
    ['fahrradladen', 0.3],
    ['e-bike werkstatt', 0.12],
    ['fahrrad inspektion', 0.1],
  ] as const) {
    const here = (town: string | null): GermanAbout => ({ kind: 'local', task: null, fault: null, town })
    yield { text: `${text} in der nähe`, weight: whole.weight * times, part: whole, about: here(null) }
    yield { text: `${text} kosten`, weight: whole.weight * times * 0.2, part: whole, about: here(null) }
    for (const town of TOWNS)
      yield {
        text: `${text} ${town.toLowerCase()}`,
        weight: whole.weight * times * 0.02,
        part: whole,
        about: here(town),
      }
  }
}
