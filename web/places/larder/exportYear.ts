import { createEvents } from 'ics'
import type { EventAttributes } from 'ics'
import { dateOf, firstDayOf, HALF_YEAR_DAYS, lastDayOf, newYearOf, peakDayOf } from '../../../core/index.ts'
import type { EmergenceWindow } from '../../../core/index.ts'
import type { ReachSeasonView, StageLine } from '../../../contract/index.ts'
import { saveFile } from '../../files/saveFile.ts'
import { csvOf } from '../../files/saveCsv.ts'

/** A stage that hardly belongs to this kind of water is no entry for a calendar. */
const LEAST_TYPICAL = 0.3

/** What is exported: the windows of a reach in a year. */
export interface YearOfReach {
  readonly reachName: string
  readonly year: number
  readonly south: boolean
  readonly waterKind: string
  readonly stages: readonly StageLine[]
  readonly season: ReachSeasonView
}

interface DatedWindow {
  readonly stage: StageLine
  readonly window: EmergenceWindow
  readonly on: (dayOfYear: number) => string
}

/** The windows of stages that are at home on this kind of water, in the order of their first days. */
function datedWindows({ year, south, waterKind, stages, season }: YearOfReach): readonly DatedWindow[] {
  const first = newYearOf(year) + (south ? HALF_YEAR_DAYS : 0)
  const on = (dayOfYear: number) => dateOf(first + Math.round(dayOfYear))
  return season.windows
    .flatMap(({ after }): DatedWindow[] => {
      const stage = stages.find(({ id }) => id === after.stageKey)
      return stage && (stage.waterKinds[waterKind] ?? 0) >= LEAST_TYPICAL ? [{ stage, window: after, on }] : []
    })
    .sort((a, b) => firstDayOf(a.window) - firstDayOf(b.window))
}

const broodOf = ({ stage, window }: DatedWindow) => stage.broods[window.brood]?.name ?? ''

/** First, thickest and last days of each food, as comma-separated values that no spreadsheet takes for formulae. */
export function yearCsv(of: YearOfReach): string {
  const head = [
    'food',
    'stage',
    'brood',
    'first, 1 in 10',
    'first, usual',
    'first, 9 in 10',
    'thickest',
    'over',
    'years without',
  ]
  const rows = datedWindows(of).map((dated) => {
    const { stage, window, on } = dated
    return [
      stage.foodName,
      stage.stageName,
      broodOf(dated),
      on(window.onset[1] ?? 0),
      on(firstDayOf(window)),
      on(window.onset[9] ?? 0),
      on(peakDayOf(window)),
      on(lastDayOf(window)),
      window.noneShare.toFixed(2),
    ]
  })
  return csvOf([head, ...rows])
}

const dateParts = (on: string): [number, number, number] => [
  Number(on.slice(0, 4)),
  Number(on.slice(5, 7)),
  Number(on.slice(8)),
]

/** The windows as all-day entries of a calendar, and the day on which each is thickest. */
export function yearIcs(of: YearOfReach): string {
  const events = datedWindows(of).map((dated): EventAttributes => {
    const { stage, window, on } = dated
    const brood = broodOf(dated)
    return {
      uid: `${window.stageKey}-${window.brood}-${of.year}@heavy-thistle`,
      productId: 'heavy-thistle',
      title: `${stage.foodName}, ${stage.stageName}${brood ? ` (${brood})` : ''}: ${of.reachName}`,
      start: dateParts(on(firstDayOf(window))),
      end: dateParts(on(lastDayOf(window) + 1)),
      description: `First between ${on(window.onset[1] ?? 0)} and ${on(window.onset[9] ?? 0)} (8 in 10), thickest about ${on(peakDayOf(window))}.`,
    }
  })
  const { value, error } = createEvents(events)
  if (error || !value) throw error ?? new Error('the calendar could not be made')
  return value
}

const fileName = ({ reachName, year }: YearOfReach, kind: string) =>
  `${reachName.toLowerCase().replaceAll(' ', '-')}-${year}.${kind}`

export const saveYearCsv = (of: YearOfReach): void =>
  saveFile(fileName(of, 'csv'), new Blob([yearCsv(of)], { type: 'text/csv;charset=utf-8' }))

export const saveYearIcs = (of: YearOfReach): void =>
  saveFile(fileName(of, 'ics'), new Blob([yearIcs(of)], { type: 'text/calendar;charset=utf-8' }))
