import { eventStream } from '../../../http/eventStream'
import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'

/** Server-sent events: `row` for each row, those done so far first, and `end` with the last state. */
export default route('GET /api/jobs/:id/events', (event, { jobs }) => {
  const id = paramOf(event, 'id')
  if (!jobs.get(id)) throw new Problem(404, 'no-such-job', 'This job does not exist. It may have ended long ago.')
  const stream = eventStream(event)
  const stop = jobs.listen(id, ({ name, data }) => {
    void stream
      .push({ event: name, data: JSON.stringify(data) })
      .then(() => (name === 'end' ? stream.close() : undefined))
  })
  stream.onClosed(() => stop?.())
  return stream.send()
})
