import { defineNitroPlugin } from 'nitropack/runtime'

/**
 * Whoever reads what the server says may be gone before it is: a pipe that was closed, a terminal. What is said then is
 * lost and nothing else; without this each failed line would be one more error to be said.
 */
export default defineNitroPlugin(() => {
  for (const output of [process.stdout, process.stderr]) output.on('error', () => undefined)
})
