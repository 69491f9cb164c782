import type { ImportProgress, PlacesImported } from '../../shared/imports'
import type { PlaceStore } from '../data/places'
import type { PlacesEvent } from './readPlaces'
import { Refusals } from './refusals'
import { inDigits } from '../../core/text/inWords'

/** Keeps the places of a list as they are read. @param signal ends it after the batch at work; what was kept stays. */
export async function importPlaces(
  places: PlaceStore,
  events: AsyncIterable<PlacesEvent>,
  { source, signal, report }: { source: string; signal?: AbortSignal; report?: (progress: ImportProgress) => void },
): Promise<PlacesImported> {
  const refusals = new Refusals()
  let accepted = 0
  for await (const event of events) {
    if (event.kind === 'refused') refusals.add(event.lines)
    else {
      places.save(event.list, source)
      accepted += event.list.length
      report?.({ part: event.part, said: `${inDigits(accepted)} places imported` })
    }
    if (signal?.aborted) break
    await new Promise(resolve => setImmediate(resolve))
  }
  places.settle()
  return { accepted, ...refusals.summary() }
}
