import { expandBlock, findBlock, findLive, withBlock } from '../../../../core/blocks/block'

test('variables are filled in whatever their case; what has no value is a gap', () => {
  expect(expandBlock('{Title}: by {name} in {town}, {year}', { title: 'Chain', year: '2026', town: ' ' })).toEqual({
    text: 'Chain: by […] in […], 2026',
    unknown: ['name', 'town'],
  })
  // A value is put in as it is, braces and all.
  expect(expandBlock('{title} $& {lead}', { title: '{lead} $1', lead: 'x' }).text).toBe('{lead} $1 $& x')
  expect(expandBlock('a {} {not a name} b', {}).text).toBe('a {} {not a name} b')
})

test('a block is found as it was put, not within a word, and gone once it was edited', () => {
  const text = 'Links: a\nb'
  expect(findBlock(`Intro\n\n${text}\n\nMore`, text)).toEqual({ start: 7, end: 17 })
  expect(findBlock(`x${text} ${text}`, text)).toEqual({ start: 12, end: 22 })
  expect(findBlock('Links: a\n b', text)).toBeNull()
  expect(findBlock('anything', '')).toBeNull()
})

test('it comes after what is there', () => {
  expect(withBlock('One\n ', 'Two')).toBe('One\n\nTwo')
  expect(withBlock('', 'Two')).toBe('Two')
})

test('a live block is found as it was filled in, and as it would be now', () => {
  expect(findLive('A\n\nOn oil\n\nB', 'On oil', 'On wax')).toEqual({ start: 3, end: 9, behind: true })
  expect(findLive('A\n\nOn wax', 'On oil', 'On wax')).toEqual({ start: 3, end: 9, behind: false })
  expect(findLive('A\n\nOn tea', 'On oil', 'On wax')).toBeNull()
  expect(findLive('A', undefined, 'On wax')).toBeNull()
})
