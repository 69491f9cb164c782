import { v7 as uuid } from 'uuid'
import { playlistSchema } from '../../../../core/playlist/playlist'
import { briefStore } from '../../../../server/data/briefs'
import { findableStore } from '../../../../server/data/findables'
import { listStore } from '../../../../server/data/lists'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { answerPhrases } from '../../../../server/demand/rows'
import { find } from '../../../../server/find/find'
import { figure, service, setUp } from '../demand/indexed'
import { siteVideo } from '../pages'

function workshop() {
  const { db, index, phrases } = setUp()
  const videos = videoStore(db)
  const workspaces = workspaceStore(db, videos)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  const elsewhere = workspaces.create({ name: 'Other' }).id
  const briefs = briefStore(db)
  const items = workspaceItemStore(db)
  const search = { answer: (asked: never) => Promise.resolve(JSON.stringify(answerPhrases(index, phrases, asked))) }
  const stores = { findables: findableStore(db), workspaces, search }
  const look = async (q: string, workspace = home) =>
    (await find(stores as never, workspace, q)).rows.map(({ kind, text }) => [kind, text])
  return { db, phrases, videos, briefs, items, home, elsewhere, look, lists: listStore(db, phrases) }
}

test('things of every kind are found by their words, those of other workspaces and deleted ones are not', async () => {
  const { briefs, items, lists, phrases, videos, home, elsewhere, look } = workshop()
  const { id } = briefs.create({ topic: 'Waxing a chain', title: 'Hot wax your chain' }, undefined, { workspace: home })
  briefs.create({ topic: '', title: 'Chain lube compared' }, undefined, { workspace: home })
  briefs.create({ topic: 'Waxing skis' }, undefined, { workspace: elsewhere })
  videos.saveVideos([siteVideo('v1', 'mine', { title: 'I waxed my chain' }), siteVideo('v2', 'other')], 1)
  lists.create(home, 'Chains', ['bike chain'], 'en')
  phrases.save([figure('chain wax', 900), figure('saddle', 5)], 'en', service, 1)
  items.save(home, {
    ...{ id: uuid(), kind: 'playlist', revision: 0 },
    value: playlistSchema.parse({ title: 'Chain care', region: 'GB', language: 'en' }),
  })
  expect(await look('chain')).toEqual(
    expect.arrayContaining([
      ['brief', 'Waxing a chain'],
      ['brief', 'Chain lube compared'],
      ['video', 'I waxed my chain'],
      ['phrase', 'chain wax'],
      ['list', 'Chains'],
      ['playlist', 'Chain care'],
    ]),
  )
  expect(await look('waxing')).toEqual(expect.not.arrayContaining([['brief', 'Waxing skis']]))
  // By what else it says: the title of a brief that is called otherwise, and behind those that are called so.
  expect((await look('hot')).map(([, text]) => text)).toEqual(['Waxing a chain'])
  expect(await look('wxaing')).toContainEqual(['brief', 'Waxing a chain'])
  briefs.remove(id)
  expect(await look('waxing chain')).not.toContainEqual(['brief', 'Waxing a chain'])
})

test('whatever is typed is answered', async () => {
  const { look, lists, home } = workshop()
  for (let i = 0; i < 20; i++) lists.create(home, `Towns ${i}`, [], 'en')
  expect(await look('towns')).toHaveLength(6)
  for (const q of [
    '',
    '   ',
    '?',
    ',',
    '"a',
    "'; DROP TABLE brief; --",
    'x'.repeat(200),
    'a, b\nc',
    '%',
    '🚲',
    'мост 橋',
  ])
    expect(Array.isArray(await look(q))).toBe(true)
})
