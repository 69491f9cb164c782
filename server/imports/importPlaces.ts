import type { ImportProgress } from '../../shared/imports'
import type { PlaceStore } from '../data/places'
import type { PlacesEvent } from './readPlaces'
import { Refusals } from './refusals'
import { inDigits } from '../../core/text/inWords'

export interface PlacesAnswer {
  accepted: number
  rejected: { line: number; reason: string }[]
  rejectedMore: number
}

/** Keeps the places of a list as they are read. @param signal ends it after the batch at work; what was kept stays. */
export async function importPlaces(
  places: PlaceStore,
  events: AsyncIterable<PlacesEvent>,
  { source, signal, tell }: { source: string; signal?: AbortSignal; tell?: (progress: ImportProgress) => void },
): Promise<PlacesAnswer> {
  const refusals = new Refusals()
  let accepted = 0
  for await (const event of events) {
    if (event.kind === 'refused') refusals.add(event.lines)
    else {
      places.save(event.list, source)
      accepted += event.list.length
      tell?.({ part: event.part, said: `${inDigits(accepted)} places imported` })
    }
    if (signal?.aborted) break
    await new Promise(resolve => setImmediate(resolve))
  }
  places.settle()
  return { accepted, ...refusals.summary() }
}
