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
  fr: {
    way: /^comment /u,
    reason: /^pourquoi /u,
    versus: /\b(?:vs|ou|différence|difference|comparatif)\b/u,
    question: /^(?:quel|quelle|quels|quelles|quand|où|ou|qui|que|combien|est-ce|peut-on|faut-il) /u,
    cost: /\b(?:prix|tarifs?|coût|cout)$|^(?:prix|tarifs?|coût|cout)\b/u,
    choice: /\b(?:meilleure?s?|pas cher|acheter|choisir|occasion)\b/u,
    place: /\b(?:près de chez moi|atelier|cours|stage)\b/u,
    fault: /\b(?:pas|grince|saute|frotte|claque|bloqu[ée]e?|cassée?|tordue?|rouillée?|crevée?|bruit)\b/u,
    task: /^\S+(?:er|ir|re)\b/u,
  },
  pt: {
    way: /^como /u,
    reason: /^por ?qu[eê] /u,
    versus: /\b(?:vs|ou|diferença|diferenca|comparação|comparacao)\b/u,
    question: /^(?:qual|quais|quando|onde|quem|quanto|o que|é|posso|devo) /u,
    cost: /\b(?:preços?|precos?|custos?|valor)$|^(?:preços?|precos?|custos?)\b/u,
    choice: /\b(?:melhor|melhores|barat[oa]s?|comprar|usad[oa]s?)\b/u,
    place: /\b(?:perto de mim|oficina|curso|aulas)\b/u,
    fault: /\b(?:não|nao|salta|range|solt[oa]|partid[oa]|tort[oa]|enferrujad[oa]|furad[oa]|barulho|pres[oa])\b/u,
    task: /^\S+(?:ar|er|ir)\b/u,
  },
  // Without spaces between words, signs stand anywhere; a verb or what is done stands at the end.
  ja: {
    way: /(?:方法|やり方|仕方|方)$/u,
    reason: /^なぜ|理由$/u,
    versus: /違い|比較|どっち/u,
    question: /とは|^(?:いつ|どこ|誰|何|いくら)|ですか$/u,
    cost: /(?:料金|値段|費用|価格)$/u,
    choice: /おすすめ|最高|安い|人気|選び/u,
    place: /近く|教室|講座/u,
    fault: /ない$|異音|音鳴り|故障|外れ|緩み|錆|パンク/u,
    task: /(?:交換|調整|修理|掃除|整備|する|直す|作る)$/u,
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
