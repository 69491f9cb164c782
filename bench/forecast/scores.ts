import { mean } from 'd3-array'

/** How good forecasts of yes or no are: the usual measures. */
export interface Scores {
  /** The chance that of a yes and a no the yes was given the higher chance. */
  auc: number
  /** Mean squared error. */
  brier: number
  /** Mean distance of what came out from what was said, over ten bins. */
  calibration: number
  bins: Bin[]
}
export interface Bin {
  n: number
  said: number
  came: number
}

export function scoresOf(chances: readonly number[], came: readonly boolean[]): Scores {
  const bins = Array.from({ length: 10 }, (): Bin => ({ n: 0, said: 0, came: 0 }))
  chances.forEach((chance, i) => {
    const bin = bins[Math.min(9, Math.floor(chance * 10))]!
    bin.n++
    bin.said += chance
    bin.came += Number(came[i])
  })
  return {
    auc: auc(chances, came),
    brier: mean(chances, (chance, i) => (chance - Number(came[i])) ** 2)!,
    calibration: bins.reduce((sum, bin) => sum + Math.abs(bin.said - bin.came), 0) / chances.length,
    bins: bins.map(({ n, said, came: yes }) => ({ n, said: said / n, came: yes / n })),
  }
}

/** By ranks, those alike sharing theirs (Mann and Whitney). */
function auc(chances: readonly number[], came: readonly boolean[]): number {
  const order = chances.map((_, i) => i).sort((a, b) => chances[a]! - chances[b]!)
  let [ranks, yes] = [0, 0]
  for (let i = 0; i < order.length;) {
    let j = i
    while (j < order.length && chances[order[j]!] === chances[order[i]!]) j++
    for (let k = i; k < j; k++)
      if (came[order[k]!]) {
        ranks += (i + j + 1) / 2
        yes++
      }
    i = j
  }
  return (ranks - (yes * (yes + 1)) / 2) / (yes * (chances.length - yes))
}
