import type { ChannelRight, OwnedChannel, SiteProblem, VideoSite } from '../contract'
import { SITE, type Answering } from './answering'
import { dayOf } from './clock'
import type { Days } from './days'
import type { OpenWorld } from './openWorld'

export interface Owner {
  channel_id: number
  code: string
  title: string
  authorised: number
  rights: string
}

/** Files a channel may upload a day, and how large and long they may be. */
const UPLOADS_A_DAY = 15
const MOST_BYTES = 128 * 1024 ** 3
const MOST_SECONDS = 12 * 3600
const SHORT_SECONDS = 15 * 60

const OWNER = 'SELECT o.*, c.code, c.title FROM owner o JOIN channel c ON c.id = o.channel_id'

/** Does an act whole or not at all, after the days before it have passed. */
export const acting =
  ({ db }: OpenWorld, days: Days) =>
  <Args extends unknown[], Result>(work: (...args: Args) => Result) => {
    const transaction = db.transaction(work)
    return (...args: Args): Result => {
      days.catchUp()
      return transaction.immediate(...args)
    }
  }
export type Acting = ReturnType<typeof acting>

/** The channels the account may act for, and what it may do there. */
export function siteOwners({ db, clock }: OpenWorld) {
  const all = db.prepare<[], Owner>(`${OWNER} ORDER BY o.channel_id`)
  const byCode = db.prepare<[string], Owner>(`${OWNER} WHERE c.code = ?`)
  const byChannel = db.prepare<[number], Owner>(`${OWNER} WHERE c.id = ?`)
  const authorise = db.prepare('UPDATE owner SET authorised = 1 WHERE channel_id = ?')
  const sentSince = db
    .prepare<[number, number], number>(
      `SELECT count(*) FROM release r JOIN video v ON v.id = r.video_id
        WHERE v.channel_id = ? AND r.sent_at >= ? AND r.request IS NOT NULL`,
    )
    .pluck()

  const rightsOf = (owner: Owner) => JSON.parse(owner.rights) as ChannelRight[]
  const limits = (owner: Owner): OwnedChannel['limits'] => ({
    uploadsLeft: Math.max(0, UPLOADS_A_DAY - sentSince.get(owner.channel_id, dayOf(clock.now()))!),
    bytes: MOST_BYTES,
    seconds: rightsOf(owner).includes('long-videos') ? MOST_SECONDS : SHORT_SECONDS,
  })
  return {
    all: () => all.all(),
    byCode: (code: string) => byCode.get(code),
    byChannel: (channel: number) => byChannel.get(channel),
    authorise: (owner: Owner) => authorise.run(owner.channel_id),
    rightsOf,
    limits,
    /** What keeps the account from an act; nothing when it may. */
    mayNot: (owner: Owner | undefined, right: ChannelRight, field = 'channel'): SiteProblem[] => {
      if (!owner) return [{ field, message: 'This account may not act for the channel.' }]
      if (!owner.authorised) return [{ field, message: 'The channel has not agreed yet. Ask for its agreement.' }]
      return rightsOf(owner).includes(right) ? [] : [{ field, message: 'The channel lacks the right to do this.' }]
    },
    spent: (owner: Owner): SiteProblem[] =>
      limits(owner).uploadsLeft ? [] : [{ field: 'channel', message: 'The channel has published enough for today.' }],
  }
}
export type SiteOwners = ReturnType<typeof siteOwners>

/** The account, and asking a channel for its agreement. */
export function siteAccount(owners: SiteOwners, { say }: Answering): Pick<VideoSite, 'account' | 'authorise'> {
  return {
    account: say(SITE, () => ({
      channels: owners.all().map(owner => ({
        id: owner.code,
        title: owner.title,
        authorised: owner.authorised === 1,
        rights: owners.rightsOf(owner),
        limits: owners.limits(owner),
      })),
    })),
    // The simulated owners agree at once.
    authorise: say(SITE, (channel: string) => {
      const owner = owners.byCode(channel)
      if (owner) owners.authorise(owner)
      return { authorised: owner !== undefined, address: null }
    }),
  }
}
