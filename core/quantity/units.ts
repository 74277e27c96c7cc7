/** Units that people may choose or type, by quantity. The first of each is the one core reckons in. */
export const UNITS = {
  length: ['mm', 'µm', 'cm', 'm', 'km', 'thou', 'in', 'ft', 'yd', 'mi'],
  speed: ['mm/s', 'cm/s', 'm/s', 'km/h', 'in/s', 'ft/s', 'mph'],
  mass: ['mg', 'g', 'gr', 'oz'],
  temperature: ['°C', '°F'],
  titre: ['den', 'dtex', 'tex'],
} as const

export type Quantity = keyof typeof UNITS
export type LengthUnit = (typeof UNITS.length)[number]
export type SpeedUnit = (typeof UNITS.speed)[number]
export type MassUnit = (typeof UNITS.mass)[number]
export type TemperatureUnit = (typeof UNITS.temperature)[number]
export type TitreUnit = (typeof UNITS.titre)[number]
export type Unit = LengthUnit | SpeedUnit | MassUnit | TemperatureUnit | TitreUnit

/** What a user reads figures in. Small lengths are hooks and beads, long ones depths. */
export interface DisplayUnits {
  readonly smallLength: 'mm' | 'in'
  readonly depth: 'm' | 'ft'
  readonly speed: 'cm/s' | 'in/s'
  readonly temperature: '°C' | '°F'
  readonly mass: 'mg' | 'g' | 'gr'
}

/**
 * How many of core's units one of each makes: mm, mm/s, mg, denier. The inch is exactly 25.4 mm, the grain 64.79891 mg,
 * the ounce 437.5 grains; denier are g on 9 km, tex g on one.
 */
const FACTORS: Readonly<Record<Exclude<Unit, TemperatureUnit>, number>> = {
  mm: 1,
  µm: 0.001,
  cm: 10,
  m: 1000,
  km: 1e6,
  thou: 0.0254,
  in: 25.4,
  ft: 304.8,
  yd: 914.4,
  mi: 1_609_344,
  'mm/s': 1,
  'cm/s': 10,
  'm/s': 1000,
  'km/h': 1e6 / 3600,
  'in/s': 25.4,
  'ft/s': 304.8,
  mph: 1_609_344 / 3600,
  mg: 1,
  g: 1000,
  gr: 64.79891,
  oz: 28_349.523125,
  den: 1,
  dtex: 0.9,
  tex: 9,
}

/** From a unit into core's own (mm, mm/s, mg, °C, denier). */
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
