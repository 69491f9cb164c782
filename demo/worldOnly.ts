import { dirname } from 'node:path'
import { withFolder } from './lockedFolder'
import { ensureWorld, isWorld } from './world'

// For a start without demo briefs: the made-up world alone, at the path given. One that is there may be in use.
const file = process.argv[2]!
if (!isWorld(file))
  await withFolder(dirname(file), () => {
    ensureWorld(file)
  })
