import fc from 'fast-check'
import { copiedFrom, LEAST_SHARED, sharedStretches } from '../../../../core/draft/copied'
import { readText } from '../../../../core/text/match'

const shared = (mine: string, theirs: string, language = 'en') =>
  sharedStretches(readText(mine, language), readText(theirs, language)).map(({ mine: { start, end }, ...rest }) => ({
    text: mine.slice(start, end),
    ...rest,
  }))

const SENTENCE = 'Wipe the chain with a dry cloth before any degreaser touches it'

test('a stretch of eight words that stands in another text is found, with both places', () => {
  const [found, ...more] = shared(`First of all. ${SENTENCE}! Then wait.`, `We say: ${SENTENCE.toLowerCase()}, always.`)
  expect(found).toEqual({ text: SENTENCE, theirs: { start: 8, end: 8 + SENTENCE.length }, words: 12, exact: true })
  expect(more).toEqual([])
})

test('a word changed, added or left out does not hide a copy, and it is told as near', () => {
  for (const near of [
    SENTENCE.replace('dry cloth', 'dry towel'),
    SENTENCE.replace('a dry', 'a clean and dry'),
    SENTENCE.replace('any ', ''),
  ])
    expect(shared(SENTENCE, near)).toEqual([expect.objectContaining({ text: SENTENCE, exact: false })])
})

test('fewer words than eight are nobody’s own', () => {
  expect(shared('how to clean a bike chain at', 'how to clean a bike chain at home without tools')).toEqual([])
  expect(shared('', SENTENCE)).toEqual([])
})

test('links and quotations are no copies', () => {
  const link = 'https://one.example/two/three/four/five/six/seven/eight/nine'
  expect(shared(link, link)).toEqual([])
  expect(shared(`He wrote “${SENTENCE}” once`, SENTENCE)).toEqual([])
})

test('the longest of several places is told', () => {
  const theirs = `${SENTENCE.split(' ').slice(0, 8).join(' ')}. And again: ${SENTENCE}.`
  expect(shared(SENTENCE, theirs)).toEqual([
    expect.objectContaining({ words: 12, theirs: expect.objectContaining({ start: theirs.lastIndexOf('Wipe') }) }),
  ])
})

test('scripts without spaces and other languages', () => {
  const text = 'チェーンを掃除する前に乾いた布で汚れを拭き取ってください'
  expect(shared(text, `今日は${text}。`, 'ja')).toHaveLength(1)
  expect(
    shared(
      'Limpia la cadena con un trapo seco antes de aplicar aceite',
      'limpiar la cadena con un trapo seco antes de aplicar aceite',
      'es',
    ),
  ).toHaveLength(1)
})

test('stretches lie in the text, in order, apart, and hold at least eight words that both have', () => {
  const word = fc.constantFrom('chain', 'wax', 'a', 'the', 'clean', 'dry', 'oil', 'cloth', 'ride')
  const text = fc.array(word, { maxLength: 60 }).map(list => list.join(' '))
  fc.assert(
    fc.property(text, text, (mine, theirs) => {
      let last = 0
      for (const { mine: own, theirs: other, words } of sharedStretches(readText(mine, 'en'), readText(theirs, 'en'))) {
        expect(own.start).toBeGreaterThanOrEqual(last)
        expect(own.end).toBeLessThanOrEqual(mine.length)
        expect(other.end).toBeLessThanOrEqual(theirs.length)
        expect(words).toBeGreaterThanOrEqual(LEAST_SHARED)
        expect(words).toBeLessThanOrEqual(mine.slice(own.start, own.end).split(' ').length)
        last = own.end
      }
    }),
  )
})

test('a refrain of ten thousand words takes no time that grows with its square', () => {
  const refrain = 'la la la la '.repeat(2500)
  expect(shared(refrain, refrain)).toHaveLength(1)
})

describe('against texts of others', () => {
  const source = (videoId: string, description: string) => ({
    videoId,
    title: 'Title',
    channel: 'Somebody',
    description,
  })
  test('the source and the share of the field are told; the longest counts where two overlap', () => {
    const draft = { title: 'Short', description: `${SENTENCE}. Mine alone, these words.` }
    const short = SENTENCE.split(' ').slice(0, 9).join(' ')
    expect(copiedFrom(draft, [source('a', short), source('b', `x ${SENTENCE}`)], [], 'en')).toEqual([
      {
        field: 'description',
        start: 0,
        end: SENTENCE.length,
        videoId: 'b',
        title: 'Title',
        channel: 'Somebody',
        share: 12 / 16,
        exact: true,
      },
    ])
  })
  test('my own blocks are mine wherever they stand', () => {
    const draft = { description: `Text\n\n${SENTENCE}` }
    expect(copiedFrom(draft, [source('a', SENTENCE)], [SENTENCE], 'en')).toEqual([])
    expect(copiedFrom(draft, [source('a', SENTENCE)], ['Other'], 'en')).toHaveLength(1)
    expect(copiedFrom({}, [source('a', SENTENCE)], [], 'en')).toEqual([])
  })
})
