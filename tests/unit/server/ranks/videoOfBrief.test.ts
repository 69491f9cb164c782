import { emptyFields } from '../../../../core/brief/brief'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { publicationStore } from '../../../../server/data/publications'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { videoOfBrief } from '../../../../server/ranks/videoOfBrief'
import { briefIdOf } from '../../../../shared/audit'
import { freshData, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()

test('the video of a brief: published from here, named by its address where it is the channel’s own, or made to mend', () => {
  const db = freshData(folder)
  const videos = videoStore(db)
  const publications = publicationStore(db)
  const workspaces = workspaceStore(db, videos)
  const stores = { publications, videos, workspaces }
  const workspace = workspaces.create({ name: 'Shed', channelId: 'mine' }).id
  const briefs = briefStore(db, Date.now, briefItemStore(db))
  const of = (id: string) => videoOfBrief(stores, briefs.get(id)!)
  videos.saveVideos([siteVideo('own', 'mine'), siteVideo('sent', 'mine'), siteVideo('theirs', 'other')], 1)
  const named = (address: string) =>
    briefs.create({ ...emptyFields(), videoAddress: address }, undefined, { workspace }).id
  expect(of(named(''))).toBeNull()
  expect(of(named('https://videos.example/watch/own?from=mail'))).toBe('own')
  expect(of(named('https://videos.example/watch?v=own'))).toBe('own')
  expect(of(named('https://videos.example/watch/theirs'))).toBeNull()
  expect(of(named('https://videos.example/watch/nobody'))).toBeNull()
  const mend = briefs.create(emptyFields(), briefIdOf(workspace, 'own'), { workspace }).id
  expect(of(mend)).toBe('own')
  const both = named('https://videos.example/watch/own')
  publications.begin({ id: 'p', briefId: both, channel: 'mine', file: 'a.mp4', bytes: 1, seconds: 1 })
  expect(of(both)).toBe('own')
  publications.end('p', { state: 'out', video: 'sent', visibleFrom: 0, source: 'site' })
  expect(of(both)).toBe('sent')
  const none = workspaces.create({ name: 'None' }).id
  const elsewhere = briefs.create({ ...emptyFields(), videoAddress: 'https://v.example/own' }, undefined, {
    workspace: none,
  })
  expect(of(elsewhere.id)).toBeNull()
})
