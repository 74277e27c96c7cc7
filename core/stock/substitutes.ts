import { colourDistance } from '../colour/index.ts'
import { sizeNumber, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'

/** A material of the stores that may stand in for another. */
export interface Substitute {
  readonly material: Material
  /** how far it is from what is wanted, 0 for the same: differences of colour, size, density and make, weighed */
  readonly distance: number
  /** see `colourDistance`; 0 where colour does not matter, as for hooks */
  readonly colourDistance: number
  /** its size over the wanted one's as numbers of their families; null where they have none */
  readonly sizeRatio: number | null
}

/** What a difference weighs: twice the size or the density, or plainly another colour, about as much as another make. */
const WEIGHT = { colour: 3, size: 1, density: 0.6, family: 0.3 }
/** A hook is one size smaller for each number: twelve numbers halve a shank. */
const HOOK_NUMBERS_PER_HALF = 12
const FURTHEST = 1.6

const ratioLog = (a: number, b: number) => (a > 0 && b > 0 ? Math.abs(Math.log2(a / b)) : 0)

function sizeDistance(wanted: Material, other: Material): { distance: number; ratio: number | null } {
  const [a, b] = [sizeNumber(wanted), sizeNumber(other)]
  if (a === null || b === null) return { distance: wanted.sizeKey === other.sizeKey ? 0 : 1, ratio: null }
  if (wanted.family.kind === 'hook')
    return { distance: Math.abs(a - b) / HOOK_NUMBERS_PER_HALF, ratio: 2 ** ((a - b) / HOOK_NUMBERS_PER_HALF) }
  return { distance: ratioLog(a, b), ratio: b / a }
}

/**
 * Materials of the same kind that may stand in for one that is missing, the nearest first: by colour (OKLab), size and
 * density. What the swap does to weight, fall and ride is for `evaluateFly` to say.
 */
export function substitutesFor(wanted: Material, others: readonly Material[]): readonly Substitute[] {
  const density = valueOf(wanted, 'densityMgPerMm3')
  return others
    .filter(({ id, family }) => id !== wanted.id && family.kind === wanted.family.kind)
    .map((material): Substitute => {
      const size = sizeDistance(wanted, material)
      const colour =
        wanted.family.kind === 'hook' ? 0 : colourDistance(wanted.colourWetHex, material.colourWetHex)
      const distance =
        WEIGHT.colour * colour +
        WEIGHT.size * size.distance +
        WEIGHT.density * ratioLog(density, valueOf(material, 'densityMgPerMm3')) +
        (material.family.name === wanted.family.name ? 0 : WEIGHT.family)
      return { material, distance, colourDistance: colour, sizeRatio: size.ratio }
    })
    .filter(({ distance }) => distance <= FURTHEST)
    .sort((a, b) => a.distance - b.distance || (a.material.id < b.material.id ? -1 : 1))
}
