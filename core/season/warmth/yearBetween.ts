import { HALF_YEAR_DAYS } from '../calendar.ts'

/** End of July, when waters of the north are warmest: a month after the sun stands highest. */
const WARMEST_DAY = 209
const YEAR_DAYS = 365
const MONTH_DAYS = 30.4
const WARMEST_C = 30

/**
 * Mean of each month, °C in tenths, of a water whose coldest and warmest are known: a cosine about the end of July, of
 * January in the south. Never below 0 nor above 30 °C. The two may stand either way round.
 *
 * @example yearBetween(3, 16, false)[6] // 15.9, July
 */
export function yearBetween(oneC: number, otherC: number, south: boolean): readonly number[] {
  const mean = (oneC + otherC) / 2
  const amplitude = Math.abs(otherC - oneC) / 2
  return Array.from({ length: 12 }, (_, month) => {
    const middle = month * MONTH_DAYS + 15 + (south ? HALF_YEAR_DAYS : 0)
    const tempC = mean + amplitude * Math.cos((2 * Math.PI * (middle - WARMEST_DAY)) / YEAR_DAYS)
    return Math.round(Math.min(Math.max(tempC, 0), WARMEST_C) * 10) / 10
  })
}
