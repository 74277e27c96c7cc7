import { Z_80 } from '../number/index.ts'
import { isReadThrough, WARMEST_MIN } from '../season/index.ts'
import type { DailySwing } from '../season/index.ts'
import { beadFraction, fromCore } from '../quantity/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import type { Estimate, Evidence } from '../uncertainty/index.ts'

/** Significant digits that a band of this width deserves: never finer than a tenth of it. */
function decimalsFor(value: number, usual: number): number {
  return Math.abs(value) >= 100 ? Math.max(usual - 1, 0) : usual
}

/** With a true minus, and none before what rounds to nought. */
const fixed = (value: number, decimals: number) =>
  value
    .toFixed(decimals)
    .replace(/^-(?=[0.]*$)/, '')
    .replace('-', '−')

/** A hook or bead length: `2.8 mm` or `0.11 in`. */
export function smallLength(mm: number, units: DisplayUnits): string {
  const value = fromCore(mm, units.smallLength)
  return `${fixed(value, units.smallLength === 'in' ? 3 : 1)} ${units.smallLength}`
}

/** Decimals of a natural length: an insect is known to a millimetre or a sixteenth of an inch. */
const ROUGH_DECIMALS = { mm: 0, in: 2 } as const

/** From one small length to another, as foods are long: `5–8 mm` or `0.20–0.31 in`. */
export function smallSpan(lowMm: number, highMm: number, units: DisplayUnits): string {
  const [low, high] = [lowMm, highMm].map((mm) =>
    fixed(fromCore(mm, units.smallLength), ROUGH_DECIMALS[units.smallLength]),
  )
  return `${low === high ? low : `${low}–${high}`} ${units.smallLength}`
}

/** The stretch of a hook that a step takes: `1.2–3.4 mm` or `0.047–0.134 in`. */
export function fineSpan(fromMm: number, toMm: number, units: DisplayUnits): string {
  const from = fixed(fromCore(fromMm, units.smallLength), units.smallLength === 'in' ? 3 : 1)
  return `${from}–${smallLength(toMm, units)}`
}

/** A length cut from the spool: `12 cm` or `4.7 in`. */
export const cutLength = (mm: number, units: DisplayUnits): string =>
  units.smallLength === 'in' ? `${fixed(fromCore(mm, 'in'), 1)} in` : `${fixed(fromCore(mm, 'cm'), 0)} cm`

/** How high a place lies above the sea: `310 m` or `1017 ft`. */
export const height = (m: number, units: DisplayUnits): string =>
  `${fixed(fromCore(m * 1000, units.depth), 0)} ${units.depth}`

/** How fast a water runs: `0.65 m/s` or `2.13 ft/s`, as its depth is said. */
export const current = (mmPerS: number, units: DisplayUnits): string =>
  `${fixed(fromCore(mmPerS, `${units.depth}/s`), 2)} ${units.depth}/s`

/** A depth: `0.9 m` or `3.0 ft`; the film has no depth. */
export function depth(mm: number, units: DisplayUnits): string {
  return `${fixed(fromCore(mm, units.depth), units.depth === 'm' && mm < 100 && mm > 0 ? 2 : 1)} ${units.depth}`
}

/** A depth that is set by hand, to the centimetre: `0.95 m` or `3.1 ft`. */
export const fineDepth = (mm: number, units: DisplayUnits): string =>
  `${fixed(fromCore(mm, units.depth), units.depth === 'm' ? 2 : 1)} ${units.depth}`

/** A speed: `23 cm/s` or `9.1 in/s`. */
export function speed(mmPerS: number, units: DisplayUnits): string {
  const value = fromCore(mmPerS, units.speed)
  return `${fixed(value, units.speed === 'cm/s' && value >= 10 ? 0 : 1)} ${units.speed}`
}

