import { createHash } from 'node:crypto'
import type { NitroApp } from 'nitropack/types'

/**
 * A page runs the scripts that came with it and no other, and is framed by nobody. Its own short scripts are
 * allowed by their hash; colours and places of the component library are inline styles.
 */
const POLICY = [
  "default-src 'self'",
  "img-src 'self' data: blob:",
  "style-src 'self' 'unsafe-inline'",
  "font-src 'self' data:",
  // A picture is drawn as a data address and read back as a file.
  "connect-src 'self' data: blob:",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ')
const INLINE_SCRIPT = /<script(?![^>]*\b(?:src=|type="application\/json"))[^>]*>([\s\S]*?)<\/script>/g

export default (nitro: NitroApp) => {
  nitro.hooks.hook('render:response', response => {
    if (typeof response.body !== 'string') return
    const hashes = [...response.body.matchAll(INLINE_SCRIPT)].map(
      ([, script = '']) => `'sha256-${createHash('sha256').update(script).digest('base64')}'`,
    )
    // The transform of the signals page is WebAssembly.
    const scripts = ["'self'", "'wasm-unsafe-eval'", ...new Set(hashes)].join(' ')
    response.headers = { ...response.headers, 'content-security-policy': `script-src ${scripts}; ${POLICY}` }
  })
}
