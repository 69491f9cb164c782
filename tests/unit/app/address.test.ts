import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { followScreens, goTo, queryAhead, useAddress } from '../../../app/composables/address'

let release: () => void
let router: Router

beforeEach(async () => {
  const waits = new Promise<void>(done => (release = done))
  const slow = async () => {
    await waits
    return { template: '' }
  }
  router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/next', component: { template: '' } },
      { path: '/desk', component: slow },
    ],
  })
  Object.assign(globalThis, { useRouter: () => router, useRoute: () => router.currentRoute.value })
  followScreens(router)
  await router.push('/next?a=1')
})

test('two changes at once both count', async () => {
  const change = useAddress()
  await Promise.all([change({ b: '2' }), change({ c: '3', a: null })])
  expect(router.currentRoute.value.fullPath).toBe('/next?b=2&c=3')
})

test('what the address has just become counts, though the screen is not told yet', async () => {
  const shown = router.currentRoute.value
  Object.assign(globalThis, { useRoute: () => shown })
  const change = useAddress()
  await change({ b: '2' })
  await change({ c: '3' })
  expect(router.currentRoute.value.query).toEqual({ a: '1', b: '2', c: '3' })
})

test('a screen that was left, and is still shown, changes nothing of the next one; the frame does', async () => {
  const shown = router.currentRoute.value
  Object.assign(globalThis, { useRoute: () => shown })
  const [ofScreen, ofFrame] = [useAddress(), useAddress({ ofScreen: false })]
  release()
  await router.push('/desk?brief=x')
  await ofScreen({ view: 'old' })
  expect(router.currentRoute.value.fullPath).toBe('/desk?brief=x')
  await ofFrame({ brief: 'y' })
  expect(router.currentRoute.value.fullPath).toBe('/desk?brief=y')
})

test('a screen that is being left does not come back by a late change', async () => {
  const change = useAddress()
  const leaving = router.push('/desk?brief=x')
  await new Promise(done => setTimeout(done))
  await change({ brief: 'y' })
  release()
  await leaving
  expect(router.currentRoute.value.fullPath).toBe('/desk?brief=x')
  await useAddress()({ brief: 'z' })
  expect(router.currentRoute.value.fullPath).toBe('/desk?brief=z')
})

test('a change beside a way to somewhere on the same screen keeps where it leads', async () => {
  const change = useAddress({ ofScreen: false })
  await Promise.all([goTo({ path: '/next', query: { brief: 'new', seed: 'chains' } }), change({ region: 'GB' })])
  expect(router.currentRoute.value.query).toEqual({ brief: 'new', seed: 'chains', region: 'GB' })
})

test('what is on its way is known from the first moment to the last, whoever began it', async () => {
  const going = goTo('/desk?brief=x')
  expect(queryAhead()).toEqual({ brief: 'x' })
  release()
  await going
  const link = router.push('/desk?brief=y')
  await Promise.resolve().then(() => undefined)
  await link
  expect(queryAhead()).toEqual({ brief: 'y' })
  await goTo('/desk?brief=y')
  expect(queryAhead()).toEqual({ brief: 'y' })
})
