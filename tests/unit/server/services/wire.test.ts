import { createServer, type Server } from 'node:http'
import { join } from 'node:path'
import { remoteServices } from '../../../../server/services/remote'
import { Behaviour } from '../../../../server/services/standin/behaviour'
import { serveStandin } from '../../../../server/services/standin/serve'
import { openStandin } from '../../../../server/services/standin/standin'
import { makeWorld } from '../../../../server/services/standin/world'
import type { Services } from '../../../../server/services/contract'
import { temporaryFolder } from '../files'
import { draft, HOME, published } from './acting'

const folder = temporaryFolder()
/** Counts the calls that are still held back, so that the services are not closed under them. */
class Watched extends Behaviour {
  held = 0
  override async before() {
    this.held++
    try {
      await super.before()
    } finally {
      this.held--
    }
  }
}
const behaviour = new Watched()
let standin: ReturnType<typeof openStandin>
const servers: Server[] = []
const listen = async (server: Server) => {
  servers.push(server)
  await new Promise<void>(resolve => {
    server.listen(0, '127.0.0.1', () => {
      resolve()
    })
  })
  return `http://127.0.0.1:${(server.address() as { port: number }).port}`
}
beforeAll(() => {
  makeWorld(join(folder, 'world.sqlite'), { phrases: 3000, videos: 600, channels: 60 }, 3, Date.UTC(2026, 9, 15))
  standin = openStandin(join(folder, 'world.sqlite'), behaviour)
})
afterAll(async () => {
  do await new Promise(resolve => setImmediate(resolve))
  while (behaviour.held)
  standin.close()
  for (const server of servers) {
    server.closeAllConnections()
    server.close()
  }
})
beforeEach(() => {
  behaviour.current = { delayMs: 0, refuse: 0, fail: 0, half: 0 }
})

test('every call says over the wire what it says in the same process', async () => {
  const remote = remoteServices({ address: await listen(serveStandin(standin, 'secret')), key: 'secret' })
  const same = async (a: Promise<{ data: unknown }>, b: Promise<{ data: unknown }>) => {
    expect((await a).data).toEqual((await b).data)
  }
  const search = await standin.site.search('bike chain', 'GB', 'en', 20)
  const [video] = search.data.videos
  await same(remote.site.search('bike chain', 'GB', 'en', 20), Promise.resolve(search))
  await same(remote.site.suggest('bike c', null, 'en'), standin.site.suggest('bike c', null, 'en'))
  await same(remote.site.video(video!.id, 'en'), standin.site.video(video!.id, 'en'))
  await same(remote.site.channel(video!.channel.id, 'en'), standin.site.channel(video!.channel.id, 'en'))
  await same(remote.site.channelVideos(video!.channel.id, 'en'), standin.site.channelVideos(video!.channel.id, 'en'))
  await same(remote.site.trending('GB', 'en'), standin.site.trending('GB', 'en'))
  for (const { id } of search.data.videos) await same(remote.site.captions(id, 'en'), standin.site.captions(id, 'en'))
  await same(
    remote.demand.volumes(['bike chain', 'nobody asks this'], 'GB', 'en'),
    standin.demand.volumes(['bike chain', 'nobody asks this'], 'GB', 'en'),
  )
  await same(remote.demand.history('bike chain', 'GB', 'en', 36), standin.demand.history('bike chain', 'GB', 'en', 36))
  await same(remote.demand.related('bike chain', 'GB', 'en'), standin.demand.related('bike chain', 'GB', 'en'))
  await same(remote.demand.byRegion('bike chain', 'en'), standin.demand.byRegion('bike chain', 'en'))
  await same(remote.web.suggest('bike c', 'GB', 'en'), standin.web.suggest('bike c', 'GB', 'en'))
  await same(
    remote.web.videoBlock('how to fix bike chain', 'GB', 'en'),
    standin.web.videoBlock('how to fix bike chain', 'GB', 'en'),
  )
  await same(
    remote.web.blockVideos('how to fix bike chain', 'GB', 'en'),
    standin.web.blockVideos('how to fix bike chain', 'GB', 'en'),
  )
  for (const call of ['suggest', 'videoBlock', 'blockVideos'] as const)
    await same(
      remote.otherWeb[call]('how to fix bike chain', 'GB', 'en'),
      standin.otherWeb[call]('how to fix bike chain', 'GB', 'en'),
    )
})

test('what an owner does is done over the wire as in the same process', async () => {
  const remote = remoteServices({ address: await listen(serveStandin(standin, 'secret')), key: 'secret' })
  const { id, problems } = await published(remote.site, 'over-the-wire', { tags: ['bike chain'] }, Date.now() + 60_000)
  expect(problems).toEqual([])
  expect(await published(standin.site, 'over-the-wire')).toMatchObject({ id })
  const [list] = (await remote.site.channelPlaylists(HOME, 'en')).data
  const [video] = (await remote.site.channelVideos(HOME, 'en')).data
  const same = async (call: (site: Services['site']) => Promise<{ data: unknown }>) => {
    expect((await call(remote.site)).data).toEqual((await call(standin.site)).data)
  }
  await same(site => site.account())
  await same(site => site.authorise(HOME))
  await same(site => site.upload('nobody'))
  await same(site => site.sendPart('nobody', 0, 'AAAA'))
  await same(site => site.publish('publish-1', 'nobody', draft(), null))
  await same(site => site.update(id!, { title: 'x'.repeat(200) }))
  await same(site => site.update(id!, { title: 'How to index gears' }))
  await same(site => site.savePlaylist('playlist-1', null, { channel: HOME, title: '', description: '', videos: [] }))
  await same(site => site.playlist(list!.id, 'en'))
  await same(site => site.searchPlaylists('bike', 'GB', 'en', 20))
  await same(site => site.audience(HOME))
  await same(site => site.analytics(video!.id))
  await same(site => site.analytics('nobody'))
  behaviour.current = { ...behaviour.current, refuse: 1 }
  await expect(remote.site.account()).rejects.toMatchObject({ name: 'ServiceRefused' })
  behaviour.current = { ...behaviour.current, refuse: 0, fail: 1 }
  await expect(remote.site.update(id!, { title: 'Gears' })).rejects.toMatchObject({ name: 'ServiceFailed' })
})

