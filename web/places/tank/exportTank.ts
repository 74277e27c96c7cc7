import { depthAtTime } from '../../../core/index.ts'
import { saveFile } from '../../files/saveFile.ts'
import { depthGone } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { csvOf } from '../../files/saveCsv.ts'

const STEP_S = 0.25

/** Depth by time of all flies, in mm and seconds, as comma-separated values that no spreadsheet takes for formulae. */
export function tankCsv(flies: readonly InTank[]): string {
  const moving = flies.filter(({ descent }) => descent)
  const lastS = Math.max(0, ...moving.map(({ descent }) => descent?.points.at(-1)?.timeS ?? 0))
  const head = ['seconds', ...moving.flatMap(({ name }) => [`${name} mm`, `${name} low mm`, `${name} high mm`])]
  const rows = Array.from({ length: Math.ceil(lastS / STEP_S) + 1 }, (_, i) => {
    const timeS = i * STEP_S
    const depths = moving.flatMap((fly) => {
      const { descent, spread } = fly
      const end = descent?.points.at(-1)?.timeS ?? 0
      if (!descent || !spread || timeS > end) return ['', '', '']
      const goneMm = depthAtTime(descent, timeS)
      return [1, spread.low, spread.high].map((share) => depthGone(fly, goneMm * share).toFixed(0))
    })
    return [timeS.toFixed(2), ...depths]
  })
  return csvOf([head, ...rows])
}

export const saveCsv = (flies: readonly InTank[]): void =>
  saveFile('tank.csv', new Blob([tankCsv(flies)], { type: 'text/csv;charset=utf-8' }))
