// Bundles what runs outside the server's own bundle: worker threads and the tools that make demo data.
import { build } from 'esbuild'
import { existsSync } from 'node:fs'

// Two copies of SQLite in one process lose data: the server must have none of its own beside the one its threads load.
if (existsSync('.output/server/node_modules/better-sqlite3'))
  throw new Error('The build holds a second copy of better-sqlite3; see nitro.rollupConfig in nuxt.config.ts.')

const shared = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: ['better-sqlite3', 'sharp', '@playwright/test'],
  logLevel: 'warning',
  sourcemap: 'linked',
  // Bundled CommonJS packages ask for Node's own modules by require.
  banner: { js: 'import { createRequire as __cr } from "node:module"; const require = __cr(import.meta.url);' },
}

await build({
  ...shared,
  outdir: '.output/workers',
  entryPoints: {
    standin: 'server/services/standin/thread.ts',
    import: 'server/threads/importThread.ts',
    index: 'server/threads/indexThread.ts',
    reading: 'server/threads/readingThread.ts',
    overview: 'server/threads/overviewThread.ts',
    scoring: 'server/threads/scoringThread.ts',
    evidence: 'server/threads/evidenceThread.ts',
    chance: 'server/threads/chanceThread.ts',
    file: 'server/threads/fileThread.ts',
    picture: 'server/threads/pictureThread.ts',
  },
  outExtension: { '.js': '.mjs' },
})
await build({
  ...shared,
  outdir: '.output/tools',
  entryPoints: {
    world: 'demo/worldOnly.ts',
    demo: 'demo/build.ts',
    bench: 'bench/run.ts',
    parts: 'bench/runParts.ts',
    against: 'bench/against.ts',
    year: 'bench/runYear.ts',
    growth: 'bench/runGrowth.ts',
    soundness: 'bench/runSoundness.ts',
    forecast: 'bench/forecast.ts',
    large: 'demo/large.ts',
    standin: 'server/services/standin/process.ts',
    key: 'server/access/keyTool.ts',
  },
  outExtension: { '.js': '.mjs' },
})
console.log('Worker threads and tools built.')
