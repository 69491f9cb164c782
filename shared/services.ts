/** What is asked for figures, pages and channels: the simulated services, a live one, or nothing but one's own data. */
export const SERVICE_USES = ['simulated', 'live', 'none'] as const
export type ServiceUse = (typeof SERVICE_USES)[number]

export interface ServicesInUse {
  use: ServiceUse
  /** The live service, where one is in use. */
  live: LiveService | null
}

/** The live service in use. Its key is never told, only whether there is one. */
export interface LiveService {
  address: string
  hasKey: boolean
}

/** How the simulated services misbehave. */
export interface Misbehaviour {
  /** Milliseconds each call takes at least. */
  delayMs: number
  /** Parts of calls, 0 to 1, that are refused for too many requests, fail, or tell only half. */
  refuse: number
  fail: number
  half: number
}

/** The clock of the simulated services. */
export interface SimulatedClock {
  /** UTC milliseconds. */
  now: number
  /** When their world was made. */
  madeOn: number
  /** Days it stands ahead of the machine's clock. */
  daysAhead: number
  /** Days it is still moving on. */
  left: number
  /** What kept the last days from passing. */
  problem: string | null
}

/** Days the clock can be moved on in one go. */
export const MOST_DAYS = 366
