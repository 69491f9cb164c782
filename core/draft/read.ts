import type { Captions } from '../captions/cue'
import { outlineCaptions } from '../captions/outline'
import { captionsOf } from '../captions/read'
import type { Draft, DraftTexts } from './draft'

/** Captions are the same from one key typed to the next, and take long to read. */
const KEPT = 6
const kept = new Map<string, Promise<Captions>>()

function remembered(key: string, read: () => Promise<Captions>): Promise<Captions> {
  let captions = kept.get(key)
  if (!captions) {
    if (kept.size >= KEPT) kept.delete(kept.keys().next().value!)
    kept.set(key, (captions = read()))
    // What cannot be read is read anew, and fails anew.
    captions.catch(() => kept.delete(key))
  }
  return captions
}

/**
 * A draft with what is spoken read: the captions, or the outline in their place.
 *
 * @throws CaptionsFault where there are captions with times and none can be read.
 */
export async function readDraft({ captions, outline, ...texts }: DraftTexts): Promise<Draft> {
  if (captions !== undefined)
    return { ...texts, captions: await remembered(`c${captions}`, () => captionsOf(captions)) }
  if (outline === undefined) return texts
  const { durationSeconds } = texts
  return {
    ...texts,
    captions: await remembered(`${durationSeconds ?? ''}o${outline}`, () =>
      Promise.resolve(outlineCaptions(outline, durationSeconds)),
    ),
  }
}
