import type { Calibration } from './calibration'
import type { Doing } from './doing'
import type { ChanceModel, LearntChannel } from './model'
import { SIGNALS } from './signals'

/** Grows when a model that was saved before cannot be used any more. */
export const CHANCE_FORMAT = 1

interface Saved {
  format: number
  signals: readonly string[]
  weights: number[]
  channels: [id: string, worth: number, off: number, doing: number][]
  videos: [id: string, worth: number][]
  rarity: { texts: number; length: number; holders: [stem: string, texts: number][] }
  doing: Doing
  calibration: Calibration
}

/** Digits beyond these change no chance that is shown. */
const rounded = (value: number) => Math.round(value * 1e4) / 1e4

/** A model as JSON. */
export function savedModel({ weights, channels, videos, rarity, doing, calibration }: ChanceModel): string {
  const saved: Saved = {
    format: CHANCE_FORMAT,
    signals: SIGNALS,
    weights: [...weights],
    channels: [...channels].map(([id, { worth, off, doing: does }]) => [
      id,
      rounded(worth),
      rounded(off),
      rounded(does),
    ]),
    videos: [...videos].map(([id, worth]) => [id, rounded(worth)]),
    rarity: { ...rarity, holders: [...rarity.holders] },
    doing,
    calibration,
  }
  return JSON.stringify(saved)
}

/** Reads a model; `null` for one of another version, which knew other signals. */
export function modelFrom(json: string): ChanceModel | null {
  const saved = JSON.parse(json) as Saved
  if (saved.format !== CHANCE_FORMAT || saved.signals.join() !== SIGNALS.join()) return null
  return {
    weights: Float64Array.from(saved.weights),
    channels: new Map(
      saved.channels.map(([id, worth, off, doing]): [string, LearntChannel] => [id, { worth, off, doing }]),
    ),
    videos: new Map(saved.videos),
    rarity: { ...saved.rarity, holders: new Map(saved.rarity.holders) },
    doing: saved.doing,
    calibration: saved.calibration,
  }
}
