import fc from 'fast-check'
import { clock, secondsOf, stamp, type Cue } from '../../../../core/captions/cue'
import { CaptionsFault, captionsOf, readCaptions } from '../../../../core/captions/read'
import { writeCaptions } from '../../../../core/captions/write'
import { readDraft } from '../../../../core/draft/read'

const SRT = `1
00:00:01,000 --> 00:00:03,500
<i>Turn</i> the <font color="red">axle</font>

2
00:00:04,000 -> 00:00:05,000
broken arrow

3
00:00:09,000 --> 00:00:07,000
backwards

4
0:10 --> 0:12
no hours

5
00:00:13,000 --> 00:00:15,000 X1:1 X2:2
two
lines
`

describe('reading', () => {
  test('good cues of SRT are kept, wrong ones told by line and reason', async () => {
    const { format, timed, cues, faults } = await readCaptions(SRT)
    expect({ format, timed }).toEqual({ format: 'srt', timed: true })
    expect(cues).toEqual([
      { start: 1, end: 3.5, text: 'Turn the axle' },
      { start: 13, end: 15, text: 'two\nlines' },
    ])
    expect(faults).toEqual([
      { line: 6, reason: 'The arrow between the times is not -->.' },
      { line: 10, reason: 'The cue ends before it begins.' },
      { line: 14, reason: 'The times cannot be read.' },
    ])
  })

  test('WebVTT with notes, names, settings, voices and entities; Windows line ends; a byte order mark', async () => {
    const text =
      '\uFEFFWEBVTT - a title\n\nNOTE no\nnote\n\nSTYLE\n::cue { color: red }\n\nfirst\n00:01.000 --> 00:03.000 align:start\n<v Ann>Tea &amp; <b.loud>oil</b>\n\n00:04.000 --> x\nlost\n\n100:00:00.000 --> 200:00:00.000\nlate'
    const { format, cues, faults } = await readCaptions(text.replaceAll('\n', '\r\n'))
    expect(format).toBe('webvtt')
    expect(cues).toEqual([{ start: 1, end: 3, text: 'Tea & oil' }])
    expect(faults.map(({ line }) => line)).toEqual([13, 16])
  })

  test('what has no times is what is said; what has only broken ones is refused', async () => {
    const { timed, cues } = await captionsOf('Turn the axle. Then listen.')
    expect(timed).toBe(false)
    expect(cues.map(cue => cue.text).join(' ')).toBe('Turn the axle. Then listen.')
    for (const text of ['-->', 'x --> y', 'WEBVTT\n\n00:01 --> x\nHi', '1\n00:00:02,000 --> 00:00:01,000\nHi'])
      await expect(captionsOf(text)).rejects.toThrow(CaptionsFault)
    // A WebVTT file without cues is empty, not wrong.
    expect(await captionsOf('WEBVTT\n')).toEqual({ cues: [], timed: true })
  })

  test('an outline stands in for captions, and gives way to them', async () => {
    const draft = { title: 'T', outline: '0:00 Hello\n1:00 Wax it', durationSeconds: 90 }
    expect((await readDraft(draft)).captions).toEqual({
      timed: true,
      cues: [
        { start: 0, end: 57.6, text: 'Hello' },
        { start: 60, end: 88.8, text: 'Wax it' },
      ],
    })
    const spoken = 'WEBVTT\n\n00:01.000 --> 00:02.000\nOil\n'
    expect((await readDraft({ ...draft, captions: spoken })).captions?.cues).toEqual([
      { start: 1, end: 2, text: 'Oil' },
    ])
    expect(await readDraft({ title: 'T' })).toEqual({ title: 'T' })
  })
})

test('times as captions and as people write them', () => {
  expect(stamp(3661.5)).toBe('01:01:01.500')
  expect(stamp(359_999.9996, ',')).toBe('100:00:00,000')
  expect([clock(5), clock(65.9), clock(3661)]).toEqual(['0:05', '1:05', '1:01:01'])
  expect([secondsOf('1:05'), secondsOf(' 75:00 '), secondsOf('1:01:01,5')]).toEqual([65, 4500, 3661.5])
  expect([secondsOf('1:5'), secondsOf('1:60'), secondsOf('1:75:00'), secondsOf('65'), secondsOf('')]).toEqual([
    65,
    null,
    null,
    null,
    null,
  ])
})

const cueText = fc
  .array(fc.constantFrom('wax', 'chain', '<w', 'a & b', '5', 'é', '🚲', 'x>y', '&amp;', 'NOTE'), {
    minLength: 1,
    maxLength: 6,
  })
  .map(list => list.join(' '))
const someCues = fc
  .array(fc.record({ gap: fc.nat(5000), length: fc.integer({ min: 1, max: 9000 }), text: cueText }), { maxLength: 20 })
  .map(list => {
    let at = 0
    return list.map(({ gap, length, text }): Cue => {
      const start = at + gap
      at = start + length
      return { start: start / 1000, end: at / 1000, text }
    })
  })

test('what is written is read again, to the millisecond and the word', async () => {
  await fc.assert(
    fc.asyncProperty(someCues, fc.constantFrom('srt' as const, 'webvtt' as const), async (cues, format) => {
      const back = await readCaptions(writeCaptions(cues, format))
      expect(back.faults).toEqual([])
      expect(back.cues).toEqual(cues)
    }),
  )
})

test('a cue with an arrow or an empty line in it does not break the file', async () => {
  const cues = [
    { start: 0, end: 1, text: 'a --> b\n\nc' },
    { start: 1, end: 2, text: '  ' },
    { start: 2, end: 3, text: 'd' },
  ]
  for (const format of ['srt', 'webvtt'] as const)
    expect((await readCaptions(writeCaptions(cues, format))).cues.map(cue => cue.text)).toEqual(['a → b\nc', 'd'])
  expect(writeCaptions(cues, 'text')).toBe('a --> b c\nd\n')
})

test('no input makes it throw or hang', async () => {
  const piece = fc.constantFrom(
    '-->',
    '00:00:01,000',
    '00:01.5',
    '\n',
    '\n\n',
    'WEBVTT',
    '<',
    '>',
    'X1:',
    ' ',
    'NOTE',
    '\0',
    '1',
    'é',
    '&lt;',
    'STYLE',
    'REGION',
    'align:start',
    '->',
  )
  await fc.assert(
    fc.asyncProperty(
      fc.oneof(
        fc.string({ unit: 'binary' }),
        fc.array(piece, { maxLength: 40 }).map(list => list.join('')),
      ),
      async text => {
        const { cues, faults } = await readCaptions(text)
        for (const cue of cues) {
          expect(cue.end).toBeGreaterThan(cue.start)
          expect(cue.text).not.toBe('')
        }
        for (const { line, reason } of faults) {
          expect(line).toBeGreaterThan(0)
          expect(reason).toMatch(/^\p{Lu}.*\.$/u)
        }
      },
    ),
  )
})
