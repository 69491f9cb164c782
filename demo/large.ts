import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { fill } from './fill'
import { LARGE, makeLargeFiles } from './largeFiles'
import { withFolder } from './lockedFolder'

// A store as large as a busy agency's, filled by import: `large.mjs DIR [phrases [videos [pages]]]`.
const [folder, ...sizes] = process.argv.slice(2)
const [phrases = LARGE.phrases, videos = LARGE.videos, pages = LARGE.pages] = sizes.map(Number)
const data = resolve(folder!)
mkdirSync(data, { recursive: true })
const startedAt = performance.now()
const seconds = () => `${((performance.now() - startedAt) / 1000).toFixed(0)} s`

let stopped = false
process.once('SIGINT', () => {
  stopped = true
  console.log('Stopping after this file; run the same command again to go on.')
})
let left = 0
await withFolder(data, async () => {
  console.log('Making the files to be imported (those that are there are kept) …')
  const size = { phrases, videos, pages, channels: Math.max(50, Math.ceil(videos / 17)) }
  const files = makeLargeFiles(join(data, `files-${phrases}-${videos}-${pages}`), size, name => {
    console.log(`  ${name}`)
  })
  console.log(`Importing ${files.length} files …`)
  let n = 0
  left = await fill({
    data,
    files,
    migrations: join(process.cwd(), 'server/data/migrations'),
    importThread: join(process.cwd(), '.output/workers/import.mjs'),
    stopped: () => stopped,
    report: ({ name }, took) => {
      console.log(
        `  ${name}: ${took.rows.toLocaleString('en')} rows in ${took.seconds.toFixed(1)} s (${++n} of ${files.length}, ${seconds()} so far)`,
      )
    },
  })
  console.log(left ? `${left} files are left.` : `Done in ${seconds()}.`)
})
process.exit(left ? 130 : 0)
