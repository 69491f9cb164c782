import { createHash, randomBytes } from 'node:crypto'
import { setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'

// It reads our own page alone.
// eslint-disable-next-line redos/no-vulnerable
const INLINE = /<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/gu

/**
 * A strict Content-Security-Policy: inline scripts only by the hash of the page's own, inline
 * styles only by the page's nonce, which Vuetify, the editor and the charts take from its meta tag.
 */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:response', (response, { event }) => {
    if (typeof response.body !== 'string') return
    const nonce = randomBytes(16).toString('base64')
    response.body = response.body.replace('<head>', `<head><meta name="style-nonce" content="${nonce}">`)
    const hashes = [...response.body.matchAll(INLINE)].map(
      ([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`,
    )
    setResponseHeader(
      event,
      'Content-Security-Policy',
      [
        "default-src 'self'",
        `script-src 'self' ${[...new Set(hashes)].join(' ')}`,
        `style-src 'self' 'nonce-${nonce}'`,
        "img-src 'self' data: blob:",
        // A video of one's own, played beside its captions, is never sent anywhere.
        "media-src 'self' blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ].join('; '),
    )
  })
})
