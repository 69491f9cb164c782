import type { Answer, Services } from './contract'
import { CALLS, SERVICE_NAMES, type ServiceName } from './wire'

/** Calls to one service that are under way at a time, whoever makes them. */
const AT_ONCE = 32
/**
 * Milliseconds all calls to a service wait after it has refused one; twice as long after each further refusal, up to
 * the longest.
 */
const PAUSE = 150
const LONGEST_PAUSE = 5000
/** Suggestions are requested with each letter: an answer is reused for this long. */
const SUGGESTED_MS = 300_000
const SUGGESTIONS_KEPT = 500

/** Calls a service by the names of its contract. */
export type AskService = (service: ServiceName, method: string, args: unknown[]) => Promise<Answer<unknown>>

/** How fast one service may be asked. */
class Budget {
  private running = 0
  private refusals = 0
  private until = 0
  private readonly queue: (() => void)[] = []

  async run<Result>(work: () => Promise<Result>): Promise<Result> {
    if (this.running >= AT_ONCE)
      await new Promise<void>(resolve => {
        this.queue.push(resolve)
      })
    else this.running++
    try {
      const pause = this.until - Date.now()
      if (pause > 0)
        await new Promise(resolve => {
          setTimeout(resolve, pause)
        })
      const result = await work()
      this.refusals = 0
      return result
    } catch (error) {
      if ((error as Error).name === 'ServiceRefused')
        this.until = Math.max(this.until, Date.now() + Math.min(LONGEST_PAUSE, PAUSE * 2 ** this.refusals++))
      throw error
    } finally {
      // Who waits next takes the place over.
      const next = this.queue.shift()
      if (next) next()
      else this.running--
    }
  }
}

/**
 * Services that are asked no faster than they bear, whoever asks: one budget a service, equal calls under way shared,
 * suggestions remembered for some minutes.
 */
export function gate(ask: AskService): Services & { forget: () => void } {
  const budgets = Object.fromEntries(SERVICE_NAMES.map(name => [name, new Budget()])) as Record<ServiceName, Budget>
  const underWay = new Map<string, Promise<Answer<unknown>>>()
  const suggested = new Map<string, { at: number; answer: Answer<unknown> }>()

  async function call(service: ServiceName, method: string, args: unknown[]): Promise<Answer<unknown>> {
    const key = JSON.stringify([service, method, args])
    const cached = method === 'suggest' ? suggested.get(key) : undefined
    if (cached && Date.now() - cached.at < SUGGESTED_MS) return cached.answer
    let work = underWay.get(key)
    if (!work)
      underWay.set(
        key,
        (work = budgets[service].run(() => ask(service, method, args)).finally(() => underWay.delete(key))),
      )
    const answer = await work
    if (method === 'suggest' && answer.complete) {
      if (suggested.size >= SUGGESTIONS_KEPT) suggested.delete(suggested.keys().next().value!)
      suggested.set(key, { at: Date.now(), answer })
    }
    return answer
  }

  const services = Object.fromEntries(
    SERVICE_NAMES.map(service => [
      service,
      Object.fromEntries(
        Object.keys(CALLS[service]).map(method => [method, (...args: unknown[]) => call(service, method, args)]),
      ),
    ]),
  ) as unknown as Services
  return {
    ...services,
    /** Forgets what was remembered: another service is asked from now on. */ forget: () => {
      suggested.clear()
      underWay.clear()
    },
  }
}