test('refusals, failures and wrong keys come as what they are, and no message holds the key', async () => {
  const address = await listen(serveStandin(standin, 'secret'))
  const remote = remoteServices({ address, key: 'secret' })
  behaviour.current = { ...behaviour.current, refuse: 1 }
  await expect(remote.demand.related('bike', null, 'en')).rejects.toMatchObject({ name: 'ServiceRefused' })
  behaviour.current = { ...behaviour.current, refuse: 0, fail: 1 }
  await expect(remote.demand.related('bike', null, 'en')).rejects.toMatchObject({ name: 'ServiceFailed' })
  const wrong = remoteServices({ address, key: 'wrong-key-1' }).demand.related('bike', null, 'en')
  await expect(wrong).rejects.toThrow('does not accept the key')
  await expect(wrong).rejects.not.toThrow('wrong-key-1')
  await expect(
    remoteServices({ address: 'http://127.0.0.1:1', key: null }).demand.related('bike', null, 'en'),
  ).rejects.toMatchObject({ name: 'ServiceFailed', message: 'The service cannot be reached.' })
  await expect(
    remoteServices({ address: `${address}/elsewhere`, key: 'secret' }).demand.related('bike', null, 'en'),
  ).rejects.toThrow('No such service')
})

test('a call that takes too long is late; half an answer says so', async () => {
  const remote = remoteServices({ address: await listen(serveStandin(standin, null)), key: null, timeOutMs: 60 })
  behaviour.current = { ...behaviour.current, delayMs: 400 }
  await expect(remote.web.suggest('bike', null, 'en')).rejects.toMatchObject({ name: 'ServiceLate' })
  behaviour.current = { ...behaviour.current, delayMs: 0, half: 1 }
  const patient = remoteServices({ address: await listen(serveStandin(standin, null)), key: null })
  expect((await patient.site.search('bike chain', null, 'en', 20)).complete).toBe(false)
})

describe('answers that are broken', () => {
  const answering = (body: string, status = 200) =>
    listen(
      createServer((_, response) => {
        response.writeHead(status, { 'Content-Type': 'application/json' })
        response.end(body)
      }),
    )
  test.each([
    ['no JSON', 'hello', 'cannot be read'],
    [
      'another shape',
      '{"source":"x","at":1,"complete":true,"data":{"titleMatches":"many","videos":[]}}',
      'an unexpected format (data.titleMatches)',
    ],
    ['nothing', '', 'cannot be read'],
    [
      'a video without a title',
      '{"source":"x","at":1,"complete":true,"data":{"titleMatches":1,"videos":[{"id":"v"}]}}',
      'an unexpected format (data.videos.0',
    ],
  ])('%s', async (_, body, message) => {
    const remote = remoteServices({ address: await answering(body), key: null })
    await expect(remote.site.search('bike', null, 'en', 20)).rejects.toMatchObject({
      name: 'ServiceFailed',
      message: expect.stringContaining(message),
    })
  })
  test('a redirect is not followed', async () => {
    const server = await listen(
      createServer((_, response) => {
        response.writeHead(302, { Location: 'http://127.0.0.1:1/' })
        response.end()
      }),
    )
    await expect(remoteServices({ address: server, key: 'secret' }).site.trending(null, 'en')).rejects.toMatchObject({
      name: 'ServiceFailed',
    })
  })
})

test('a service that offers less says so, and an act sent late is late', async () => {
  const lean = createServer((_, response) => {
    response.writeHead(404, { 'Content-Type': 'application/json' })
    response.end('{"error":{"code":"no-such-call","message":"","details":null}}')
  })
  const remote = remoteServices({ address: await listen(lean), key: null })
  await expect(remote.site.account()).rejects.toThrow('The service does not offer this.')
  const hurried = remoteServices({ address: await listen(serveStandin(standin, null)), key: null, timeOutMs: 60 })
  behaviour.current = { ...behaviour.current, delayMs: 400 }
  await expect(hurried.site.publish('publish-1', 'nobody', draft(), null)).rejects.toMatchObject({
    name: 'ServiceLate',
  })
})

test('a wrong question is refused by the simulated services', async () => {
  const address = await listen(serveStandin(standin, null))
  const ask = async (path: string, body: string) => (await fetch(`${address}${path}`, { method: 'POST', body })).status
  expect(await ask('/v1/site/search', '{"phrase":"a","region":"Britain","language":"en","depth":20}')).toBe(400)
  expect(await ask('/v1/site/search', '{')).toBe(400)
  expect(await ask('/v1/site/publish', '{"request":"r","upload":"u","draft":{},"at":null}')).toBe(400)
  expect(await ask('/v1/site/sendPart', '{"upload":"u","offset":0,"bytes":"no base64!"}')).toBe(400)
  expect(await ask('/v1/site/constructor', '{}')).toBe(404)
  expect(await ask('/v1/site/nothing', '{}')).toBe(404)
})
