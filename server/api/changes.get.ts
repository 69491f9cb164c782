import { changes } from '../changes'
import { eventStream } from '../http/eventStream'
import { route } from '../http/route'

/** A line that says nothing, so often that no proxy takes the silence for an end. */
const BREATH = 25_000

/** Server-sent events: `now` with the revision of each kind of thing, then `change` whenever something changed. */
export default route((event) => {
  const stream = eventStream(event)
  const stop = changes.listen((change) => { void stream.push({ event: 'change', data: JSON.stringify(change) }) })
  const breath = setInterval(() => { void stream.push({ event: 'breath', data: '' }) }, BREATH)
  stream.onClosed(() => { stop(); clearInterval(breath) })
  void stream.push({ event: 'now', data: JSON.stringify(changes.now()) })
  return stream.send()
})
