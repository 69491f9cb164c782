// Builds what is not built yet, or is older than its sources; with --demo it makes the demo data of the tests too.
import { makeDemoData } from './demoData.mjs'
import { HOME, build } from './prepare.mjs'

build()
if (process.argv.includes('--demo')) makeDemoData(HOME)
