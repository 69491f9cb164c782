import { primaryLanguage } from '../text/stems'

/** Our own words between the brief's sentences. `{n}` is a number of minutes. */
export interface PostWords {
  watch: string
  minutes: string
  inIt: string
  whole: string
}
const WORDS: Record<string, PostWords> = {
  en: {
    watch: 'Watch it:',
    minutes: 'The video takes {n} minutes:',
    inIt: 'What is in it:',
    whole: 'All of it on video:',
  },
  de: {
    watch: 'Hier ist das Video:',
    minutes: 'Das Video dauert {n} Minuten:',
    inIt: 'Darum geht es:',
    whole: 'Alles im Video:',
  },
  es: {
    watch: 'Míralo aquí:',
    minutes: 'El vídeo dura {n} minutos:',
    inIt: 'Qué verás:',
    whole: 'Todo en el vídeo:',
  },
  fr: {
    watch: 'À voir ici\u202f:',
    minutes: 'La vidéo dure {n} minutes\u202f:',
    inIt: 'Ce que vous allez voir\u202f:',
    whole: 'Le tout en vidéo\u202f:',
  },
  pt: {
    watch: 'Veja aqui:',
    minutes: 'O vídeo dura {n} minutos:',
    inIt: 'O que vai ver:',
    whole: 'Tudo no vídeo:',
  },
}
/** The words of a language; none in one that has none here: then the brief's own stand alone. */
const NONE: PostWords = { watch: '', minutes: '', inIt: '', whole: '' }
export const postWords = (language: string): PostWords => WORDS[primaryLanguage(language)] ?? NONE
