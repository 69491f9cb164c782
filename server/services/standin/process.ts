import { parseArgs } from 'node:util'
import { Behaviour, misbehaviourFrom } from './behaviour'
import { serveStandin } from './serve'
import { Passing } from './passing'
import { openStandin } from './standin'

// npm run standin: the simulated services as a process of its own, speaking docs/services.md.
const { values } = parseArgs({
  options: { port: { type: 'string', default: '4320' }, world: { type: 'string' }, key: { type: 'string' } },
})
const services = openStandin(
  values.world!,
  new Behaviour(misbehaviourFrom(process.env)),
  undefined,
  Number(process.env.FONETRA_STANDIN_DAYS ?? 0) || 0,
)
new Passing(services)
const server = serveStandin(services, values.key ?? null)
server.on('error', error => {
  console.error(`The simulated services could not start: ${error.message}`)
  process.exit(1)
})
server.listen(Number(values.port), '127.0.0.1', () => {
  const { port } = server.address() as { port: number }
  console.log(
    `The simulated services answer at http://127.0.0.1:${port}${values.key ? ', with the key given' : ', without a key'}. Give that address in the Library, under Sources.`,
  )
})
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close()
    process.exit(0)
  })
