import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readCaptions } from '../../../core/captions/read'

const FOLDER = join(__dirname, '../../../demo/captions')

test.each(readdirSync(FOLDER))('%s is read whole, rises, and is spoken no faster than a person speaks', async file => {
  const { cues, timed, faults } = await readCaptions(readFileSync(join(FOLDER, file), 'utf8'))
  expect(faults).toEqual([])
  expect(timed).toBe(true)
  expect(cues.length).toBeGreaterThan(20)
  for (const [i, cue] of cues.entries()) {
    expect(cue.end).toBeGreaterThan(cue.start)
    if (i) expect(cue.start).toBeGreaterThanOrEqual(cues[i - 1]!.end - 0.001)
    expect(cue.text.length / (cue.end - cue.start)).toBeLessThan(25)
  }
})
