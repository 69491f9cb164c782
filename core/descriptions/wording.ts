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
const FRENCH: DescriptionWords = {
  opening: ['{lead}\u202f: …', '{lead}. …', '{lead}, dans cette vidéo\u202f: …'],
  benefits: ['Ce que vous allez voir\u202f:', 'Dans cette vidéo\u202f:', 'De quoi il s’agit\u202f:'],
  sections: ['Ce qu’il faut', 'Pas à pas', 'Ce qui se passe souvent mal', 'Quand demander de l’aide'],
  question: [
    'Qu’est-ce qui vous a donné le plus de mal\u202f? Dites-le dans les commentaires.',
    'Comment faites-vous\u202f? Écrivez-le dans les commentaires.',
  ],
  request: ['Abonnez-vous si vous en voulez d’autres.', 'Abonnez-vous pour ne pas manquer la prochaine.'],
  links: ['Liens\u202f:', 'Pour aller plus loin\u202f:'],
  contact: ['Contact\u202f:', 'Nous joindre\u202f:'],
  chapters: ['Chapitres\u202f:'],
}
const PORTUGUESE: DescriptionWords = {
  opening: ['{lead}: …', '{lead}. …', '{lead}, neste vídeo: …'],
  benefits: ['O que vai ver:', 'Neste vídeo:', 'Do que se trata:'],
  sections: ['O que é preciso', 'Passo a passo', 'O que costuma correr mal', 'Quando pedir ajuda'],
  question: ['O que deu mais trabalho? Conte nos comentários.', 'Como é que faz? Escreva nos comentários.'],
  request: ['Subscreva se quiser mais como este.', 'Subscreva e não perca o próximo.'],
  links: ['Ligações:', 'Mais:'],
  contact: ['Contacto:', 'Como falar connosco:'],
  chapters: ['Capítulos:'],
}
const JAPANESE: DescriptionWords = {
  opening: ['{lead}：…', '{lead}。…'],
  benefits: ['この動画の内容：', 'わかること：'],
  sections: ['必要なもの', '手順', 'よくある失敗', '相談したほうがよいとき'],
  question: ['難しかったところをコメントで教えてください。', 'あなたのやり方をコメントで教えてください。'],
  request: ['役に立ったらチャンネル登録をお願いします。'],
  links: ['リンク：'],
  contact: ['お問い合わせ：'],
  chapters: ['目次：'],
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
const WORDS: Record<string, DescriptionWords> = {
  en: ENGLISH,
  de: GERMAN,
  es: SPANISH,
  fr: FRENCH,
  pt: PORTUGUESE,
  ja: JAPANESE,
}

/** The sentences of a language; none of our own in one whose words are not known. */
export const descriptionWords = (language: string): DescriptionWords => WORDS[primaryLanguage(language)] ?? NONE
