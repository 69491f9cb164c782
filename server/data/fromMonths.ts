import { peakBits, season } from '../../core/demand/season'
import { spike } from '../../core/demand/spike'
import { trend } from '../../core/demand/trend'
import { yearChange, type Months } from '../../core/demand/volume'

/** What months tell, as it stands with a figure. */
export function fromMonths({ months, monthsEnd }: { months?: Months; monthsEnd?: string }) {
  if (!months?.length)
    return { monthsChange: null, direction: null, yearly: null, strength: null, peaks: null, spiked: null }
  const found = trend(months)
  const yearly = monthsEnd ? season(months, Number(monthsEnd.slice(5, 7)) - 1) : null
  return {
    monthsChange: yearChange(months),
    direction: found?.direction ?? null,
    yearly: found?.yearly ?? null,
    strength: yearly?.strength ?? null,
    peaks: yearly ? peakBits(yearly.peaks) : null,
    spiked: months.length < 24 ? null : Number(spike(months) !== null),
  }
}
