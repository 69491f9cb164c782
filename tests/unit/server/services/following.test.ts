import Database from 'better-sqlite3'
import { openStandin } from '../../../../server/services/standin/standin'
import { HOME } from './acting'
import { dump, MADE_ON, world } from './actingWorld'

const DAY = 86_400_000
const YEAR = 365

interface Followed {
  code: string
  clicks: number
}

/** What the followed pages bring a day each video that is on one, most first. */
function brought(file: string): Followed[] {
  const db = new Database(file, { readonly: true })
  const rows = db
    .prepare<[], Followed>(
      `SELECT v.code, sum(p.clicks) AS clicks FROM place p JOIN video v ON v.id = p.video_id
        WHERE v.published_at < ${MADE_ON} GROUP BY v.id ORDER BY clicks DESC, v.code`,
    )
    .all()
  db.close()
  return rows
}

function correlation(pairs: readonly [number, number][]): number {
  const mean = (of: (pair: [number, number]) => number) => pairs.reduce((sum, pair) => sum + of(pair), 0) / pairs.length
  const [x, y] = [mean(pair => pair[0]), mean(pair => pair[1])]
  const spread = (i: 0 | 1, middle: number) => Math.sqrt(mean(pair => (pair[i] - middle) ** 2))
  return mean(pair => (pair[0] - x) * (pair[1] - y)) / (spread(0, x) * spread(1, y))
}

describe('views of videos that nobody changed', () => {
  test('come to follow what their places on searches’ pages bring, and never fall', async () => {
    const { file, site, time, catchUp, close } = world()
    const viewsOf = async (codes: readonly string[]) =>
      Promise.all(codes.map(async code => (await site.video(code, 'en')).data!.views!))
    const month = async (codes: readonly string[]) => {
      const before = await viewsOf(codes)
      time.now += 28 * DAY
      catchUp()
      const after = await viewsOf(codes)
      return after.map((views, i) => views - before[i]!)
    }
    // Before the first round is over views follow their curves, whatever the places.
    time.now += 2 * DAY
    catchUp()
    const all = (await site.search('bike', null, 'en', 60)).data.videos.map(({ id }) => id)
    const early = await month(all)
    time.now += (YEAR - 60) * DAY
    catchUp()
    const places = brought(file)
    expect(places.length).toBeGreaterThan(200)
    const late = await month(places.map(({ code }) => code))
    const byPlace = new Map(places.map(({ code, clicks }) => [code, clicks]))
    const pairs = (codes: readonly string[], gained: readonly number[]) =>
      codes.flatMap((code, i): [number, number][] =>
        byPlace.has(code) ? [[Math.log(1 + byPlace.get(code)!), Math.log(1 + gained[i]! / 28)]] : [],
      )
    const [first, last] = [
      correlation(pairs(all, early)),
      correlation(
        pairs(
          places.map(({ code }) => code),
          late,
        ),
      ),
    ]
    expect(last).toBeGreaterThan(0.75)
    expect(last).toBeGreaterThan(first + 0.1)
    expect(Math.min(...early, ...late)).toBeGreaterThanOrEqual(0)
    // The first ones have at least what their places bring: suggestions and subscribers come beside it.
    for (const [i, { clicks }] of places.slice(0, 10).entries()) expect(late[i]! / 28).toBeGreaterThan(0.8 * clicks)
    close()
  })

  test('are the same whether days pass at once or one by one, with the site down between', () => {
    const [slow, fast] = [world(), world()]
    let running = { catchUp: slow.catchUp, close: slow.close }
    for (let day = 0; day < 120; day++) {
      slow.time.now += DAY
      running.catchUp()
      if (day % 30 === 7) {
        running.close()
        running = slow.open()
      }
    }
    fast.time.now += 120 * DAY
    fast.catchUp()
    running.close()
    fast.close()
    const days = dump(slow.file)
    expect((days.video as { gain: number }[]).filter(({ gain }) => gain !== 0).length).toBeGreaterThan(50)
    expect(days).toEqual(dump(fast.file))
  })

  test('owners are told of them by day: what was told of a day stays, and a change goes on from there', async () => {
    const { site, time, file, catchUp, close } = world()
    time.now += 220 * DAY
    catchUp()
    const db = new Database(file, { readonly: true })
    const code = db
      .prepare<[], string>(
        'SELECT code FROM course c JOIN video v ON v.id = c.video_id GROUP BY code ORDER BY max(abs(c.gain)) DESC LIMIT 1',
      )
      .pluck()
      .get()!
    db.close()
    const told = (await site.analytics(code)).data!.days
    const before = (await site.video(code, 'en')).data!.views!
    time.now += 100 * DAY
    catchUp()
    const later = (await site.analytics(code)).data!.days
    expect(later.slice(0, 300)).toEqual(told.slice(100))
    const sum = later.slice(-100).reduce((all, { views }) => all + views, 0)
    const after = (await site.video(code, 'en')).data!.views!
    expect(sum / (after - before)).toBeGreaterThan(0.9)
    expect(sum / (after - before)).toBeLessThan(1.1)

    const { title } = (await site.video(code, 'en')).data!
    await site.update(code, { title })
    expect((await site.video(code, 'en')).data!.views).toBe(after)
    time.now += 28 * DAY
    catchUp()
    const changed = (await site.analytics(code)).data!.days
    expect(changed.slice(0, 372)).toEqual(later.slice(28))
    const mean = (days: { views: number }[]) => days.reduce((all, { views }) => all + views, 0) / days.length
    expect(mean(changed.slice(-28)) / mean(later.slice(-28))).toBeGreaterThan(0.7)
    expect(mean(changed.slice(-28)) / mean(later.slice(-28))).toBeLessThan(1.4)
    close()
  })

  test('a world that is up to date is opened while another program has days pass in it', async () => {
    const { file, time, close } = world()
    close()
    const other = new Database(file)
    other.exec('BEGIN IMMEDIATE')
    const opened = openStandin(file, undefined, () => time.now)
    expect((await opened.site.channelVideos(HOME, 'en')).data.length).toBeGreaterThan(10)
    opened.close()
    other.exec('ROLLBACK')
    other.close()
  })

  test('a world from before pages were followed is brought up to date, with all that happened in it', async () => {
    const { file, time, close } = world()
    close()
    const db = new Database(file)
    for (const column of ['gained', 'gain', 'gain_on']) db.exec(`ALTER TABLE video DROP COLUMN ${column}`)
    for (const table of ['followed', 'place', 'course']) db.exec(`DROP TABLE ${table}`)
    const videos = db.prepare('SELECT count(*) FROM video').pluck().get()
    db.close()
    const [one, two] = [openStandin(file, undefined, () => time.now), openStandin(file, undefined, () => time.now)]
    time.now += 3 * DAY
    expect(one.catchUp()).toBe(0)
    expect(two.catchUp()).toBe(0)
    expect((await two.site.channelVideos(HOME, 'en')).data.length).toBeGreaterThan(10)
    one.close()
    two.close()
    const { video, followed } = dump(file)
    expect(video.length).toBeGreaterThanOrEqual(videos as number)
    expect((followed as { day: number }[]).filter(({ day }) => day > 0)).toHaveLength(9)
  })
})
