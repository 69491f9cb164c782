/** Languages offered for a text, each with the region in which most of its phrases are searched. */
export const LANGUAGES: Record<string, string> = {
  en: 'GB',
  es: 'ES',
  de: 'DE',
  pt: 'BR',
  fr: 'FR',
  ja: 'JP',
  it: 'IT',
  nl: 'NL',
  pl: 'PL',
  sv: 'SE',
  tr: 'TR',
  uk: 'UA',
  ar: 'EG',
  he: 'IL',
  hi: 'IN',
  id: 'ID',
  ko: 'KR',
  zh: 'TW',
}

const names = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'code' })
/** A language's name in English. */
export const languageName = (code: string): string => names.of(code) ?? code
