import fc from 'fast-check'
import { runs } from './runs'

/**
 * Properties draw the same values each time, so that the change and not the draw decides whether tests pass. `npm run
 * explore` draws anew, and more.
 */
fc.configureGlobal(process.env.FONETRA_EXPLORE ? { numRuns: runs(100) } : { seed: 20_260 })
