import { intentOf } from '../../demand/intent'
import { rememberingIn } from '../../text/remembering'
import { defineCheck, inField, met, missing, notApplicable, partly } from '../check'
import { textFix, type Fix } from '../draft'
import { linksOf } from '../links'
import { firstLineOf } from '../places'
import { wholeNumber } from '../settings'

const RUN = /\S+/gu
/** From a plus or a nought on what may belong to a number. */
const NUMBER = /[+0][\d ()/-]{6,24}/gu
/** Fewer digits are a price or a year. */
const LEAST_DIGITS = 7

/** Phone numbers and mail addresses of a text. */
function reachedBy(text: string): { start: number; end: number }[] {
  const numbers = [...text.matchAll(NUMBER)].filter(
    ({ 0: found, index }) =>
      found.replace(/\D/gu, '').length >= LEAST_DIGITS && !/[\p{L}\p{N}]/u.test(text[index - 1] ?? ''),
  )
  const mails = [...text.matchAll(RUN)].filter(({ 0: run }) => {
    const at = run.indexOf('@')
    return at > 0 && run.indexOf('.', at) > at + 1
  })
  return [...mails, ...numbers].map(({ index, 0: found }) => ({
    start: index,
    end: index + found.trimEnd().length,
  }))
}

/** The description is typed many times for one lead. */
const intentIn = rememberingIn(500, 200, (phrase, language) => ({
  intent: intentOf(phrase, undefined, [], language)?.intent ?? null,
}))

/** For searchers who want to hire somebody: how to reach them stands near the top. */
export const contactFirst = defineCheck({
  id: 'contact-first',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Contact near the top',
  why: 'Who looks for somebody nearby calls or writes, and does not unfold a description to find out how.',
  needs: ['description'],
  settings: { within: wholeNumber('Within so many characters', 300, 20, 5000) },
  run: ({ draft, lead, language, settings: { within } }) => {
    const intent = lead && intentIn(lead.raw, language).intent
    if (intent !== 'hire' && intent !== 'near') return notApplicable('The lead is not a search for somebody to hire.')
    const text = draft.description!
    if (!text.trim()) return notApplicable('Nothing written yet.')
    const found = [...reachedBy(text), ...linksOf(text).map(({ start, end }) => ({ start, end }))].sort(
      (a, b) => a.start - b.start,
    )
    const [first] = found
    if (!first) return missing('No phone number, mail address or link. Add how to reach you after the first line.')
    const ranges = inField('description', [first])
    if (first.end <= within) return met('How to reach you stands near the top.', { ranges })
    return partly(0.4, `How to reach you comes after ${first.start} characters. Move it up.`, {
      ranges,
      fixes: () => movedUp(text, first.start),
    })
  },
})

/** The line that holds an offset, moved to below the first line. */
function movedUp(text: string, at: number): Fix[] {
  const { text: line, start } = firstLineOf(text)
  const [from, to] = [text.lastIndexOf('\n', at) + 1, text.indexOf('\n', at)]
  const contact = text.slice(from, to < 0 ? text.length : to).trim()
  const end = start + line.length
  if (from <= end) return []
  const rest = text.slice(end, from).trimEnd() + (to < 0 ? '' : text.slice(to))
  return [
    textFix(
      'Move it below the first line',
      'description',
      text,
      `${text.slice(0, end)}\n\n${contact}\n\n${rest.trimStart()}`.trimEnd(),
    ),
  ]
}
