import { aboveDayMeanC, epochDayOf, forecastC, normalsFrom, randomFrom } from '../../../core/index.ts'
import type { KnownWarmth } from '../../../core/index.ts'
import type { CommandInput } from '../../../contract/index.ts'

/** Readings as they are sent: day, minute, hundredths of a degree, level and clarity. */
export type Rows = CommandInput<'readingsImport'>['readings']['rows']

const GAUGE_HOURS = 48
const RAIN_AT_HOUR = 5
const FALLS_IN_HOURS = 14
export const USUAL_LEVEL_MM = 420

/** What a gauge of the reach would deliver: hourly temperatures about what is likely, with the day's swing, level and clarity. */
export function gauge({ model, latest, swing }: KnownWarmth, today: string): Rows {
  const last = epochDayOf(today)
  const normal = normalsFrom(randomFrom(last))
  return Array.from({ length: GAUGE_HOURS }, (_, hour) => {
    const day = last - 1 + Math.floor(hour / 24)
    const aboveC = aboveDayMeanC(swing, day, (hour % 24) * 60)
    const tempC = forecastC(model, latest, day).value + aboveC + 0.1 * normal()
    // a shower in the first night raises the water, which then falls and clears
    const sinceRain = Math.max(hour - RAIN_AT_HOUR, 0)
    const rise = hour < RAIN_AT_HOUR ? 0 : Math.exp(-sinceRain / FALLS_IN_HOURS)
    const levelMm = Math.round(USUAL_LEVEL_MM + 180 * rise + 3 * normal())
    const clarityMm = Math.round(2000 / (1 + 2.5 * rise))
    return [day, (hour % 24) * 60, Math.round(Math.max(tempC, 0) * 100), levelMm, clarityMm]
  })
}
