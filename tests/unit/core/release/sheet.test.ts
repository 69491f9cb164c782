import fc from 'fast-check'
import { fieldOf } from '../../../../core/brief/brief'
import type { FileFault } from '../../../../core/formats/jsonFile'
import { FIRST_CHECKLIST, inOrder, readChecklist, writeChecklist } from '../../../../core/release/checklist'
import { fromLocal, inZone, localHour } from '../../../../core/release/inZone'
import { answerInWords, EMPTY_SHEET, SHEET_QUESTIONS, sheetSchema } from '../../../../core/release/sheet'
import { usualAnswers } from '../../../../core/release/usual'
import { runs } from '../../../setup/runs'

test('every question has a place in the sheet, and words for each of its answers', () => {
  expect(SHEET_QUESTIONS.map(({ id }) => id)).toEqual(Object.keys(sheetSchema.shape))
  expect(sheetSchema.parse(EMPTY_SHEET)).toEqual(EMPTY_SHEET)
  for (const question of SHEET_QUESTIONS) {
    const answers = typeof question.answer === 'string' ? [''] : question.answer.map(({ value }) => value)
    for (const value of answers) {
      expect(sheetSchema.parse({ ...EMPTY_SHEET, [question.id]: value })[question.id]).toBe(value)
      expect(answerInWords(question, value)).toBeTruthy()
    }
    expect(answerInWords(question, null)).toBeNull()
  }
})

test('an answer that is none is refused with what to give', () => {
  expect(() => sheetSchema.parse({ ...EMPTY_SHEET, comments: 'maybe' })).toThrow(/open, reviewed or closed/u)
  expect(() => sheetSchema.parse({ ...EMPTY_SHEET, recordedOn: '14.3.2026' })).toThrow(/year first/u)
})

test('the sheet is told in words, unanswered questions left out', () => {
  const { shown, exported } = fieldOf('sheet')
  expect(shown(EMPTY_SHEET)).toBe('')
  const some = { ...EMPTY_SHEET, visibility: 'public', paidPromotion: false, recordedIn: '' }
  expect(shown(some)).toBe('Visible to: Everybody\nSomebody paid for a mention: No\nFilmed in: Leave out')
  expect(exported!(some)[0]).toMatchObject({ heading: 'Release sheet' })
})

describe('usual answers', () => {
  const sheet = (more: object) => ({ ...EMPTY_SHEET, ...more })
  test('what was always answered the same, twice at least', () => {
    const sheets = [
      sheet({ licence: 'standard', comments: 'open', embedding: true }),
      sheet({ licence: 'standard', comments: 'closed' }),
      sheet({ licence: 'standard' }),
    ]
    expect(usualAnswers(sheets)).toEqual({ licence: { value: 'standard', times: 3 } })
    expect(usualAnswers([])).toEqual({})
  })
  test('the day of filming is of one video alone', () => {
    const day = sheet({ recordedOn: '2026-03-14' })
    expect(usualAnswers([day, day])).toEqual({})
  })
})

describe('a checklist as a file', () => {
  test('comes back as it was', () => {
    expect(readChecklist(writeChecklist(FIRST_CHECKLIST))).toEqual(FIRST_CHECKLIST)
  })
  test('says what is wrong with it, and where', () => {
    const faults = (text: string) => {
      try {
        readChecklist(text)
      } catch (error) {
        return (error as FileFault).lines
      }
      return []
    }
    expect(faults('{')[0]).toMatch(/not JSON/u)
    expect(faults('{ "format": 1 }').join()).toMatch(/not a file of a checklist/u)
    const taken = { ...FIRST_CHECKLIST, own: [{ id: 'title', text: 'Mine' }] }
    expect(faults(writeChecklist(taken)).join()).toMatch(/Another point has this id/u)
    const twice = { ...FIRST_CHECKLIST, own: [FIRST_CHECKLIST.own[0]!, FIRST_CHECKLIST.own[0]!] }
    expect(faults(writeChecklist(twice)).join()).toMatch(/id of its own/u)
  })
  test('an order holds for what it names; the rest keeps its place behind', () => {
    const ids = ['a', 'b', 'c', 'd'].map(id => ({ id }))
    expect(inOrder(ids, { order: ['d', 'x', 'b'] }).map(({ id }) => id)).toEqual(['d', 'b', 'a', 'c'])
  })
})

describe('hours in the channel’s zone', () => {
  test('are told with their day, and in UTC where the zone is unknown', () => {
    expect(inZone(Date.UTC(2026, 6, 1, 17), 'Europe/London')).toBe('Wed 1 Jul 2026, 18:00')
    expect(inZone(Date.UTC(2026, 6, 1, 17), 'Moon/Sea')).toBe('Wed 1 Jul 2026, 17:00')
  })
  test('an hour that is left out in spring becomes one later, one that comes twice in autumn is the first', () => {
    const london = (date: string, time: string) => fromLocal({ date, time }, 'Europe/London')
    expect(london('2026-03-29', '01:30')).toBe(Date.UTC(2026, 2, 29, 1, 30))
    expect(london('2026-10-25', '01:30')).toBe(Date.UTC(2026, 9, 25, 0, 30))
    expect(london('2026-02-30', '01:30')).toBeNull()
  })
  test('what a clock shows leads back to the hour, but for the one that comes twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(2020, 0) / 60_000, max: Date.UTC(2040, 0) / 60_000 }),
        fc.constantFrom('UTC', 'Asia/Kathmandu', 'America/St_Johns', 'Pacific/Apia'),
        (minute, zone) => {
          const at = minute * 60_000
          const back = fromLocal(localHour(at, zone), zone)!
          expect([at, at - 3_600_000, at - 86_400_000]).toContain(back)
        },
      ),
      { numRuns: runs(200) },
    )
  })
})