/** The two ends of a band without its unit: `19–27`. */
export function speedBand(estimate: Pick<Estimate, 'low' | 'high'>, units: DisplayUnits): string {
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

const PART_DECIMALS = { mg: 1, g: 4, gr: 3 } as const

/** The mass of one component, to a tenth of a milligram, so that a column of them adds up; a few fibres to a hundredth. */
export function partMass(mg: number, units: DisplayUnits): string {
  const finer = Math.abs(mg) < 0.095 ? 1 : 0
  return `${fixed(fromCore(mg, units.mass), PART_DECIMALS[units.mass] + finer)} ${units.mass}`
}

/**
 * How water swings within a day: `Within a day of midsummer it swings by 1.4 °C (0.7–2.1) either way, warmest about
 * 17:00: usual of its kind of water.`
 */
export function dailySwing(swing: DailySwing, units: DisplayUnits): string {
  const { midsummerC, doubt } = swing
  const apart = (tempC: number) => fixed(fromCore(tempC, units.temperature) - fromCore(0, units.temperature), 1)
  const off = Z_80 * doubt * midsummerC
  const range = `${apart(Math.max(midsummerC - off, 0))}–${apart(midsummerC + off)}`
  const known = isReadThrough(swing) ? 'as it was read through some days' : 'usual of its kind of water'
  const hour = WARMEST_MIN / 60
  return `Within a day of midsummer it swings by ${apart(midsummerC)} ${units.temperature} (${range}) either way, warmest about ${hour}:00: ${known}.`
}

/** `4 days`, `a day`, `hardly a day`. */
export const daysOff = (days: number): string => {
  const whole = Math.round(days)
  return whole === 0 ? 'hardly a day' : whole === 1 ? 'a day' : `${whole} days`
}

/** `14 days before`, `on the day`. */
export const daysBefore = (days: number): string => (days === 0 ? 'on the day' : `${days} days before`)

/** `11 days earlier`, `a day later`. */
export function daysEarlierOrLater(days: number): string {
  const whole = Math.max(Math.round(Math.abs(days)), 1)
  return `${daysOff(whole)} ${days < 0 ? 'earlier' : 'later'}`
}

/** A share as so many of a hundred: `7`. */
export const ofHundred = (share: number): string => fixed(share * 100, 0)

/** A temperature: `12.7 °C`. */
export function temperature(tempC: number, units: DisplayUnits): string {
  return `${fixed(fromCore(tempC, units.temperature), 1)} ${units.temperature}`
}

/** A temperature of which the tenths say nothing: `19 °C`, `66 °F`. */
export const wholeTemperature = (tempC: number, units: DisplayUnits): string =>
  `${fixed(fromCore(tempC, units.temperature), 0)} ${units.temperature}`

/** A temperature over a month, where its scale is plain: `12°`. */
export const degreesOnly = (tempC: number, units: DisplayUnits): string =>
  `${fixed(fromCore(tempC, units.temperature), 0)}°`

/** A time: `2.4 s`. */
export const seconds = (s: number): string => `${fixed(s, 1)} s`

/** A bead's size both ways: `2.8 mm · 7/64 in`. */
export function beadSize(diameterMm: number): string {
  const fraction = beadFraction(diameterMm)
  return fraction ? `${diameterMm} mm · ${fraction} in` : `${diameterMm} mm`
}

/** What was on the scale, of a figure that is only reckoned from it. */
const ON_THE_SCALE = [
  ['hookWeighed', 'hook'],
  ['beadWeighed', 'bead'],
  ['wireWeighed', 'wire'],
  ['dressingWeighed', 'dressing'],
  ['flyWeighed', 'fly'],
] as const

const joined = (words: readonly string[]) =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

/**
 * Where a figure comes from, by the best that it rests on: `timed`, `weighed` or `entered` where it was itself, else
 * `est.` with what of it was on the scale: `est., hook and bead weighed`.
 */
export function provenance(basis: readonly Evidence[]): string {
  const itself = (['timed', 'weighed', 'entered'] as const).find((kind) => basis.includes(kind))
  if (itself) return itself
  const weighed = ON_THE_SCALE.flatMap(([kind, what]) => (basis.includes(kind) ? [what] : []))
  return weighed.length > 0 ? `est., ${joined(weighed)} weighed` : 'est.'
}

/** A chance in words that need no percent: `6 in 10`; `rarely` below one in twenty. */
export function inTen(chance: number): string {
  const tenths = Math.round(chance * 10)
  if (chance < 0.05) return 'rarely'
  return tenths === 0 ? 'under 1 in 10' : `${tenths} in 10`
}

/** `1 of 10 fish more for flies that could pass`. */
export const passingToo = (share: number): string => `${fishOnIt(share)} more for flies that could pass`

/** A share of the feeding fish: `4 of 10 fish`; `1 fish in 14` below a tenth; `hardly a fish` below one in a hundred. */
export function fishOnIt(share: number): string {
  if (share < 0.01) return 'hardly a fish'
  if (share < 0.095) return `1 fish in ${Math.round(1 / share)}`
  return `${Math.round(share * 10)} of 10 fish`
}

const tenths = (hours: number) => hours.toFixed(1)

/** `covered 4.1 of 6 h` of an outing's hours. */
export const coveredHours = (shown: number, hours: number): string =>
  `covered ${tenths(shown)} of ${Number(hours.toFixed(1))} h`

/** `1.2 h to show it`, `25 min to show it`. */
export const hoursShown = (hours: number): string => `${shortHours(hours)} to show it`

/** From the first to the last of some half hours that are counted from a minute of the day: `13–17 h`, `13:30–17 h`. */
export function halfHours(fromLocalMin: number, first: number, last: number): string {
  const clock = (min: number) => {
    const [h, m] = [Math.floor(min / 60), min % 60]
    return m === 0 ? `${h}` : `${h}:${String(m).padStart(2, '0')}`
  }
  return `${clock(fromLocalMin + 30 * first)}–${clock(fromLocalMin + 30 * (last + 1))} h`
}

/** `1.2 h`; below an hour `25 min`. */
export const shortHours = (hours: number): string =>
  hours >= 0.95 ? `${tenths(hours)} h` : `${Math.round(hours * 60)} min`

/** Times that a fly can be dragged under: `3 drownings`, `over 100 drownings`. */
export function drownings(count: number): string {
  if (count >= 100) return 'over 100 drownings'
  const whole = Math.floor(count)
  return whole === 0 ? 'its first drowning' : whole === 1 ? 'one drowning' : `${whole} drownings`
}
