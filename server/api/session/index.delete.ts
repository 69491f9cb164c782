import { deleteCookie, getCookie } from 'h3'
import { COOKIE } from '../../access/admit'
import { route } from '../../http/route'

/** Signs a window out. */
export default route('DELETE /api/session', (event, { access }) => {
  const token = getCookie(event, COOKIE)
  if (token) access.end(token)
  deleteCookie(event, COOKIE, { path: '/' })
  return { ended: true }
})
