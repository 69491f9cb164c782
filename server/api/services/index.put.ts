import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { servicesInUse } from '../../http/servicesInUse'
import { ownPort } from '../../folders'
import { addressFault } from '../../services/address'
import { remoteServices } from '../../services/remote'
import { isServiceFault } from '../../services/retry'

/** Attaches a live service once it has answered, goes back to the simulated ones, or asks none from now on. */
export default route('PUT /api/services', async (event, { accounts, audiences, attached, services }, { body }) => {
  const { address, key } = body
  const use = body.use ?? (address === null ? 'simulated' : 'live')
  if (use !== 'live') {
    attached.forget(use)
    accounts.forget()
    audiences.forgetTold()
    services.attach(use === 'none' ? 'none' : null)
    return servicesInUse(attached)
  }
  const fault = address === null ? 'Give the address of the service.' : addressFault(address, ownPort())
  if (address === null || fault)
    throw new Problem(400, 'bad-input', `address: ${fault}`, [{ field: 'address', message: fault! }])
  const before = attached.get()
  // A key belongs to the server it was given for and is not sent to another one.
  const keyBefore = before && new URL(before.address).origin === new URL(address).origin ? before.key : null
  const next = { address, key: key === undefined ? keyBefore : key || null }
  try {
    await remoteServices({ ...next, timeOutMs: 8000 }).demand.related('test', null, 'en')
  } catch (error) {
    if (!isServiceFault(error)) throw error
    throw new Problem(422, 'no-service', `${(error as Error).message} Nothing was changed.`)
  }
  attached.set(next.address, next.key)
  accounts.forget()
  audiences.forgetTold()
  services.attach(next)
  return servicesInUse(attached)
})
