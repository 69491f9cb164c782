import { buildSync } from 'esbuild'
import { join } from 'node:path'

/** A thread of the server as the build makes it. @returns its entry, beside the packages it loads. */
export function builtThread(name: string): string {
  const entry = join(process.cwd(), `node_modules/.cache/fonetra-${name}.mjs`)
  buildSync({
    entryPoints: [join(process.cwd(), `server/threads/${name}.ts`)],
    outfile: entry,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['better-sqlite3', 'sharp'],
    banner: { js: 'import { createRequire as __cr } from "node:module"; const require = __cr(import.meta.url);' },
  })
  return entry
}
