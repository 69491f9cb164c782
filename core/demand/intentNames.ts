/** What a searcher wants. */
export const INTENTS = ['do', 'learn', 'buy', 'compare', 'hire', 'near'] as const
export type Intent = (typeof INTENTS)[number]

export const INTENT_WORDS: Record<Intent, string> = {
  do: 'do it',
  learn: 'learn',
  buy: 'buy',
  compare: 'compare',
  hire: 'hire',
  near: 'near a place',
}
