/** Days of the tropical year: the period of the harmonics. */
const YEAR_DAYS = 365.25

/** Daily mean temperature of a reach through the year, with its weather. All °C. */
export interface SeasonalModel {
  readonly meanC: number
  /** first harmonic, and a second one where the readings carry it: else nought */
  readonly cos1C: number
  readonly sin1C: number
  readonly cos2C: number
  readonly sin2C: number
  /** sd of single days about the curve of their year */
  readonly noiseSdC: number
  /** how much of a day's anomaly is left a day later, 0 to 1 */
  readonly persistence: number
  /** sd of whole years about the curve */
  readonly yearSdC: number
  /** doubt of the curve itself by month, sd: what was read in summer says little of winter */
  readonly curveSdC: readonly number[]
  /** days with readings behind it */
  readonly readingDays: number
  /** what it stands on: own readings, another reach's, or what is usual of the kind of water */
  readonly basis: 'readings' | 'borrowed' | 'kind'
}

/** What is usual of the weather of a water that nobody has measured. */
const USUAL_WEATHER = { noiseSdC: 1.1, persistence: 0.85, yearSdC: 0.7 }

/** How far a water may lie from what is usual of its kind, sd in °C: mean, first and second harmonic. By judgement. */
export const KIND_SD_C = [1.5, 1.1, 1.1, 0.35, 0.35] as const

/** Values of the four harmonics on a day of the year, 0 to 365. */
export function harmonicsOn(dayOfYear: number): readonly [number, number, number, number] {
  const angle = (2 * Math.PI * dayOfYear) / YEAR_DAYS
  return [Math.cos(angle), Math.sin(angle), Math.cos(2 * angle), Math.sin(2 * angle)]
}

/** The curve on a day of the year, °C; never below nought, where water freezes. */
export function curveC(model: SeasonalModel, dayOfYear: number): number {
  const [cos1, sin1, cos2, sin2] = harmonicsOn(dayOfYear)
  const { meanC, cos1C, sin1C, cos2C, sin2C } = model
  return Math.max(meanC + cos1C * cos1 + sin1C * sin1 + cos2C * cos2 + sin2C * sin2, 0)
}

/** Amplitude of the first harmonic, °C. */
export const amplitudeC = ({ cos1C, sin1C }: SeasonalModel): number => Math.hypot(cos1C, sin1C)

/** Day of the year on which the first harmonic peaks. */
export function peakDay({ cos1C, sin1C }: SeasonalModel): number {
  const day = (Math.atan2(sin1C, cos1C) / (2 * Math.PI)) * YEAR_DAYS
  return day < 0 ? day + YEAR_DAYS : day
}

/** Middles of the months, as days of the year. */
export const MONTH_MIDDLES = [15, 45, 74, 105, 135, 166, 196, 227, 258, 288, 319, 349]

const KIND_CURVE_SD_C = MONTH_MIDDLES.map((day) =>
  Math.hypot(...[1, ...harmonicsOn(day)].map((harmonic, i) => harmonic * (KIND_SD_C[i] ?? 0))),
)

/** Doubt of the curve on a day of the year, sd in °C: straight between the middles of the months. */
export function curveSdOn({ curveSdC }: Pick<SeasonalModel, 'curveSdC'>, dayOfYear: number): number {
  const day = dayOfYear % YEAR_DAYS
  const after = MONTH_MIDDLES.findIndex((middle) => middle > day)
  const next = after < 0 ? 0 : after
  const before = (next + 11) % 12
  const [from, to] = [MONTH_MIDDLES[before] ?? 0, MONTH_MIDDLES[next] ?? 0]
  const share = ((day - from + YEAR_DAYS) % YEAR_DAYS) / ((to - from + YEAR_DAYS) % YEAR_DAYS)
  return (curveSdC[before] ?? 0) * (1 - share) + (curveSdC[next] ?? 0) * share
}

/** The model of a reach that nobody has measured: its usual months as harmonics, with the usual weather and a wide doubt. */
export function usualModel(monthlyC: readonly number[]): SeasonalModel {
  const sums = [0, 0, 0, 0, 0]
  MONTH_MIDDLES.forEach((day, i) => {
    const value = monthlyC[i] ?? 0
    sums[0] = (sums[0] ?? 0) + value / 12
    harmonicsOn(day).forEach((harmonic, k) => {
      sums[k + 1] = (sums[k + 1] ?? 0) + (value * harmonic) / 6
    })
  })
  const [meanC = 0, cos1C = 0, sin1C = 0, cos2C = 0, sin2C = 0] = sums
  return {
    meanC,
    cos1C,
    sin1C,
    cos2C,
    sin2C,
    ...USUAL_WEATHER,
    curveSdC: KIND_CURVE_SD_C,
    readingDays: 0,
    basis: 'kind',
  }
}
