// Builds what is not built yet, or is older than its sources.
import { build } from './prepare.mjs'

build()
