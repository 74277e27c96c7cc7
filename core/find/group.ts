import { calibrationFor, weighedFactor } from '../calibrate/index.ts'
import { airKept, dryness, hullOf, is, makeBead, resolveDressing } from '../dressing/index.ts'
import type { Component, Dressing, Fly, Part, Swap } from '../dressing/index.ts'
import { checkFit, windingLengthMm } from '../dressing/index.ts'
import { airDragMgPerMm, dragElementsOf, preparedParts } from '../evaluate/index.ts'
import type { Calibration } from '../evaluate/index.ts'
import { eyeCentre } from '../hook/index.ts'
import { linearMassMgPerMm, strandDiameterMm } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { dragField } from '../sink/index.ts'
import type { DragField, FlySpot } from '../sink/index.ts'
import { waterAt } from '../water/index.ts'
import type { FindInput, Weighting } from './wanted.ts'

/** Where a search puts a bead or wire that the dressing has none of. */
const ADDED: Readonly<Record<'bead' | 'wire', Pick<Component, 'key' | 'kind' | 'place'>>> = {
  bead: { key: 'found-bead', kind: 'bead', place: { from: 0, to: 0.18, side: 'around' } },
  wire: { key: 'found-wire', kind: 'wire', place: { from: 0.22, to: 0.75, side: 'around' } },
}

/** The dressing with places for a bead and an underbody of wire, and the keys of both. */
export function weightable(dressing: Dressing, fallbackMaterialId: string) {
  const of = (kind: 'bead' | 'wire') => dressing.components.find((component) => component.kind === kind)
  const [bead, wire] = [of('bead'), of('wire')]
  const added = (['bead', 'wire'] as const)
    .filter((kind) => !of(kind))
    .map((kind): Component => ({ ...ADDED[kind], materialId: fallbackMaterialId }))
  return {
    dressing: { ...dressing, components: [...added, ...dressing.components] },
    beadKey: bead?.key ?? ADDED.bead.key,
    wireKey: wire?.key ?? ADDED.wire.key,
    added,
  }
}

/** What a variant does otherwise than the dressing so as to be weighted like this. */
export function swapsFor(
  dressing: Dressing,
  kept: readonly Swap[],
  { bead, wire, turns, bulk, pinMm }: Omit<Weighting, 'hook'>,
  keys: { readonly beadKey: string; readonly wireKey: string },
): readonly Swap[] {
  const swaps = new Map(kept.map((swap) => [swap.componentKey, swap]))
  swaps.set(
    keys.beadKey,
    bead
      ? {
          componentKey: keys.beadKey,
          materialId: bead.id,
          ...(pinMm === null ? {} : { length: { mm: pinMm } }),
        }
      : { componentKey: keys.beadKey, omit: true },
  )
  swaps.set(
    keys.wireKey,
    wire && turns > 0
      ? { componentKey: keys.wireKey, materialId: wire.id, turns }
      : { componentKey: keys.wireKey, omit: true },
  )
  if (bulk !== null) {
    for (const { key, kind, bulk: usual } of dressing.components) {
      if (is(kind, 'bulky') && usual !== undefined)
        swaps.set(key, { ...swaps.get(key), componentKey: key, bulk })
    }
  }
  return [...swaps.values()]
}

/** All weightings that share an outline: one hook, bead of one shape, wire of one thickness, one bulk. */
export interface Group {
  readonly hook: Material
  readonly beads: readonly (Material | null)[]
  readonly wires: readonly (Material | null)[]
  readonly bulk: number | null
  readonly fly: Fly
  readonly mostTurns: number
  readonly bulkIndex: number
  /** all parts with one turn of wire, as measured and treated */
  readonly parts: readonly Part[]
  readonly beadKey: string
  readonly wireKey: string
  readonly eye: FlySpot
  /** its drag at every attitude; tabulated when first asked for */
  readonly drag: () => DragField
  readonly dragMultiplier: number
  /** how the air holds it back, for the splash */
  readonly airDrag: number
  /** weight in water, moments and mass of all but bead and wire */
  readonly rest: {
    readonly submergedMg: number
    readonly mx: number
    readonly my: number
    readonly massMg: number
    readonly volumeMm3: number
  }
  readonly beadAt: Part['at'] | null
  readonly beadVolumeMm3: number
  readonly wireAt: Part['at'] | null
  /** one bead, and one mm of wire, as the scale has it */
  readonly beadMg: (bead: Material) => number
  readonly wireMgPerMm: (wire: Material) => number
  /** mm of wire in so many turns */
  readonly wireLengthMm: (turns: number) => number
  readonly bodyVolumeMm3: number
}

