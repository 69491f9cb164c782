import type { RivalRow } from '../../../shared/rivals'
import { gradesInWords, likesInWords, movedWords, noteOf, strengthInWords } from '../../../app/composables/rivalWords'

const ROW = {
  rank: 4,
  strength: 0.6,
  targeting: 0.5,
  reach: null,
  pull: 0.25,
  ahead: null,
  likes: 1200,
  dislikes: null,
  off: false,
  upset: false,
  soft: null,
} as unknown as RivalRow
const row = (more: Partial<RivalRow>): RivalRow => ({ ...ROW, ...more })

test('a result rises, falls, comes in or stays; nothing is said where nothing is known', () => {
  expect(movedWords(row({ before: 7 }))).toEqual({ text: '↑3', words: 'rose from 7' })
  expect(movedWords(row({ before: 1 }))).toEqual({ text: '↓3', words: 'fell from 1' })
  expect(movedWords(row({ before: null }))!.text).toBe('new')
  expect(movedWords(row({ before: 4 }))).toBeNull()
  expect(movedWords(ROW)).toBeNull()
})

test('what is unknown of its strength and likes is unknown, not none', () => {
  expect(strengthInWords(ROW)).toBe('0.600: wording 0.50, reach unknown, pull 0.25')
  expect(strengthInWords(row({ reach: 0.5, ahead: 0.25 }))).toMatch(/reach 0\.50, .+; ranks above mine with 25 %$/u)
  expect(likesInWords(ROW)).toBe('1,200 likes')
  expect(likesInWords(row({ dislikes: 3 }))).toBe('1,200 likes, 3 dislikes')
})

test('a text that is not known has no match, which is not the same as a match that fails', () => {
  const [title, line, tag] = gradesInWords({ title: 'inflected', firstLine: 'none', tag: null })
  expect([title!.state, line!.state, tag!.state]).toEqual(['met', 'missing', 'n/a'])
  expect(tag!.words).toBe('best tag: unknown')
})

test('what does not count says so before anything else', () => {
  expect(noteOf(row({ off: true, upset: true, timesExpected: 12 }))).toBe('excluded')
  expect(noteOf(row({ upset: true, timesExpected: 12.4 }))).toMatch(/^upset: 12 × the views expected/u)
  expect(noteOf(row({ soft: [] }))).toBe('weak result')
  expect(noteOf(ROW)).toBe('')
})
