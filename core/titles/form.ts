import { primaryLanguage } from '../text/stems'
import { words } from '../text/words'

/**
 * What kind of thing a phrase is, which says what can stand beside it in a title: a way of doing something, a task
 * named by its verb, a question, a reason asked for, a fault, what something costs, a choice, two things compared, a
 * service in a place, or a thing.
 */
export const FORMS = [
  'way',
  'task',
  'question',
  'reason',
  'fault',
  'cost',
  'choice',
  'versus',
  'place',
  'thing',
] as const
export type PhraseForm = (typeof FORMS)[number]

/** Beginnings, words and endings by which a form is known, tried in this order. */
interface Signs {
  way: RegExp
  reason: RegExp
  versus: RegExp
  question: RegExp
  cost: RegExp
  choice: RegExp
  place: RegExp
  fault: RegExp
  task: RegExp
}

const SIGNS: Record<string, Signs> = {
  en: {
    way: /^(?:how to|how do (?:i|you)|how can (?:i|you)|how i|(?:best|easy|easiest|quick|right) way to) /u,
    reason: /^why /u,
    versus: /\b(?:vs|versus|or|compared|difference)\b/u,
    question:
      /^(?:what|when|where|who|which|how (?:much|many|often|long|does|do|is|are)|is|are|can|could|does|do|should|will) /u,
    cost: /\b(?:cost|costs|price|prices|fee|fees|charges)$/u,
    choice: /\b(?:best|cheap|cheapest|top|review|reviews|used|buy|second hand)\b/u,
    place: /\b(?:near me|nearby|lessons|course|courses|rental|hire|shop|workshop)$/u,
    fault:
      /\b(?:not|keeps|won't|wont|loose|stuck|bent|broken|flat|rusty|leaking|noisy|dead|seized|worn|blunt|warped|tangled|tarnished|spongy|frozen|squeaking|squealing|creaking|clicking|skipping|slipping|rubbing|wobbling|buzzing|rattling|grinding|sticking|crackling|overheating)\b/u,
    task: /^(?:adjust|align|bleed|build|change|charge|check|choose|clean|cook|cut|draw|fit|fix|fold|grow|hang|index|inflate|install|learn|lubricate|make|measure|oil|open|paint|patch|plan|plant|play|polish|prepare|remove|repair|replace|resize|season|service|set up|sew|sharpen|start|store|teach|tighten|train|true|tune|upgrade|use|wash|wax|write)\b/u,
  },
  de: {
    way: /^(?:wie .* man |so )/u,
    reason: /^(?:warum|wieso|weshalb) /u,
    versus: /\b(?:vs|oder|unterschied|vergleich)\b/u,
    question: /^(?:was|wann|wo|wer|welche[rsn]?|wie|ist|sind|kann|soll) /u,
    cost: /\b(?:kosten|preise?)$/u,
    choice: /\b(?:beste[rsn]?|günstige?[rsn]?|test|kaufen|gebraucht)\b/u,
    place: /\b(?:in der nähe|werkstatt|kurs|unterricht)\b/u,
    fault:
      /\b(?:nicht|quietscht|knackt|klappert|springt|schleift|rutscht|wackelt|verbogen|locker|undicht|platt|defekt)\b/u,
    task: /(?:en|ern|eln)\b/u,
  },
  es: {
    way: /^(?:cómo|como) /u,
    reason: /^por ?qué /u,
    versus: /\b(?:vs|o|diferencia|comparativa)\b/u,
    question: /^(?:qué|que|cuándo|cuando|dónde|cuál|cuánto|es|son|puedo|debo) /u,
    cost: /\b(?:precios?|costes?|tarifas?)$|^(?:precios?|costes?|tarifas?)\b/u,
    choice: /\b(?:mejor|mejores|barat[oa]s?|comprar|segunda mano)\b/u,
    place: /\b(?:cerca de mí|cerca|taller|curso|clases)\b/u,
    fault: /\b(?:no|suelt[oa]|rot[oa]|doblad[oa]|oxidad[oa]|pinchad[oa]|ruido|atascad[oa])\b/u,
    task: /^\S+(?:ar|er|ir)\b/u,
  },
}

/**
 * What form a phrase has.
 *
 * @param language BCP 47; in a language whose signs are not known everything is a thing.
 * @param places names of places, lower case: a phrase that ends in one is a service there.
 */
export function formOf(phrase: string, language: string, places: ReadonlySet<string> = new Set()): PhraseForm {
  const signs = SIGNS[primaryLanguage(language)]
  const text = words(phrase, language)
    .map(word => word.norm)
    .join(' ')
  const raw = phrase.trim().toLowerCase()
  if (places.has(raw.split(/\s+/u).at(-1) ?? '')) return 'place'
  if (!signs) return 'thing'
  const is = (form: keyof Signs) => signs[form].test(`${raw} `.trimEnd()) || signs[form].test(text)
  for (const form of ['way', 'reason', 'versus', 'question', 'cost', 'place', 'choice', 'fault', 'task'] as const)
    if (is(form)) return form
  return 'thing'
}
