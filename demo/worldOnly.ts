import { ensureWorld } from './world'

// For a start without demo briefs: the made-up world alone, at the path given.
ensureWorld(process.argv[2]!)
