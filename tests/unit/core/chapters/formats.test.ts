import fc from 'fast-check'
import { chapterFaults, mendedChapters, type ChapterFaultKind } from '../../../../core/chapters/faults'
import { CHAPTER_FORMATS, ChaptersFault, formatChapters, readChapters } from '../../../../core/chapters/formats'
import { chaptersOf, withChapters, type ChapterMark } from '../../../../core/chapters/lines'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'

const chapters = [
  { seconds: 0, title: 'Tools = few; #1' },
  { seconds: 65, title: 'Oil & wax <hot>' },
  { seconds: 3661, title: 'Back\\slash' },
]

test('each format, as it is', () => {
  expect(formatChapters(chapters, 'text')).toBe('0:00 Tools = few; #1\n1:05 Oil & wax <hot>\n1:01:01 Back\\slash\n')
  expect(formatChapters(chapters.slice(0, 1), 'ffmetadata', 90)).toBe(
    ';FFMETADATA1\n\n[CHAPTER]\nTIMEBASE=1/1000\nSTART=0\nEND=90000\ntitle=Tools \\= few\\; \\#1\n',
  )
  expect(formatChapters(chapters.slice(1), 'webvtt')).toBe(
    'WEBVTT\n\n1\n00:01:05.000 --> 01:01:01.000\nOil &amp; wax &lt;hot&gt;\n\n2\n01:01:01.000 --> 01:01:11.000\nBack\\slash\n',
  )
  expect(JSON.parse(formatChapters(chapters.slice(0, 1), 'json'))).toEqual({
    version: '1.2.0',
    chapters: [{ startTime: 0, title: 'Tools = few; #1' }],
  })
  expect(formatChapters([], 'text')).toBe('')
})

test('what is written is read again in every format', async () => {
  for (const format of CHAPTER_FORMATS) expect(await readChapters(formatChapters(chapters, format))).toEqual(chapters)
  const title = fc
    .array(fc.constantFrom('wax', 'A;b', '#1', '=', '\\', '🚲', 'é', '5', '<b>', '&amp;', '[CHAPTER]', 'x'), {
      minLength: 1,
      maxLength: 5,
    })
    .map(list => `T${list.join(' ')}`)
  const list = fc
    .uniqueArray(fc.record({ seconds: fc.nat(80_000), title }), {
      minLength: 1,
      maxLength: 20,
      selector: each => each.seconds,
    })
    .map(each => each.sort((a, b) => a.seconds - b.seconds))
  await fc.assert(
    fc.asyncProperty(list, fc.constantFrom(...CHAPTER_FORMATS), async (given, format) => {
      expect(await readChapters(formatChapters(given, format))).toEqual(given)
    }),
  )
})

test('what is none is refused in words, and nothing else is thrown', async () => {
  for (const text of [
    '',
    'no times',
    '{',
    '{"chapters":[{}]}',
    ';FFMETADATA1\n[CHAPTER]\nTIMEBASE=1/0\ntitle=x',
    '-->',
  ])
    await expect(readChapters(text)).rejects.toThrow(ChaptersFault)
  const piece = fc.constantFrom(
    '{',
    '}',
    '"chapters"',
    ':',
    '[',
    ']',
    ';FFMETADATA1',
    '\n',
    '[CHAPTER]',
    'START=5',
    'TIMEBASE=1/9',
    '0:00',
    'WEBVTT',
    '-->',
    '00:01.000',
    ' ',
    'x',
  )
  await fc.assert(
    fc.asyncProperty(
      fc.oneof(
        fc.string({ unit: 'binary' }),
        fc.array(piece, { maxLength: 30 }).map(each => each.join('')),
      ),
      async text => {
        try {
          for (const { seconds } of await readChapters(text)) expect(seconds).toBeGreaterThanOrEqual(0)
        } catch (error) {
          expect(error).toBeInstanceOf(ChaptersFault)
        }
      },
    ),
  )
})

