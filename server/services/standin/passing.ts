import type { SimulatedClock } from '../../../shared/services'
import type { Standin } from './standin'

/** How often is looked whether a day has passed. */
const LOOK = 600_000
/** Days that pass between two answers. */
const AT_ONCE = 3

const pause = () =>
  new Promise<void>(resolve => {
    setImmediate(resolve)
  })

/** Lets the days of a world pass, by the machine's clock and when somebody moves it on; calls are answered between. */
export class Passing {
  private left = 0
  private moving: Promise<void> | null = null
  private closed = false
  private problem: string | null = null
  private readonly timer

  constructor(private readonly services: Standin) {
    void this.catchUp()
    this.timer = setInterval(() => void this.catchUp(), LOOK)
    this.timer.unref()
  }

  private async catchUp(): Promise<void> {
    try {
      while (!this.closed && this.services.catchUp(AT_ONCE) > 0) await pause()
      this.problem = null
    } catch (error) {
      // Answers go on from the last day that passed; it is tried again at the next look.
      this.failed(error)
    }
  }

  clock(): SimulatedClock {
    return { ...this.services.clock(), left: this.left, problem: this.problem }
  }

  /** Moves the clock on, day by day, in the background. Days asked for while it moves are added. */
  move(days: number): SimulatedClock {
    this.left += days
    this.moving ??= this.run().finally(() => {
      this.left = 0
      this.moving = null
    })
    return this.clock()
  }

  private async run(): Promise<void> {
    this.problem = null
    try {
      for (; this.left > 0 && !this.closed; this.left--) {
        this.services.move(1)
        this.services.catchUp()
        await pause()
      }
    } catch (error) {
      this.failed(error)
    }
  }

  private failed(error: unknown): void {
    this.problem = `The days could not pass: ${(error as Error).message}. Try again.`
    console.error('The simulated services could not let a day pass:', error)
  }

  /** Stops moving; the days that passed stay. */
  async stop(): Promise<SimulatedClock> {
    this.left = 0
    await this.moving
    return this.clock()
  }

  close(): void {
    this.closed = true
    clearInterval(this.timer)
  }
}
