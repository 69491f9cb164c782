import { createEventStream, type EventStream, type H3Event } from 'h3'

const open = new Set<EventStream>()

/** Server-sent events, ended when the program is to end, which an open stream would keep from it. */
export function eventStream(event: H3Event): EventStream {
  const stream = createEventStream(event)
  open.add(stream)
  stream.onClosed(() => {
    open.delete(stream)
  })
  return stream
}

/** Ends every stream. */
export function endStreams(): void {
  for (const stream of open) void stream.close()
}
