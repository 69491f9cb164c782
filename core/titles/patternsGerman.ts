import type { Pattern } from './pattern'

const DOING = ['task'] as const
const ASKING = ['way', 'question', 'reason'] as const
const NAMED = ['choice', 'versus', 'place', 'thing'] as const

/** What German titles add to a phrase. */
export const GERMAN: readonly Pattern[] = [
  { kind: 'number', forms: DOING, tails: [': {n} Fehler, die du vermeiden kannst', ' in {n} Schritten'] },
  { kind: 'number', forms: DOING, tails: [': {n} Tipps aus der Praxis', ': diese {n} Schritte zählen'] },
  { kind: 'question', forms: DOING, tails: [': machst du es richtig?', ': was braucht man wirklich?'] },
  {
    kind: 'outcome',
    forms: DOING,
    tails: [': so geht es richtig', ' – gleich beim ersten Mal', ': jeder Schritt gezeigt'],
  },
  { kind: 'outcome', forms: DOING, tails: [': von Anfang bis Ende', ', einfach erklärt'] },
  { kind: 'contrast', forms: DOING, tails: [': schnell oder gründlich?', ': was funktioniert und was nicht'] },
  { kind: 'time', forms: DOING, tails: [' in {minutes} Minuten', ': die Anleitung in {minutes} Minuten'] },
  { kind: 'audience', forms: DOING, tails: [' für Anfänger', ': Anleitung für Einsteiger'] },
  { kind: 'mistake', forms: DOING, tails: [': der häufigste Fehler', ': so besser nicht'] },
  { kind: 'mistake', forms: DOING, tails: [': warum es oft schiefgeht', ': das machen viele falsch'] },
  { kind: 'year', forms: DOING, tails: [' ({year})', ' – Anleitung {year}'] },
  { kind: 'number', forms: ['fault'], tails: ['? {n} Ursachen und was hilft', ': {n} Dinge zuerst prüfen'] },
  { kind: 'question', forms: ['fault'], tails: ['? Hier zuerst nachsehen', ': woran liegt es?'] },
  { kind: 'outcome', forms: ['fault'], tails: [': Ursache finden und beheben', '? So findest du die Ursache'] },
  {
    kind: 'contrast',
    forms: ['fault'],
    tails: [': was hilft und was nicht', ': die schnelle Antwort und die richtige'],
  },
  {
    kind: 'time',
    forms: ['fault'],
    tails: [': Ursache in {minutes} Minuten finden', ': Prüfung in {minutes} Minuten'],
  },
  { kind: 'audience', forms: ['fault'], tails: [': Hilfe für Anfänger', '? Einfach erklärt'] },
  { kind: 'mistake', forms: ['fault'], tails: ['? Das zuerst versuchen', ': diese Ursache übersehen viele'] },
  { kind: 'year', forms: ['fault'], tails: [' ({year})'] },
  { kind: 'number', forms: ASKING, tails: ['? {n} Punkte, auf die es ankommt', '? In {n} Punkten erklärt'] },
  { kind: 'question', forms: ASKING, tails: ['? Die kurze Antwort', '? Hier ist die Antwort'] },
  { kind: 'outcome', forms: ASKING, tails: ['? Klar erklärt', '? Eine klare Antwort'] },
  {
    kind: 'contrast',
    forms: ASKING,
    tails: ['? Was man hört und was stimmt', '? Die einfache Antwort und die richtige'],
  },
  { kind: 'time', forms: ASKING, tails: ['? In {minutes} Minuten erklärt'] },
  { kind: 'audience', forms: ASKING, tails: ['? Für Anfänger erklärt', '? Einfach erklärt'] },
  { kind: 'mistake', forms: ASKING, tails: ['? Das machen viele falsch', '? Der häufigste Irrtum'] },
  { kind: 'year', forms: ASKING, tails: ['? ({year})'] },
  { kind: 'number', forms: NAMED, tails: [': {n} Dinge, die man wissen sollte', ': {n} Fragen, {n} Antworten'] },
  { kind: 'question', forms: NAMED, tails: [': worauf kommt es an?', ': was ist wirklich wichtig?'] },
  { kind: 'outcome', forms: NAMED, tails: [': klar erklärt', ': alles, was man wissen muss'] },
  { kind: 'contrast', forms: NAMED, tails: [': Irrtum und Wahrheit', ': was zählt und was nicht'] },
  { kind: 'time', forms: NAMED, tails: [' in {minutes} Minuten', ': in {minutes} Minuten erklärt'] },
  { kind: 'audience', forms: NAMED, tails: [' für Anfänger', ': ein Ratgeber für Einsteiger'] },
  { kind: 'mistake', forms: NAMED, tails: [': der häufigste Fehler', ': das wissen die wenigsten'] },
  { kind: 'year', forms: NAMED, tails: [' ({year})', ' {year}: was ist neu?'] },
  { kind: 'series', forms: [...DOING, ...NAMED, 'fault'], tails: [' | Teil {part}', ' (Teil {part})'] },
  { kind: 'series', forms: ASKING, tails: ['? | Teil {part}', '? (Teil {part})'] },
  { kind: 'brand', forms: [...DOING, ...NAMED, 'fault'], tails: [' | {brand}'] },
  { kind: 'brand', forms: ASKING, tails: ['? | {brand}'] },
]
