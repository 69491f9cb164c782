import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { mean } from 'd3-array'
import { meanChance } from '../../core/chance/calibration'
import { learn } from '../../core/chance/learn'
import { hurdlesOf, ownValue, wordingValue } from '../../core/chance/model'
import { askedStems, readVideoText, SIGNAL, stemsOf } from '../../core/chance/signals'
import { strengthAsWorded } from '../../core/draft/chances'
import { pageFamilies } from '../../core/evidence/families'
import { seeded } from '../../core/random'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { chanceOfPageOne } from '../../core/rivals/forecast'
import { ownStrength } from '../../core/rivals/ownStrength'
import { RivalReader, strength } from '../../core/rivals/strength'
import { readPhrase } from '../../core/text/match'
import { DAY } from '../../core/time'
import type { SiteVideo } from '../../server/services/contract'
import { makeWorld } from '../../server/services/standin/world'
import { goesOn, LANGUAGE, observed, resultOf, standingAt } from './observed'
import { MADE_ON, open, type TrialChannel, type TrialPage } from './trial'

/** A site of which little is known. */
export const SMALL = { world: { phrases: 900, videos: 2_400, channels: 120 }, pages: 75, lists: 6 }
const FOLDS = 3
/** A good half of all videos' lengths lie within; nothing on the site depends on it. */
const ERRORS_95 = 1.96

/** What learning did in a small world. */
export interface Small {
  seed: number
  tries: number
  /** Whether the learnt chances were used, in how many of the three rounds. */
  used: number
  /** Mean squared errors on pages left out: of what is used after learning, and of the constants. */
  learnt: number
  constants: number
  /** Whether the interval of a signal that does nothing, the length of the video, holds 0. */
  idleHeld: boolean
}

type Page = Pick<TrialPage, 'phrase' | 'videos'>
type Listed = Pick<TrialChannel, 'channel' | 'videos'>

async function look(seed: number, dir: string): Promise<{ pages: Page[]; lists: Listed[] }> {
  const file = join(dir, `small-${seed}.sqlite`)
  makeWorld(file, SMALL.world, seed, MADE_ON, () => undefined, true)
  const { world, site } = open(file)
  const random = seeded(seed ^ 0x5a11)
  const shuffled = <Row>(rows: Row[]) =>
    rows
      .map(row => ({ row, key: random() }))
      .sort((a, b) => a.key - b.key)
      .map(({ row }) => row)
  const phrases = world.db
    .prepare<[], string>("SELECT text FROM phrase WHERE language = 'en' AND text NOT LIKE '%,%' ORDER BY id LIMIT 300")
    .pluck()
    .all()
  const pages: Page[] = []
  for (const phrase of shuffled(phrases).slice(0, SMALL.pages))
    pages.push({ phrase, videos: (await site.search(phrase, null, LANGUAGE, PAGE_SEATS)).data.videos })
  const codes = world.db
    .prepare<[], string>("SELECT code FROM channel WHERE hidden = 0 AND videos > 5 AND trade <> 'fahrrad'")
    .pluck()
    .all()
  const lists: Listed[] = []
  for (const code of shuffled(codes).slice(0, SMALL.lists))
    lists.push({
      channel: (await site.channel(code, LANGUAGE)).data!,
      videos: (await site.channelVideos(code, LANGUAGE)).data,
    })
  world.db.close()
  for (const end of ['', '-wal', '-shm']) rmSync(file + end, { force: true })
  return { pages, lists }
}

/** Learns from two thirds of the pages kept, and foretells the videos of listed channels on the others. */
export async function smallWorld(seed: number, dir: string): Promise<Small> {
  const { pages, lists } = await look(seed, dir)
  const all = observed(pages, lists, MADE_ON)
  const { family } = pageFamilies(all.pages.map(page => page.seats.map(seat => seat.video)))
  const reader = new RivalReader(LANGUAGE)
  const [learnt, constants]: [number[], number[]] = [[], []]
  let used = 0
  for (let fold = 0; fold < FOLDS; fold++) {
    const found = learn(
      observed(
        pages.filter((_, i) => family[i]! % FOLDS !== fold),
        lists,
        MADE_ON,
      ),
    )
    if (found?.better) used++
    const outer = pages.filter((page, i) => family[i]! % FOLDS === fold && goesOn(page))
    for (const page of outer)
      for (const { channel, videos } of lists)
        for (const video of videos.filter(each => holdsAll(page.phrase, each))) {
          const won = page.videos.some(other => other.id === video.id)
          const others = page.videos.filter(other => other.id !== video.id)
          const fixed = byConstants(page.phrase, video, others, { channel, videos }, reader)
          const said = found?.better ? byLearnt(found.model, page.phrase, video, others) : fixed
          learnt.push((said - Number(won)) ** 2)
          constants.push((fixed - Number(won)) ** 2)
        }
  }
  const whole = learn(all)!
  return {
    seed,
    tries: learnt.length,
    used,
    learnt: mean(learnt)!,
    constants: mean(constants)!,
    idleHeld: Math.abs(whole.model.weights[SIGNAL.length]!) <= ERRORS_95 * whole.errors[SIGNAL.length]!,
  }
}

function holdsAll(phrase: string, video: SiteVideo): boolean {
  const stems = stemsOf(readVideoText(video, LANGUAGE))
  return askedStems(readPhrase(phrase, LANGUAGE)).every(stem => stems.has(stem))
}

function byLearnt(
  model: Parameters<typeof hurdlesOf>[0],
  phrase: string,
  video: SiteVideo,
  others: readonly SiteVideo[],
): number {
  const results = others.map(other => resultOf(other, MADE_ON))
  const { ranks } = hurdlesOf(model, phrase, LANGUAGE, results, true)!
  const own = ownValue(model, video.channel.id, video.channel.subscribers, standingAt(video, MADE_ON).ageDays!)
  const wording = wordingValue(model, phrase, LANGUAGE, readVideoText(video, LANGUAGE))
  return meanChance(own.value + wording - ranks[PAGE_SEATS - 1]!, own.spread)
}

function byConstants(
  phrase: string,
  video: SiteVideo,
  others: readonly SiteVideo[],
  { channel, videos }: Listed,
  reader: RivalReader,
): number {
  const read = readPhrase(phrase, LANGUAGE)
  const strengths = others.map(
    other =>
      strength(
        read,
        { ...other, subscribers: other.channel.subscribers, viewsPerDay: standingAt(other, MADE_ON).viewsPerDay },
        reader,
      ).strength,
  )
  const list = videos.map(each => ({ views: each.views!, publishedAt: each.publishedAt! }))
  const own = ownStrength({ subscribers: channel.subscribers, videos: list }, MADE_ON + DAY)!
  return chanceOfPageOne(
    strengthAsWorded(
      own,
      phrase,
      { title: video.title, description: video.description!, tags: video.tags! },
      LANGUAGE,
      reader,
    ),
    strengths,
    true,
  )!
}
