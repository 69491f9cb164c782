import { defineNitroPlugin } from 'nitropack/runtime'
import { guard } from '../http/guard'

/** The server's own files are answered before any middleware: the guard goes to the front of all. */
export default defineNitroPlugin(nitro => {
  nitro.h3App.stack.unshift({ route: '/', handler: guard })
  nitro.hooks.hook('beforeResponse', event => {
    event.node.res.removeHeader('x-powered-by')
  })
  nitro.hooks.hook('render:response', response => {
    delete response.headers?.['x-powered-by']
  })
})
