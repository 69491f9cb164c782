import type { About } from '../grown'
import type { Part, Trade } from '../trades/trade'
import { isBare } from '../trades/trade'
import { article, compound, lacking, pluralOf, withArticle } from '../wording'

/** How a channel likes to title its videos. */
export const STYLES = ['plain', 'list', 'question', 'result', 'series', 'bracket', 'loud', 'emoji', 'clumsy'] as const
export type Style = (typeof STYLES)[number]

/** What a title is made from. */
export interface Subject {
  trade: Trade
  part: Part
  about: About
  /** The phrase it is made for, and another one its maker thought of. */
  phrase: string
  other: string
  /** Name of the channel's series, and which part of it. */
  series: string
  number: number
}

type Pick = <Value>(list: readonly Value[]) => Value
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const titled = (text: string) =>
  text.replace(/(^|\s)(\p{L})/gu, (_, gap: string, letter: string) => gap + letter.toUpperCase())

const BRACKETS = [
  'full guide',
  'no special tools',
  'real time',
  'step by step',
  'with chapters',
  '2026',
  'beginner friendly',
  'one take',
]
const COUNTS = ['3', '4', '5', '6', '7', 'Five', 'Three']
const MINUTES = ['4', '5', '7', '10', '12', '15', '20']

/** The words of a subject that its titles need. */
function wordsOf({ trade, part, about }: Subject, pick: Pick) {
  const task = trade.tasks[about.task ?? ''] ?? null
  const fault = trade.faults[about.fault ?? ''] ?? null
  const { name } = about
  const many = pluralOf(part, name)
  const plural = part.mass === true && name.endsWith('s')
  return {
    task,
    fault,
    name,
    many,
    a: withArticle(part, name),
    is: plural ? 'are' : 'is',
    does: plural ? 'do' : 'does',
    n: pick(COUNTS),
    minutes: pick(MINUTES),
    on:
      about.whole && about.kind !== 'compare' ? ` ${trade.before ?? 'on'} ${article(about.whole)} ${about.whole}` : '',
    with: about.ending && about.kind === 'do' ? ` ${about.ending}` : '',
  }
}

function doing(subject: Subject, style: Style, pick: Pick): string {
  const { task, name, a, n, minutes, on, with: ending } = wordsOf(subject, pick)
  const { verb, ing, noun } = task!
  const bare = isBare(subject.trade, subject.about.task)
  const thing = noun ? `${compound(subject.part, name)} ${noun}` : `${ing} ${a}`
  switch (style) {
    case 'list':
      return pick([
        `${n} ways to ${verb} ${a}${on}`,
        `${n} mistakes when ${ing} ${a}`,
        `${n} tips for ${ing} your ${name}`,
        `${n} things to know before you ${verb} ${a}`,
        `${capital(thing)}: ${n.toLowerCase()} steps, nothing left out`,
      ])
    case 'question':
      return pick([
        ...(task!.paid ? [`Should you ${verb} your ${name} yourself?`] : []),
        ...(task!.care ? [`How often should you ${verb} ${a}?`, `When is it time to ${verb} your ${name}?`] : []),
        ...(task!.without ? [`Can you ${verb} ${a} without ${lacking(subject.part, name, pick(task!.without))}?`] : []),
        ...(task!.using ? [`Can you ${verb} ${a} with ${pick(task!.using)}?`] : []),
        ...(task!.paid ? [`Is it worth paying for ${thing}?`] : []),
        `What do you need to ${verb} ${a}?`,
      ])
    case 'result':
      return pick([
        `${capital(verb)} ${a} in ${minutes} minutes${on}`,
        `The only way I ${verb} ${a} now`,
        `${capital(verb)} it once and forget about it: ${name}`,
        ...(task!.paid ? [`Never pay for ${thing} again`, `${capital(thing)} at home for the price of a coffee`] : []),
        bare ? `What ${ing} ${a} taught me` : `From worn out to like new: ${ing} ${a}`,
      ])
    case 'series':
      return pick([
        `${subject.series} ${subject.number}: ${ing} ${a}${on}`,
        `${capital(ing)} ${a}${on} | ${subject.series} #${subject.number}`,
        `${subject.series}, part ${subject.number}: ${thing}`,
      ])
    case 'bracket':
      return pick([`How to ${verb} ${a}${on} [${pick(BRACKETS)}]`, `${capital(thing)}${on} (${pick(BRACKETS)})`])
    case 'loud':
      return pick([
        `STOP ${ing.toUpperCase()} your ${name} like this!`,
        `${capital(thing)}: the EASY way${on}`,
        `Do NOT ${verb} ${a} before you watch this`,
        `How to ${verb} ${a} THE RIGHT WAY`,
      ])
    case 'emoji':
      return pick([`${capital(thing)} made easy 🔧`, `How to ${verb} ${a}${ending} 👍`, `✨ ${capital(ing)} ${a}${on}`])
    case 'clumsy':
      return clumsy(subject, pick)
    default:
      return pick([
        `How to ${verb} ${a}${ending || on}`,
        `${capital(ing)} ${a}${ending || on}`,
        `${capital(thing)}${on}`,
        `How I ${verb} ${a}${ending || on}`,
        `${titled(`how to ${verb} ${a}`)}${on}`,
      ])
  }
}

