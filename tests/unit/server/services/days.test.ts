import type { Services } from '../../../../server/services/contract'
import { HOME, published } from './acting'
import { dump, MADE_ON, world } from './actingWorld'

const DAY = 86_400_000

describe('as days pass', () => {
  test('others publish, a new video is watched from where it is found, and its owner sees how', async () => {
    const { site, time, catchUp, close } = world()
    const video = await published(site, 'film-01', { title: 'Bike', description: 'Bike', tags: ['bike'] })
    const before = (await site.search('bike', 'GB', 'en', 60)).data
    time.now += 60 * DAY
    expect(catchUp()).toBe(0)
    const { data } = await site.video(video.id!, 'en')
    const figures = (await site.analytics(video.id!)).data!
    expect(figures.days).toHaveLength(60)
    const sum = (of: (day: (typeof figures.days)[number]) => number) =>
      figures.days.reduce((all, day) => all + of(day), 0)
    expect(sum(day => day.views)).toBe(data!.views)
    expect(data!.views).toBeGreaterThan(100)
    for (const { views, bySource, clicks, impressions, watchedSeconds } of figures.days) {
      const { search, suggested, subscribers, web, elsewhere } = bySource
      expect(search + suggested + subscribers + web + elsewhere).toBe(views)
      expect(clicks).toBe(search + suggested + subscribers)
      expect(impressions).toBeGreaterThanOrEqual(clicks)
      expect(watchedSeconds).toBeLessThanOrEqual(views * 420 * 1.05)
    }
    // Subscribers come first; what search brings stays.
    expect(figures.days[0]!.bySource.subscribers).toBeGreaterThan(figures.days[20]!.bySource.subscribers)
    expect(figures.retention).toHaveLength(11)
    expect([...figures.retention].sort((a, b) => b - a)).toEqual(figures.retention)
    const fresh = (await site.search('bike', 'GB', 'en', 60)).data.videos.filter(
      each => each.publishedAt! > MADE_ON + DAY && each.id !== video.id,
    )
    expect(
      fresh.length + (await site.trending('GB', 'en')).data.filter(v => v.publishedAt! > MADE_ON + DAY).length,
    ).toBeGreaterThan(3)
    expect((await site.search('bike', 'GB', 'en', 60)).data.titleMatches!).toBeGreaterThanOrEqual(before.titleMatches!)
    close()
  })

  test('wording decides what a video is found by, and a promise not kept drives viewers off', async () => {
    const { site, time, catchUp, close } = world()
    const spoken = 'WEBVTT\n\n00:00:00.000 --> 00:06:50.000\nToday we clean a bike chain with a rag and wax.'
    const kept = await published(site, 'film-01', {
      title: 'Clean a bike chain',
      captions: { language: 'en', text: spoken },
    })
    const broken = await published(site, 'film-02', {
      title: 'Replace hydraulic brake hoses yourself',
      captions: { language: 'en', text: spoken },
    })
    time.now += 30 * DAY
    catchUp()
    const share = async (id: string) => (await site.analytics(id)).data!.retention.reduce((a, b) => a + b, 0) / 11
    expect(await share(kept.id!)).toBeGreaterThan((await share(broken.id!)) * 0.9)
    const rank = async (phrase: string, id: string) =>
      (await site.search(phrase, 'GB', 'en', 60)).data.videos.findIndex(video => video.id === id)
    expect(await rank('clean a bike chain', kept.id!)).toBeGreaterThanOrEqual(0)
    expect(await rank('clean a bike chain', broken.id!)).toBe(-1)
    close()
  })

  test('an old video’s figures are told too, before and after it was changed; strangers are told nothing', async () => {
    const { site, time, catchUp, close } = world()
    const old = (await site.channelVideos(HOME, 'en')).data.at(-1)!
    const before = (await site.analytics(old.id)).data!.days
    expect(before).toHaveLength(400)
    await site.update(old.id, { title: 'How to fix a bike puncture in the rain' })
    time.now += 20 * DAY
    catchUp()
    const { days } = (await site.analytics(old.id)).data!
    expect(days).toHaveLength(400)
    expect(days.slice(0, 380)).toEqual(before.slice(20))
    expect(new Set(days.map(day => day.day)).size).toBe(400)
    expect((await site.video(old.id, 'en')).data!.views).toBeGreaterThanOrEqual(old.views!)
    const stranger = (await site.search('bike chain', 'GB', 'en', 20)).data.videos.find(
      each => each.channel.id !== HOME,
    )!
    expect((await site.analytics(stranger.id)).data).toBeNull()
    expect((await site.audience(stranger.channel.id)).data).toBeNull()
    const { hours } = (await site.audience(HOME)).data!
    expect(hours).toHaveLength(168)
    expect(hours.reduce((a, b) => a + b, 0)).toBeCloseTo(1)
    close()
  })

  test('a change that changes nothing leaves an old video’s views as they were, day by day with chance', async () => {
    const { site, time, catchUp, close } = world()
    const mean = (days: { views: number }[]) => days.reduce((sum, { views }) => sum + views, 0) / days.length
    for (const old of (await site.channelVideos(HOME, 'en')).data.slice(-6)) {
      const before = (await site.analytics(old.id)).data!.days.slice(-28)
      expect(new Set(before.map(({ views }) => views)).size).toBeGreaterThan(3)
      await site.update(old.id, { title: old.title })
      time.now += 28 * DAY
      catchUp()
      const after = (await site.analytics(old.id)).data!.days.slice(-28)
      expect(mean(after) / mean(before)).toBeGreaterThan(0.7)
      expect(mean(after) / mean(before)).toBeLessThan(1.4)
    }
    close()
  })

  test('a change made with the clock set back is lived from its day on', async () => {
    const { site, time, catchUp, close } = world()
    const old = (await site.channelVideos(HOME, 'en')).data.at(-1)!
    const made = time.now
    time.now -= 30 * DAY
    await site.update(old.id, { title: 'How to fix a bike puncture in the rain' })
    time.now = made
    catchUp()
    const { days } = (await site.analytics(old.id)).data!
    expect(new Set(days.map(({ day }) => day)).size).toBe(400)
    expect(days.at(-1)!.day).toBe(new Date(made - DAY).toISOString().slice(0, 10))
    expect((await site.video(old.id, 'en')).data!.title).toBe('How to fix a bike puncture in the rain')
    close()
  })

  test('the same acts make the same world, whether days pass one by one, at once, or with the site down between', async () => {
    const act = async ({ site }: { site: Services['site'] }) => {
      await published(site, 'film-01')
      await published(site, 'film-02', { title: 'Clean a bike chain', tags: ['bike chain'] })
      const [, old] = (await site.channelVideos(HOME, 'en')).data
      await site.update(old!.id, { title: 'Bike wheel truing for beginners' })
    }
    const later = async ({ site }: { site: Services['site'] }) => {
      await site.savePlaylist('list-001', null, { channel: HOME, title: 'Chains', description: '', videos: [] })
      await published(site, 'film-03', { title: 'Bike brake pads' })
    }
    const [slow, fast] = [world(), world()]
    await act(slow)
    await act(fast)
    let running = { site: slow.site, catchUp: slow.catchUp, close: slow.close }
    for (let day = 0; day < 45; day++) {
      slow.time.now += DAY
      running.catchUp()
      if (day % 10 === 3) {
        running.close()
        running = slow.open()
      }
    }
    fast.time.now += 45 * DAY
    await later(running)
    await later(fast)
    for (const time of [slow.time, fast.time]) time.now += 40 * DAY
    while (running.catchUp(7) > 0);
    fast.catchUp()
    running.close()
    fast.close()
    expect(dump(slow.file)).toEqual(dump(fast.file))
  })

  test('the clock is moved on by days, and stays where it was moved', async () => {
    const { site, move, clock, close, open, time } = world()
    move(30)
    expect(clock()).toEqual({ now: time.now + 30 * DAY, madeOn: MADE_ON, daysAhead: 30 })
    expect((await site.trending(null, 'en')).at).toBe(time.now + 30 * DAY)
    close()
    const again = open()
    expect(again.clock().daysAhead).toBe(30)
    again.close()
  })
})
