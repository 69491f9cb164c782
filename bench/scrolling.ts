import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../tests/e2e/chromium'
import { startApp } from '../tests/e2e/startApp'
import { fillVideos } from './fill'
import { timing, type Timing } from './measure'

const VIDEOS = 10_000
/** Turns of the wheel, each of so many pixels: a hand that spins it as fast as it can. */
const TURNS = 240
const PIXELS = 600
/** How many times slower the processor is made. */
const SLOWED = [1, 4]

/** A frame as it was painted: how long after the one before, what stood in the middle and at the end of the table. */
interface Frame {
  took: number
  shown: string[]
}

/** Notes each frame from now on. @param at how far from the left, and how far down the two rows are. */
function watchFrames([left, ...rows]: readonly [number, number, number]): void {
  const frames: Frame[] = []
  Object.assign(window, { frames })
  const painted = new MessageChannel()
  let before = performance.now()
  // After the frame is painted the page stands as it was shown.
  painted.port1.onmessage = () => {
    const shown = rows.map(at => document.elementFromPoint(left, at)?.closest('tr')?.textContent?.trim() ?? '')
    frames.push({ took: performance.now() - before, shown })
    before = performance.now()
  }
  const each = () => {
    if ((window as unknown as { frames: Frame[] }).frames !== frames) return
    painted.port2.postMessage(null)
    requestAnimationFrame(each)
  }
  requestAnimationFrame(each)
}

/** Scrolling through all videos to mend: whether rows are there in every frame, and how long frames take. */
export async function benchScrolling(): Promise<Timing[]> {
  const first = await startApp()
  await first.kill()
  fillVideos(join(first.data, 'fonetra.sqlite'), VIDEOS)
  const app = await startApp({ data: first.data })
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${app.url}/ranks?view=mend&region=GB`)
    await page.locator('[data-test=mend-row]').first().waitFor({ timeout: 180_000 })
    await page.locator('[data-test=mend-stop]').waitFor({ state: 'detached', timeout: 180_000 })
    const table = (await page.locator('[data-test=mend-table] .v-table__wrapper').boundingBox())!
    const [x, y] = [table.x + 120, table.y + table.height / 2]
    await page.mouse.move(x, y)
    const session = await page.context().newCDPSession(page)
    const timings: Timing[] = []
    for (const rate of SLOWED) {
      await session.send('Emulation.setCPUThrottlingRate', { rate })
      await page.evaluate(watchFrames, [x, y, table.y + table.height - 20] as const)
      for (let turn = 0; turn < TURNS; turn++) await page.mouse.wheel(0, timings.length % 2 ? -PIXELS : PIXELS)
      const frames = await page.evaluate(() => (window as unknown as { frames: Frame[] }).frames)
      const rows = new Set(frames.flatMap(({ shown }) => shown)).size
      const blank = frames.filter(({ shown }) => shown.some(row => !row)).length
      timings.push(
        timing(
          `scrolling all videos to mend, a frame${rate > 1 ? `, processor slowed ${rate} times` : ''}`,
          `${VIDEOS.toLocaleString('en')} rows, ${rows} of them seen in ${frames.length} frames, ${blank} frames without`,
          frames.map(({ took }) => took),
          null,
        ),
      )
    }
    return timings
  } finally {
    await browser.close()
    await app.close()
  }
}
