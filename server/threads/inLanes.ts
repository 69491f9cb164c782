/**
 * Asks about many things in batches, several of them side by side; answers come in the order of the things.
 *
 * @param ask answers a batch, in its order; its lane is one of `lanes`.
 */
export async function* inLanes<Thing, Answer>(
  things: AsyncIterable<Thing> | Iterable<Thing>,
  { lanes, together }: { lanes: number; together: number },
  ask: (batch: Thing[], lane: number) => Promise<Answer[]>,
): AsyncGenerator<Answer> {
  let waiting: Thing[] = []
  let batches = 0
  const underWay: Promise<Answer[]>[] = []
  const begin = () => {
    const batch = ask(waiting, batches++ % lanes)
    // Who stops reading waits for it no more.
    batch.catch(() => undefined)
    underWay.push(batch)
    waiting = []
  }
  for await (const thing of things) {
    waiting.push(thing)
    if (waiting.length < together) continue
    begin()
    if (underWay.length > lanes) yield* await underWay.shift()!
  }
  if (waiting.length) begin()
  while (underWay.length) yield* await underWay.shift()!
}
