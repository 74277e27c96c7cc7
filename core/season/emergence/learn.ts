import { chanceOn, firstDayOf, lastDayOf, peakDayOf } from './window.ts'
import type { EmergenceWindow } from './window.ts'

/** What was noted of a food: seen, counted, or looked for and not seen. Days are those of its window's year. */
export interface Note {
  readonly kind: 'firstSeen' | 'thick' | 'lastSeen' | 'absent' | 'counted'
  readonly day: number
  readonly year: number
  /** time spent looking, minutes */
  readonly effortMinutes: number
  /** 1 on this water, less on a neighbour's */
  readonly weight: number
  /** median start that this year's own warmth foretold; null where it was not measured */
  readonly foretoldDay: number | null
}

/** How far this water is from what is usual of a brood: later above nought. */
export interface Learned {
  readonly shiftDays: number
  readonly sdDays: number
  readonly notes: number
}

/** Doubt of a noted day, sd: an angler who is there at weekends sees the first some days late. */
const NOTED = {
  firstSeen: { sdDays: 5, lateDays: 2 },
  thick: { sdDays: 6, lateDays: 0 },
  lastSeen: { sdDays: 7, lateDays: -3 },
} as const
/** An hour of looking finds what is about in this share of cases. */
const FOUND_IN_AN_HOUR = 0.75
/** What is seen although the window says it is not about: stragglers, other kinds. */
const STRAGGLERS = 0.03
/** Notes of a year whose warmth was measured depend on that year's weather no more; this much of it is left. */
const WEATHER_LEFT = 0.4
const FARTHEST_DAYS = 60
const STEP_DAYS = 0.5
const LEAST_SD_DAYS = 2

const normalLog = (off: number, sd: number) => -0.5 * (off / sd) ** 2 - Math.log(sd)

/** Log-likelihood of a note, were this water so many days later than usual. */
function noteLog(note: Note, window: EmergenceWindow, shift: number): number {
  const base = note.foretoldDay === null ? 0 : note.foretoldDay - firstDayOf(window)
  const weatherSd = window.weatherSdDays * (note.foretoldDay === null ? 1 : WEATHER_LEFT)
  if (note.kind === 'firstSeen' || note.kind === 'thick' || note.kind === 'lastSeen') {
    const { sdDays, lateDays } = NOTED[note.kind]
    const expected = { firstSeen: firstDayOf, thick: peakDayOf, lastSeen: lastDayOf }[note.kind](window)
    return normalLog(note.day - lateDays - (expected + base + shift), Math.hypot(sdDays, weatherSd))
  }
  const about = chanceOn(window, note.day - base - shift)
  if (note.kind === 'counted') return Math.log(STRAGGLERS + (1 - STRAGGLERS) * about)
  const found = 1 - (1 - FOUND_IN_AN_HOUR) ** (note.effortMinutes / 60)
  return Math.log(1 - found * about)
}

/**
 * What the notes of a food say of a brood on this water: a plain Bayesian update of how many days later than usual it
 * is here, on a grid. The prior is the doubt of its threshold; each note weighs as much as its day is sure, one of a
 * neighbouring water less.
 */
export function learnShift(window: EmergenceWindow, notes: readonly Note[]): Learned {
  const prior = Math.max(window.doubtSdDays, LEAST_SD_DAYS)
  if (notes.length === 0) return { shiftDays: 0, sdDays: prior, notes: 0 }
  const shifts: number[] = []
  for (let shift = -FARTHEST_DAYS; shift <= FARTHEST_DAYS; shift += STEP_DAYS) shifts.push(shift)
  const logs = shifts.map((shift) =>
    notes.reduce((sum, note) => sum + note.weight * noteLog(note, window, shift), normalLog(shift, prior)),
  )
  const most = Math.max(...logs)
  const weights = logs.map((log) => Math.exp(log - most))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const mean = shifts.reduce((sum, shift, i) => sum + shift * (weights[i] ?? 0), 0) / total
  const variance = shifts.reduce((sum, shift, i) => sum + (shift - mean) ** 2 * (weights[i] ?? 0), 0) / total
  return { shiftDays: mean, sdDays: Math.max(Math.sqrt(variance), LEAST_SD_DAYS), notes: notes.length }
}

/** A window as what was learned moves and narrows it. */
export function learnedWindow(window: EmergenceWindow, learned: Learned): EmergenceWindow {
  if (learned.notes === 0) return window
  const before = Math.hypot(window.weatherSdDays, Math.max(window.doubtSdDays, LEAST_SD_DAYS))
  const after = Math.hypot(window.weatherSdDays, learned.sdDays)
  const middle = firstDayOf(window)
  return {
    ...window,
    doubtSdDays: learned.sdDays,
    onset: window.onset.map((day) => middle + learned.shiftDays + ((day - middle) * after) / before),
  }
}
