import { beadFraction, fromCore } from '../quantity/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import type { Estimate, Evidence } from '../uncertainty/index.ts'

/** Significant digits that a band of this width deserves: never finer than a tenth of it. */
function decimalsFor(value: number, usual: number): number {
  return Math.abs(value) >= 100 ? Math.max(usual - 1, 0) : usual
}

const fixed = (value: number, decimals: number) => value.toFixed(decimals).replace('-', '−')

/** A hook or bead length: `2.8 mm` or `0.11 in`. */
export function smallLength(mm: number, units: DisplayUnits): string {
  const value = fromCore(mm, units.smallLength)
  return `${fixed(value, units.smallLength === 'in' ? 3 : 1)} ${units.smallLength}`
}

/** A depth: `0.9 m` or `3.0 ft`; the film has no depth. */
export function depth(mm: number, units: DisplayUnits): string {
  return `${fixed(fromCore(mm, units.depth), units.depth === 'm' && mm < 100 && mm > 0 ? 2 : 1)} ${units.depth}`
}

/** A speed: `23 cm/s` or `9.1 in/s`. */
export function speed(mmPerS: number, units: DisplayUnits): string {
  const value = fromCore(mmPerS, units.speed)
  return `${fixed(value, units.speed === 'cm/s' && value >= 10 ? 0 : 1)} ${units.speed}`
}

/** The two ends of a band without its unit: `19–27`. */
export function speedBand(estimate: Estimate, units: DisplayUnits): string {
  const [low, high] = [fromCore(estimate.low, units.speed), fromCore(estimate.high, units.speed)]
  const decimals = high < 10 ? 1 : 0
  return `${fixed(low, decimals)}–${fixed(high, decimals)}`
}

/** A mass: `144 mg`. */
export function mass(mg: number, units: DisplayUnits): string {
  const value = fromCore(mg, units.mass)
  const usual = units.mass === 'mg' ? (mg < 0.095 ? 2 : mg < 10 ? 1 : 0) : 2
  return `${fixed(value, decimalsFor(value, usual))} ${units.mass}`
}

/** A temperature: `12.7 °C`. */
export function temperature(tempC: number, units: DisplayUnits): string {
  return `${fixed(fromCore(tempC, units.temperature), 1)} ${units.temperature}`
}

/** A time: `2.4 s`. */
export const seconds = (s: number): string => `${fixed(s, 1)} s`

/** A bead's size both ways: `2.8 mm · 7/64 in`. */
export function beadSize(diameterMm: number): string {
  const fraction = beadFraction(diameterMm)
  return fraction ? `${diameterMm} mm · ${fraction} in` : `${diameterMm} mm`
}

const MARKS: Readonly<Record<Evidence, string>> = {
  kindDefault: 'est.',
  catalogue: 'est.',
  entered: 'entered',
  weighed: 'weighed',
  timed: 'timed',
}

/** Where a figure comes from, by the best that it rests on. */
export const provenance = (basis: readonly Evidence[]): string =>
  MARKS[(['timed', 'weighed', 'entered'] as const).find((kind) => basis.includes(kind)) ?? 'catalogue']

/** A chance in words that need no percent: `6 in 10`; `rarely` below one in twenty. */
export function inTen(chance: number): string {
  const tenths = Math.round(chance * 10)
  if (chance < 0.05) return 'rarely'
  return tenths === 0 ? 'under 1 in 10' : `${tenths} in 10`
}

/** Times that a fly can be dragged under: `3 drownings`, `over 100 drownings`. */
export function drownings(count: number): string {
  if (count >= 100) return 'over 100 drownings'
  const whole = Math.floor(count)
  return whole === 0 ? 'its first drowning' : whole === 1 ? 'one drowning' : `${whole} drownings`
}
