import { learnShift } from './learn.ts'
import type { Note } from './learn.ts'
import { firstDayOf } from './window.ts'
import type { EmergenceWindow } from './window.ts'
import { mean } from '../../number/index.ts'

/** How a forecast of past years would have done, each year foretold from the others. */
export interface Backtest {
  readonly years: number
  /** mean absolute error of the first day: the engine with what it learned, and the mean date of the other years */
  readonly engineDays: number
  readonly fixedDateDays: number
}

/**
 * Leaves out each year in which the first was seen, foretells it from the others, and compares with their mean date.
 *
 * @returns null with fewer than two such years
 */
export function leaveOneOut(window: EmergenceWindow, notes: readonly Note[]): Backtest | null {
  const firsts = notes.filter(({ kind, weight }) => kind === 'firstSeen' && weight === 1)
  const years = [...new Set(firsts.map(({ year }) => year))]
  if (years.length < 2) return null
  const errors = years.map((year) => {
    const seen = Math.min(...firsts.filter((note) => note.year === year).map(({ day }) => day))
    const own = firsts.find((note) => note.year === year)
    const others = notes.filter((note) => note.year !== year)
    const { shiftDays } = learnShift(window, others)
    const foretold = (own?.foretoldDay ?? firstDayOf(window)) + shiftDays
    const fixed = mean(firsts.filter((note) => note.year !== year).map(({ day }) => day))
    return { engine: Math.abs(seen - foretold), fixed: Math.abs(seen - fixed) }
  })
  return {
    years: years.length,
    engineDays: mean(errors.map(({ engine }) => engine)),
    fixedDateDays: mean(errors.map(({ fixed }) => fixed)),
  }
}
