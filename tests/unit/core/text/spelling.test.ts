import { areSpellings } from '../../../../core/text/spelling'

test.each([
  ['hydrolic brake', 'hydraulic brake', 'en'],
  ['bikechain', 'bike chain', 'en'],
  ['bike chian', 'bike chain', 'en'],
  ['deraileur hanger', 'derailleur hanger', 'en'],
  ['fahradkette', 'fahrradkette', 'de'],
  ['pédalier velo', 'pedallier vélo', 'fr'],
])('“%s” may be “%s”', (one, other, language) => {
  expect(areSpellings(one, other, language)).toBe(true)
  expect(areSpellings(other, one, language)).toBe(true)
})

test.each([
  ['the same', 'bike chain', 'bike chain', 'en'],
  ['the same but for marks', 'vélo', 'velo', 'fr'],
  ['another form of the word', 'bike brake', 'bike brakes', 'en'],
  ['another number', '9 speed chain', '8 speed chain', 'en'],
  ['another word', 'bike chain', 'bike saddle', 'en'],
  ['a short word', 'bike oil', 'bike pil', 'en'],
  ['a word more', 'bike chain', 'clean bike chain', 'en'],
  ['three words wrong', 'hydrolic brake lever blead', 'hydraulic break lever bleed', 'en'],
])('%s is no misspelling', (_, one, other, language) => {
  expect(areSpellings(one, other, language)).toBe(false)
})
