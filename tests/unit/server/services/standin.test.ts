import Database from 'better-sqlite3'
import { join } from 'node:path'
import { Behaviour } from '../../../../server/services/standin/behaviour'
import { openStandin } from '../../../../server/services/standin/standin'
import { makeWorld } from '../../../../server/services/standin/world'
import { temporaryFolder } from '../files'

const folder = temporaryFolder()
const SIZE = { phrases: 3000, videos: 600, channels: 80 }
const DAY = Date.UTC(2026, 9, 15)
const file = join(folder, 'world.sqlite')
beforeAll(() => {
  makeWorld(file, SIZE, 5, DAY)
})

const dump = (path: string) => {
  const db = new Database(path, { readonly: true })
  const rows = ['phrase', 'channel', 'video', 'fact'].map(table => db.prepare(`SELECT * FROM ${table}`).all())
  db.close()
  return JSON.stringify(rows)
}

describe('as time goes on', () => {
  const at = (days: number) => openStandin(file, undefined, () => DAY + days * 86_400_000)

  test('a month keeps its searches, and new months come', async () => {
    const [then, later] = [at(0), at(75)]
    const [before, after] = [
      (await then.demand.volumes(['bike chain'], 'GB', 'en')).data,
      (await later.demand.volumes(['bike chain'], 'GB', 'en')).data,
    ]
    expect([before.monthsEnd, after.monthsEnd]).toEqual(['2026-09', '2026-11'])
    expect(after.figures[0]!.months.slice(0, 34)).toEqual(before.figures[0]!.months.slice(2))
    then.close()
    later.close()
  })
  test('answers come from the world’s day, and views grow with it', async () => {
    const [then, later] = [at(0), at(400)]
    const [before, after] = [
      await then.site.search('bike', 'GB', 'en', 20),
      await later.site.search('bike', 'GB', 'en', 20),
    ]
    expect(after.at - before.at).toBe(400 * 86_400_000)
    const { id, views, publishedAt } = before.data.videos[0]!
    const grown = (await later.site.video(id, 'en')).data!
    expect(grown.views!).toBeGreaterThan(views!)
    // What a video gathers a day falls slowly, as everywhere; it does not stop because the world was made long ago.
    const days = (DAY - publishedAt!) / 86_400_000
    expect(grown.views! / (days + 400)).toBeGreaterThan(0.5 * (views! / days))
    then.close()
    later.close()
  })
  test('set back, videos published since are not there yet', async () => {
    const then = at(-600)
    const { videos } = (await then.site.search('bike', 'GB', 'en', 60)).data
    expect(videos.length).toBeGreaterThan(5)
    expect(videos.every(video => video.publishedAt! <= DAY - 600 * 86_400_000)).toBe(true)
    then.close()
  })
})

test('captions are there for a part of the videos: what they show, in order, within their length', async () => {
  const { site, close } = openStandin(file, undefined, () => DAY)
  const { videos } = (await site.search('bike', 'GB', 'en', 60)).data
  const all = await Promise.all(videos.map(async ({ id }) => (await site.captions(id, 'en')).data))
  const some = all.filter(each => each !== null)
  expect(some.length).toBeGreaterThan(5)
  expect(some.length).toBeLessThan(videos.length - 5)
  for (const [i, captions] of all.entries()) {
    if (!captions) continue
    expect(captions.text).toMatch(/^WEBVTT\n\n00:00:00\.000 --> /u)
    const times = [...captions.text.matchAll(/(\d\d):(\d\d):(\d\d)\.(\d{3})/gu)].map(
      ([, h, m, s, ms]) => Number(h) * 3600 + Number(m) * 60 + Number(s) + Number(ms) / 1000,
    )
    expect([...times].sort((a, b) => a - b)).toEqual(times)
    expect(times.at(-1)!).toBeLessThanOrEqual(videos[i]!.durationSeconds!)
  }
  expect((await site.captions('nobody', 'en')).data).toBeNull()
  close()
})

test('German is answered in German, and other languages with nothing', async () => {
  const { site, demand, web, close } = openStandin(file, undefined, () => DAY)
  const { videos } = (await site.search('fahrrad', 'DE', 'de', 20)).data
  expect(videos.length).toBeGreaterThan(3)
  expect(videos.every(video => !/\b(?:how|the|your|(?<!-)bikes?)\b(?!-)/iu.test(video.title))).toBe(true)
  expect((await site.search('derailleur hanger', 'DE', 'de', 20)).data.videos).toEqual([])
  const home = (await demand.volumes(['fahrrad'], 'DE', 'de-AT')).data.figures[0]!
  const abroad = (await demand.volumes(['fahrrad'], 'GB', 'de')).data.figures[0]!
  expect(home.volume).toBeGreaterThan(10 * abroad.volume)
  expect((await demand.related('fahrrad', 'DE', 'de')).data).toContain('fahrrad')
  expect(
    (await web.suggest('fahrrad', 'DE', 'de')).data.length + (await site.suggest('fahrrad', 'DE', 'de')).data.length,
  ).toBeGreaterThan(3)
  expect((await site.search('vélo', 'FR', 'fr', 20)).data.videos).toEqual([])
  expect((await demand.volumes(['bike'], 'FR', 'fr')).data.figures).toEqual([])
  close()
})

test('the same seed makes the same world, another makes another', () => {
  const same = join(folder, 'same.sqlite')
  const other = join(folder, 'other.sqlite')
  makeWorld(same, SIZE, 5, DAY)
  makeWorld(other, SIZE, 6, DAY)
  expect(dump(same)).toBe(dump(file))
  expect(dump(other)).not.toBe(dump(file))
})

