import { defineNitroPlugin } from 'nitropack/runtime'
import { closeRuntime, useRuntime } from '../runtime'

/** Opens the files at start, so that a problem with them stops the start and is told at once. */
export default defineNitroPlugin((nitro) => {
  useRuntime()
  nitro.hooks.hook('close', closeRuntime)
})
