import type { Months } from '../../core/demand/volume'

/** Months as the store keeps them: 32-bit floats, little end first, NaN where unknown. */
export function packMonths(months: Months): Buffer {
  const bytes = Buffer.alloc(months.length * 4)
  months.forEach((month, i) => bytes.writeFloatLE(month ?? Number.NaN, i * 4))
  return bytes
}

/** Searches by month, oldest first, `null` where unknown. */
export function unpackMonths(bytes: Buffer): (number | null)[] {
  const count = bytes.length >> 2
  const months = new Array<number | null>(count)
  for (let i = 0; i < count; i++) {
    const month = bytes.readFloatLE(i << 2)
    months[i] = Number.isNaN(month) ? null : month
  }
  return months
}

/** `2026-10` as 202610, and back. */
export const packMonth = (month: string) => Number(month.slice(0, 4)) * 100 + Number(month.slice(5, 7))
export const unpackMonth = (packed: number) => `${Math.floor(packed / 100)}-${String(packed % 100).padStart(2, '0')}`
