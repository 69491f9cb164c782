import { PROFILES } from '../../../../core/draft/limits'
import type { EditedValue, ManyEdit } from '../../../../core/draft/manyEdit'
import { DAY } from '../../../../core/time'
import { editRunStore } from '../../../../server/data/editRuns'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { Jobs } from '../../../../server/jobs/jobs'
import {
  manyFits,
  resumeEdit,
  runAnswer,
  startEdit,
  undoEdit,
  workOn,
  type EditManyDeps,
} from '../../../../server/release/editMany'
import { serviceError, type Services, type SiteVideo } from '../../../../server/services/contract'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()
const EDIT: ManyEdit = { field: 'description', find: 'old shop', put: 'new shop' }

function setUp(count = 4) {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const made = Array.from({ length: count }, (_, i) =>
    siteVideo(`v${i}`, 'mine', {
      title: `Video ${i}`,
      description: `Part ${i}. At the old shop.`,
      tags: ['old'],
      publishedAt: clock() - i * DAY,
    }),
  )
  videos.saveVideos(made, clock())
  const there = new Map(made.map(video => [video.id, { ...video }]))
  const calls: string[] = []
  const trouble = { at: null as ((id: string) => void) | null, during: null as ((id: string) => unknown) | null }
  const answer = <Data>(data: Data) => ({ source: 'the site', at: clock(), complete: true, data })
  const site = {
    video: (id: string) => Promise.resolve(answer(there.get(id) ?? null)),
    async update(id: string, change: Partial<SiteVideo>) {
      trouble.at?.(id)
      await trouble.during?.(id)
      calls.push(id)
      Object.assign(there.get(id)!, change)
      const problems = id === 'v3' && change.title ? [{ field: 'title', message: 'This title is refused.' }] : []
      return answer({ id, visibleFrom: null, problems })
    },
  } as unknown as Services['site']
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  const deps: EditManyDeps = {
    editRuns: editRunStore(db),
    jobs: new Jobs(db),
    services: { site } as unknown as EditManyDeps['services'],
    videoChanges: videoChangeStore(db),
    videos,
    workspaces,
    now: clock,
  }
  const fits = (edit: ManyEdit = EDIT, ids?: string[]) =>
    manyFits(deps, { channel: 'mine', ids, edit, profile: PROFILES[0]! })
  const run = async (edit: ManyEdit = EDIT, ids?: string[]) =>
    startEdit(deps, home, edit, await fits(edit, ids), undefined)
  /** Waits for the work on a change to end. */
  const ended = (id: string) =>
    new Promise<ReturnType<typeof runAnswer>>(resolve => {
      const now = runAnswer(deps, deps.editRuns.get(id)!)
      if (!now.job) return resolve(now)
      deps.jobs.listen(now.job.id, ({ name }) => {
        if (name === 'end') resolve(runAnswer(deps, deps.editRuns.get(id)!))
      })
    })
  const texts = (field: 'description' | 'title' = 'description') =>
    Object.fromEntries([...there].map(([id, video]) => [id, video[field]]))
  return { db, clock, deps, home, there, calls, trouble, fits, run, ended, texts }
}

test('it is shown where a change fits, with the text before and after, and counted where it does not', async () => {
  const { deps, clock, fits } = setUp()
  deps.videos.saveVideos(
    [
      siteVideo('v1', 'mine', { title: 'Video 1', description: 'At the new shop.' }),
      siteVideo('v2', 'mine', { title: 'Video 2', description: 'Nothing of it.' }),
      siteVideo('untold', 'mine'),
      siteVideo('theirs', 'other', { description: 'At the old shop.' }),
    ],
    clock(),
  )
  const found = await fits()
  expect(found.fits.map(({ videoId, before, after }) => [videoId, before, after])).toEqual([
    ['v0', 'Part 0. At the old shop.', 'Part 0. At the new shop.'],
    ['v3', 'Part 3. At the old shop.', 'Part 3. At the new shop.'],
  ])
  expect(found).toMatchObject({ more: 0, misfits: { same: 1, absent: 1, unknown: 1, several: 0, limits: 0 } })
  expect((await fits(EDIT, ['v3', 'theirs', 'nobody', 'v3'])).fits.map(({ videoId }) => videoId)).toEqual(['v3'])
})

test('it is made in each on the site, noted as a change of the video, and taken back as a whole', async () => {
  const { deps, home, run, ended, texts } = setUp()
  const before = texts()
  const begun = await run()
  expect(begun).toMatchObject({ undoneAt: null, counts: { waiting: 4 }, job: { kind: 'edit', total: 4 } })
  const done = await ended(begun.id)
  expect(done).toMatchObject({ counts: { waiting: 0, changed: 4, kept: 0, undone: 0 }, kept: [], job: null })
  expect(texts().v2).toBe('Part 2. At the new shop.')
  expect(deps.videos.video('v2')!.description).toBe('Part 2. At the new shop.')
  expect(deps.videoChanges.of('v2')).toMatchObject([
    { field: 'description', before: before.v2, after: 'Part 2. At the new shop.' },
  ])
  const back = await undoEdit(deps, home, begun.id)
  expect(back.undoneAt).not.toBeNull()
  expect(await ended(begun.id)).toMatchObject({ counts: { changed: 0, undone: 4 } })
  expect(texts()).toEqual(before)
  expect(deps.videoChanges.of('v2')).toHaveLength(2)
  await expect(undoEdit(deps, 'another', begun.id)).rejects.toThrow('not remembered')
  // Nothing is left to take back: it stays as it is.
  expect((await undoEdit(deps, home, begun.id)).job).toBeNull()
})

