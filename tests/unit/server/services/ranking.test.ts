import Database from 'better-sqlite3'
import { Ranking, weightsOf } from '../../../../server/services/standin/ranking'
import { SCHEMA } from '../../../../server/services/standin/schema'

const TODAY = Date.UTC(2026, 9, 15)
const YEAR = 365 * 86_400_000

/** A site whose videos have the titles given, in the order in which they stand. */
function siteOf(titles: readonly string[]) {
  const db = new Database(':memory:')
  db.exec(SCHEMA)
  db.exec("INSERT INTO channel VALUES (1, 'c', 'Channel', 'bicycle', 1000, 0, 0, 0.5, 1, 0, 0)")
  const addVideo = db.prepare(
    `INSERT INTO video (id, code, channel_id, language, title, description, tags, published_at, seconds, views, likes, comments, dislikes,
      clicks, watched) VALUES (?, ?, 1, 'en', ?, '', '[]', ?, 100, 10, 0, 0, 0, ?, ?)`,
  )
  const addWords = db.prepare("INSERT INTO video_words (rowid, title, description, tags) VALUES (?, ?, '', '')")
  titles.forEach((title, i) => {
    // The first ones stand best.
    const stands = 1 - i / titles.length
    addVideo.run(i + 1, `v${i + 1}`, title, TODAY - YEAR, stands, stands)
    addWords.run(i + 1, title)
  })
  db.exec("INSERT INTO video_words (video_words, rank) VALUES ('rank', 'bm25(10.0, 2.0, 1.0)')")
  return new Ranking(db, 5, { madeOn: TODAY, today: () => TODAY, now: () => TODAY })
}

test('of 3,000 that hold a common word each can be found by what it says besides', () => {
  const words = Array.from({ length: 3000 }, (_, i) => `word${i.toString(36)}`)
  const ranking = siteOf(words.map(word => `Bike ${word}`))
  for (const i of [0, 299, 300, 1500, 2999]) expect(ranking.rank(`bike ${words[i]!}`, 'GB', 'en', 20)[0]).toBe(i + 1)
})

test('only videos in the language asked for are shown', () => {
  const ranking = siteOf(['Bike'])
  expect(ranking.rank('bike', 'GB', 'en', 20)).toEqual([1])
  expect(ranking.rank('bike', 'DE', 'de', 20)).toEqual([])
})

test('what ranking weighs follows from the seed, within bounds', () => {
  expect({ ...weightsOf(5), wording: 0 }).toEqual({ ...weightsOf(5), wording: 0 })
  expect(weightsOf(6).text).not.toBe(weightsOf(5).text)
  for (let seed = 0; seed < 200; seed++) {
    const { text, fresh, wording } = weightsOf(seed)
    expect(text).toBeGreaterThanOrEqual(0.13)
    expect(text).toBeLessThanOrEqual(0.19)
    // Youth alone brings little: less than the difference between clips that are watched and such as are not.
    expect(fresh).toBeLessThan(0.15)
    expect(wording('bicycle')).toBeLessThanOrEqual(0.5)
  }
})
