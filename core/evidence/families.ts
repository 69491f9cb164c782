/** Pages that hold at least this share of each other's videos say nearly the same. */
const SHARED = 0.5

/**
 * Pages put into families: those of phrases that lead to much the same videos are one witness, not several. Each page
 * goes to the first earlier page that shares half of its videos and leads a family, or leads one itself.
 *
 * @param pages ids of the videos on each page. @returns the number of each page's family, from 0.
 */
export function pageFamilies(pages: readonly (readonly number[])[]): { family: Int32Array; count: number } {
  const family = new Int32Array(pages.length)
  const leadBy = new Map<number, number[]>()
  let count = 0
  pages.forEach((videos, page) => {
    const shared = new Map<number, number>()
    for (const video of videos)
      for (const lead of leadBy.get(video) ?? []) shared.set(lead, (shared.get(lead) ?? 0) + 1)
    let [best, most] = [-1, Math.max(1, videos.length * SHARED)]
    for (const [lead, n] of shared) if (n > most || (n === most && best < 0)) [best, most] = [lead, n]
    if (best >= 0) {
      family[page] = best
      return
    }
    for (const video of videos) {
      const leads = leadBy.get(video)
      if (leads) leads.push(count)
      else leadBy.set(video, [count])
    }
    family[page] = count++
  })
  return { family, count }
}
