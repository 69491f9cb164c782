import { setCookie } from 'h3'
import { COOKIE } from '../../access/admit'
import { network } from '../../access/network'
import { tries } from '../../access/tries'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'

const MONTH = 30 * 86_400

/** Signs a window in with a key. */
export default route('POST /api/session', async (event, { access, services }, { body }) => {
  const { key } = body
  const found = await tries(event, () => access.check(key))
  if (!found) throw new Problem(401, 'wrong-key', 'This key is unknown or was revoked. Ask the owner for a new one.')
  setCookie(event, COOKIE, access.begin(found.id), {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: MONTH,
    secure: network().origin?.protocol === 'https:',
  })
  return { needed: network().shared, who: { name: found.name, role: found.role }, now: services.now() }
})
