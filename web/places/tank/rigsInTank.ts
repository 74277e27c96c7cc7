import type { FishesRig } from '../../../core/index.ts'
import { csvOf } from '../../files/saveCsv.ts'
import { saveFile } from '../../files/saveFile.ts'

/** A rig in the tank, with the names of its flies that hang. */
export interface RigInTank {
  readonly name: string
  readonly flies: readonly string[]
  readonly fishes: FishesRig
}

/** Depth of each fly by the second, mm, with its band: as comma-separated values that no spreadsheet takes for formulae. */
export function rigsCsv(rigs: readonly RigInTank[]): string {
  const columns = rigs.flatMap(({ name, flies, fishes }) =>
    flies.map((fly, i) => ({ name: `${name}, ${fly}`, at: (s: number) => fishes.moments[s]?.there[i] })),
  )
  const head = [
    'seconds',
    ...columns.flatMap(({ name }) => [`${name} mm`, `${name} low mm`, `${name} high mm`]),
  ]
  const seconds = Math.max(0, ...rigs.map(({ fishes }) => fishes.moments.length))
  const rows = Array.from({ length: seconds }, (_, s) => [
    String(s),
    ...columns.flatMap(({ at }) => {
      const there = at(s)
      return [there?.depthMm, there?.band?.lowMm, there?.band?.highMm].map((mm) => mm?.toFixed(0) ?? '')
    }),
  ])
  return csvOf([head, ...rows])
}

export const saveRigsCsv = (rigs: readonly RigInTank[]): void =>
  saveFile('rigs.csv', new Blob([rigsCsv(rigs)], { type: 'text/csv;charset=utf-8' }))
