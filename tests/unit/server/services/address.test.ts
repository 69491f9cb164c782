import { addressFault } from '../../../../server/services/address'

test.each(['https://demand.example/api', 'http://127.0.0.1:4320', 'http://[::1]:4320/v', 'http://192.168.1.20:8080'])(
  '%s can be a service',
  address => {
    expect(addressFault(address, 4310)).toBeNull()
  },
)

test.each([
  ['demand.example', 'such as https'],
  ['ftp://demand.example', 'begins with http'],
  ['file:///etc/passwd', 'begins with http'],
  ['https://a:b@demand.example', 'name and password'],
  ['https://demand.example/?key=1', 'Remove ? or #'],
  ['https://demand.example/#x', 'Remove ? or #'],
  ['http://169.254.169.254/latest', 'local network'],
  ['http://[fe80::1]/', 'local network'],
  ['http://[::ffff:169.254.169.254]/', 'local network'],
  ['http://0.0.0.0:4310', 'local network'],
  ['http://2852039166/', 'local network'],
  ['http://127.0.0.1:4310', 'own address'],
  ['http://localhost:4310/api', 'own address'],
])('%s cannot: %s', (address, why) => {
  expect(addressFault(address, 4310)).toContain(why)
})
