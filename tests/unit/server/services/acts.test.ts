import { dump, world } from './actingWorld'
import { draft, HOME, published, SHEET, uploaded } from './acting'

const DAY = 86_400_000

describe('a file on its way', () => {
  const FILE = { name: 'a.mp4', bytes: 10, seconds: 300 }
  const part = (text: string) => Buffer.from(text).toString('base64')

  test('comes in parts, goes on where it broke off, also after the site was down', async () => {
    const { site, close, open } = world()
    const { upload } = (await site.startUpload('request-1', HOME, FILE)).data
    expect(upload).toMatchObject({ bytes: 10, received: 0 })
    expect((await site.sendPart(upload!.id, 0, part('1234'))).data.upload!.received).toBe(4)
    close()
    const again = open()
    expect((await again.site.upload(upload!.id)).data).toEqual({ id: upload!.id, bytes: 10, received: 4 })
    // The same request is the same upload, and a part that was not acknowledged counts once.
    expect((await again.site.startUpload('request-1', HOME, FILE)).data.upload!.received).toBe(4)
    expect((await again.site.sendPart(upload!.id, 0, part('1234'))).data.upload!.received).toBe(4)
    const gap = (await again.site.sendPart(upload!.id, 6, part('7890'))).data
    expect([gap.upload!.received, gap.problems[0]!.field]).toEqual([4, 'upload'])
    expect((await again.site.sendPart(upload!.id, 4, part('567890A'))).data.problems).toHaveLength(1)
    expect((await again.site.sendPart(upload!.id, 4, part('567890'))).data.upload!.received).toBe(10)
    again.close()
  })

  test('is taken only for a channel that agreed, of a length it may publish, and so many a day', async () => {
    const { site, time, close } = world()
    const fields = async (channel: string, seconds = 300) =>
      (await site.startUpload(`r-${channel}-${seconds}`, channel, { ...FILE, seconds })).data.problems.map(p => p.field)
    const { channels } = (await site.account()).data
    expect(channels.map(each => [each.id === HOME, each.authorised])).toEqual([
      [true, true],
      [false, false],
      [false, false],
    ])
    const [, , small] = channels
    expect(await fields('nobody')).toEqual(['channel'])
    expect(await fields(small!.id)).toEqual(['channel'])
    expect((await site.authorise(small!.id)).data).toEqual({ authorised: true, address: null })
    expect((await site.authorise('nobody')).data.authorised).toBe(false)
    expect(await fields(small!.id, 16 * 60)).toEqual(['file'])
    expect(await fields(small!.id)).toEqual([])
    for (let n = 0; n < 15; n++) expect((await published(site, `video-${n}`)).problems).toEqual([])
    expect((await site.account()).data.channels[0]!.limits.uploadsLeft).toBe(0)
    expect(await fields(HOME, 301)).toEqual(['channel'])
    time.now += DAY
    expect((await site.account()).data.channels[0]!.limits.uploadsLeft).toBe(15)
    close()
  })
})

describe('publishing', () => {
  test('is done once for a request, is processed a while, and is found from then on', async () => {
    const { site, time, close } = world()
    const upload = await uploaded(site, 'request-1')
    const title = 'How to index a rear derailleur the Quillmouth way'
    const first = (await site.publish('publish-1', upload, draft({ title }), null)).data
    expect(first.problems).toEqual([])
    expect(first.visibleFrom).toBeGreaterThan(time.now)
    expect((await site.publish('publish-1', upload, draft({ title: 'Other' }), null)).data).toEqual(first)
    expect((await site.publish('publish-2', upload, draft(), null)).data.problems[0]!.field).toBe('upload')
    const found = async () =>
      (await site.search('index a rear derailleur quillmouth', 'GB', 'en', 20)).data.videos[0]?.id === first.id
    expect([(await site.video(first.id!, 'en')).data, await found()]).toEqual([null, false])
    const count = (await site.channel(HOME, 'en')).data!.videos!
    time.now = first.visibleFrom!
    expect((await site.video(first.id!, 'en')).data).toMatchObject({ title, views: 0, publishedAt: first.visibleFrom })
    expect(await found()).toBe(true)
    expect((await site.channel(HOME, 'en')).data!.videos).toBe(count + 1)
    expect((await site.channelVideos(HOME, 'en')).data[0]!.id).toBe(first.id)
    close()
  })

  test('waits for its hour, and what is private or unlisted is not found', async () => {
    const { site, time, close } = world()
    const at = time.now + 3 * DAY
    const later = await published(site, 'later-01', {}, at)
    expect(later.visibleFrom).toBe(at)
    const unlisted = await published(site, 'unlisted', { sheet: { ...SHEET, visibility: 'unlisted' } })
    const hidden = await published(site, 'private-1', { sheet: { ...SHEET, visibility: 'private' } })
    time.now = at - 1
    expect((await site.video(later.id!, 'en')).data).toBeNull()
    expect((await site.video(unlisted.id!, 'en')).data).not.toBeNull()
    expect((await site.video(hidden.id!, 'en')).data).toBeNull()
    const ids = async () =>
      (await site.search('how to index a rear derailleur', 'GB', 'en', 60)).data.videos.map(({ id }) => id)
    expect(await ids()).not.toContain(unlisted.id)
    time.now = at
    expect(await ids()).toContain(later.id)
    close()
  })

  test.each([
    ['title', { title: 'x'.repeat(101) }],
    ['title', { title: ' ' }],
    ['title', { title: 'a <b>' }],
    ['description', { description: 'ö'.repeat(2501) }],
    ['tags', { tags: ['x'.repeat(501)] }],
    ['language', { language: 'no language' }],
    ['thumbnail', { thumbnail: 'data:image/svg+xml,<svg/>' }],
    ['thumbnail', { thumbnail: `data:image/png;base64,${'A'.repeat(2_800_000)}` }],
    ['captions', { captions: { language: 'en', text: 'hello' } }],
    ['sheet.madeForChildren', { sheet: { ...SHEET, madeForChildren: null } }],
    ['cards', { cards: [{ at: 999, kind: 'video' as const, target: 'v', message: '', teaser: '' }] }],
    ['endScreen', { endScreen: { from: 300, elements: [{ kind: 'video' as const, target: null }] } }],
    ['endScreen', { endScreen: { from: 410, elements: [{ kind: 'subscribe' as const, target: null }] } }],
    ['playlists', { playlists: ['nobody'] }],
  ])('refuses a wrong %s, and nothing is published', async (field, wrong) => {
    const { site, close, file } = world()
    const answer = await published(site, 'refused-1', wrong)
    expect(answer.id).toBeNull()
    expect(answer.problems.map(problem => problem.field)).toContain(field)
    expect(dump(file).release).toEqual([])
    close()
  })

  test('a file that is not whole is not published', async () => {
    const { site, close } = world()
    const { upload } = (await site.startUpload('request-1', HOME, { name: 'a', bytes: 9, seconds: 60 })).data
    expect((await site.publish('publish-1', upload!.id, draft(), null)).data.problems[0]!.field).toBe('upload')
    close()
  })
})

