import { route } from '../../http/route'

/** Sets the order of preference of the sources. */
export default route('PUT /api/sources/order', async (event, { sources }, { body }) => {
  await sources.order(body.ids)
  return { sources: sources.list() }
})
