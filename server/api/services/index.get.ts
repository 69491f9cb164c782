import { route } from '../../http/route'

/** The services in use. The key is never returned, only whether there is one. */
export default route('GET /api/services', (_event, { attached }) => {
  const live = attached.get()
  return { live: live && { address: live.address, hasKey: live.key !== null } }
})