test('an updated text counts at once, for search and for the count of titles', async () => {
  const { site, close } = world()
  const [video] = (await site.channelVideos(HOME, 'en')).data
  const phrase = 'quillmouth bell tower'
  expect((await site.search(phrase, null, 'en', 20)).data.titleMatches).toBe(0)
  const answer = (await site.update(video!.id, { title: 'Quillmouth bell tower' })).data
  expect(answer).toMatchObject({ id: video!.id, problems: [] })
  const { titleMatches, videos } = (await site.search(phrase, null, 'en', 20)).data
  expect([titleMatches, videos[0]!.id]).toEqual([1, video!.id])
  expect(videos[0]).toMatchObject({ tags: video!.tags, description: video!.description, views: video!.views })
  expect((await site.update(video!.id, { title: '' })).data.problems).toHaveLength(1)
  expect((await site.update('nobody', {})).data.problems[0]!.field).toBe('video')
  const other = (await site.search('bike chain', 'GB', 'en', 20)).data.videos.find(each => each.channel.id !== HOME)!
  expect((await site.update(other.id, { title: 'Mine' })).data.problems[0]!.field).toBe('channel')
  close()
})

test('playlists are found, opened, made once, changed and filled', async () => {
  const { site, close } = world()
  const own = (await site.channelPlaylists(HOME, 'en')).data
  expect(own.length).toBeGreaterThan(1)
  expect((await site.playlist(own[0]!.id, 'en')).data).toEqual(own[0])
  expect((await site.searchPlaylists('bike', 'GB', 'en', 20)).data.playlists.length).toBeGreaterThan(1)
  const playlist = { channel: HOME, title: 'Harbour commuting', description: '', videos: own[0]!.videos.slice(0, 2) }
  const first = (await site.savePlaylist('playlist-1', null, playlist)).data
  expect((await site.savePlaylist('playlist-1', null, playlist)).data).toEqual(first)
  const find = async (phrase: string) => (await site.searchPlaylists(phrase, 'GB', 'en', 5)).data.playlists[0]?.title
  expect(await find('harbour commuting')).toBe('Harbour commuting')
  await site.savePlaylist('playlist-2', first.id, { ...playlist, title: 'Ferry commuting' })
  expect(await find('ferry commuting')).toBe('Ferry commuting')
  const video = await published(site, 'film-01', { playlists: [first.id!] })
  expect((await site.playlist(first.id!, 'en')).data!.videos).toEqual([...playlist.videos, video.id])
  const fields = async (wrong: Partial<typeof playlist>) =>
    (await site.savePlaylist(`p-${JSON.stringify(wrong)}`, null, { ...playlist, ...wrong })).data.problems.map(
      p => p.field,
    )
  expect(await fields({ title: '' })).toEqual(['title'])
  expect(await fields({ title: 'x'.repeat(151) })).toEqual(['title'])
  expect(await fields({ videos: ['nobody'] })).toEqual(['videos'])
  expect(await fields({ channel: 'nobody' })).toEqual(['channel'])
  close()
})
