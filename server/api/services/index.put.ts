import { z } from 'zod'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'
import { ownPort } from '../../runtime'
import { addressFault } from '../../services/address'
import { remoteServices } from '../../services/remote'
import { isServiceFault } from '../../services/retry'

const body = z.object({
  address: z
    .string('Give an address such as https://demand.example/api.')
    .trim()
    .max(500, 'An address can be 500 characters at most.')
    .nullable()
    .superRefine((given, context) => {
      const fault = given === null ? null : addressFault(given, ownPort())
      if (fault) context.addIssue({ code: 'custom', message: fault })
    }),
  /** Absent keeps the key there is for the same server, empty takes it away. */
  key: z.string().max(500).optional(),
})

/** Attaches a live service once it has answered, or with `address: null` goes back to the simulated ones. */
export default route(async (event, { attached, services }) => {
  const { address, key } = await bodyOf(event, body)
  if (address === null) {
    attached.forget()
    services.attach(null)
    return { live: null }
  }
  const before = attached.get()
  // A key belongs to the server it was given for and is not sent to another one.
  const kept = before && new URL(before.address).origin === new URL(address).origin ? before.key : null
  const next = { address, key: key === undefined ? kept : key || null }
  try {
    await remoteServices({ ...next, timeOutMs: 8000 }).demand.related('test', null, 'en')
  } catch (error) {
    if (!isServiceFault(error)) throw error
    throw new Problem(422, 'no-service', `${(error as Error).message} Nothing was changed.`)
  }
  attached.set(next.address, next.key)
  services.attach(next)
  return { live: { address: next.address, hasKey: next.key !== null } }
})
