import { defineNitroPlugin } from 'nitropack/runtime'
import { z } from 'zod'
import { plainMessage } from '../../shared/messages'

/** Faults of an input are told in plain words, whichever schema finds them. */
export default defineNitroPlugin(() => {
  z.config({ customError: plainMessage })
})
