import { cutChapters, type Cut } from '../core/chapters/cut'
import { seeded } from '../core/random'
import { WINTER_CARE_PARTS, winterCareCues } from '../demo/captions'
import type { Cue } from '../core/captions/cue'
import { joined, type Labelled } from './chapterTexts'
import { times, timing, type Timing } from './measure'
import { textTiling } from './textTiling'

/**
 * P_k (Beeferman, Berger, Lafferty 1999): how often two places half a mean subject apart are told wrongly to be of one
 * subject or of two. And WindowDiff (Pevzner, Hearst 2002), which counts the boundaries between them. 0 is perfect.
 */
export function errors(
  length: number,
  truth: readonly number[],
  told: readonly number[],
): { pk: number; windowDiff: number } {
  const side = (bounds: readonly number[]) => {
    const of = new Int32Array(length)
    for (let i = 1; i < length; i++) of[i] = of[i - 1]! + (bounds.includes(i) ? 1 : 0)
    return of
  }
  const k = Math.max(1, Math.round(length / (truth.length + 1) / 2))
  const [a, b] = [side(truth), side(told)]
  let [wrong, differs] = [0, 0]
  for (let i = 0; i + k < length; i++) {
    const [true_, told_] = [a[i + k]! - a[i]!, b[i + k]! - b[i]!]
    if ((true_ === 0) !== (told_ === 0)) wrong++
    if (true_ !== told_) differs++
  }
  const places = Math.max(1, length - k)
  return { pk: wrong / places, windowDiff: differs / places }
}

export interface Judged {
  name: string
  pk: number
  windowDiff: number
}

const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / Math.max(1, list.length)
const boundsOf = (cuts: readonly Cut[]) => cuts.slice(1).map(cut => cut.cue)

/** Ours, ours with the number of subjects given, TextTiling, even split and chance, on the same texts. */
export function judge(texts: readonly Labelled[]): Judged[] {
  const random = seeded(5)
  const ways: [string, (text: Labelled) => number[]][] = [
    ['cut from captions', ({ cues }) => boundsOf(cutChapters(cues, { language: 'en' }))],
    [
      'the same with the number of chapters given',
      ({ cues, bounds }) => boundsOf(cutChapters(cues, { language: 'en', count: bounds.length + 1 })),
    ],
    ['TextTiling', ({ cues }) => textTiling(cues, 'en')],
    [
      'split evenly, the number given',
      ({ cues, bounds }) => bounds.map((_, i) => Math.round((cues.length * (i + 1)) / (bounds.length + 1))),
    ],
    [
      'split by chance, the number given',
      ({ cues, bounds }) => bounds.map(() => 1 + Math.floor(random() * (cues.length - 1))).sort((a, b) => a - b),
    ],
  ]
  return ways.map(([name, way]) => {
    const all = texts.map(text => errors(text.cues.length, text.bounds, way(text)))
    return { name, pk: mean(all.map(each => each.pk)), windowDiff: mean(all.map(each => each.windowDiff)) }
  })
}

/** How often a boundary told with so much sureness is true, within a cue: tenth by tenth. */
export function calibration(texts: readonly Labelled[]): { low: number; told: number; true: number; n: number }[] {
  const bins = Array.from({ length: 5 }, (_, i) => ({ low: i / 5, sure: [] as number[], hits: [] as number[] }))
  for (const { cues, bounds } of texts)
    for (const { cue, sure } of cutChapters(cues, { language: 'en' }).slice(1)) {
      const bin = bins[Math.min(4, Math.floor(sure * 5))]!
      bin.sure.push(sure)
      bin.hits.push(bounds.some(bound => Math.abs(bound - cue) <= 1) ? 1 : 0)
    }
  return bins.map(({ low, sure, hits }) => ({ low, told: mean(sure), true: mean(hits), n: hits.length }))
}

/** The demo's own captions, with the parts as their maker knows them. */
function ownCaptions(): Labelled {
  const cues = winterCareCues()
  return { cues, bounds: WINTER_CARE_PARTS.slice(1).map(start => cues.findIndex(cue => cue.start >= start)) }
}

export interface ChaptersBench {
  timings: Timing[]
  joined: Judged[]
  own: Judged[]
  calibration: ReturnType<typeof calibration>
}

/** Chapters: how true, how sure, how fast. */
export async function benchChapters(): Promise<ChaptersBench> {
  const test = joined(60, 'test')
  const some = test.slice(0, 20).flatMap(text => text.cues)
  const hours = Array.from({ length: 3600 }, (_, i): Cue => ({
    start: i * 3,
    end: i * 3 + 2.8,
    text: some[i % some.length]!.text,
  }))
  const list = await times(12, 2, () => cutChapters(hours, { language: 'en' }))
  return {
    timings: [timing('chapters cut from captions', '3,600 cues, three hours', list, 500)],
    joined: judge(test),
    own: judge([ownCaptions()]),
    calibration: calibration(test),
  }
}