const FIRST_SPEED = 300
/** Where a bead is tried first that a balanced fly is to carry before its eye, mm. */
const FIRST_PIN_MM = 3

/**
 * The outline that weightings share, worked out once: its drag at every attitude, its weight without bead and wire.
 *
 * @returns null where bead or wire do not go on the hook
 */
export function makeGroup(
  input: FindInput,
  shape: Pick<Group, 'hook' | 'beads' | 'wires' | 'bulk'>,
): Group | null {
  const [bead = null] = shape.beads
  const [wire = null] = shape.wires
  const materials = new Map(input.materials)
  for (const material of [shape.hook, bead, wire]) if (material) materials.set(material.id, material)
  const { dressing, ...keys } = weightable(input.dressing, shape.hook.id)
  const pinMm = input.wanted.kind === 'level' ? FIRST_PIN_MM : null
  const first = { bead, wire, turns: 1, bulk: shape.bulk, pinMm }
  const swaps = swapsFor(input.dressing, input.variant.swaps, first, keys)
  const fly = resolveDressing(dressing, { hookMaterialId: shape.hook.id, swaps }, materials)
  if (fly.kind !== 'fly') return null
  if (checkFit(fly).some(({ severity }) => severity === 'fault')) return null
  const water = waterAt(input.conditions.waterTempC)
  const calibration = calibrationOf(fly, input)
  const parts = preparedParts(fly, input.conditions, calibration)
  const elements = dragElementsOf(fly, parts)
  const [beadPart, wirePart] = [keys.beadKey, keys.wireKey].map((key) => parts.find((part) => part.key === key))
  const wireComponent = fly.components.find(({ key }) => key === keys.wireKey)
  let [submergedMg, mx, my, massMg, volumeMm3] = [0, 0, 0, 0, 0]
  for (const part of parts) {
    if (part === beadPart || part === wirePart) continue
    const held = part.volumeMm3 + part.airMm3 * airKept(part, input.conditions.wet)
    const load = part.massMg - water.densityMgPerMm3 * held
    submergedMg += load
    mx += load * part.at.xMm
    my += load * part.at.yMm
    massMg += part.massMg
    volumeMm3 += part.volumeMm3
  }
  const diameterMm = wire ? strandDiameterMm(wire) : 1
  const spanMm = wireComponent ? wireComponent.toMm - wireComponent.fromMm : 0
  const layers = wireComponent?.layers ?? 1
  let drag: DragField | null = null
  return {
    ...shape,
    fly,
    parts,
    beadKey: keys.beadKey,
    wireKey: keys.wireKey,
    eye: eyeCentre(fly.hook),
    mostTurns: wire ? Math.min(input.offers.mostTurns, layers * Math.floor(spanMm / diameterMm)) : 0,
    bulkIndex: Math.max(...hullOf(fly).map((section) => section.diameterMm)) / fly.hook.gapeMm,
    drag: () => (drag ??= dragField(elements, water, FIRST_SPEED)),
    dragMultiplier:
      calibration.dragMultiplier * Math.exp(calibration.dryLogDrag * dryness(parts, input.conditions.wet)),
    airDrag: airDragMgPerMm(elements),
    rest: { submergedMg, mx, my, massMg, volumeMm3 },
    beadAt: beadPart?.at ?? null,
    beadVolumeMm3: beadPart?.volumeMm3 ?? 0,
    wireAt: wirePart?.at ?? null,
    beadMg: asWeighed((one) => makeBead(one).massMg, input),
    wireMgPerMm: asWeighed(linearMassMgPerMm, input),
    wireLengthMm: (turns) =>
      wireComponent
        ? windingLengthMm({ turns, layers, coreMm: wireComponent.coreMm, diameterMm, overMm: spanMm })
        : 0,
    bodyVolumeMm3: elements.reduce(
      (sum, element) =>
        element.kind === 'body' ? sum + (Math.PI / 4) * element.diameterMm ** 2 * element.lengthMm : sum,
      0,
    ),
  }
}

/** Flies of a weighting that is not tied yet were never weighed or timed: its goods and its likes were. */
export const calibrationOf = (fly: Fly, { measured }: FindInput): Calibration =>
  calibrationFor(fly, 'not tied yet', measured)

/** Pieces of what weighs, reckoned once. */
function asWeighed(mgOf: (material: Material) => number, { measured }: FindInput) {
  const known = new Map<Material, number>()
  return (material: Material): number => {
    const mg = known.get(material) ?? mgOf(material) * (weighedFactor(material, measured.goods)?.factor ?? 1)
    known.set(material, mg)
    return mg
  }
}
