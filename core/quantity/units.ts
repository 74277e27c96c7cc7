/** Units that people may choose or type, by quantity. The first of each is the one core reckons in. */
export const UNITS = {
  length: ['mm', 'cm', 'm', 'in', 'ft'],
  speed: ['mm/s', 'cm/s', 'm/s', 'in/s', 'ft/s'],
  mass: ['mg', 'g', 'gr'],
  temperature: ['°C', '°F'],
} as const

export type Quantity = keyof typeof UNITS
export type LengthUnit = (typeof UNITS.length)[number]
export type SpeedUnit = (typeof UNITS.speed)[number]
export type MassUnit = (typeof UNITS.mass)[number]
export type TemperatureUnit = (typeof UNITS.temperature)[number]
export type Unit = LengthUnit | SpeedUnit | MassUnit | TemperatureUnit

/** What a user reads figures in. Small lengths are hooks and beads, long ones depths. */
export interface DisplayUnits {
  readonly smallLength: 'mm' | 'in'
  readonly depth: 'm' | 'ft'
  readonly speed: 'cm/s' | 'in/s'
  readonly temperature: '°C' | '°F'
  readonly mass: 'mg' | 'g' | 'gr'
}

/** How many of core's units one of each makes: mm, mm/s, mg. The inch is exactly 25.4 mm, the grain 64.79891 mg. */
const FACTORS: Readonly<Record<Exclude<Unit, TemperatureUnit>, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  ft: 304.8,
  'mm/s': 1,
  'cm/s': 10,
  'm/s': 1000,
  'in/s': 25.4,
  'ft/s': 304.8,
  mg: 1,
  g: 1000,
  gr: 64.79891,
}

/** From a unit into core's own (mm, mm/s, mg, °C). */
export function toCore(value: number, unit: Unit): number {
  if (unit === '°C') return value
  if (unit === '°F') return ((value - 32) * 5) / 9
  return value * FACTORS[unit]
}

/** From core's own unit into another; the inverse of {@link toCore}. */
export function fromCore(value: number, unit: Unit): number {
  if (unit === '°C') return value
  if (unit === '°F') return (value * 9) / 5 + 32
  return value / FACTORS[unit]
}

/** Digits beyond which a converted figure says nothing; enough that what is read again is what was written. */
const WRITTEN_DIGITS = 4

/** As {@link fromCore}, without the digits that only the conversion made: for what the user wrote and may change. */
export const asWritten = (value: number, unit: Unit): number =>
  Number(fromCore(value, unit).toPrecision(WRITTEN_DIGITS))