describe('in a description', () => {
  test('other chapters stand where the first one stood, and all else stays', () => {
    const before = 'Intro\n\n0:00 Old\n1:00 Older\nA line between\n2:00 Oldest\n\nEnd'
    const after = withChapters(before, chapters.slice(0, 2))
    expect(after).toBe('Intro\n\n0:00 Tools = few; #1\n1:05 Oil & wax <hot>\nA line between\n\nEnd')
    expect(withChapters(after, [])).toBe('Intro\n\nA line between\n\nEnd')
  })
  test('new ones come at the end, above a last line of hashtags', () => {
    expect(withChapters('Intro\n\n#wax #oil', chapters.slice(0, 1))).toBe('Intro\n\n0:00 Tools = few; #1\n\n#wax #oil')
    expect(withChapters('Intro\n', chapters.slice(0, 1))).toBe('Intro\n\n0:00 Tools = few; #1')
    expect(withChapters('', chapters.slice(0, 1))).toBe('0:00 Tools = few; #1')
    expect(withChapters('Intro', [])).toBe('Intro')
  })
  test('are read back as they were put in', () => {
    expect(
      chaptersOf(withChapters('Text\n\n0:00 x', chapters)).map(({ seconds, title }) => ({ seconds, title })),
    ).toEqual(chapters)
  })
})

const limits = DEFAULT_PROFILE.chapters
const marks = (...list: [number, string][]): ChapterMark[] => list.map(([seconds, title]) => ({ seconds, title }))

describe('what is wrong with chapters', () => {
  const kinds = (list: ChapterMark[], duration?: number) =>
    chapterFaults(list, limits, duration).map(({ kind, index }) => [kind, index])
  test('none is no fault; good ones have none', () => {
    expect(kinds([])).toEqual([])
    expect(kinds(marks([0, 'a'], [10, 'b'], [20, 'c']), 30)).toEqual([])
  })
  test('each fault, with the chapter it is about', () => {
    expect(kinds(marks([5, 'a'], [20, '']))).toEqual([
      ['not-at-zero', 0],
      ['too-few', null],
      ['no-title', 1],
    ])
    expect(kinds(marks([0, 'a'], [5, 'b'], [40, 'c'], [30, 'd']), 35)).toEqual([
      ['too-short', 0],
      ['beyond-end', 2],
      ['not-rising', 3],
      ['too-short', 3],
    ])
  })
  test('is mended in one go, but for too few', () => {
    const mend = (list: ChapterMark[], kind: ChapterFaultKind, duration?: number) =>
      mendedChapters(list, kind, limits, duration === undefined ? {} : { durationSeconds: duration })
    expect(mend(marks([5, 'a'], [30, 'b']), 'not-at-zero')).toEqual(marks([0, 'a'], [30, 'b']))
    expect(mend(marks([15, 'a'], [30, 'b']), 'not-at-zero')).toEqual(marks([0, 'Intro'], [15, 'a'], [30, 'b']))
    expect(mend(marks([0, 'a'], [30, 'b'], [30, 'c'], [20, 'd']), 'not-rising')).toEqual(
      marks([0, 'a'], [20, 'd'], [30, 'b']),
    )
    expect(mend(marks([0, 'a'], [5, 'b'], [15, 'c'], [95, 'd']), 'too-short', 100)).toEqual(marks([0, 'a'], [15, 'c']))
    expect(mend(marks([0, 'a'], [50, 'b']), 'beyond-end', 50)).toEqual(marks([0, 'a']))
    expect(mend(marks([0, 'a'], [50, ' ']), 'no-title')).toEqual(marks([0, 'a'], [50, 'Part 2']))
    expect(mend(marks([0, 'a']), 'too-few')).toEqual(marks([0, 'a']))
  })
  test('a mended kind is gone', () => {
    const list = fc.array(fc.record({ seconds: fc.nat(300), title: fc.constantFrom('a', '') }), {
      minLength: 1,
      maxLength: 10,
    })
    fc.assert(
      fc.property(
        list,
        fc.constantFrom<ChapterFaultKind>('not-at-zero', 'not-rising', 'no-title', 'beyond-end'),
        (given, kind) => {
          const mended = mendedChapters(given, kind, limits, { durationSeconds: 200 })
          expect(chapterFaults(mended, limits, 200).filter(each => each.kind === kind)).toEqual([])
        },
      ),
    )
  })
})
