import { DAY } from '../../../core/time'
import { facts } from './clock'
import { formulaDays, type FormulaVideo } from './formulaDays'
import type { OpenWorld } from './openWorld'
import { searchesOn, type SeriesRow } from './series'
import { clicksAt, viewersOf } from './viewers'
import { gainedBy, type KeptViews } from './views'

/** Pages followed, those of the most searched phrases: nearly half of all searches in a world of demo size. */
const PAGES = 200
/** Places of a page that bring a view now and then. */
const PLACES = 20
/** A page is looked at again after so many days, and so many pages at most on a day. */
const AGAIN_DAYS = 90
const MOST_A_DAY = 3
/** Once every page has been looked at, views turn to what the places bring, over so many days. */
const TURNING_DAYS = 180
/** Of what search brings by the curve so much can be lost: the curve itself falls, and views never do. */
const MOST_LOST = 0.5

interface PageRow extends SeriesRow {
  id: number
}
interface FollowedVideo extends KeptViews, FormulaVideo {
  id: number
  owned: 0 | 1
}

/**
 * What search brings the videos that nobody changed. A world begins with views along a curve of their own; from then on
 * the most searched pages are looked at in turn, and the videos found there come to have the views their places bring.
 */
export class Following {
  private readonly viewers
  private readonly kept
  private readonly q

  constructor(private readonly world: OpenWorld) {
    this.viewers = viewersOf(world.seed)
    const { db } = world
    this.kept = facts(db)
    this.q = {
      begun: db.prepare<[], number>('SELECT 1 FROM followed LIMIT 1').pluck(),
      begin: db.prepare(`INSERT INTO followed SELECT id, 0 FROM phrase ORDER BY id LIMIT ${PAGES}`),
      share: db
        .prepare<[], number>(
          'SELECT (SELECT sum(base) FROM followed JOIN phrase ON id = phrase_id) / sum(base) FROM phrase',
        )
        .pluck(),
      due: db.prepare<[number], PageRow>(
        `SELECT p.* FROM followed f JOIN phrase p ON p.id = f.phrase_id WHERE f.day <= ? ORDER BY f.day, f.phrase_id
          LIMIT ${MOST_A_DAY}`,
      ),
      looked: db.prepare('UPDATE followed SET day = ? WHERE phrase_id = ?'),
      unseen: db.prepare<[], number>('SELECT 1 FROM followed WHERE day = 0 LIMIT 1').pluck(),
      placed: db.prepare<[number], number>('SELECT video_id FROM place WHERE phrase_id = ?').pluck(),
      place: db.prepare('INSERT OR REPLACE INTO place VALUES (?, ?, ?)'),
      leave: db.prepare('DELETE FROM place WHERE phrase_id = ? AND video_id = ?'),
      brought: db.prepare<[number], number>('SELECT total(clicks) FROM place WHERE video_id = ?').pluck(),
      video: db.prepare<[number], FollowedVideo>(
        `SELECT v.id, v.code, v.published_at, v.views, v.clicks, v.live, v.gained, v.gain, v.gain_on,
          EXISTS (SELECT 1 FROM owner o WHERE o.channel_id = v.channel_id) AS owned FROM video v WHERE v.id = ?`,
      ),
      settle: db.prepare('UPDATE video SET gained = ?, gain = ?, gain_on = ? WHERE id = ?'),
      course: db.prepare('INSERT OR REPLACE INTO course VALUES (?, ?, ?)'),
    }
  }

  /** The pages due on a day are looked at. @param day its UTC midnight. */
  live(day: number): void {
    if (!this.q.begun.get()) {
      this.q.begin.run()
      this.kept.set('followedShare', this.q.share.get() ?? 0)
    }
    const due = this.q.due.all(day - AGAIN_DAYS * DAY)
    for (const page of due) this.look(page, day)
    if (due.length && !this.kept.number('turningSince') && !this.q.unseen.get()) this.kept.set('turningSince', day)
  }

  /** How far views have turned to what places bring, 0 to 1. */
  private turned(day: number): number {
    const since = this.kept.number('turningSince')
    return since ? Math.min(1, (day - since) / DAY / TURNING_DAYS) : 0
  }

  private look(page: PageRow, day: number): void {
    const searches = searchesOn(page, day, this.world.clock.madeOn)
    const found = this.world.ranking.scored(page.text, null, page.language, PLACES, { today: day, now: day + DAY })
    const left = new Set(this.q.placed.all(page.id))
    const touched = new Set(left)
    found.slice(0, PLACES).forEach(({ id }, i) => {
      const { clicks } = this.q.video.get(id)!
      this.q.place.run(page.id, id, clicksAt(this.viewers, searches, i + 1, clicks))
      left.delete(id)
      touched.add(id)
    })
    for (const id of left) this.q.leave.run(page.id, id)
    this.q.looked.run(day, page.id)
    for (const id of touched) this.settle(id, day)
  }

  /** From a day on a video gathers what its places bring; what pages nobody follows bring it stays as by its curve. */
  private settle(id: number, day: number): void {
    const turned = this.turned(day)
    const video = this.q.video.get(id)!
    if (!turned || video.live) return
    const { search, suggested } = formulaDays(video, this.world.clock.madeOn)(day)
    if (!search) return
    const found = this.q.brought.get(id)! + (1 - this.kept.number('followedShare')) * search
    // What search brings, suggestions bring with it.
    const gain = Math.max(-MOST_LOST * search, turned * (found - search)) * (1 + suggested / search)
    this.q.settle.run(gainedBy(video, day), gain, day, id)
    if (video.owned) this.q.course.run(id, day, gain)
  }
}
