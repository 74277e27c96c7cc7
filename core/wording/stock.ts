import { fromCore } from '../quantity/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import { cutLength } from './figures.ts'

/** What a drawer counts in: hundredths of a piece, millimetres, milligrams, hundredths of a cm² of skin. */
type StockUnit = 'count' | 'mm' | 'mg' | 'patch'

const M = 1000
const G = 1000
const CM2_PER_IN2 = 6.4516

function massOfStock(mg: number, units: DisplayUnits): string {
  if (units.mass === 'gr') return `${fromCore(mg, 'gr').toFixed(1)} gr`
  return units.mass === 'mg' && Math.abs(mg) < G ? `${Math.round(mg)} mg` : `${(mg / G).toFixed(1)} g`
}

/** Amount of a material as people say it, from its smallest step: `12 cm`, `4.0 m`, `6 mg`, `8.4 g`. */
export function stockAmount(amount: number, unit: StockUnit, units: DisplayUnits): string {
  switch (unit) {
    case 'count':
      return String(Math.round(amount) / 100).replace(/(\.\d)\d+$/, '$1')
    case 'mm':
      return Math.abs(amount) < M
        ? cutLength(amount, units)
        : `${fromCore(amount, units.depth).toFixed(1)} ${units.depth}`
    case 'mg':
      return massOfStock(amount, units)
    case 'patch':
      return units.smallLength === 'in'
        ? `${(amount / 100 / CM2_PER_IN2).toFixed(2)} in²`
        : `${(amount / 100).toFixed(1)} cm²`
  }
}
