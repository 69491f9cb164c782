import type { GermanAbout } from '../germanGrammar'
import { TASKS, PARTS, type GermanPart } from '../trades/germanBicycle'

/** Titles, descriptions and tags of German creators. */

export interface GermanSubject {
  part: GermanPart
  about: GermanAbout
  phrase: string
  channel: string
  number: number
}

type Pick = <Value>(list: readonly Value[]) => Value
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

export function germanTitle({ part, about, phrase, number }: GermanSubject, pick: Pick): string {
  const name = capital(part.name)
  const task = about.task
  if (task)
    return pick([
      `${name} ${task}: so geht es`,
      `${name} ${task} in ${pick(['5', '8', '10', '15'])} Minuten`,
      `${name} richtig ${task}`,
      `${name} ${task} ohne Spezialwerkzeug`,
      `${pick(['3', '4', '5'])} Fehler beim ${capital(TASKS[task]!.noun)}: ${name}`,
      `${name} ${task} [Anleitung]`,
      `Schrauberstunde ${number}: ${name} ${task}`,
      capital(phrase),
      phrase,
    ])
  if (about.fault)
    return pick([
      `${name} ${about.fault}? Daran liegt es`,
      `${name} ${about.fault}: Ursache finden`,
      `Warum ${part.name} ${about.fault} und was hilft`,
      capital(phrase),
    ])
  if (about.kind === 'local')
    return pick([`${capital(phrase)}: was kostet das?`, `Ein Tag in der Werkstatt`, capital(phrase)])
  return pick([
    `${name}: worauf es ankommt`,
    `Welche Größe? ${name} erklärt`,
    `${name} im Vergleich`,
    `${name} nach einem Jahr`,
    capital(phrase),
  ])
}

const OPENINGS = [
  'In diesem Film zeige ich jeden Handgriff.',
  'So machen wir es in der Werkstatt, seit zwanzig Jahren.',
  'Ohne Eile und ohne Spezialwerkzeug.',
  'Ihr habt danach gefragt, hier ist die Antwort.',
  'Die meisten scheitern am ersten Schritt, darum dauert er hier am längsten.',
  'Ein ruhiger Film für alle, die es selbst versuchen wollen.',
  'Was wirklich nötig ist, und was man sich sparen kann.',
  'Zuerst die Ursache, dann das Werkzeug.',
  'Für Anfänger gedacht, Fortgeschrittene dürfen vorspulen.',
]
const REQUESTS = [
  'Schreibt mir, ob es geklappt hat.',
  'Welches Teil soll als Nächstes dran sein?',
  'Abonniert, wenn euch das hilft.',
  'Fragen bitte in die Kommentare.',
  'Nächsten Donnerstag geht es weiter.',
  'Wie macht ihr das?',
  'Danke fürs Zusehen.',
  'Bei Bremsen gilt: im Zweifel in die Werkstatt.',
  'Alle Angaben ohne Gewähr.',
]

export function germanDescription({ part, about, phrase, channel }: GermanSubject, random: () => number): string {
  const pick: Pick = list => list[Math.floor(random() * list.length)]!
  if (random() < 0.08) return ''
  const steps = about.task ? TASKS[about.task]!.steps.filter(() => random() < 0.7) : []
  return [
    [random() < 0.5 ? `${capital(phrase)}.` : '', pick(OPENINGS)].filter(Boolean).join(' '),
    steps.join(' '),
    random() < 0.6 ? pick(REQUESTS) : '',
    random() < 0.3 ? `${channel}\nhttps://${channel.toLowerCase().replace(/[^a-z]+/gu, '-')}.example` : '',
    random() < 0.4 ? `#${part.name.replace(/[^\p{L}]/gu, '')} #fahrrad` : '',
  ]
    .filter(Boolean)
    .join('\n\n')
}

export function germanTags({ part, about, phrase }: GermanSubject, random: () => number): string[] {
  if (random() < 0.15) return []
  const others = PARTS.filter(() => random() < 0.15).map(each => each.name)
  return [...new Set([phrase, part.name, 'fahrrad', ...(about.task ? [`${part.name} ${about.task}`] : []), ...others])]
}
