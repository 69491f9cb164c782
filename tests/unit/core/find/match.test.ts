import { matcher } from '../../../../core/find/match'

const best = (asked: string, texts: string[]) => {
  const how = matcher(asked)
  return texts
    .flatMap(text => {
      const score = how(text)
      return score === null ? [] : [{ text, score }]
    })
    .sort((a, b) => b.score - a.score)
    .map(({ text }) => text)
}

test('whole words before beginnings before misspellings; each word has to be there', () => {
  const texts = ['Indexing a rear derailleur', 'Rear light', 'Derailleurs compared', 'Winter care']
  expect(best('rear derailleur', texts)).toEqual(['Indexing a rear derailleur'])
  expect(best('derailleur', texts)).toEqual(['Indexing a rear derailleur', 'Derailleurs compared'])
  expect(best('derailer rear', texts)).toEqual(['Indexing a rear derailleur'])
  expect(best('inde', texts)).toEqual(['Indexing a rear derailleur'])
  expect(best('saddle', texts)).toEqual([])
})

test('case, accents, order and marks do not matter; the shorter of two alike stands above', () => {
  expect(best('KÖLN repair', ['Repair in Koln', 'repair, köln'])).toEqual(['repair, köln', 'Repair in Koln'])
  expect(best('tags', ['Tags and more of them', 'Tags'])).toEqual(['Tags', 'Tags and more of them'])
})

test('nothing typed finds nothing, and a number is no misspelling of another', () => {
  expect(best('', ['a'])).toEqual([])
  expect(best('?!', ['a'])).toEqual([])
  expect(best('2025', ['Plans for 2026'])).toEqual([])
  expect(best('wax', ['wah'])).toEqual([])
})

test('what else a thing is found by counts less than its name', () => {
  const how = matcher('backup')
  expect(how('Data')).toBeNull()
  expect(how('Data', 'backup restore')!).toBeGreaterThan(0)
  expect(how('Data', 'backup restore')!).toBeLessThan(how('Backups')!)
})
