import { normalDensity } from '../../number/index.ts'
import { normalsFrom } from '../../uncertainty/index.ts'
import type { PlacedNote } from './notes.ts'
import { saw } from './notes.ts'
import { noteLikelihood, PEAK_SHARE } from './strain.ts'
import type { Stay } from './strain.ts'

/** The draws of a stage. */
interface Rows {
  readonly stageId: string
  readonly starts: Float32Array
  readonly ends: Float32Array
}

/** A note of this year, and by how much the brood usually starts later here than where it was made. */
interface NoteOfThisYear {
  readonly placed: PlacedNote
  readonly laterHereDays: number
}

/** A year that is out of the ordinary: its chance, and how far it may lie off, sd in days. By judgement. */
export const ODD_YEAR = { chance: 0.05, sdDays: 25 }
const FARTHEST_DAYS = 60
const STEP_DAYS = 1.5
/** Who is at the water this year sees first and last more nearly than one who remembers years. */
const NOTED_NOW = { firstSeen: { sdDays: 3, lateDays: 1 }, thick: { sdDays: 5, lateDays: 0 } } as const
/** What was seen for the last time is over within days. */
const LAST_SEEN = { sdDays: 2, lateDays: -2 }
/** What another reach shows is off by so much more, sd in days. */
const ELSEWHERE_SD_DAYS = 6

const offsets = (): readonly number[] => {
  const count = Math.round(FARTHEST_DAYS / STEP_DAYS)
  return Array.from({ length: 2 * count + 1 }, (_, i) => (i - count) * STEP_DAYS)
}
const OFFSETS = offsets()

function likelihoodNow({ placed, laterHereDays }: NoteOfThisYear, stay: Stay | null): number {
  const { note } = placed
  const elsewhere = placed.weight < 1
  const day = placed.day + laterHereDays
  const doubt = elsewhere ? ELSEWHERE_SD_DAYS : 0
  if (note.kind === 'lastSeen') return !stay || stay.start > day ? 1e-4 : 1
  if (!stay || note.kind === 'absent' || note.kind === 'counted' || !saw(placed))
    return noteLikelihood({ ...placed, day }, stay, Math.max(doubt, 1)) ** placed.weight
  const { sdDays, lateDays } = NOTED_NOW[note.kind]
  const share = { firstSeen: 0, thick: PEAK_SHARE }[note.kind]
  const sd = Math.hypot(sdDays, doubt, note.kind === 'thick' ? 0.15 * stay.days : 0)
  const off = day - lateDays - (stay.start + share * stay.days)
  return (1e-4 + normalDensity(off / sd) / sd) ** placed.weight
}

/** Draws of one row taken by weights, evenly spread, in their order. */
function resampled(weights: Float64Array, random: () => number): Int32Array {
  const count = weights.length
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const from = random()
  const taken = new Int32Array(count)
  let [at, sum] = [0, weights[0] ?? 0]
  for (let i = 0; i < count; i += 1) {
    const aim = ((i + from) / count) * total
    while (sum < aim && at < count - 1) sum += weights[(at += 1)] ?? 0
    taken[i] = at
  }
  return taken
}

/** Each draw as a year may be that nobody has seen yet. */
function movedAtRandom(
  rows: readonly Rows[],
  yearSdDays: number,
  random: () => number,
  normal: () => number,
): void {
  const draws = rows[0]?.starts.length ?? 0
  for (let n = 0; n < draws; n += 1) {
    const days = normal() * (random() < ODD_YEAR.chance ? ODD_YEAR.sdDays : yearSdDays)
    for (const { starts, ends } of rows) {
      starts[n] = Math.max((starts[n] ?? 0) + days, 0)
      ends[n] = Math.max((ends[n] ?? 0) + days, 0)
    }
  }
}

/**
 * Holds the draws of one brood to this year's notes: each is moved by days as its own chance and the notes bid, and kept
 * by how well it then goes with them. Where nobody noted anything it is moved by the doubt of single years alone.
 * All stages of the brood move together; their rows are written over.
 */
export function heldToNotes(
  rows: readonly Rows[],
  notes: readonly NoteOfThisYear[],
  yearSdDays: number,
  random: () => number,
): void {
  const normal = normalsFrom(random)
  if (notes.length === 0) return movedAtRandom(rows, yearSdDays, random, normal)
  const draws = rows[0]?.starts.length ?? 0
  const prior = OFFSETS.map(
    (days) =>
      ((1 - ODD_YEAR.chance) * normalDensity(days / yearSdDays)) / yearSdDays +
      (ODD_YEAR.chance * normalDensity(days / ODD_YEAR.sdDays)) / ODD_YEAR.sdDays,
  )
  const weights = new Float64Array(draws)
  const moved = new Float32Array(draws)
  const chances = new Float64Array(OFFSETS.length)
  for (let n = 0; n < draws; n += 1) {
    let total = 0
    OFFSETS.forEach((days, i) => {
      let chance = prior[i] ?? 0
      for (const note of notes) {
        const row = rows.find(({ stageId }) => stageId === note.placed.stage.id)
        const start = row?.starts[n] ?? NaN
        const stay = Number.isNaN(start) ? null : { start: start + days, days: (row?.ends[n] ?? NaN) - start }
        chance *= likelihoodNow(note, stay)
      }
      chances[i] = chance
      total += chance
    })
    weights[n] = total
    let aim = random() * total
    let i = 0
    while (i < OFFSETS.length - 1 && (aim -= chances[i] ?? 0) > 0) i += 1
    moved[n] = (OFFSETS[i] ?? 0) + (random() - 0.5) * STEP_DAYS
  }
  const last = notes.filter(({ placed }) => placed.note.kind === 'lastSeen' && placed.weight === 1).at(-1)
  const taken = resampled(weights, random)
  for (const { stageId, starts, ends } of rows) {
    const [before, until] = [Float32Array.from(starts), Float32Array.from(ends)]
    for (let n = 0; n < draws; n += 1) {
      const from = taken[n] as number
      starts[n] = Math.max((before[from] ?? 0) + (moved[from] ?? 0), 0)
      ends[n] = Math.max((until[from] ?? 0) + (moved[from] ?? 0), 0)
      // a stage that was seen for the last time is over, whatever its brood does
      if (last?.placed.stage.id === stageId)
        ends[n] = last.placed.day - LAST_SEEN.lateDays + LAST_SEEN.sdDays * normal()
    }
  }
}
