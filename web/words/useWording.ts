import { wording } from '../../core/index.ts'
import type { DisplayUnits, Estimate } from '../../core/index.ts'
import type { FrameView } from '../../contract/index.ts'
import { defaultUnits } from './defaultUnits.ts'
import { useFramePart } from '../wire/answers.ts'

type StockUnit = Parameters<typeof wording.stockAmount>[1]

const unitsOf = (frame: FrameView | undefined): { readonly units: DisplayUnits } => ({
  units: frame?.settings.units ?? defaultUnits,
})

/** Figures and sentences in the user's units; loads with the places that use core. */
export function useWording() {
  const { units } = useFramePart(unitsOf)
  return {
    units,
    fall: (listed: Parameters<typeof wording.fallWords>[0]) => wording.fallWords(listed, units),
    speed: (mmPerS: number) => wording.speed(mmPerS, units),
    speedBand: (estimate: Pick<Estimate, 'low' | 'high'>) => wording.speedBand(estimate, units),
    mass: (mg: number) => wording.mass(mg, units),
    depth: (mm: number) => wording.depth(mm, units),
    small: (mm: number) => wording.smallLength(mm, units),
    smallSpan: (lowMm: number, highMm: number) => wording.smallSpan(lowMm, highMm, units),
    stock: (amount: number, unit: StockUnit) => wording.stockAmount(amount, unit, units),
    temperature: (tempC: number) => wording.temperature(tempC, units),
    wholeTemperature: (tempC: number) => wording.wholeTemperature(tempC, units),
  }
}
