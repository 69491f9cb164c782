import { DAY } from '../../../core/time'
import { dayOf, facts } from './clock'
import { Following } from './following'
import type { OpenWorld } from './openWorld'
import { videoRows } from './videoRows'
import type { WorldVideo } from './videos'
import { Watching } from './watching'

/** A video in the stock of those to come, with its channel's number. */
interface ComingRow {
  id: number
  video: string
}

/**
 * The days of a world, one after the other: channels publish what they have in hand, live videos are watched, and
 * the most searched pages are followed. The
 * same acts at the same times make the same days, whether they pass one by one or many at once.
 */
export class Days {
  private readonly watching: Watching
  private readonly following: Following
  private readonly kept
  private readonly q
  private readonly rows

  constructor(private readonly world: OpenWorld) {
    const { db } = world
    this.watching = new Watching(world)
    this.following = new Following(world)
    this.kept = facts(db)
    this.rows = videoRows(db)
    this.q = {
      due: db.prepare<[number], ComingRow>('SELECT id, video FROM coming WHERE published_at < ? ORDER BY id'),
      drop: db.prepare('DELETE FROM coming WHERE id = ?'),
      live: db.prepare<[], number>('SELECT count(*) FROM live').pluck(),
      lived: db.prepare<[], number>('SELECT 1 FROM day_figures LIMIT 1').pluck(),
      begin: db.prepare('BEGIN IMMEDIATE'),
      end: db.prepare('COMMIT'),
      undo: db.prepare('ROLLBACK'),
    }
  }

  /** A video's text is what it is found by from now on. */
  aim: Watching['aim'] = video => {
    this.watching.aim(video)
  }

  /** @see Watching.before */
  before: Watching['before'] = (id, day) => this.watching.before(id, day)

  /**
   * Days pass from a day on before the one on which the world was made, for what is changed with its clock set back.
   * Only while none has passed: a day is lived once.
   */
  from(day: number): void {
    if (day < this.next() && !this.q.lived.get()) this.kept.set('nextDay', day)
  }

  /** The first day that has not passed in the world yet, as its UTC midnight. */
  private next(): number {
    return this.kept.number('nextDay', dayOf(this.world.clock.madeOn))
  }

  /**
   * Lets days pass until the world is where its clock stands.
   *
   * @param most days at most.
   * @returns days still to pass.
   */
  catchUp(most = Infinity): number {
    // Another process may serve the same world: a day passes once.
    this.q.begin.run()
    try {
      const today = dayOf(this.world.clock.now())
      let next = this.next()
      for (let n = 0; n < most && next < today; n++, next += DAY) {
        this.arrive(next + DAY)
        this.watching.live(next)
        this.following.live(next)
      }
      // Of the day that is under way, what comes in its course waits with its time.
      if (next >= today) this.arrive(today + DAY)
      this.kept.set('nextDay', next)
      this.q.end.run()
      return Math.max(0, Math.round((today - next) / DAY))
    } catch (error) {
      this.q.undo.run()
      throw error
    }
  }

  /** What is published before a time is there. */
  private arrive(before: number): void {
    const due = this.q.due.all(before)
    for (const { id, video } of due) {
      this.rows.add(JSON.parse(video) as WorldVideo)
      this.q.drop.run(id)
    }
    if (due.length) this.world.ranking.changed()
  }
}
