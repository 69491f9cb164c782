import { whoIs } from '../access/admit'
import { changes } from '../changes'
import { eventStream } from '../http/eventStream'
import { route } from '../http/route'

/** A line that says nothing, so often that no proxy takes the silence for an end. */
const BREATH = 25_000

/** Server-sent events: `now` with the revision of each kind of thing, then `change` whenever something changed. */
export default route('GET /api/changes', (event, { access }) => {
  const stream = eventStream(event)
  const stop = changes.listen(change => {
    void stream.push({ event: 'change', data: JSON.stringify(change) })
  })
  // Whose key was taken back meanwhile hears no more, and nobody does once the data is closed.
  const stillMay = () => whoIs(event, () => access).catch(() => null)
  const breath = setInterval(() => {
    void stillMay().then(who => (who ? stream.push({ event: 'breath', data: '' }) : stream.close()))
  }, BREATH)
  stream.onClosed(() => {
    stop()
    clearInterval(breath)
  })
  void stream.push({ event: 'now', data: JSON.stringify(changes.now()) })
  return stream.send()
})
