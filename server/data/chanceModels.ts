import type { Judged } from '../../core/chance/judging'
import { relaxedTransaction, type Db } from './open'

/** A model as kept; `model` is JSON (core/chance/saved). */
export interface ChanceModelRow {
  region: string
  source: string
  language: string
  at: number
  pages: number
  kept: number
  families: number
  used: number
  judged: string
  errors: string
  model: string
}
/** A model to be kept, with what every page of its region asks by it: `null` of those it does not hold for. */
export interface ModelToKeep {
  region: string
  source: string
  language: string
  pages: number
  kept: number
  families: number
  used: boolean
  judged: Judged
  errors: number[]
  model: string
  hurdles: { phraseId: number; hurdle: number | null }[]
}
/** What it takes to tell what a page asks by it. */
export type ModelToJudgeBy = Pick<ModelToKeep, 'region' | 'source' | 'language' | 'used' | 'model'>

/** Hurdles written in one go, so that nobody waits long for them. */
const TOGETHER = 2000

export type ChanceModelStore = ReturnType<typeof chanceModelStore>

/** What was learnt of how sites rank, by region, and what pages ask of a new video by it. */
export function chanceModelStore(db: Db, changed: (ids: readonly number[]) => void = () => undefined) {
  const all = db.prepare<[], ChanceModelRow>('SELECT * FROM chance_model')
  const put = db.prepare('INSERT OR REPLACE INTO chance_model VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
  const set = db.prepare('UPDATE standing_page SET hurdle = ? WHERE phrase_id = ? AND region = ?')
  const suspend = db.prepare('UPDATE chance_model SET used = 0, kept = 0 WHERE region = ?')
  const write = relaxedTransaction(db, (region: string, hurdles: ModelToKeep['hurdles']) => {
    for (const { phraseId, hurdle } of hurdles) set.run(hurdle, phraseId, region)
  })
  return {
    all: (): ChanceModelRow[] => all.all(),
    /** A model is used no more; where another is on its way and does not come, it is learnt anew. */
    suspend: (region: string) => {
      suspend.run(region)
    },
    /** Writes what pages ask, some at a time. */
    async putHurdles({ region, hurdles }: Pick<ModelToKeep, 'region' | 'hurdles'>): Promise<void> {
      for (let from = 0; from < hurdles.length; from += TOGETHER) {
        const some = hurdles.slice(from, from + TOGETHER)
        write(region, some)
        changed(some.map(each => each.phraseId))
        await new Promise(resolve => setImmediate(resolve))
      }
    },
    /** Keeps a model in the place of the one before, once what its pages ask is written. */
    put(model: ModelToKeep, at: number): void {
      const { region, source, language, pages, kept, families, used, judged, errors } = model
      const told = [JSON.stringify(judged), JSON.stringify(errors), model.model]
      put.run(region, source, language, at, pages, kept, families, Number(used), ...told)
    },
    /** What a page asks of a new video, worked out anew. */
    setHurdle(phraseId: number, region: string, hurdle: number | null): void {
      set.run(hurdle, phraseId, region)
      changed([phraseId])
    },
  }
}