test('sizes are parameters', () => {
  const db = new Database(file, { readonly: true })
  const count = (table: string) => (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n
  expect([count('phrase'), count('video'), count('channel')]).toEqual([3000, 600, 80])
  db.close()
})

describe('what the services tell', () => {
  const services = () => openStandin(file, undefined, () => DAY)

  test('related phrases hold the words, by falling volume', async () => {
    const { demand, close } = services()
    const { data, source, complete } = await demand.related('bike chain', 'GB', 'en')
    expect(source).toBe('demand data')
    expect(complete).toBe(true)
    expect(data.filter(phrase => phrase.includes('chain')).length).toBeGreaterThan(20)
    expect((await demand.related('', 'GB', 'en')).data).toEqual([])
    close()
  })

  test('trending is young, and another list in every region', async () => {
    const { site, close } = services()
    const [home, away] = [(await site.trending('GB', 'en')).data, (await site.trending('US', 'en')).data]
    const newest = Math.max(...home.map(video => video.publishedAt!))
    expect(home.length).toBeGreaterThan(5)
    expect(home.every(video => newest - video.publishedAt! < 900 * 86_400_000)).toBe(true)
    expect(home.map(video => video.id)).not.toEqual(away.map(video => video.id))
    close()
  })

  test('a country has part of the searches of everywhere, and 36 months make the mean', async () => {
    const { demand, close } = services()
    const everywhere = (await demand.volumes(['bike chain', 'no such phrase'], null, 'en')).data
    const home = (await demand.volumes(['bike chain'], 'GB', 'en')).data
    expect(everywhere.figures).toHaveLength(1)
    expect(everywhere.monthsEnd).toBe('2026-09')
    const { volume, months } = everywhere.figures[0]!
    expect(months).toHaveLength(36)
    expect(volume).toBeCloseTo(months.slice(-12).reduce<number>((sum, month) => sum + month!, 0) / 12)
    expect(home.figures[0]!.volume).toBeLessThan(volume)
    const regions = (await demand.byRegion('bike chain', 'en')).data
    expect(regions.length).toBeGreaterThanOrEqual(25)
    // The countries together are about all there is.
    expect(regions.reduce((sum, each) => sum + each.volume, 0) / volume).toBeGreaterThan(0.8)
    close()
  })

  test('a search ranks videos, counts exact titles, and corrects a misspelling', async () => {
    const { site, close } = services()
    const { data } = await site.search('bike chain', 'GB', 'en', 20)
    expect(data.videos).toHaveLength(20)
    expect(new Set(data.videos.map(video => video.id)).size).toBe(20)
    expect(data.titleMatches).toBe(countTitles('bike chain'))
    expect(data.videos.filter(video => /chain/iu.test(video.title)).length).toBeGreaterThan(5)
    expect(await site.search('bike chain', 'GB', 'en', 20)).toMatchObject({ data })
    const misspelt = (await site.search('rear derailer', 'GB', 'en', 20)).data.videos
    expect(misspelt.some(video => /derailleur/iu.test(video.title))).toBe(true)
    expect((await site.search('zzzz', 'GB', 'en', 20)).data.videos).toEqual([])
    close()
  })

  test('suggestions of the two sources differ and hold what was typed, the last word perhaps only begun', async () => {
    const { site, web, close } = services()
    const [video, others] = await Promise.all([site.suggest('bike ch', 'GB', 'en'), web.suggest('bike ch', 'GB', 'en')])
    for (const phrase of [...video.data, ...others.data]) expect(phrase).toMatch(/\bbikes?\b.*\bch|\bch.*\bbikes?\b/u)
    expect(video.data).not.toEqual(others.data)
    close()
  })

  test('a channel and its videos', async () => {
    const { site, close } = services()
    const { data } = await site.channel('ch-marrowby', 'en')
    expect(data).toMatchObject({ title: 'Marrowby Wheel Shed', subscribers: 4870 })
    expect((await site.channelVideos('ch-marrowby', 'en')).data).toHaveLength(data!.videos!)
    expect((await site.video('nobody', 'en')).data).toBeNull()
    close()
  })

  function countTitles(phrase: string): number {
    const db = new Database(file, { readonly: true })
    const titles = (db.prepare('SELECT title FROM video').all() as { title: string }[]).map(
      row => ` ${row.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `,
    )
    db.close()
    return titles.filter(title => title.includes(` ${phrase} `) || title.includes(` ${phrase}s `)).length
  }
})

describe('misbehaviour', () => {
  test('refusals and failures come as often as they are asked for', async () => {
    const { demand, close } = openStandin(file, new Behaviour({ refuse: 0.3, fail: 0.2 }))
    const names: string[] = []
    for (let i = 0; i < 400; i++)
      names.push(
        await demand.byRegion('bike chain', 'en').then(
          () => 'ok',
          (error: Error) => error.name,
        ),
      )
    const part = (name: string) => names.filter(each => each === name).length / names.length
    expect(part('ServiceRefused')).toBeGreaterThan(0.22)
    expect(part('ServiceRefused')).toBeLessThan(0.38)
    expect(part('ServiceFailed')).toBeGreaterThan(0.13)
    expect(part('ServiceFailed')).toBeLessThan(0.27)
    close()
  })

  test('half an answer says that it is half', async () => {
    const { site, close } = openStandin(file, new Behaviour({ half: 1 }))
    const { complete, data } = await site.search('bike chain', 'GB', 'en', 20)
    expect(complete).toBe(false)
    expect(data.videos).toHaveLength(10)
    close()
  })

  test('a delay is at least as long as asked for', async () => {
    const { demand, close } = openStandin(file, new Behaviour({ delayMs: 60 }))
    const startedAt = Date.now()
    await demand.byRegion('bike chain', 'en')
    expect(Date.now() - startedAt).toBeGreaterThanOrEqual(55)
    close()
  })
})
