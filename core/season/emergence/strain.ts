import { normalDensity, normalShare, Z_80 } from '../../number/index.ts'
import type { PlacedNote } from './notes.ts'
import { saw } from './notes.ts'
import type { DatedTrigger } from './trigger.ts'

/** Share of an emergence that is over when it is thickest. */
export const PEAK_SHARE = 0.35
/** What is seen although it is not about: stragglers, other kinds. */
const STRAGGLERS = 0.03
/** Doubt of a noted day, sd, and how late it comes: an angler who is there at weekends sees the first some days late. */
export const FIRST_SEEN = { sdDays: 5, lateDays: 2 } as const
const NOTED = {
  firstSeen: FIRST_SEEN,
  thick: { sdDays: 6, lateDays: 0 },
  lastSeen: { sdDays: 6, lateDays: -3 },
} as const

/** How sure the start of a brood is on a water: its threshold, its own days, and those of each year. */
export interface StartDoubt {
  readonly thresholdSdC: number
  /** of this water, in all years */
  readonly ownSdDays: number
  /** of each year by itself */
  readonly yearSdDays: number
}

/** Of the variance of a trigger's spread, what is the water's own in all years; the rest is each year's. By judgement. */
const OWN_SHARE = 0.7

/** Doubt of a trigger's start, from its limits. */
export function startDoubt(trigger: DatedTrigger): StartDoubt {
  const spread = trigger.spreadDays / Z_80
  const thresholdSdC =
    trigger.kind === 'waterTemp' || trigger.kind === 'airTemp' ? (trigger.highC - trigger.lowC) / 2 / Z_80 : 0
  return {
    thresholdSdC,
    ownSdDays: spread * Math.sqrt(OWN_SHARE),
    yearSdDays: spread * Math.sqrt(1 - OWN_SHARE),
  }
}

/** When a stage is about in one year: from its start for so many days. */
export interface Stay {
  readonly start: number
  readonly days: number
}

/** Chance that it is about on a day, were its start sure to within an sd. */
export const aboutOn = (day: number, { start, days }: Stay, sdDays: number): number =>
  Math.max(normalShare((day - start) / sdDays) - normalShare((day - start - days) / sdDays), 0)

/** Likelihood of a note, were the stay this, sure to within an sd; a year that never brings it has seen none of it. */
export function noteLikelihood(placed: PlacedNote, stay: Stay | null, sdDays: number): number {
  const { note, day, found } = placed
  if (!stay) return saw(placed) ? STRAGGLERS : 1
  const about = aboutOn(day, stay, Math.max(sdDays, 1))
  if (note.kind === 'absent' || !saw(placed)) return 1 - found * about
  if (note.kind === 'counted') return STRAGGLERS + (1 - STRAGGLERS) * about
  const share = { firstSeen: 0, thick: PEAK_SHARE, lastSeen: 1 }[note.kind]
  const expected = stay.start + share * stay.days
  const { sdDays: noted, lateDays } = NOTED[note.kind]
  const sd = Math.hypot(noted, sdDays, share * 0.15 * stay.days)
  return 0.01 / 60 + (0.99 * normalDensity((day - lateDays - expected) / sd)) / sd
}

/** What a water's strain may be: points of a grid with their chance. */
export interface Strain {
  readonly thresholdC: number
  readonly days: number
  readonly chance: number
}

const POINTS = { threshold: 13, days: 9 }
const REACH_SD = 2.4

const gridOf = (count: number) =>
  Array.from({ length: count }, (_, i) => -REACH_SD + (2 * REACH_SD * i) / (count - 1))

/** Years that were not read are made up so many times; all notes of one share its weather. */
export const MADE_UP_YEARS = 24

/** One year as notes meet it: how a stage would have stayed under a threshold, once for each way its weather may have been. */
export interface NotedYear {
  readonly notes: readonly PlacedNote[]
  /** stays of a note's stage by way and threshold, before the water's own days */
  readonly stay: (note: PlacedNote, way: number, thresholdC: number) => Stay | null
  readonly ways: number
}

/**
 * What the notes of past years say of a water's strain of a brood: Bayes on a grid of threshold and days. In each year
 * the notes are judged together against that year's own weather, read or made up, so that four notes of one spring are
 * not four springs.
 */
export function strainFrom(doubt: StartDoubt, years: readonly NotedYear[]): readonly Strain[] {
  const thresholds = doubt.thresholdSdC > 0 ? gridOf(POINTS.threshold) : [0]
  const strains: { thresholdC: number; days: number; log: number }[] = []
  for (const z of thresholds) {
    const thresholdC = z * doubt.thresholdSdC
    for (const d of gridOf(POINTS.days)) {
      let log = -0.5 * (z ** 2 + d ** 2)
      for (const year of years) log += yearLog(year, thresholdC, d * doubt.ownSdDays, doubt.yearSdDays)
      strains.push({ thresholdC, days: d * doubt.ownSdDays, log })
    }
  }
  const most = Math.max(...strains.map(({ log }) => log))
  const total = strains.reduce((sum, { log }) => sum + Math.exp(log - most), 0)
  return strains.map(({ thresholdC, days, log }) => ({
    thresholdC,
    days,
    chance: Math.exp(log - most) / total,
  }))
}

function yearLog(year: NotedYear, thresholdC: number, days: number, sdDays: number): number {
  let sum = 0
  for (let way = 0; way < year.ways; way += 1) {
    let product = 1
    for (const note of year.notes) {
      const stay = year.stay(note, way, thresholdC)
      const moved = stay && { start: stay.start + days, days: stay.days }
      product *= noteLikelihood(note, moved, sdDays) ** note.weight
    }
    sum += product
  }
  return Math.log(sum / year.ways)
}
