import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { accessStore } from '../data/accessKeys'
import { DataProblem } from '../data/dataProblem'
import { openUserData } from '../data/open'

// npm run key: makes, lists and takes back keys, also before anybody can sign in and while the server runs.
const { values } = parseArgs({
  options: {
    data: { type: 'string' },
    migrations: { type: 'string' },
    owner: { type: 'string' },
    editor: { type: 'string' },
    reader: { type: 'string' },
    revoke: { type: 'string' },
  },
})
try {
  const db = openUserData(join(values.data!, 'fonetra.sqlite'), { migrations: values.migrations! })
  const access = accessStore(db)
  for (const role of ['owner', 'editor', 'reader'] as const) {
    const name = values[role]?.trim()
    if (name)
      console.log(
        `The key of ${name}, ${role}. It is told this once; keep it safe:\n  ${(await access.make(name.slice(0, 60), role)).key}`,
      )
  }
  if (values.revoke) {
    const found = access.list().filter(each => each.id === values.revoke || each.name === values.revoke)
    if (!found.length) throw new DataProblem('damaged', `There is no key of “${values.revoke}”.`)
    for (const { id, name } of found)
      console.log(
        access.revoke(id, false) === 'revoked'
          ? `The key of ${name} is taken back.`
          : `The key of ${name} was gone already.`,
      )
  }
  const keys = access.list()
  console.log(
    keys.length
      ? `Keys:\n${keys.map(each => `  ${each.id}  ${each.role.padEnd(6)}  ${each.name}, ${each.usedAt ? `last used ${new Date(each.usedAt).toISOString().slice(0, 10)}` : 'never used'}`).join('\n')}`
      : 'There are no keys.',
  )
  db.close()
} catch (error) {
  console.error(error instanceof DataProblem ? error.message : error)
  process.exit(1)
}