function failing(subject: Subject, style: Style, pick: Pick): string {
  const { fault, name, is, n, minutes, on } = wordsOf(subject, pick)
  const when = subject.about.ending ? ` ${subject.about.ending}` : ''
  const adjective = fault!.adjective ? `${fault!.adjective} ${name}` : `${name} ${fault!.is}`
  switch (style) {
    case 'list':
      return pick([
        `${n} reasons why your ${name} ${is} ${fault!.is}`,
        `${capital(adjective)}: ${n.toLowerCase()} causes, cheapest first`,
      ])
    case 'question':
      return pick([
        `Why ${is} my ${name} ${fault!.is}${when}?`,
        `${capital(name)} ${fault!.is}${when}? Look here first`,
      ])
    case 'result':
      return pick([
        `${capital(name)} ${fault!.is}${when}: solved`,
        `${capital(adjective)} fixed in ${minutes} minutes`,
        `The ${adjective} that drove me mad`,
      ])
    case 'series':
      return `${subject.series} ${subject.number}: ${adjective}${on}`
    case 'bracket':
      return `${capital(name)} ${fault!.is}${when} [${pick(['found it', 'cheap fix', 'all causes', 'no new parts'])}]`
    case 'loud':
      return pick([`${capital(name)} ${fault!.is}? Do THIS first`, `The REAL reason your ${name} ${is} ${fault!.is}`])
    case 'emoji':
      return `${capital(name)} ${fault!.is}? 😬 Here is the fix`
    case 'clumsy':
      return clumsy(subject, pick)
    default:
      return pick([
        `Why your ${name} ${is} ${fault!.is}${when}${on}`,
        `${capital(name)} ${fault!.is}${when || on}: how to find the cause`,
        `How to fix ${fault!.adjective ? `${subject.part.mass ? '' : `${article(fault!.adjective)} `}${adjective}` : `${name} that ${is} ${fault!.is}`}`,
      ])
  }
}

function buying(subject: Subject, style: Style, pick: Pick): string {
  const { name, many, a, is, n } = wordsOf(subject, pick)
  const who = subject.about.ending ? ` ${subject.about.ending}` : ''
  const whole = subject.about.whole ? ` for ${article(subject.about.whole)} ${subject.about.whole}` : ''
  switch (style) {
    case 'list':
      return pick([
        `${n} ${many} compared`,
        `The ${n.toLowerCase()} best ${many}${who || whole}`,
        `${n} things to look at before you buy ${a}`,
      ])
    case 'question':
      return pick([
        `Which ${name} ${is} right for you?`,
        `Cheap ${many}: are they worth it?`,
        `How much should ${a} cost?`,
      ])
    case 'result':
      return pick([
        `I tried ${n.toLowerCase()} ${many} so that you need not`,
        `A year with a cheap ${name}`.replace('a cheap', subject.part.mass ? 'cheap' : 'a cheap'),
      ])
    case 'series':
      return `${subject.series} ${subject.number}: the best ${many}${whole}`
    case 'bracket':
      return `Best ${many}${whole} [${pick(['tested', '2026', 'cheap to dear', 'no sponsors'])}]`
    case 'loud':
      return pick([`Do NOT buy ${a} before you see this`, `The BEST ${many} I have ever used`])
    case 'emoji':
      return `Best ${many}${who} 🏆`
    case 'clumsy':
      return clumsy(subject, pick)
    default:
      return pick([
        `Best ${many}${who || whole}`,
        `${capital(name)} buying guide`,
        `How to choose ${a}${whole}`,
        `${capital(name)} review after a year`,
      ])
  }
}

