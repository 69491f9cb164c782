import { closest } from '../../../../core/demand/closest'

const rows = (of: Record<string, number | null>) => Object.entries(of).map(([phrase, volume]) => ({ phrase, volume }))
const phrases = (...given: Parameters<typeof closest>) => closest(...given).map(({ phrase }) => phrase)

test('what says most of the topic comes before what more people search for', () => {
  const given = rows({ 'bike brakes': 229_000, 'squeaky brake': 900, 'squeaky brakes fix': 1200, 'bike bell': null })
  expect(phrases('squeaky brakes', given, 'en', 3)).toEqual(['squeaky brakes fix', 'squeaky brake', 'bike brakes'])
})

test('another language is inflected by its own rules; a topic without words orders by searches', () => {
  const given = rows({ 'fahrräder': 10, 'fahrrad kette reinigen': 5, 'kette': 90 })
  expect(phrases('Fahrradkette reinigen', given, 'de', 1)).toEqual(['fahrrad kette reinigen'])
  expect(phrases('…', given, 'de', 3)).toEqual(['kette', 'fahrräder', 'fahrrad kette reinigen'])
  expect(phrases('kette', [], 'de', 3)).toEqual([])
})
