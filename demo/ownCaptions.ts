import Database from 'better-sqlite3'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readCaptions } from '../core/captions/read'
import { writeCaptions } from '../core/captions/write'
import { HOME_CHANNEL } from '../server/services/standin/channels'

/** What is said in videos of the workshop: the files in `demo/captions`, and whose they are, by their titles. */
const SPOKEN: [file: string, title: RegExp][] = [
  ['bleeding-a-disc-brake.srt', /bleed.*disc brake/iu],
  ['a-chain-rusty-after-winter.vtt', /chain.*rusty after winter/iu],
  ['fixing-a-chain-without-a-shop.srt', /fix a bike chain without a shop/iu],
  ['cleaning-gears-with-a-toothbrush.vtt', /clean.*gears with a toothbrush/iu],
  ['replacing-a-bike-wheel.vtt', /replace a bike wheel yourself/iu],
]

/** Gives the workshop's videos of a world what was written for them. @throws Error where one is not there. */
export async function giveOwnCaptions(world: string): Promise<void> {
  const db = new Database(world)
  try {
    const videos = db
      .prepare<[string], { id: number; title: string }>(
        'SELECT v.id, v.title FROM video v JOIN channel c ON c.id = v.channel_id WHERE c.code = ? ORDER BY v.published_at DESC',
      )
      .all(HOME_CHANNEL.id)
    const put = db.prepare('UPDATE video SET captions = ? WHERE id = ?')
    for (const [file, title] of SPOKEN) {
      const video = videos.find(each => title.test(each.title))
      if (!video) throw new Error(`No video of the workshop is titled ${String(title)}.`)
      const { cues } = await readCaptions(readFileSync(join(process.cwd(), 'demo/captions', file), 'utf8'))
      put.run(writeCaptions(cues, 'webvtt'), video.id)
    }
  } finally {
    db.close()
  }
}
