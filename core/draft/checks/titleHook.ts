import { primaryLanguage } from '../../text/stems'
import { defineCheck, inField, met, missing, notApplicable } from '../check'

/** Words that give a reason to click: an outcome, a contrast, a mistake, a time, an audience; without accents. */
const REASONS: Record<string, string> = {
  en: 'without never always stop avoid mistake mistakes secret easy easily simple fast faster quick quickly cheap free best worst better only before after beginner beginners first finally really actually nobody everyone worth real right wrong proper properly saves save instead minutes minute seconds hour hours home',
  de: 'ohne nie niemals immer stopp vermeiden fehler geheimnis einfach schnell schneller gunstig kostenlos beste besten besser nur vor nach anfanger endlich wirklich niemand jeder lohnt richtig falsch sparen statt minuten minute sekunden stunde stunden zuhause',
  es: 'sin nunca siempre evita evitar error errores secreto facil simple rapido rapida barato gratis mejor mejores peor solo antes despues principiantes primera realmente nadie todos correcto bien mal ahorra minutos minuto segundos hora horas casa',
  fr: 'sans jamais toujours evitez eviter erreur erreurs secret facile simple rapide rapidement gratuit meilleur meilleure pire seulement avant apres debutants enfin vraiment personne tous bien mal minutes minute secondes heure heures maison',
}
const sets = new Map(Object.entries(REASONS).map(([language, list]) => [language, new Set(list.split(' '))]))
const SIGNS = /\p{N}+|[?？]|[([][^()[\]]{3,}[)\]]/gu

/** Besides the phrase, the title holds something to click for. */
export const titleHook = defineCheck({
  id: 'title-hook',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'A reason to click',
  why: 'Every title of the page holds the phrase; a number, a question, an outcome or a contrast tells yours apart.',
  needs: ['title'],
  settings: {},
  run: ({ draft, at, language }) => {
    const title = draft.title!
    const { norms, starts, ends } = at('title')[0]!.text
    if (!norms.length) return notApplicable('Nothing written yet.')
    const reasons = sets.get(primaryLanguage(language))
    const found = [
      ...[...title.matchAll(SIGNS)].map(({ index, 0: { length } }) => ({ start: index, end: index + length })),
      ...norms.flatMap((norm, i) => (reasons?.has(norm) ? [{ start: starts[i]!, end: ends[i]! }] : [])),
    ]
    if (found.length) return met('There is something to click for.', { ranges: inField('title', found) })
    if (!reasons) return notApplicable('No number and no question; words are not checked in this language.')
    return missing('Nothing but the subject. Add a number, a question, an outcome or a contrast.')
  },
})
