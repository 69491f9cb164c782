import type { ChannelRight } from '../../core/release/rights'
import type { AccountChannel } from '../../shared/release'
import type { Answer, OwnedChannel } from '../services/contract'
import type { Db } from './open'

interface Row {
  code: string
  title: string
  authorised: 0 | 1
  rights: string
  limits: string
  source: string
  at: number
}

export type AccountStore = ReturnType<typeof accountStore>

export function accountStore(db: Db) {
  const find = db.prepare<[string], Row>('SELECT * FROM account_channel WHERE code = ?')
  const newest = db.prepare<[], number | null>('SELECT max(at) FROM account_channel').pluck()
  const clear = db.prepare('DELETE FROM account_channel')
  const put = db.prepare(
    `INSERT INTO account_channel (code, title, authorised, rights, limits, source, at) VALUES (?, ?, ?, ?, ?, ?, ?)`,
  )
  const save = db.transaction(({ source, at, data }: Answer<{ channels: OwnedChannel[] }>) => {
    clear.run()
    for (const { id, title, authorised, rights, limits } of data.channels)
      put.run(id, title, Number(authorised), JSON.stringify(rights), JSON.stringify(limits), source, at)
  })
  return {
    get(channel: string): AccountChannel | null {
      const row = find.get(channel)
      return row
        ? {
            id: row.code,
            title: row.title,
            authorised: row.authorised === 1,
            rights: JSON.parse(row.rights) as ChannelRight[],
            limits: JSON.parse(row.limits) as OwnedChannel['limits'],
            source: row.source,
            at: row.at,
          }
        : null
    },
    /** When the account told of its channels last; `null` for never. */
    toldAt: (): number | null => newest.get() ?? null,
    /** Another site is asked from now on. */
    forget: (): void => {
      clear.run()
    },
    /** Keeps what the account told; what it told before is gone. */
    save: (answer: Answer<{ channels: OwnedChannel[] }>) => save.immediate(answer),
  }
}
