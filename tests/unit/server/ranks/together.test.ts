import { rankDay } from '../../../../core/ranks/standing'
import { phraseStore } from '../../../../server/data/phrases'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { togetherOf } from '../../../../server/ranks/together'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()

test('by the pages kept of a region, with swaps from the ranks that were looked up', async () => {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const phrases = phraseStore(db, clock)
  const results = resultStore(db)
  const ranks = rankStore(db)
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  const stores = { phrases, ranks, videos, workspaces, now: clock }
  expect(await togetherOf(stores, home, 'GB')).toEqual({ rows: [], more: 0 })
  const page = (phrase: string, volume: number, mine: string[]) => {
    phrases.save([{ phrase, region: 'GB', volume }], 'en', { name: 'list', kind: 'import' }, clock())
    const [phraseId] = phrases.phraseIds([phrase], 'en')
    const others = Array.from({ length: 18 }, (_, i) => siteVideo(`${phrase}-${i}`))
    results.save([
      pageOf(phraseId!, [...mine.map(id => siteVideo(id, 'mine', { title: `Title ${id}` })), ...others], {
        at: clock(),
      }),
    ])
    return phraseId!
  }
  const chain = page('bike chain', 900, ['a', 'b'])
  page('chain wax', 400, ['b'])
  for (const [ago, first, second] of [
    [3, 1, 2],
    [2, 2, 1],
    [1, 1, 2],
  ] as const)
    ranks.save(
      { phraseId: chain, region: 'GB', kind: 'site' },
      rankDay(clock()) - ago,
      new Map([
        ['a', first],
        ['b', second],
      ]),
      60,
    )
  const { rows, more } = await togetherOf(stores, home, 'GB')
  expect(more).toBe(0)
  expect(rows).toMatchObject([
    {
      phrase: 'bike chain',
      searches: 900,
      swaps: 2,
      days: 3,
      giveUp: 'b',
      videos: [{ video: 'a', rank: 1 }, { rank: 2 }],
    },
  ])
  expect(rows[0]!.videos[1]!.instead).toEqual({ phrase: 'chain wax', searches: 400 })
  expect((await togetherOf(stores, home, 'US')).rows).toEqual([])
})
