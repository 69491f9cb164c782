import type { ConnectedServices } from '../../../../server/services/connect'
import { withRetry } from '../../../../server/services/retry'
import { switchboard } from '../../../../server/services/switchboard'

const DAY = 86_400_000
let asked = 0
/** Simulated services whose clock stands a day ahead. */
const standin = {
  demand: {
    related: () => {
      asked++
      return Promise.resolve({ source: 'demand data', at: Date.now() + DAY, complete: true, data: [] })
    },
  },
} as unknown as ConnectedServices
beforeEach(() => {
  asked = 0
})

test('where no service is used nothing is asked, at once and without another try', async () => {
  const services = switchboard(standin, 'none')
  expect([services.isNone(), services.isLive()]).toEqual([true, false])
  // Another try would come after a minute.
  const asking = withRetry(() => services.demand.related('bike', null, 'en'), { waits: [60_000] })
  await expect(asking).rejects.toMatchObject({
    name: 'NoService',
    message: expect.stringContaining('only your own data') as string,
  })
  expect(asked).toBe(0)
})

test('the simulated ones come back, and time is that of who is asked', async () => {
  const services = switchboard(standin, null)
  await services.demand.related('bike', null, 'en')
  expect(asked).toBe(1)
  expect(services.now() - Date.now()).toBeGreaterThan(DAY / 2)
  services.attach('none')
  expect(services.isNone()).toBe(true)
  expect(Math.abs(services.now() - Date.now())).toBeLessThan(DAY / 2)
  await expect(services.demand.related('bike', null, 'en')).rejects.toThrow('No service is asked')
  services.attach(null)
  await services.demand.related('bike', null, 'en')
  expect(asked).toBe(2)
})
