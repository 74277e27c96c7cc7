import { hookOf } from '../hook/index.ts'
import type { Hook } from '../hook/index.ts'
import { sizeNumber } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Component, Dressing, Swap, Variant } from './dressing.ts'
import type { Fly, FlyComponent, Incomplete, MissingPiece } from './fly.ts'
import { lengthOf, proportionMm } from './proportion.ts'
import { addedDiameterMm } from './thickness.ts'
import { AMOUNTS, usualAmounts } from './usualAmounts.ts'

/** A component with what its variant changes. Null where the variant leaves it out. */
function swapped(component: Component, swap: Swap | undefined): Component | null {
  if (!swap) return component
  if (swap.omit) return null
  return {
    ...component,
    materialId: swap.materialId ?? component.materialId,
    turns: swap.turns ?? component.turns,
    bulk: swap.bulk ?? component.bulk,
    length: swap.length ?? component.length,
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

/** Lengths of a recipe's components in mm, with what is wrong with their references. */
function lengthResolver(components: readonly Component[], hook: Hook, beadMm: number) {
  const byKey = new Map(components.map((component) => [component.key, component]))
  const missing: MissingPiece[] = []
  function lengthMm(component: Component, seen: readonly string[] = []): number | null {
    const proportion = lengthOf(component)
    if (!proportion) return null
    if (!('of' in proportion) || proportion.of !== 'component') return proportionMm(proportion, hook, beadMm)
    const fault = { componentKey: component.key, materialId: component.materialId }
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
    return proportion.factor * (lengthMm(other, [...seen, component.key]) ?? placeMm)
  }
  return { lengthMm, missing }
}

/** A component with the amounts that its recipe leaves out, and which those are. */
function completed(component: Component, material: Material, hook: Hook) {
  const { from, to } = component.place
  const usual = usualAmounts(component, material, (to - from) * hook.shankMm)
  const derived = AMOUNTS.filter((amount) => usual[amount] !== undefined && component[amount] === undefined)
  const added = Object.fromEntries(derived.map((amount) => [amount, usual[amount]]))
  return { component: { ...component, ...added }, material, derived }
}

const overlaps = (a: Component['place'], b: Component['place']) => a.from < b.to && b.from < a.to

/**
 * Merges dressing, variant and materials into a fly, absolute in mm. Nothing else does.
 *
 * Components lie on one another in tying order: the core of one is the hook's wire with all that was put below the
 * middle of its place. Lengths not recorded are the usual ones of their kind.
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
  const recipe = applySwaps(dressing, variant)
  const found = recipe.flatMap((component) => {
    const material = materials.get(component.materialId)
    return material ? [completed(component, material, hook)] : []
  })
  const missing: MissingPiece[] = recipe
    .filter((component) => !materials.has(component.materialId))
    .map(({ key, materialId }) => ({ code: 'unknownMaterial', componentKey: key, materialId }))
  const bead = found.find(({ component }) => component.kind === 'bead')
  const lengths = lengthResolver(recipe, hook, (bead && sizeNumber(bead.material)) ?? hook.gapeMm * 0.75)
  const components: FlyComponent[] = []
  for (const [i, { component, material, derived }] of found.entries()) {
    const { materialId: _id, length, place, ...amounts } = component
    const coreMm = found
      .slice(0, i)
      .filter(({ component: below }) => below.kind !== 'bead' && overlaps(below.place, place))
      .reduce((sum, below) => sum + addedDiameterMm(below.component, below.material, hook), hook.wireMm)
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
      coreMm: component.kind === 'bead' ? hook.wireMm : coreMm,
      outerMm: (component.kind === 'bead' ? hook.wireMm : coreMm) + addedDiameterMm(component, material, hook),
    })
  }
  const faults = [...missing, ...lengths.missing]
  return faults.length > 0
    ? { kind: 'incomplete', missing: faults }
    : { kind: 'fly', hook, hookMaterial, components }
}
