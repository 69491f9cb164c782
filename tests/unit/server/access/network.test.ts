import { isOwnHost, networkOf } from '../../../../server/access/network'

test.each([
  ['nothing said', {}, { listen: '127.0.0.1', shared: false }],
  [
    'the launcher’s own address',
    { HOST: '127.0.0.1', NITRO_HOST: 'localhost' },
    { listen: '127.0.0.1', shared: false },
  ],
  [
    'an address of this machine',
    { FONETRA_LISTEN: '192.168.0.10', HOST: '192.168.0.10' },
    { listen: '192.168.0.10', shared: true },
  ],
  ['all addresses', { FONETRA_LISTEN: '::' }, { listen: '::', shared: true }],
  ['a proxy on this machine', { FONETRA_ORIGIN: 'https://fonetra.example' }, { listen: '127.0.0.1', shared: true }],
])('%s', (_, env, expected) => {
  expect(networkOf(env)).toMatchObject(expected)
})

test.each([
  ['a name to listen on', { FONETRA_LISTEN: 'office' }, /no address/u],
  ['another program’s HOST', { HOST: '0.0.0.0' }, /this machine alone/u],
  ['NITRO_HOST by hand', { NITRO_HOST: '10.0.0.4' }, /FONETRA_LISTEN/u],
  ['an origin with a path', { FONETRA_ORIGIN: 'https://fonetra.example/a' }, /what people open/u],
  ['an origin without a scheme', { FONETRA_ORIGIN: 'fonetra.example' }, /what people open/u],
  ['an origin with a password', { FONETRA_ORIGIN: 'https://a:b@fonetra.example' }, /what people open/u],
])('%s is refused', (_, env, message) => {
  expect(() => networkOf(env)).toThrow(message)
})

test('only our own addresses are answered under, so that no other name can lead here', () => {
  const alone = networkOf({})
  const open = networkOf({ FONETRA_LISTEN: '0.0.0.0', FONETRA_ORIGIN: 'https://fonetra.example' })
  for (const host of ['127.0.0.1:4310', 'localhost', '[::1]:4310'])
    expect([isOwnHost(host, alone), isOwnHost(host, open)]).toEqual([true, true])
  for (const host of ['192.168.0.10:4310', '[fe80::1]:4310', 'fonetra.example'])
    expect([isOwnHost(host, alone), isOwnHost(host, open)]).toEqual([false, true])
  for (const host of ['elsewhere.example', 'fonetra.example.elsewhere.example', '127.0.0.1.elsewhere.example', ''])
    expect([isOwnHost(host, alone), isOwnHost(host, open)]).toEqual([false, false])
})
