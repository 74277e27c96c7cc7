import {
  curveRow,
  epochDayOf,
  newYearOf,
  normalsFrom,
  randomFrom,
  simulateYear,
  usualModel,
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
/** Read at two in the afternoon. */
const READ_AT_MIN = 14 * 60
const SEED = 1_907

type Rows = CommandInput<'readingsImport'>['readings']['rows']

/** A made-up year and a bit of daily readings of a reach: its season, and weather that lasts. */
function rowsOf(meanC: number, amplitudeC: number, missing: number, seed: number): Rows {
  const random = randomFrom(seed)
  const first = newYearOf(2025)
  const model = { ...usualModel(monthlyTemps(meanC, amplitudeC)), yearSdC: 0.2 }
  const days = epochDayOf(LAST_ON) - first + 1
  const row = new Float32Array(days)
  simulateYear(model, curveRow(model, days), normalsFrom(random), row)
  return Array.from(row).flatMap((tempC, i): Rows => {
    const day = first + i
    if (day < epochDayOf(FIRST_ON) || random() < missing) return []
    return [[day, READ_AT_MIN, Math.round(tempC * 100), null, null]]
  })
}

/** The readings of every thermometer, by reach. */
export const readings: readonly { readonly reach: string; readonly rows: Rows }[] = waters
  .flatMap((water) => water.reaches)
  .flatMap(({ key, meanC, amplitudeC }, i) => {
    const missing = thermometers[key]
    return missing === undefined ? [] : [{ reach: key, rows: rowsOf(meanC, amplitudeC, missing, SEED + i) }]
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
