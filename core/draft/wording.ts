import { primaryLanguage } from '../text/stems'

/** Sentences that a fix writes into a text, in the text's own language. `•` is where phrases come. */
interface Wording {
  also: string
  between?: string
  ask?: string
}

const WORDINGS: Record<string, Wording> = {
  da: { also: 'Også i denne video: •.' },
  de: {
    also: 'Außerdem in diesem Video: •.',
    ask: 'Was hat dir die meiste Mühe gemacht? Schreib es uns in die Kommentare.',
  },
  en: { also: 'Also in this video: •.', ask: 'What gave you the most trouble? Tell us in the comments.' },
  es: { also: 'También en este vídeo: •.', ask: '¿Qué te ha costado más? Cuéntanoslo en los comentarios.' },
  fi: { also: 'Lisäksi tässä videossa: •.' },
  fr: {
    also: 'Également dans cette vidéo : •.',
    ask: 'Qu’est-ce qui vous a posé le plus de problèmes ? Dites-le en commentaire.',
  },
  hu: { also: 'Ebben a videóban még: •.' },
  it: { also: 'Inoltre in questo video: •.' },
  ja: {
    also: 'この動画ではほかに：•。',
    between: '、',
    ask: '難しかったところをコメントで教えてください。',
  },
  ko: { also: '이 영상에서 다루는 내용: •.' },
  nb: { also: 'Også i denne videoen: •.' },
  nl: { also: 'Ook in deze video: •.' },
  pl: { also: 'Także w tym filmie: •.' },
  pt: { also: 'Também neste vídeo: •.', ask: 'O que deu mais trabalho? Conte nos comentários.' },
  ro: { also: 'De asemenea în acest videoclip: •.' },
  ru: { also: 'Также в этом видео: •.' },
  sv: { also: 'Även i den här videon: •.' },
  tr: { also: 'Bu videoda ayrıca: •.' },
}
WORDINGS.no = WORDINGS.nb!

/** A sentence that names phrases; `null` for a language we have no words in. */
export function alsoSentence(phrases: readonly string[], language: string): string | null {
  const wording = WORDINGS[primaryLanguage(language)]
  return wording ? wording.also.replace('•', () => phrases.join(wording.between ?? ', ')) : null
}

/** A question to the viewer; `null` for a language we have none in. */
export const viewerQuestion = (language: string): string | null => WORDINGS[primaryLanguage(language)]?.ask ?? null