function explaining(subject: Subject, style: Style, pick: Pick): string {
  const { name, many, a, does, n, minutes } = wordsOf(subject, pick)
  if (subject.part.plain && style !== 'clumsy')
    return pick([
      `Everything about ${many}, slowly`,
      `${n} kinds of ${many} and what they are for`,
      `What nobody tells you about ${many}`,
      `${capital(many)}: the basics`,
    ])
  const verbs = does === 'do' ? 'How do' : 'How does'
  switch (style) {
    case 'list':
      return `${n} kinds of ${many} and what they are for`
    case 'question':
      return pick([
        `${verbs} ${a} work?`,
        subject.part.sized ? `What size ${name} do you need?` : `What are ${many} for?`,
      ])
    case 'loud':
      return `${capital(name)} EXPLAINED`
    case 'emoji':
      return `${capital(name)} explained 💡`
    case 'series':
      return `${subject.series} ${subject.number}: how ${a} ${does === 'do' ? 'work' : 'works'}`
    case 'clumsy':
      return clumsy(subject, pick)
    default:
      return pick([
        `${capital(name)} explained in ${minutes} minutes`,
        `How ${a} ${does === 'do' ? 'work' : 'works'}`,
        ...(subject.part.sized ? [`${capital(name)} sizes and standards`] : []),
        `Everything about ${many}, slowly`,
      ])
  }
}

function comparing(subject: Subject, style: Style, pick: Pick): string {
  const { name } = wordsOf(subject, pick)
  const other = subject.about.whole!
  switch (style) {
    case 'question':
      return `${capital(name)} or ${other}?`
    case 'result':
      return `I switched from ${other} to ${name}`
    case 'clumsy':
      return clumsy(subject, pick)
    default:
      return pick([
        `${capital(name)} vs ${other}: an honest answer`,
        `${capital(name)} vs ${other}`,
        `${capital(name)} or ${other}: what a year taught me`,
      ])
  }
}

function local(subject: Subject, style: Style, pick: Pick): string {
  const { name } = subject.about
  const { town } = subject.about
  const [costs, it] = /[^s]s$/u.test(name) ? ['cost', 'they cost'] : ['costs', 'it costs']
  if (style === 'clumsy') return clumsy(subject, pick)
  if (!town)
    return pick([
      `What ${name} ${costs}, and why`,
      `${capital(name)}: what you get for the money`,
      `${capital(name)}, honestly explained`,
      `How to find good ${name} near you`,
    ])
  return pick([
    `${capital(name)} in ${town}: what ${it}`,
    `A day in ${town}: ${name}`,
    `${capital(name)} ${town} | open on Saturdays`,
    `${capital(name)} in ${town}, from the first call to the bill`,
    `${town}: ${name} while you wait`,
  ])
}

/** Titles of people who write them in a hurry, or for a machine. */
function clumsy({ phrase, other, part, number }: Subject, pick: Pick): string {
  return pick([
    phrase,
    `${phrase} ${other}`,
    `${phrase} | ${other} | ${part.name}`,
    `${capital(phrase)}, ${other}`,
    `${phrase} video ${number}`,
    `${phrase.toUpperCase()}`,
    `${capital(phrase)} !!!`,
  ])
}

/** A title in a style, of at most a hundred characters. */
export function titleOf(subject: Subject, style: Style, pick: Pick): string {
  const write = {
    do: doing,
    fault: failing,
    buy: buying,
    learn: explaining,
    name: explaining,
    compare: comparing,
    local,
  }[subject.about.kind]
  return write(subject, style, pick).replace(/\s+/gu, ' ').slice(0, 100).trim()
}
