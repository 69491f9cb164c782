import { route } from '../../http/route'

/** Which services are asked. The key is never told, only whether there is one. */
export default route((_event, { attached }) => {
  const live = attached.get()
  return { live: live && { address: live.address, hasKey: live.key !== null } }
})
