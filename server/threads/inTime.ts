import { ThreadEnded, ThreadLate } from './restartingThread'

/**
 * Asks a thread about several things together. Where that takes too long, or the thread ends, it is asked about each by
 * itself, so that one of them does not take the answers of those beside it along.
 *
 * @param alone what stands for one that cannot be answered even so. @throws what is no matter of a thread.
 */
export async function inTime<Thing, Answer>(
  things: readonly Thing[],
  ask: (things: Thing[]) => Promise<Answer[]>,
  alone: (error: unknown) => Answer,
): Promise<Answer[]> {
  if (!things.length) return []
  try {
    return await ask([...things])
  } catch (error) {
    if (things.length === 1) return [alone(error)]
    if (!(error instanceof ThreadLate || error instanceof ThreadEnded)) throw error
  }
  const each: Answer[] = []
  for (const thing of things) each.push(...(await inTime([thing], ask, alone)))
  return each
}

/** For what is unknown where it takes too long; any other error stays one. */
export function unknownWhereLate(error: unknown): null {
  if (error instanceof ThreadLate || error instanceof ThreadEnded) return null
  throw error
}
