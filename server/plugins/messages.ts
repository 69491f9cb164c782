import { defineNitroPlugin } from 'nitropack/runtime'
import { z } from 'zod'
import { plainMessage } from '../../shared/messages'

/** Messages for invalid input in plain words, whichever schema finds it. */
export default defineNitroPlugin(() => {
  z.config({ customError: plainMessage })
})
