import { v7 as uuid } from 'uuid'
import { playlistSchema } from '../../../../core/playlist/playlist'
import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { briefStore } from '../../../../server/data/briefs'
import { videoBriefStore } from '../../../../server/data/videoBriefs'
import { videoDayStore } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { leadingOnOf } from '../../../../server/ranks/leadingOn'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()

test('by views of the last 28 days; what a description or the cards of a brief lead to is left out', async () => {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const videoDays = videoDayStore(db)
  const briefs = briefStore(db, clock)
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  const workspaceItems = workspaceItemStore(db, clock)
  const stores = { briefs, videoBriefs: videoBriefStore(db), videoDays, videos, workspaceItems, workspaces, now: clock }
  expect(await leadingOnOf(stores, home)).toEqual({ rows: [], videos: 0 })
  videos.saveVideos(
    [
      siteVideo('wax', 'mine', { title: 'Waxing a chain', publishedAt: clock() - 3 * DAY }),
      siteVideo('hot', 'mine', {
        title: 'Hot waxing a chain',
        publishedAt: clock() - 2 * DAY,
        description: 'See wax.',
      }),
      siteVideo('tube', 'mine', { title: 'Tube patches', publishedAt: clock() - DAY }),
      siteVideo('theirs', 'other', { title: 'Waxing a chain' }),
    ],
    clock(),
  )
  const day = (ago: number, views: number) => ({
    ...{ video: 'wax', day: rankDay(clock()) - ago, impressions: null, clicks: null, views, watchedSeconds: null },
    ...{ search: null, suggested: null, subscribers: null, web: null, elsewhere: null },
  })
  videoDays.save([day(40, 1000), day(20, 7), day(1, 5)], [], { source: 'table', at: clock() })
  expect(await leadingOnOf(stores, home)).toMatchObject({
    videos: 3,
    rows: [{ video: 'wax', views: 12, brief: null, to: [{ video: 'hot', title: 'Hot waxing a chain' }] }],
  })
  const { id } = briefs.create(
    {
      videoAddress: 'https://videos.example/watch/wax',
      cards: [{ id: 'c', at: 3, kind: 'video', target: 'hot', title: 'Hot', message: '', teaser: '' }],
    },
    home,
  )
  expect(await leadingOnOf(stores, home)).toEqual({ rows: [], videos: 3 })
  const list = (lead: string, entry: { kind: 'brief' | 'video'; id: string }) =>
    workspaceItems.save(home, {
      ...{ id: uuid(), kind: 'playlist', revision: 0 },
      value: playlistSchema.parse({ title: `On ${lead}`, lead, region: 'GB', language: 'en', entries: [entry] }),
    })
  // The one of the brief stands in it; the other does not.
  list('waxing chain', { kind: 'brief', id })
  expect((await leadingOnOf(stores, home)).rows).toMatchObject([
    { video: 'hot', to: [], playlists: [{ title: 'On waxing chain' }] },
  ])
  briefs.remove(id)
  expect((await leadingOnOf(stores, home)).rows).toHaveLength(2)
})
