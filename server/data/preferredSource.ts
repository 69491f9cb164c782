import type { Db } from './open'

/**
 * Chooses, of the figures of several sources for a phrase in a region, those of the preferred source: the first that
 * has a volume, and the months of the first that has months.
 */
export function resolvePreferredSource(db: Db): (phraseId: number, region: string) => void {
  const figures = db.prepare(`UPDATE figure SET counts = source_id = (
      SELECT f.source_id FROM figure f JOIN source s ON s.id = f.source_id WHERE f.phrase_id = @phraseId
      AND f.region = @region ORDER BY f.volume IS NULL, s.place LIMIT 1)
    WHERE phrase_id = @phraseId AND region = @region`)
  const months = db.prepare(`UPDATE figure
      SET (months_source, months_change, trend_direction, trend_yearly, season_strength, season_peaks, spiked) = (
      SELECT h.source_id, h.change, h.trend_direction, h.trend_yearly, h.season_strength, h.season_peaks, h.spiked
      FROM history h JOIN source s ON s.id = h.source_id
      WHERE h.phrase_id = @phraseId AND h.region = @region ORDER BY s.place LIMIT 1)
    WHERE phrase_id = @phraseId AND region = @region AND counts = 1`)
  return (phraseId, region) => {
    figures.run({ phraseId, region })
    months.run({ phraseId, region })
  }
}