test('what was changed meanwhile, refused, or is gone stays as it is and says why', async () => {
  const { deps, home, there, fits, ended, texts } = setUp()
  const seen = await fits()
  there.get('v0')!.description = 'Written anew.'
  there.delete('v1')
  const begun = startEdit(deps, home, EDIT, seen, { v2: 'another text' })
  const done = await ended(begun.id)
  expect(done.counts).toMatchObject({ changed: 1, kept: 2 })
  expect(done.kept).toEqual([
    { videoId: 'v0', title: 'Video 0', problem: 'It was changed on the site meanwhile. Nothing was overwritten.' },
    { videoId: 'v1', title: 'Video 1', problem: 'The site has no such video any more.' },
  ])
  expect(texts()).toMatchObject({ v0: 'Written anew.', v2: 'Part 2. At the old shop.', v3: 'Part 3. At the new shop.' })
  const title: ManyEdit = { field: 'title', at: 'end', put: '!' }
  const refused = await ended(startEdit(deps, home, title, await fits(title, ['v3']), undefined).id)
  expect(refused.kept).toMatchObject([{ videoId: 'v3', problem: 'This title is refused.' }])
  // Taken back, what somebody wrote over it since stays too.
  there.get('v3')!.description = 'By hand.'
  await undoEdit(deps, home, begun.id)
  const back = await ended(begun.id)
  expect(back.counts).toMatchObject({ changed: 1, undone: 0 })
  expect(texts().v3).toBe('By hand.')
  expect(() => startEdit(deps, home, EDIT, { fits: [] }, undefined)).toThrow('fits none')
})

test('a break between the site’s answer and ours leaves nothing undone or done twice', async () => {
  const { deps, there, calls, run, ended } = setUp(3)
  const begun = await run()
  await ended(begun.id)
  // As after a kill: the site has it, the store does not know.
  deps.editRuns.set(begun.id, 1, 'waiting', null)
  const sent = calls.length
  workOn(deps, deps.editRuns.get(begun.id)!)
  expect((await ended(begun.id)).counts).toMatchObject({ changed: 3, waiting: 0 })
  expect(calls).toHaveLength(sent)
  expect(there.get('v1')!.description).toBe('Part 1. At the new shop.')
})

test('a site that does not answer ends it; the rest waits and is gone on with', async () => {
  const { deps, home, trouble, run, ended } = setUp(9)
  jest.spyOn(console, 'error').mockImplementation(() => undefined)
  trouble.at = () => {
    throw serviceError('NoService', 'There is no site to ask.')
  }
  const begun = await run()
  const broken = await ended(begun.id)
  expect(broken.counts).toMatchObject({ waiting: 9, changed: 0 })
  expect(deps.jobs.get(begun.job!.id)).toMatchObject({
    state: 'failed',
    problem: expect.stringContaining('The rest waits'),
  })
  trouble.at = null
  expect(resumeEdit(deps, home, begun.id).job).not.toBeNull()
  expect((await ended(begun.id)).counts).toMatchObject({ waiting: 0, changed: 9 })
}, 30_000)

test('one at a time: another waits; taken back while it is at work it ends first, and all that was changed goes back', async () => {
  const { deps, home, trouble, fits, run, ended, texts } = setUp(6)
  const before = texts()
  let go: () => void = () => undefined
  const reached = new Promise<void>(at => {
    trouble.during = id => {
      if (id !== 'v2') return undefined
      at()
      return new Promise<void>(on => {
        go = on
      })
    }
  })
  const begun = await run()
  await reached
  const tags: ManyEdit = { field: 'tags', remove: ['old'], add: ['new'] }
  const found = await fits(tags)
  expect(() => startEdit(deps, home, tags, found, undefined)).toThrow('Another change is under way')
  const back = Promise.all([undoEdit(deps, home, begun.id), undoEdit(deps, home, begun.id)])
  trouble.during = null
  go()
  await back
  const done = await ended(begun.id)
  expect(done.counts).toMatchObject({ waiting: 0, changed: 0, undone: 3, kept: 3 })
  expect(texts()).toEqual(before)
})

test('fifty changes are remembered, tags are changed in their place', async () => {
  const { deps, home, there, fits, ended } = setUp(1)
  for (let i = 0; i < 52; i++) {
    const edit: ManyEdit = { field: 'tags', remove: [i ? `t${i - 1}` : 'old'], add: [`t${i}`] }
    await ended(startEdit(deps, home, edit, await fits(edit), undefined).id)
  }
  expect(there.get('v0')!.tags).toEqual(['t51'] satisfies EditedValue)
  expect(deps.editRuns.of(home)).toHaveLength(50)
})
