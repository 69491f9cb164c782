import { Passing } from '../../../../server/services/standin/passing'
import { MADE_ON, world } from './actingWorld'

/** The clock when it has nothing left to move. */
async function settled(passing: Passing) {
  while (passing.clock().left > 0) await new Promise(resolve => setImmediate(resolve))
  return passing.clock()
}

test('days are moved on in the background, added while it moves, and stopped between two', async () => {
  const services = world()
  const passing = new Passing(services)
  expect(passing.move(5)).toMatchObject({ left: 5, problem: null })
  expect(passing.move(3)).toMatchObject({ left: expect.any(Number), problem: null })
  expect(await settled(passing)).toMatchObject({ daysAhead: 8, madeOn: MADE_ON, problem: null })
  passing.move(300)
  const stopped = await passing.stop()
  expect(stopped.left).toBe(0)
  expect(stopped.daysAhead).toBeLessThan(300)
  expect(services.catchUp(0)).toBe(0)
  passing.close()
  services.close()
})

test('what keeps a day from passing is told, and days pass again when it is gone', async () => {
  const services = world()
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  let full = true
  const passing = new Passing({
    ...services,
    catchUp: most => {
      if (full) throw new Error('database or disk is full')
      return services.catchUp(most)
    },
  })
  passing.move(4)
  const failed = await settled(passing)
  expect(failed.problem).toBe('The days could not pass: database or disk is full. Try again.')
  expect(said).toHaveBeenCalled()
  full = false
  passing.move(2)
  expect(await settled(passing)).toMatchObject({ problem: null })
  expect(services.catchUp()).toBe(0)
  said.mockRestore()
  passing.close()
  services.close()
})
