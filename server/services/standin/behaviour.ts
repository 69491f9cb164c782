import type { Misbehaviour } from '../../../shared/services'
import { serviceError } from '../contract'
import { seeded } from './chance'

export const WELL_BEHAVED: Misbehaviour = { delayMs: 0, refuse: 0, fail: 0, half: 0 }

/** Latency, refusal and failure, switched on by settings and drawn from a seed. */
export class Behaviour {
  private readonly random = seeded(4711)
  current: Misbehaviour

  constructor(settings: Partial<Misbehaviour> = {}) {
    this.current = { ...WELL_BEHAVED, ...settings }
  }

  async before(): Promise<void> {
    const { delayMs, refuse, fail } = this.current
    if (delayMs > 0) await new Promise(resolve => setTimeout(resolve, delayMs))
    const luck = this.random()
    if (luck < refuse) throw serviceError('ServiceRefused', 'Too many requests; try again a little later.')
    if (luck < refuse + fail) throw serviceError('ServiceFailed', 'The service did not answer as it should.')
  }

  half(): boolean {
    return this.random() < this.current.half
  }
}

/** Settings as the environment states them: FONETRA_STANDIN_DELAY_MS, _REFUSE, _FAIL and _HALF. */
export function misbehaviourFrom(env: Record<string, string | undefined>): Partial<Misbehaviour> {
  const number = (name: string) => Number(env[`FONETRA_STANDIN_${name}`] ?? 0) || 0
  return { delayMs: number('DELAY_MS'), refuse: number('REFUSE'), fail: number('FAIL'), half: number('HALF') }
}
