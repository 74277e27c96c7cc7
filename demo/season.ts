import {
  aboveDayMeanC,
  curveRow,
  epochDayOf,
  newYearOf,
  normalsFrom,
  randomFrom,
  simulateYear,
  usualModel,
  usualSwing,
} from '../core/index.ts'
import type { CommandInput } from '../contract/index.ts'
import { monthlyTemps, waters } from './places.ts'

/** The thermometers of the valley: which reach has one, and which share of its days was forgotten. */
const thermometers: Readonly<Record<string, number>> = {
  mill: 0.3,
  bridge: 0,
  alder: 0.3,
  lavvel: 0.3,
  'dunmarl-shoal': 0.3,
}
const FIRST_ON = '2025-03-01'
const LAST_ON = '2026-06-04'
/** Read at two in the afternoon; at Mill Reach every three hours of a week in May, day and night. */
const AT_TWO = [14 * 60]
const EVERY_THREE_HOURS = [0, 180, 360, 540, 720, 900, 1080, 1260]
const THROUGH_THE_DAY = { reach: 'mill', fromOn: '2026-05-18', toOn: '2026-05-24' }
/** Water of the valley swings a little more than is usual of its kinds. */
const SWINGS_BY = 1.1
const SEED = 1_907
/** Depth of every thermometer below the surface, mm. */
export const UNDER_MM = 300

type Rows = CommandInput<'readingsImport'>['readings']['rows']

const readAt = (reach: string, day: number): readonly number[] =>
  reach === THROUGH_THE_DAY.reach &&
  day >= epochDayOf(THROUGH_THE_DAY.fromOn) &&
  day <= epochDayOf(THROUGH_THE_DAY.toOn)
    ? EVERY_THREE_HOURS
    : AT_TWO

type Reach = (typeof waters)[number]['reaches'][number]

/** A made-up year and a bit of readings of a reach: its season, weather that lasts, and the swing of its days. */
function rowsOf(
  { water }: (typeof waters)[number],
  { key, meanC, amplitudeC }: Reach,
  missing: number,
  seed: number,
): Rows {
  const random = randomFrom(seed)
  const first = newYearOf(2025)
  const model = { ...usualModel(monthlyTemps(meanC, amplitudeC)), yearSdC: 0.2 }
  const days = epochDayOf(LAST_ON) - first + 1
  const row = new Float32Array(days)
  const swing = usualSwing({ waterKind: water.kind, latitudeDeg: water.latitudeDeg, depthMm: UNDER_MM })
  simulateYear(model, curveRow(model, days), normalsFrom(random), row)
  return Array.from(row).flatMap((tempC, i): Rows => {
    const day = first + i
    if (day < epochDayOf(FIRST_ON) || random() < missing) return []
    return readAt(key, day).map((localMin): Rows[number] => {
      const readC = Math.max(tempC + SWINGS_BY * aboveDayMeanC(swing, day, localMin), 0)
      return [day, localMin, Math.round(readC * 100), null, null]
    })
  })
}

/** The readings of every thermometer, by reach. */
export const readings: readonly { readonly reach: string; readonly rows: Rows }[] = waters
  .flatMap((water) => water.reaches.map((reach) => ({ water, reach })))
  .flatMap(({ water, reach }, i) => {
    const missing = thermometers[reach.key]
    return missing === undefined ? [] : [{ reach: reach.key, rows: rowsOf(water, reach, missing, SEED + i) }]
  })

interface DemoObservation {
  readonly on: string
  readonly localMin: number
  readonly reach: string
  readonly stage: string
  readonly kind: CommandInput<'observationSave'>['observation']['kind']
  readonly effortMinutes?: number
  readonly note: string
}

/** What the tier wrote down beside the water. */
export const observations: readonly DemoObservation[] = [
  { on: '2025-03-29', localMin: 760, reach: 'mill', stage: 'dark-olive-dun', kind: 'firstSeen', note: 'The first of them, under the alders.' },
  { on: '2025-05-24', localMin: 900, reach: 'mill', stage: 'large-burrowing-mayfly-dun', kind: 'thick', note: 'Two till six, hardly a pause.' },
  { on: '2025-05-24', localMin: 1170, reach: 'mill', stage: 'large-burrowing-mayfly-spinner', kind: 'firstSeen', note: 'Coming down at half past seven.' },
  { on: '2026-05-09', localMin: 910, reach: 'bridge', stage: 'small-dark-early-sedge-adult', kind: 'thick', note: 'Clouds of them over the tail of the run.' },
  { on: '2026-05-23', localMin: 800, reach: 'mill', stage: 'large-burrowing-mayfly-dun', kind: 'firstSeen', note: 'Twenty past one.' },
  { on: '2026-05-23', localMin: 1140, reach: 'bridge', stage: 'large-burrowing-mayfly-dun', kind: 'absent', effortMinutes: 40, note: 'Looked from the bridge on the way home.' },
] // prettier-ignore
