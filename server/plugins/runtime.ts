import { defineNitroPlugin } from 'nitropack/runtime'
import { DataProblem } from '../data/dataProblem'
import { endStreams } from '../http/eventStream'
import { closeRuntime, openRuntime } from '../runtime'

/**
 * Opens the files at start. Another program with the same data ends the start; any other problem is told here and on
 * every screen, where a backup can be restored.
 */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('close', closeRuntime)
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, endStreams)
  void openRuntime().then(problem => {
    if (problem === null) return
    console.error(problem instanceof DataProblem ? problem.message : problem)
    if (problem instanceof DataProblem && problem.fault === 'in-use') process.exit(1)
  })
})
