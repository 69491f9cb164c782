import { primaryLanguage } from '../text/stems'

/** Our own sentences of a description, of which one is drawn. `{lead}` is the phrase as it begins a sentence. */
export interface DescriptionWords {
  /** How it begins, with the lead in the first sentence. `…` is what the person gives or fills in. */
  opening: readonly string[]
  benefits: readonly string[]
  /** Heads of what a longer text goes into. */
  sections: readonly string[]
  question: readonly string[]
  request: readonly string[]
  links: readonly string[]
  contact: readonly string[]
  chapters: readonly string[]
}

const ENGLISH: DescriptionWords = {
  opening: ['{lead}: …', '{lead}. …', '{lead}, in this video: …'],
  benefits: ['What you get:', 'In this video:', 'What this is about:'],
  sections: ['What you need', 'Step by step', 'What often goes wrong', 'When to stop and ask for help'],
  question: [
    'What gave you the most trouble? Tell us in the comments.',
    'How do you do it? Write it in the comments.',
    'What should we show next? Tell us in the comments.',
  ],
  request: ['Subscribe if you want more like this.', 'Subscribe, and the next one finds you.'],
  links: ['Links:', 'More:'],
  contact: ['Contact:', 'How to reach us:'],
  chapters: ['Chapters:'],
}
const GERMAN: DescriptionWords = {
  opening: ['{lead}: …', '{lead}. …', '{lead}, in diesem Video: …'],
  benefits: ['Das bekommst du:', 'In diesem Video:', 'Darum geht es:'],
  sections: ['Was du brauchst', 'Schritt für Schritt', 'Was oft schiefgeht', 'Wann man Hilfe holt'],
  question: [
    'Was hat dir die meiste Mühe gemacht? Schreib es in die Kommentare.',
    'Wie machst du es? Schreib es in die Kommentare.',
  ],
  request: ['Abonniere, wenn du mehr davon willst.', 'Abonniere, dann verpasst du das nächste nicht.'],
  links: ['Links:', 'Mehr dazu:'],
  contact: ['Kontakt:', 'So erreichst du uns:'],
  chapters: ['Kapitel:'],
}
const SPANISH: DescriptionWords = {
  opening: ['{lead}: …', '{lead}. …', '{lead}, en este vídeo: …'],
  benefits: ['Qué te llevas:', 'En este vídeo:', 'De qué va:'],
  sections: ['Qué necesitas', 'Paso a paso', 'Qué suele salir mal', 'Cuándo pedir ayuda'],
  question: [
    '¿Qué te ha costado más? Cuéntanoslo en los comentarios.',
    '¿Cómo lo haces tú? Escríbelo en los comentarios.',
  ],
  request: ['Suscríbete si quieres más como este.', 'Suscríbete y no te pierdas el siguiente.'],
  links: ['Enlaces:', 'Más:'],
  contact: ['Contacto:', 'Cómo encontrarnos:'],
  chapters: ['Capítulos:'],
}
/** No words: only what the person gave, and the phrases. */
const NONE: DescriptionWords = {
  opening: ['{lead}: …'],
  benefits: [''],
  sections: [],
  question: [],
  request: [],
  links: [''],
  contact: [''],
  chapters: [''],
}
const WORDS: Record<string, DescriptionWords> = { en: ENGLISH, de: GERMAN, es: SPANISH }

/** The sentences of a language; none of our own in one whose words are not known. */
export const descriptionWords = (language: string): DescriptionWords => WORDS[primaryLanguage(language)] ?? NONE
