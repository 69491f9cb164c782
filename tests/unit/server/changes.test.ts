import { setTimeout as wait } from 'node:timers/promises'
import { Changes, kindWritten } from '../../../server/changes'
import type { Change } from '../../../shared/changes'
import { routes } from '../../e2e/fuzz'

/** What is told of some work, once it is told. */
async function toldOf(work: (changes: Changes) => unknown): Promise<Change[]> {
  const changes = new Changes()
  const told: Change[] = []
  const first = new Promise<void>(tell => {
    changes.listen(change => {
      told.push(change)
      tell()
    })
  })
  await work(changes)
  await first
  return told
}

test('changes close together are told once, with what they were and whose', async () => {
  expect(
    await toldOf(changes =>
      changes.on('one', () => {
        changes.changed('briefs', 'a')
        changes.changed('briefs', 'b')
        changes.changed('briefs', 'a')
      }),
    ),
  ).toEqual([{ kind: 'briefs', revision: 3, ids: ['a', 'b'], by: 'one' }])
})

test('what two windows did is nobody’s, and what is too much is not named', async () => {
  expect(
    await toldOf(changes => {
      changes.on('one', () => {
        changes.changed('briefs', 'a')
      })
      changes.on('two', () => {
        changes.changed('briefs', 'b')
      })
    }),
  ).toEqual([{ kind: 'briefs', revision: 2, ids: ['a', 'b'], by: null }])
  expect(
    await toldOf(changes => {
      for (let i = 0; i < 60; i++) changes.changed('briefs', `${i}`)
    }),
  ).toEqual([{ kind: 'briefs', revision: 60, ids: null, by: null }])
  expect(
    await toldOf(changes => {
      changes.changed('phrases')
      changes.changed('phrases', 'a')
    }),
  ).toEqual([{ kind: 'phrases', revision: 2, ids: null, by: null }])
})

test('who asked is known also after waiting, and is not taken for who asks next', async () => {
  expect(
    await toldOf(async changes => {
      const slow = changes.on('one', async () => {
        await wait(5)
        changes.changed('pages')
      })
      changes.on('two', () => {
        changes.changed('lists', 'x')
      })
      await slow
    }),
  ).toEqual([
    { kind: 'lists', revision: 1, ids: ['x'], by: 'two' },
    { kind: 'pages', revision: 1, ids: null, by: 'one' },
  ])
})

test('work that goes on by itself tells also whoever began it', async () => {
  expect(
    await toldOf(changes => {
      changes.on('one', () => {
        changes.changedByItself('ranks')
      })
    }),
  ).toEqual([{ kind: 'ranks', revision: 1, ids: null, by: null }])
})

test('whoever stops listening hears no more, and the count goes on', () => {
  const changes = new Changes()
  changes.listen(() => {
    throw new Error('heard')
  })()
  changes.changed('jobs')
  expect(changes.now().revisions).toMatchObject({ jobs: 1, briefs: 0 })
})

test('every route that writes what screens show says of what kind it is', () => {
  const kinds = Object.fromEntries(
    routes()
      .map(({ method, path }) => [`${method} ${path}`, kindWritten(method, path.replace(/\[(\w+)\]/gu, ':$1'))])
      .filter(([, kind]) => kind !== null),
  ) as Record<string, string>
  expect(Object.values(kinds).filter(kind => kind === 'briefs')).toHaveLength(14)
  expect(kinds).toMatchObject({
    'PATCH /api/briefs/[id]': 'briefs',
    'POST /api/import/package': 'briefs',
    'PUT /api/briefs/[id]/items/[item]': 'briefs',
    'DELETE /api/briefs/[id]/items/[item]': 'briefs',
    'PATCH /api/lists/[id]': 'lists',
    'DELETE /api/filter-sets/[id]': 'lists',
    'PUT /api/phrases/note': 'phrases',
    'PATCH /api/workspaces/[id]': 'workspaces',
    'POST /api/ranks/look': 'ranks',
    'DELETE /api/watches': 'ranks',
  })
  expect(kinds).not.toHaveProperty(['POST /api/check'])
})
