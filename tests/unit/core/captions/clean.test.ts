import { CLEAN_KINDS, cleanText } from '../../../../core/captions/clean'
import type { Captions } from '../../../../core/captions/cue'

const said = (texts: string[], gap = 0): Captions => ({
  timed: true,
  cues: texts.map((text, i) => ({ start: i * 5, end: i * 5 + 5 - gap, text })),
})

test('speakers, sounds, fillers, repeats and lines for the video go, each told; sentences are mended', () => {
  const { text, removed } = cleanText(
    said([
      '[music] Welcome back to the channel.',
      '>> ANN: Um, so the the chain, you know, is dirty (laughs)',
      'and it it is worn. ♪ la la ♪',
      'Note: use a rag (the old one). Hit the bell and subscribe!',
    ]),
    { language: 'en' },
  )
  expect(text).toBe('So the chain, is dirty and it is worn. Note: use a rag (the old one).')
  expect(removed).toEqual([
    { kind: 'speakers', count: 1, pieces: ['>> ANN:'] },
    { kind: 'sounds', count: 3, pieces: ['[music]', '(laughs)', '♪ la la ♪'] },
    { kind: 'fillers', count: 2, pieces: ['Um,', 'you know,'] },
    { kind: 'repeats', count: 2, pieces: ['the the', 'it it'] },
    {
      kind: 'video',
      count: 2,
      pieces: ['Welcome back to the channel.', 'Hit the bell and subscribe!'],
    },
  ])
})

test('each kind is a switch', () => {
  const captions = said(['[music] ANN: Um, the the chain is dirty.', 'Subscribe!'])
  expect(cleanText(captions, { language: 'en', remove: [] })).toEqual({
    text: '[Music] ANN: Um, the the chain is dirty. Subscribe!',
    removed: [],
  })
  for (const kind of CLEAN_KINDS.filter(each => each !== 'speakers'))
    expect(cleanText(captions, { language: 'en', remove: [kind] }).removed.map(each => each.kind)).toEqual([kind])
})

test('without full stops sentences end at pauses, and get capitals', () => {
  const cues = [
    { start: 0, end: 2, text: 'take the wheel out' },
    { start: 2, end: 4, text: 'and look at it' },
    { start: 6, end: 8, text: 'is it round' },
  ]
  expect(cleanText({ cues, timed: true }, { language: 'en' }).text).toBe(
    'Take the wheel out and look at it. Is it round.',
  )
})

test('a long stretch without full stops is not lost for a word in it', () => {
  const long = `in this video ${'we look at the chain and the wheel '.repeat(10)}`
  expect(cleanText(said([long]), { language: 'en' }).text.length).toBeGreaterThan(300)
})

test('with chapters each part has its heading; paragraphs end with a sentence', () => {
  const sentence = 'The chain is wiped with a dry cloth before any oil comes near it.'
  const captions = said(Array.from({ length: 16 }, () => sentence))
  const { text } = cleanText(captions, {
    language: 'en',
    chapters: [
      { start: 0, title: 'Wipe' },
      { start: 60, title: ' Oil ' },
    ],
  })
  const blocks = text.split('\n\n')
  expect(blocks[0]).toBe('## Wipe')
  expect(blocks.indexOf('## Oil')).toBeGreaterThan(1)
  expect(text.split(sentence).length - 1).toBe(16)
  for (const block of blocks.filter(each => !each.startsWith('#'))) expect(block).toMatch(/\.$/u)
})

test.each([
  ['de', ['Äh, die Kette ist dreckig.', 'Abonniert den Kanal!'], 'Die Kette ist dreckig.'],
  ['es', ['O sea, la cadena está sucia.', 'Suscríbete al canal.'], 'La cadena está sucia.'],
  ['fr', ['Euh, la chaîne est sale.', 'Abonnez-vous !'], 'La chaîne est sale.'],
  ['pt', ['A corrente, né, está suja.', 'Inscreva-se no canal.'], 'A corrente, está suja.'],
  ['ja', ['えーと、チェーンが汚れています。', 'チャンネル登録お願いします。'], 'チェーンが汚れています。'],
])('what is left out is known in %s', (language, texts, clean) => {
  expect(cleanText(said(texts), { language }).text).toBe(clean)
})

test('nothing said, nothing written', () => {
  expect(cleanText({ cues: [], timed: false }, { language: 'en' })).toEqual({ text: '', removed: [] })
})
