import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { followScreens, useAddress } from '../../../app/composables/address'

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
