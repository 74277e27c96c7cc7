import {
  comesInFeathers,
  KINDS,
  partsOf,
  perFibreMgPerMm,
  seatOf,
  turnsThatFit,
  woundStrandMm,
} from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import { linearMassMgPerMm, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'

/** What one fly takes from a drawer, in the smallest step of its stock: hundredths of a piece or cm², mm, mg. */
export interface BillLine {
  readonly materialId: string
  readonly perFly: number
}

const HUNDREDTHS = 100

/** Fibres that a whole feather or slip gives; nought where they are sold one by one. */
function fibresOf(material: Material): number {
  const perFeather = valueOf(material, 'fibresPerFeather')
  if (perFeather > 0 || material.family.massModel !== 'vane') return perFeather
  return valueOf(material, 'usableLengthMm') * valueOf(material, 'fibresPerMm')
}

/** Feathers of which the fibres are torn off and wound or dubbed. */
const feathersOf = (material: Material, massMg: number, perFeather: number) =>
  massMg / Math.max(perFeather * perFibreMgPerMm(material) * valueOf(material, 'fibreLengthMm'), 0.01)

/** Pieces of a counted material on one fly. */
function pieces({ material, kind, fibreCount, strands }: FlyComponent, massMg: number): number {
  const goods = material.family.kind
  if (goods === 'bead' || goods === 'cone' || goods === 'eyes') return 1
  if (goods === 'hackle') return KINDS[kind].featherShare
  const ofFeathers = comesInFeathers(goods)
  if (ofFeathers && strands !== undefined) return strands
  const perFeather = fibresOf(material)
  const fibres = fibreCount ?? (ofFeathers ? undefined : strands)
  if (perFeather === 0) return strands ?? 1
  if (fibres !== undefined) return Math.min(fibres / perFeather, 1)
  return ofFeathers ? feathersOf(material, massMg, perFeather) : 1 / perFeather
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
      return pieces(component, massMg) * HUNDREDTHS
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
