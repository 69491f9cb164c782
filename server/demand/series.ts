import { phraseKey } from '../../core/text/words'
import { copiedFields, type BriefFields } from '../../core/brief/brief'

const inPlace = (template: string, phrase: string, place: string) =>
  phraseKey(template.replace('{phrase}', () => phrase).replace('{place}', () => place))

/** The first letter of each word large, as place names are written. */
const titled = (place: string) =>
  place.replace(/(^|[\s-])(\p{L})/gu, (_, gap: string, letter: string) => gap + letter.toUpperCase())

/** Every occurrence of a phrase in a text, whatever its case, replaced; the case of its first letter stays. */
function replaced(text: string, phrase: string, by: string): string {
  if (!phrase) return text
  const pattern = new RegExp(phrase.replace(/[.*+?^${}()|[\]\\]/gu, '\\$&').replace(/ /gu, '\\s+'), 'giu')
  return text.replace(pattern, found => (/^\p{Lu}/u.test(found) ? by[0]!.toUpperCase() + by.slice(1) : by))
}

/**
 * A brief made anew for a place: its phrases crossed with it, and the lead replaced wherever the texts
 * hold it, so that no two of the series say the same.
 *
 * @param chosen phrases of the place, the best first: they join the tray, and the first leads where nothing did.
 */
export function forPlace(
  fields: BriefFields,
  place: string,
  template: string,
  chosen: readonly string[] = [],
): BriefFields {
  const name = titled(place)
  const cross = (phrase: string) => inPlace(template, phrase, place)
  const lead = fields.tray.lead ? cross(fields.tray.lead) : (chosen[0] ?? null)
  const support = new Set([...fields.tray.support.map(cross), ...chosen])
  support.delete(lead ?? '')
  const written = lead && lead.replace(phraseKey(place), () => name)
  const texts = (text: string) => (fields.tray.lead && written ? replaced(text, fields.tray.lead, written) : text)
  return {
    ...copiedFields(fields),
    topic: `${fields.topic}, ${name}`.slice(0, 300),
    tray: { lead, support: [...support], setAside: fields.tray.setAside },
    title: texts(fields.title),
    description: texts(fields.description),
    tags: fields.tags.map(tag => (fields.tray.lead && phraseKey(tag) === phraseKey(fields.tray.lead) ? lead! : tag)),
    fileName:
      fields.fileName && lead
        ? `${lead.replace(/[^\p{L}\p{N}]+/gu, '-')}${/\.[a-z0-9]+$/iu.exec(fields.fileName)?.[0] ?? ''}`
        : fields.fileName,
  }
}
