import { CHECKS } from '../../core/draft/checks'
import type { RunEdit } from '../../shared/editMany'

const lists = new Intl.ListFormat('en', { type: 'conjunction' })
const FIELDS = { title: 'titles', description: 'descriptions', tags: 'tags' } as const
/** So much of a text is quoted. */
const QUOTED = 80
const quoted = (text: string) => {
  const flat = text.trim().replace(/\s+/gu, ' ')
  return `“${flat.length > QUOTED ? `${flat.slice(0, QUOTED)}…` : flat}”`
}

/** The name of a check. */
export const checkTitle = (id: string) => CHECKS.find(check => check.id === id)?.title ?? id

/** A change of many texts in words. */
export function manyEditWords(edit: RunEdit): string {
  if ('trial' in edit) return `A trial of “${checkTitle(edit.trial)}” in ${FIELDS[edit.field]}`
  if (edit.field === 'tags') {
    const { remove, add } = edit
    return lists.format([
      ...(remove.length ? [`${lists.format(remove.map(quoted))} out of the tags`] : []),
      ...(add.length ? [`${lists.format(add.map(quoted))} into them`] : []),
    ])
  }
  const where = FIELDS[edit.field]
  if ('at' in edit) return `${quoted(edit.put)} at the ${edit.at} of ${where}`
  const place = edit.every ? 'everywhere in' : 'in'
  return edit.put.trim()
    ? `${quoted(edit.put)} for ${quoted(edit.find)} ${place} ${where}`
    : `${quoted(edit.find)} out, ${place} ${where}`
}
