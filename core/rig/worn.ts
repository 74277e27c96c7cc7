import { clamp } from '../number/index.ts'
import type { Stuff } from './parts.ts'

/** What knots and tippet have been through since they were tied. */
export interface Worn {
  readonly fishedMin: number
  readonly days: number
  readonly stuff: Stuff
}

/**
 * By judgement, not by measurement: casts and fish draw a knot down, light takes nylon, copolymer and polyester but hardly
 * fluorocarbon, and what is kept takes up water.
 */
const AN_HOUR_OFF = { knot: 0.01, light: 0.005 }
const A_MONTH_OFF = 0.005
const MONTH_DAYS = 30.4
const LEAST_TRUST = 0.6
/** Below this most tie anew: after two outings, about. */
const ANEW_BELOW = 0.86

/** Which share of its load a knot is still trusted with, 0.6 to 1. */
export function trustIn({ fishedMin, days, stuff }: Worn): number {
  const anHour = AN_HOUR_OFF.knot + (stuff === 'fluorocarbon' ? 0 : AN_HOUR_OFF.light)
  return clamp(1 - (fishedMin / 60) * anHour - (days / MONTH_DAYS) * A_MONTH_OFF, LEAST_TRUST, 1)
}

/** Whether what is left of its trust asks for new knots. */
export const wantsNewKnots = (worn: Worn): boolean => trustIn(worn) < ANEW_BELOW
