import { comesInFeathers } from '../dressing/index.ts'
import type { FlyComponent } from '../dressing/index.ts'
import type { MaterialKind } from '../material/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import { counted } from './counted.ts'
import { smallLength } from './figures.ts'

/** Strands of goods as they are said: `2 feathers`, `1 strand`. */
export function strandsText(count: number, goods: MaterialKind | undefined): string {
  return goods && comesInFeathers(goods)
    ? counted(count, 'feather', 'feathers')
    : counted(count, 'strand', 'strands')
}

/** The amounts of a component that its recipe does not say, as worked out on this hook: `17 turns`, `4.7 mm long`. */
export function workedOutAmounts(component: FlyComponent, units: DisplayUnits): readonly string[] {
  const { derived, turns = 0, fibreCount = 0, strands = 0, layers = 0, widthMm = 0, lengthMm } = component
  return derived.flatMap((amount) => {
    switch (amount) {
      case 'turns':
        return counted(turns, 'turn', 'turns')
      case 'fibreCount':
        return counted(fibreCount, 'fibre', 'fibres')
      case 'strands':
        return fibreCount > 0 ? [] : strandsText(strands, component.material.family.kind)
      case 'layers':
        return counted(layers, 'layer', 'layers')
      case 'widthMm':
        return `${smallLength(widthMm, units)} wide`
      case 'bulk':
        return 'slim'
      case 'length':
        return lengthMm === null ? [] : `${smallLength(lengthMm, units)} long`
    }
  })
}

/** A mark that breaks the weight code: `brass with a turn of red: your code has tan for brass`. */
export function markSentence(fault: {
  readonly metal: string
  readonly expected: string | null
  readonly found: string | null
}): string {
  const what = fault.metal === 'none' ? 'no bead' : fault.metal
  const found = fault.found ? `a turn of ${fault.found}` : 'no turn of thread'
  const code = fault.expected ?? 'no turn'
  return `${what} with ${found}: your code has ${code} for ${what}`
}
