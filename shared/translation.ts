import type { TranslatedText } from '../core/translation/marked'

/** Which languages can be translated into which, and a description of the service. */
export interface TranslationPairs {
  pairs: { from: string; to: string }[]
  note: string
  /** `null` where nobody told. */
  source: string | null
  /** Why nothing can be translated now; `null` otherwise. */
  problem: string | null
}

/** Texts translated, in the order asked, with the stretches that nobody knew. */
export interface Translated {
  texts: TranslatedText[]
  source: string
}
