import type { Clarity } from './clarity.ts'
import type { Need } from './foodStage.ts'

/** What is known of an hour beyond its date: null for what nobody said. */
export interface HourConditions {
  readonly level: 'falling' | 'steady' | 'rising' | null
  readonly weather: 'bright' | 'dull' | 'windy' | 'calm' | 'rain' | null
  readonly clarity: Clarity | null
  readonly waterTempC: number | null
  readonly airTempC: number | null
}

export const NOTHING_SAID: HourConditions = {
  level: null,
  weather: null,
  clarity: null,
  waterTempC: null,
  airTempC: null,
}

/** Factor of the chance where a need is known not to be met, and where nobody knows: how common it is there and then. */
const UNMET: Readonly<Record<Need, number>> = {
  risingLevel: 0, wind: 0.5, calm: 0.3, bright: 0.4, calmBright: 0.05, swarmDay: 0.01, mildEvening: 0.3,
  mildAir: 0.25, swimmingFry: 0.05, spawningFish: 0,
} // prettier-ignore
const UNKNOWN: Readonly<Record<Need, number>> = {
  risingLevel: 0.08, wind: 0.7, calm: 0.7, bright: 0.7, calmBright: 0.25, swarmDay: 0.15, mildEvening: 0.8,
  mildAir: 0.7, swimmingFry: 0.3, spawningFish: 0.1,
} // prettier-ignore

/** From which temperature of the air on needs are met, °C. */
const FROM_C = { calmBright: 12, swarmDay: 18, mildEvening: 10, mildAir: 4 }

/** Where the air's temperature makes a difference to a need, over water so warm, °C, from the least on. */
export const airStepsC = (waterTempC: number): readonly number[] =>
  [
    ...new Set([FROM_C.mildEvening, FROM_C.calmBright, FROM_C.swarmDay, Math.max(waterTempC, FROM_C.mildAir)]),
  ].sort((a, b) => a - b)

const both = (...known: readonly (boolean | null)[]): boolean | null =>
  known.includes(false) ? false : known.includes(null) ? null : true

/** Whether a need is met; null where that is not known. */
export function isMet(need: Need, { level, weather, waterTempC, airTempC }: HourConditions): boolean | null {
  const is = (...these: readonly string[]) => (weather === null ? null : these.includes(weather))
  const airFrom = (least: number) => (airTempC === null ? null : airTempC >= least)
  switch (need) {
    case 'risingLevel':
      return level === null ? null : level === 'rising'
    case 'wind':
      return is('windy')
    case 'calm':
      return weather === null ? null : weather !== 'windy' && weather !== 'rain'
    case 'bright':
      return is('bright')
    case 'calmBright':
      return both(is('bright', 'calm'), airFrom(FROM_C.calmBright))
    case 'swarmDay':
      return both(weather === null ? null : weather !== 'windy' && weather !== 'rain', airFrom(FROM_C.swarmDay))
    case 'mildEvening':
      return both(weather === null ? null : weather !== 'windy', airFrom(FROM_C.mildEvening))
    case 'mildAir':
      return airTempC === null || waterTempC === null ? null : airTempC >= Math.max(waterTempC, FROM_C.mildAir)
    case 'swimmingFry':
    case 'spawningFish':
      return null
  }
}

/** By what the chance of a stage is multiplied for what it needs. */
export function needFactor(need: Need | null, conditions: HourConditions): number {
  if (need === null) return 1
  const met = isMet(need, conditions)
  return met === null ? UNKNOWN[need] : met ? 1 : UNMET[need]
}
