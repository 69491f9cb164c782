import type { ChannelRight } from '../../core/release/rights'
import { DAY } from '../../core/time'
import type { AccountStore } from '../data/accountChannels'
import type { AccountLook } from '../../shared/release'
import type { AskedStore } from '../data/asked'
import type { MayAsk, Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'

/** Rights change seldom. */
const LOOK_AGE_MS = DAY / 24
const WHAT = ['account']

export interface AccountDeps extends MayAsk {
  accounts: AccountStore
  services: Pick<Services, 'site'>
  asked: AskedStore
  now: () => number
}

/**
 * What the site lets one do for a channel: nothing for one that it does not name.
 * @returns `null` without a channel, and where the site was never asked.
 */
export function rightsFor(accounts: AccountStore, channel: string | null): readonly ChannelRight[] | null {
  if (channel === null || accounts.toldAt() === null) return null
  return accounts.get(channel)?.rights ?? []
}

/** Looks what the account may do for a channel, at most once an hour. @param anew asks also before that. */
export async function lookAtAccount(
  { accounts, services, asked, now, mayAsk = true, ownDataOnly }: AccountDeps,
  channel: string | null,
  anew = false,
): Promise<AccountLook> {
  let problem: string | null = null
  const at = accounts.toldAt()
  if (channel !== null && mayAsk && !ownDataOnly && (anew || at === null || now() - at >= LOOK_AGE_MS)) {
    const waits = anew ? null : asked.waits(WHAT)
    if (waits) problem = waits.problem
    else
      try {
        const answer = await withRetry(() => services.site.account())
        if (answer.complete) accounts.save(answer)
        else {
          // Half a list would say of channels left out that nothing is allowed for them.
          problem = 'The site told only a part. Ask again.'
          asked.failed([WHAT], problem)
        }
      } catch (error) {
        if (!isServiceFault(error)) throw error
        problem = (error as Error).message
        asked.failed([WHAT], problem)
      }
  }
  const found = channel === null ? null : accounts.get(channel)
  return { channel: found, told: channel !== null && accounts.toldAt() !== null, problem }
}
