import { withGaps } from '../../../../core/translation/marked'
import { dictionary } from '../../../../server/services/standin/translation'
import { answering } from '../../../../server/services/standin/answering'
import { Behaviour } from '../../../../server/services/standin/behaviour'
import type { WorldClock } from '../../../../server/services/standin/clock'

const { languages, translate } = dictionary(answering(new Behaviour(), { now: () => 1 } as unknown as WorldClock))
const into = async (to: string, ...texts: string[]) => (await translate(texts, 'en', to)).data?.map(withGaps)

test('it says that it is a dictionary, and what it knows', async () => {
  const { data } = await languages()
  expect(data.pairs).toEqual([
    { from: 'en', to: 'de' },
    { from: 'en', to: 'es' },
  ])
  expect(data.note).toMatch(/small dictionary/u)
  expect((await translate(['bike'], 'de', 'en')).data).toBeNull()
  expect((await translate(['bike'], 'en', 'toString')).data).toBeNull()
  expect((await translate(['bike'], 'en-GB', 'de-AT')).data).toEqual([{ text: 'fahrrad', unknown: [] }])
})

test('phrases as they would be searched, tags small throughout', async () => {
  expect(await into('de', 'how to clean bike chain', 'rear derailleur not shifting', 'bike chain')).toEqual([
    'fahrradkette reinigen',
    'schaltwerk schaltet nicht',
    'fahrradkette',
  ])
  expect(await into('es', 'how to clean bike chain', 'how to adjust a rear derailleur')).toEqual([
    'cómo limpiar cadena de bicicleta',
    'cómo ajustar cambio trasero',
  ])
})

test('sentences begin with a capital, lines and links stay, and what it does not know is marked', async () => {
  expect(await into('es', 'Clean bike chain.\nSee https://wheelshed.example/chain and 4:30')).toEqual([
    'Limpiar cadena de bicicleta.\nVer https://wheelshed.example/chain y 4:30',
  ])
  expect(await into('de', 'Replace the sprocket')).toEqual(['Wechseln die [… sprocket]'])
  expect(await into('de', '', '…', '日本語 bike')).toEqual(['', '…', '[… 日本語] fahrrad'])
})

test('a word that every object has is no entry', async () => {
  expect(await into('de', 'constructor __proto__ hasOwnProperty')).toEqual([
    '[… constructor] __[… proto]__ [… hasOwnProperty]',
  ])
})
