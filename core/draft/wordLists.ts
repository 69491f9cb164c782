import type { Range, ReadText } from '../text/match'
import { primaryLanguage } from '../text/stems'

/** Words that say what kind of video it is, in lower case without accents. */
const FORMATS: Record<string, string> = {
  en: 'review reviewed tutorial tips guide lesson explained demo demonstration comparison compared test tested course basics checklist walkthrough introduction masterclass interview tour',
  de: 'test anleitung tipps ratgeber erklart vergleich kurs grundlagen checkliste vorstellung interview uberblick',
  es: 'resena tutorial consejos guia leccion explicado comparativa prueba curso repaso entrevista trucos',
  fr: 'test tutoriel tuto conseils guide lecon explique comparatif cours bases astuces',
  pt: 'analise tutorial dicas guia aula licao explicado comparacao comparativo teste curso basico passo revisao entrevista truques',
  ja: 'レビュー 解説 比較 講座 入門 検証 紹介 基本 コツ 方法 手順',
}
/** Words that give a reason to click: an outcome, a contrast, a mistake, a time, an audience; without accents. */
const REASONS: Record<string, string> = {
  en: 'without never always stop avoid mistake mistakes secret easy easily simple fast faster quick quickly cheap free best worst better only before after beginner beginners first finally really actually nobody everyone worth real right wrong proper properly saves save instead minutes minute seconds hour hours home',
  de: 'ohne nie niemals immer stopp vermeiden fehler geheimnis einfach schnell schneller gunstig kostenlos beste besten besser nur vor nach anfanger endlich wirklich niemand jeder lohnt richtig falsch sparen statt minuten minute sekunden stunde stunden zuhause',
  es: 'sin nunca siempre evita evitar error errores secreto facil simple rapido rapida barato gratis mejor mejores peor solo antes despues principiantes primera realmente nadie todos correcto bien mal ahorra minutos minuto segundos hora horas casa',
  fr: 'sans jamais toujours evitez eviter erreur erreurs secret facile simple rapide rapidement gratuit meilleur meilleure pire seulement avant apres debutants enfin vraiment personne tous bien mal minutes minute secondes heure heures maison',
  pt: 'sem nunca sempre evite evitar erro erros segredo facil simples rapido rapida barato gratis melhor melhores pior so antes depois iniciantes finalmente realmente ninguem todos certo bem mal poupe minutos minuto segundos hora horas casa',
  ja: '簡単 失敗 間違い 秘密 無料 最高 最悪 初心者 本当 正しい 節約 分 秒 時間 自宅 注意 必ず',
}
/** Words that promise more than a video can hold, without accents. */
const PROMISES: Record<string, string> = {
  en: 'guaranteed guarantee shocking insane unbelievable incredible miracle instantly forever ultimate mindblowing crazy epic perfect impossible',
  de: 'garantiert garantie schockierend wahnsinn unglaublich wunder sofort ultimativ irre perfekt unmoglich',
  es: 'garantizado garantizada impactante increible milagro instantaneamente definitivo locura perfecto imposible',
  fr: 'garanti garantie choquant incroyable miracle instantanement ultime dingue parfait impossible',
  pt: 'garantido garantida chocante incrivel milagre instantaneamente definitivo loucura perfeito impossivel',
  ja: '絶対 衝撃 奇跡 一瞬 究極 完璧 不可能',
}

const setsOf = (lists: Record<string, string>) =>
  new Map(Object.entries(lists).map(([language, list]) => [language, new Set(list.split(' '))]))
const formats = setsOf(FORMATS)
const reasons = setsOf(REASONS)
const promises = setsOf(PROMISES)

/** Words for a kind of video; `undefined` in a language whose words are not known. */
export const formatWords = (language: string) => formats.get(primaryLanguage(language))
/** Words that give a reason to click; `undefined` in a language whose words are not known. */
export const reasonWords = (language: string) => reasons.get(primaryLanguage(language))

/** Words that promise more than a video can hold; `undefined` in a language whose words are not known. */
export const promiseWords = (language: string) => promises.get(primaryLanguage(language))

/** Where words of a list stand in a text. */
export const listedWords = ({ norms, starts, ends }: ReadText, list: ReadonlySet<string> | undefined): Range[] =>
  norms.flatMap((norm, i) => (list?.has(norm) ? [{ start: starts[i]!, end: ends[i]! }] : []))
