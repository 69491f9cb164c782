import { writeSync } from 'node:fs'
import { v7 as uuid } from 'uuid'
import { briefStore } from '../../../../server/data/briefs'
import { openUserData } from '../../../../server/data/open'

// Saves edits of one brief until it is killed, and says of each that it is saved. Run with: file, migrations, brief.
const [file = '', migrations = '', id = ''] = process.argv.slice(2)
const briefs = briefStore(openUserData(file, { migrations }))
for (let { revision } = { revision: briefs.get(id)!.revisions.description }; ; revision++) {
  const value = `edit ${revision} ${'x'.repeat((211 * revision) % 4000)}`
  const result = briefs.patch(id, uuid(), { description: { revision, value } })
  if (result.kind !== 'saved') throw new Error(`The edit was not saved: ${JSON.stringify(result)}`)
  writeSync(1, `${result.answer.revisions.description}\n`)
}
