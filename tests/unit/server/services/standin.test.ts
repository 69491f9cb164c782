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

test('the same seed makes the same world, another makes another', () => {
  const same = join(folder, 'same.sqlite')
  const other = join(folder, 'other.sqlite')
  makeWorld(same, SIZE, 5, DAY)
  makeWorld(other, SIZE, 6, DAY)
  expect(dump(same)).toBe(dump(file))
  expect(dump(other)).not.toBe(dump(file))
})

test('sizes are parameters, and volumes fall as Zipf’s law has it', () => {
  const db = new Database(file, { readonly: true })
  const count = (table: string) => (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n
  expect([count('phrase'), count('video'), count('channel')]).toEqual([3000, 600, 80])
  const bases = (db.prepare('SELECT base FROM phrase ORDER BY id').all() as { base: number }[]).map(row => row.base)
  // Ten times the rank, about a tenth of the volume.
  expect(bases[9]! / bases[99]!).toBeCloseTo(10 ** 0.97, 1)
  db.close()
})

describe('what the services tell', () => {
  const services = () => openStandin(file)

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
    expect(home.every(video => newest - video.publishedAt! < 46 * 86_400_000)).toBe(true)
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
    expect((await site.channelVideos('ch-marrowby', 'en')).data).toHaveLength(data!.videos)
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
