import type { DisplayUnits } from '../../core/index.ts'

/** How a rule is divided: its smallest step, which of its marks are long, and how far it reaches on its own. */
interface Division {
  readonly stepMm: number
  readonly longEvery: number
  readonly steps: number
  readonly name: string
}

const DIVISIONS: Readonly<Record<DisplayUnits['smallLength'], Division>> = {
  mm: { stepMm: 1, longEvery: 5, steps: 10, name: '10 mm' },
  in: { stepMm: 25.4 / 16, longEvery: 4, steps: 8, name: '½ in' },
}

/** Where the marks of a rule stand, in mm from its start, and which are long. Without a length, as far as its name says. */
export function ruleMarks(unit: DisplayUnits['smallLength'], lengthMm?: number) {
  const { stepMm, longEvery, steps, name } = DIVISIONS[unit]
  const count = lengthMm === undefined ? steps : Math.floor(lengthMm / stepMm)
  const marks = Array.from({ length: count + 1 }, (_, i) => ({ atMm: i * stepMm, isLong: i % longEvery === 0 }))
  return { marks, name, lengthMm: lengthMm ?? steps * stepMm }
}
