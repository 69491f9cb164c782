import { existsSync } from 'node:fs'

/**
 * Debian's packages of Chromium with their programs, the preferred one first. The headless shell has no windows of its
 * own and runs the same pages with a quarter less work.
 */
export const PACKAGES = [
  ['chromium-headless-shell', '/usr/bin/chromium-headless-shell'],
  ['chromium', '/usr/bin/chromium'],
]

/** The Chromium that is there, or the one named by FONETRA_CHROMIUM; `null` where there is none. */
export const chromium = () =>
  process.env.FONETRA_CHROMIUM ?? PACKAGES.map(([, program]) => program).find(program => existsSync(program)) ?? null
