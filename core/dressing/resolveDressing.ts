import { hookOf } from '../hook/index.ts'
import type { Hook } from '../hook/index.ts'
import { sizeNumber } from '../material/index.ts'
import type { Material, MaterialKind } from '../material/index.ts'
import type { Component, Dressing, Swap, Variant } from './dressing.ts'
import type { Fly, FlyComponent, Incomplete, MissingPiece } from './fly.ts'
import { AMOUNTS } from './amount.ts'
import { FIELD_LIMITS } from './fields.ts'
import { KINDS } from './kinds/index.ts'
import { lengthOf, proportionMm } from './proportion.ts'
import { amountsLeftOut } from './usual.ts'

/** A component with what its variant changes. Null where the variant leaves it out. */
function swapped(component: Component, swap: Swap | undefined): Component | null {
  if (!swap) return component
  if (swap.omit) return null
  return {
    ...component,
    materialId: swap.materialId ?? component.materialId,
    ...Object.fromEntries(AMOUNTS.map((amount) => [amount, swap[amount] ?? component[amount]])),
    length: swap.length ?? component.length,
    clipped: swap.clipped ?? component.clipped,
  }
}

/**
 * The recipe of a variant: the dressing's components with the variant's swaps applied, in tying order.
 * A swap names a component by its key; one that names none is left alone.
 */
export function applySwaps(dressing: Dressing, variant: Variant): readonly Component[] {
  const swaps = new Map(variant.swaps.map((swap) => [swap.componentKey, swap]))
  return dressing.components.flatMap((component) => swapped(component, swaps.get(component.key)) ?? [])
}

/** A swapped line without the amounts of its former goods that nobody asks of the new ones. */
function withoutLeftovers(component: Component, swap: Swap, goods: MaterialKind): Component {
  const asked = KINDS[component.kind].asks(goods)
  const left = AMOUNTS.filter((amount) => swap[amount] === undefined && !asked.includes(amount))
  return { ...component, ...Object.fromEntries(left.map((amount) => [amount, undefined])) }
}

/** The recipe of a variant as it is tied: {@link applySwaps}, where a swap for other goods leaves behind what was said of the former. */
export function recipeOf(
  dressing: Dressing,
  variant: Variant,
  materials: ReadonlyMap<string, Material>,
): readonly Component[] {
  const goodsOf = (id: string | undefined) => materials.get(id ?? '')?.family.kind
  const lines = new Map(dressing.components.map(({ key, materialId }) => [key, goodsOf(materialId)]))
  const swaps = new Map(variant.swaps.map((swap) => [swap.componentKey, swap]))
  return applySwaps(dressing, variant).map((component) => {
    const swap = swaps.get(component.key)
    const goods = goodsOf(component.materialId)
    return swap && goods && goods !== lines.get(component.key)
      ? withoutLeftovers(component, swap, goods)
      : component
  })
}

/** Lengths of a recipe's components in mm, with what is wrong with them: in a circle, by what is not there, too long. */
function lengthResolver(components: readonly Component[], hook: Hook, beadMm: number) {
  const byKey = new Map(components.map((component) => [component.key, component]))
  const missing: MissingPiece[] = []
  const faultOf = ({ key, materialId }: Component) => ({ componentKey: key, materialId })
  function lengthMm(component: Component): number | null {
    const mm = byReference(component, [])
    if (mm !== null && mm > FIELD_LIMITS.lengthMm.max) missing.push({ code: 'tooLong', ...faultOf(component) })
    return mm
  }
  function byReference(component: Component, seen: readonly string[]): number | null {
    const proportion = lengthOf(component)
    if (!proportion) return null
    if (!('of' in proportion) || proportion.of !== 'component') return proportionMm(proportion, hook, beadMm)
    const fault = faultOf(component)
    if (seen.includes(component.key)) {
      missing.push({ code: 'cyclicProportion', ...fault })
      return null
    }
    const other = byKey.get(proportion.componentKey)
    if (!other) {
      missing.push({ code: 'unknownComponent', ...fault })
      return null
    }
    const placeMm = (other.place.to - other.place.from) * hook.shankMm
    return proportion.factor * (byReference(other, [...seen, component.key]) ?? placeMm)
  }
  return { lengthMm, missing }
}

/** A component with the amounts that its recipe leaves out, and which those are. */
function completed(component: Component, material: Material, hook: Hook) {
  const { from, to } = component.place
  const added = amountsLeftOut(component, material, (to - from) * hook.shankMm)
  return {
    component: { ...component, ...added },
    material,
    derived: AMOUNTS.filter((amount) => added[amount] !== undefined),
  }
}

/** Share of a place that another lies under; of a mere point whether it does. */
function shareUnder(place: Component['place'], other: Component['place']): number {
  const length = place.to - place.from
  const under = Math.min(place.to, other.to) - Math.max(place.from, other.from)
  return length > 0 ? Math.max(under, 0) / length : Number(under >= 0)
}

/**
 * Merges dressing, variant and materials into a fly, absolute in mm. Nothing else does.
 *
 * Components lie on one another in tying order: the core of one is the hook's wire with all that was put below it, each
 * by the share of its place that it lies under. Lengths not recorded are the usual ones of their kind.
 */
export function resolveDressing(
  dressing: Dressing,
  variant: Variant,
  materials: ReadonlyMap<string, Material>,
): ({ readonly kind: 'fly' } & Fly) | Incomplete {
  const hookMaterial = materials.get(variant.hookMaterialId)
  const hook = hookMaterial && hookOf(hookMaterial)
  if (!hookMaterial || !hook) {
    const code = hookMaterial ? 'notAHook' : 'unknownMaterial'
    return { kind: 'incomplete', missing: [{ code, componentKey: null, materialId: variant.hookMaterialId }] }
  }
  const recipe = recipeOf(dressing, variant, materials)
  const found = recipe.flatMap((component) => {
    const material = materials.get(component.materialId)
    return material ? [completed(component, material, hook)] : []
  })
  const missing: MissingPiece[] = recipe
    .filter((component) => !materials.has(component.materialId))
    .map(({ key, materialId }) => ({ code: 'unknownMaterial', componentKey: key, materialId }))
  const isHead = ({ component: { kind } }: (typeof found)[number]) => KINDS[kind].layer === 'head'
  const bead = found.find(isHead)
  const lengths = lengthResolver(recipe, hook, (bead && sizeNumber(bead.material)) ?? hook.gapeMm * 0.75)
  const components: FlyComponent[] = []
  const addedMm = ({ component, material }: (typeof found)[number]) =>
    KINDS[component.kind].addedDiameterMm(component, material, hook)
  for (const [i, one] of found.entries()) {
    const { component, material, derived } = one
    const { materialId: _id, length, place, ...amounts } = component
    const below = isHead(one) ? [] : found.slice(0, i)
    const coreMm = below
      .filter((other) => !isHead(other))
      .reduce((sum, other) => sum + addedMm(other) * shareUnder(place, other.component.place), hook.wireMm)
    const lengthMm = lengths.lengthMm(component)
    components.push({
      ...amounts,
      material,
      // fur wound as a collar has no free length
      derived: lengthMm !== null && !length && amounts.bulk === undefined ? [...derived, 'length'] : derived,
      side: place.side,
      fromMm: place.from * hook.shankMm,
      toMm: place.to * hook.shankMm,
      lengthMm,
      coreMm,
      outerMm: coreMm + addedMm(one),
    })
  }
  const faults = [...missing, ...lengths.missing]
  return faults.length > 0
    ? { kind: 'incomplete', missing: faults }
    : { kind: 'fly', hook, hookMaterial, components }
}
