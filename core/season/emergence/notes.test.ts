import { describe, expect, it } from 'vitest'
import { dateOf, epochDayOf } from '../calendar.ts'
import { usualModel } from '../warmth/index.ts'
import { learnedBroods } from './index.ts'
import type { DatedBrood, EmergenceWindow, SeenNote, WatchedReach } from './index.ts'

const months = Array.from(
  { length: 12 },
  (_, month) => 9 + 6.2 * Math.cos((2 * Math.PI * (month * 30.4 + 15 - 209)) / 365.25),
)
const brood: DatedBrood = {
  stageKey: 'dun', brood: 0,
  trigger: {
    kind: 'waterTemp', direction: 'rising', thresholdC: 6.8, lowC: 6, highC: 8, notBefore: '02-20', spreadDays: 7,
    durationDays: 45, steadyStartOn: '03-10',
  },
} // prettier-ignore

/** A window whose first day is this one in half of the years, give or take twenty. */
const window = (firstDay: number, change: Partial<EmergenceWindow> = {}): EmergenceWindow => ({
  stageKey: 'dun',
  brood: 0,
  onset: Array.from({ length: 11 }, (_, i) => firstDay + (i - 5) * 4),
  weatherSdDays: 6,
  doubtSdDays: 9,
  durationDays: 45,
  noneShare: 0,
  ...change,
})
const reach = (key: string, waterKey: string, change: Partial<WatchedReach> = {}): WatchedReach => ({
  key,
  waterKey,
  latitudeDeg: 54,
  elevationM: 180,
  model: usualModel(months),
  days: [],
  windows: [window(80)],
  ...change,
})
const seen = (reachKey: string, on: string, change: Partial<SeenNote> = {}): SeenNote => ({
  reachKey,
  stageKey: 'dun',
  on,
  kind: 'firstSeen',
  effortMinutes: null,
  ...change,
})

/** By how many days notes move the first brood of a reach. */
function shift(notes: readonly SeenNote[], of: WatchedReach, ...others: readonly WatchedReach[]): number {
  const all = new Map([of, ...others].map((one) => [one.key, one]))
  return learnedBroods(of, all, [brood], notes)[0]?.learned.shiftDays ?? NaN
}

const [mill, bridge, tarn] = [reach('mill', 'river'), reach('bridge', 'river'), reach('tarn', 'lake')]
/** Ten days after the usual first day, 21 March. */
const LATE = '2025-04-01'

describe('what the notes make of a brood', () => {
  it('count in full where they were made, less on the same river, least elsewhere', () => {
    const here = shift([seen('mill', LATE)], mill)
    const sameRiver = shift([seen('mill', LATE)], bridge, mill)
    const elsewhere = shift([seen('mill', LATE)], tarn, mill)
    expect(here).toBeGreaterThan(sameRiver)
    expect(sameRiver).toBeGreaterThan(elsewhere)
    expect(elsewhere).toBeGreaterThan(0.3)
    expect(here).toBeLessThan(10)
  })

  it('say of another reach by how many days they were off at their own', () => {
    const high = reach('high', 'river', { windows: [window(100)] })
    // usual at the mill is usual higher up, where everything is twenty days later
    const onTime = dateOf(epochDayOf('2025-01-01') + 82)
    expect(Math.abs(shift([seen('mill', onTime)], high, mill))).toBeLessThan(1)
    expect(shift([seen('mill', LATE)], high, mill)).toBeCloseTo(shift([seen('mill', LATE)], bridge, mill), 6)
  })

  it('belong to the brood whose middle is nearest, and to their own stage', () => {
    const twice = reach('mill', 'river', { windows: [window(80), window(230, { brood: 1 })] })
    expect(shift([seen('mill', '2025-08-25')], twice)).toBe(0)
    expect(shift([seen('mill', LATE, { stageKey: 'sedge' })], mill)).toBe(0)
    expect(shift([seen('nowhere', LATE)], mill)).toBe(0)
  })

  it('turn by half a year in the south', () => {
    const south = reach('far', 'south', { latitudeDeg: -42 })
    const halfYearOn = dateOf(epochDayOf(LATE) + 182)
    expect(shift([seen('far', halfYearOn)], south)).toBeCloseTo(shift([seen('mill', LATE)], mill), 6)
  })

  it('take a search of which nobody wrote how long it was for an hour', () => {
    const absent = (effortMinutes: number | null) =>
      shift([seen('mill', '2025-03-26', { kind: 'absent', effortMinutes })], mill)
    expect(absent(null)).toBe(absent(60))
    expect(absent(240)).toBeGreaterThan(absent(60))
    expect(absent(60)).toBeGreaterThan(absent(10))
  })

  it('are read against the warmth of their own year, where that was measured', () => {
    // a year in which 6.8 °C came on 1 April: a first sight that day says nothing of this water
    const cold = Array.from({ length: 160 }, (_, i) => ({
      day: epochDayOf('2025-01-01') + i,
      meanC: i < 90 ? 5 : 9,
    }))
    const measured = reach('mill', 'river', { days: cold })
    expect(Math.abs(shift([seen('mill', '2025-04-03')], measured))).toBeLessThan(1.5)
    expect(shift([seen('mill', '2025-04-03')], mill)).toBeGreaterThan(3)
  })

  it('say nothing of broods that nobody knows', () => {
    expect(learnedBroods(mill, new Map([['mill', mill]]), [], [])).toEqual([])
    expect(learnedBroods(mill, new Map([['mill', mill]]), [brood], [])[0]).toMatchObject({
      learned: { shiftDays: 0, notes: 0 },
      backtest: null,
    })
  })
})
