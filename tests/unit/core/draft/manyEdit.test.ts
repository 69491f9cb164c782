import fc from 'fast-check'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { editLike, withEdit, type EditedValue, type ManyEdit } from '../../../../core/draft/manyEdit'

const like = (before: string, after: string) => editLike('description', before, after)
const made = (edit: ManyEdit, value: EditedValue | null) => withEdit(edit, value, DEFAULT_PROFILE)

describe('the change that a text shows', () => {
  test.each([
    [
      'Find us: https://a.example/old',
      'Find us: https://a.example/new',
      'https://a.example/old',
      'https://a.example/new',
    ],
    ['Fix a chain in 5 minutes', 'Fix a chain in 6 minutes', '5', '6'],
    ['Gears, 2024, and more', 'Gears, 2025, and more', '2024', '2025'],
    ['One two three', 'One three', 'two ', ''],
    ['One three', 'One two three', 'One', 'One two'],
    ['Tools:\nA pump', 'Tools:\nA lever\nA pump', 'Tools:', 'Tools:\nA lever'],
    ['Größe egal', 'Größer egal', 'Größe', 'Größer'],
    ['A 🚲 ride', 'A 🚴 ride', '🚲', '🚴'],
  ])('%j to %j', (before, after, find, put) => {
    expect(like(before, after)).toEqual({ field: 'description', find, put })
    expect(made(like(before, after)!, before)).toEqual({ after })
  })
  test('text put before or after all', () => {
    expect(like('Hello', 'New: Hello')).toEqual({ field: 'description', at: 'start', put: 'New: ' })
    expect(like('Hello', 'Hello\n\nBye')).toEqual({ field: 'description', at: 'end', put: '\n\nBye' })
    expect(like('', 'Bye')).toMatchObject({ put: 'Bye' })
    expect(like('Same', 'Same')).toBeNull()
  })
  test('tags taken out and put in', () => {
    expect(editLike('tags', ['a', 'Old', 'b'], ['a', 'new', 'b'])).toEqual({
      field: 'tags',
      remove: ['Old'],
      add: ['new'],
      at: 'end',
    })
    expect(editLike('tags', ['a'], ['first', 'a'])).toMatchObject({ add: ['first'], at: 'start' })
    expect(editLike('tags', ['a', 'b'], ['b', 'a'])).toBeNull()
  })
})

test('whatever was changed in a text, made again in it the change gives the same text, or says why not', () => {
  const words = fc.array(fc.constantFrom('a', 'bee', 'c,', ' ', '\n', '🚲', 'é', 'https://x.y/z'), { maxLength: 12 })
  fc.assert(
    fc.property(words, words, words, words, (head, old, fresh, tail) => {
      const before = [...head, ...old, ...tail].join('')
      const after = [...head, ...fresh, ...tail].join('')
      const edit = like(before, after)
      if (!edit) return before === after
      const again = made(edit, before)
      return 'after' in again ? again.after === after : ['several', 'same', 'absent'].includes(again.misfit)
    }),
    { seed: 7, numRuns: 3000 },
  )
})

describe('made in another text', () => {
  const replace: ManyEdit = { field: 'description', find: 'old shop', put: 'new shop' }
  test('where its words stand once, as whole words', () => {
    expect(made(replace, 'At the old shop, daily')).toEqual({ after: 'At the new shop, daily' })
    expect(made(replace, 'At the old shops')).toEqual({ misfit: 'absent' })
    expect(made(replace, 'At the cold shop')).toEqual({ misfit: 'absent' })
    expect(made(replace, 'Old shop')).toEqual({ misfit: 'absent' })
    expect(made(replace, 'old shop, old shop')).toEqual({ misfit: 'several' })
    expect(made({ ...replace, every: true }, 'old shop, old shop')).toEqual({ after: 'new shop, new shop' })
    expect(made(replace, 'At the new shop')).toEqual({ misfit: 'same' })
    expect(made(replace, null)).toEqual({ misfit: 'unknown' })
    expect(made({ field: 'title', find: 'a a', put: 'b', every: true }, 'a a a')).toEqual({ after: 'b a' })
  })
  test('once put before or after all it is not put there again', () => {
    const end: ManyEdit = { field: 'description', at: 'end', put: '\nBye' }
    expect(made(end, 'Hello')).toEqual({ after: 'Hello\nBye' })
    expect(made(end, 'Hello\nBye')).toEqual({ misfit: 'same' })
    expect(made({ field: 'title', at: 'start', put: 'New: ' }, 'New: chain')).toEqual({ misfit: 'same' })
  })
  test('no text gets longer than the limits allow, empty, or a sign that is not allowed', () => {
    const long: ManyEdit = { field: 'title', at: 'end', put: 'x'.repeat(60) }
    expect(made(long, 'y'.repeat(40))).toEqual({ after: 'y'.repeat(40) + 'x'.repeat(60) })
    expect(made(long, 'y'.repeat(41))).toEqual({ misfit: 'limits' })
    expect(made({ field: 'title', find: 'Chain', put: ' ' }, 'Chain')).toEqual({ misfit: 'limits' })
    const [sign] = DEFAULT_PROFILE.title.forbidden
    expect(made({ field: 'title', at: 'end', put: sign! }, 'Chain')).toEqual({ misfit: 'limits' })
  })
  test('tags: what is there of those taken out goes, what is not there yet comes in its place', () => {
    const swap: ManyEdit = { field: 'tags', remove: ['old', 'gone'], add: ['new'] }
    expect(made(swap, ['a', 'Old', 'b'])).toEqual({ after: ['a', 'new', 'b'] })
    expect(made(swap, ['a', 'NEW'])).toEqual({ misfit: 'same' })
    expect(made(swap, ['a'])).toEqual({ misfit: 'absent' })
    expect(made({ field: 'tags', remove: [], add: ['new'], at: 'start' }, ['a'])).toEqual({ after: ['new', 'a'] })
    expect(made({ field: 'tags', remove: [], add: ['new'] }, ['a', 'new'])).toEqual({ misfit: 'same' })
    expect(made({ field: 'tags', remove: [], add: ['y'.repeat(100)] }, ['x'.repeat(450)])).toEqual({
      misfit: 'limits',
    })
  })
})
