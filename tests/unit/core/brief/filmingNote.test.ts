import { filmingNotes } from '../../../../core/brief/items/filmingNote'

test('pasted lines become notes, without list marks, ticked where they were', () => {
  expect(
    filmingNotes('- close-up of the hanger\n\n* [x] wide shot\n2. [ ] hands only\n  [X] 5 mm key', 'shot'),
  ).toEqual([
    { about: 'shot', text: 'close-up of the hanger', done: false },
    { about: 'shot', text: 'wide shot', done: true },
    { about: 'shot', text: 'hands only', done: false },
    { about: 'shot', text: '5 mm key', done: true },
  ])
  expect(filmingNotes('  \n-  ', 'tool')).toEqual([])
})
