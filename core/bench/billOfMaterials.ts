import { KINDS, partsOf, seatOf, turnsThatFit, woundStrandMm } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import { linearMassMgPerMm, strandDiameterMm, valueOf } from '../material/index.ts'

/** What one fly takes from a drawer, in the smallest step of its stock: hundredths of a piece or cm², mm, mg. */
export interface BillLine {
  readonly materialId: string
  readonly perFly: number
}

const HUNDREDTHS = 100

/** Pieces of a counted material on one fly. */
function pieces(component: FlyComponent): number {
  const { material, kind } = component
  switch (material.family.kind) {
    case 'bead':
    case 'cone':
    case 'eyes':
      return 1
    case 'hackle':
      return KINDS[kind].featherShare
    case 'cdc':
    case 'feather':
      return component.strands ?? 1
    default: {
      const perFeather = valueOf(material, 'fibresPerFeather')
      const fibres = component.fibreCount ?? component.strands ?? 1
      return perFeather > 0 ? Math.min(fibres / perFeather, 1) : (component.strands ?? 1)
    }
  }
}

/** Strand on one fly, mm, before what is cut off. */
function strandMm(component: FlyComponent, fly: Fly): number {
  const { material, kind } = component
  const placeMm = Math.max(component.toMm - component.fromMm, 0)
  const { strandMm: ofKind } = KINDS[kind]
  if (ofKind) return ofKind(seatOf(component, fly))
  if (component.lengthMm !== null) return component.lengthMm * (component.strands ?? 1)
  return woundStrandMm(
    component.turns === undefined
      ? { ...component, turns: turnsThatFit(placeMm, Math.max(strandDiameterMm(material), 0.03)) }
      : component,
  )
}

function amount(component: FlyComponent, fly: Fly, massMg: number): number {
  const { family } = component.material
  switch (family.stockUnit) {
    case 'count':
      return pieces(component) * HUNDREDTHS
    case 'mm':
      return strandMm(component, fly) / (1 - Math.min(family.wasteShare, 0.9))
    case 'mg':
      return massMg / (1 - Math.min(family.wasteShare, 0.9))
    case 'patch': {
      const areaMm2 = massMg / Math.max(valueOf(component.material, 'arealMassMgPerMm2'), 0.01)
      return (areaMm2 / 100) * HUNDREDTHS
    }
  }
}

/**
 * What a fly takes from the stores, waste by kind included, one line a material.
 *
 * Amounts are whole smallest steps, never nought for a material that is on the fly.
 */
export function billOfMaterials(fly: Fly): readonly BillLine[] {
  const masses = new Map(partsOf(fly).map(({ key, massMg }) => [key, massMg]))
  const lines = new Map<string, number>([[fly.hookMaterial.id, HUNDREDTHS]])
  for (const component of fly.components) {
    const massMg = masses.get(component.key) ?? strandMm(component, fly) * linearMassMgPerMm(component.material)
    const perFly = amount(component, fly, massMg)
    lines.set(component.material.id, (lines.get(component.material.id) ?? 0) + perFly)
  }
  return [...lines].map(([materialId, perFly]) => ({
    materialId,
    perFly: Math.max(Math.ceil(perFly - 1e-9), 1),
  }))
}
