import type { Material } from '../material/index.ts'
import { AMOUNTS } from './amount.ts'
import type { Amounts } from './amount.ts'
import type { Component, Dressing, Swap, Variant } from './dressing.ts'
import { KINDS } from './kinds/index.ts'

/** Of some amounts those that a component does not say. */
function unsaid(component: Component, amounts: Amounts): Amounts {
  const left: { -readonly [Amount in keyof Amounts]: Amounts[Amount] } = {}
  for (const amount of AMOUNTS) {
    const value = amounts[amount]
    if (value !== undefined && component[amount] === undefined) left[amount] = value
  }
  return left
}

/** What a line of these goods is usually tied with, where it says nothing of it. */
export const usualAmounts = (component: Component, material: Material): Amounts =>
  unsaid(component, KINDS[component.kind].usual(component, material))

/**
 * The amounts of a component that its recipe leaves out: what is usual of its kind, then what follows from that, its
 * goods and the length of its place.
 *
 * @param placeMm length of its place on the shank
 */
export function amountsLeftOut(component: Component, material: Material, placeMm: number): Amounts {
  const usual = usualAmounts(component, material)
  const { worksOut } = KINDS[component.kind]
  return { ...usual, ...unsaid(component, worksOut({ ...component, ...usual }, material, placeMm)) }
}

/** A line with what is usual written into it, its length among it, so that a later change of what is usual leaves it alone. */
export function withUsual(component: Component, material: Material): Component {
  const { asks, usualLength } = KINDS[component.kind]
  const length =
    component.length ?? (asks(material.family.kind).includes('length') ? (usualLength ?? undefined) : undefined)
  const amounts = usualAmounts(component, material)
  return { ...component, ...amounts, ...(length ? { length } : {}) }
}

/** A swap for other goods with what is usual of them and neither it nor its line says. */
function swapWithUsual(swap: Swap, component: Component, material: Material): Swap {
  const { omit: _omit, componentKey: _key, ...change } = swap
  return { ...swap, ...usualAmounts({ ...component, ...change } as Component, material) }
}

/**
 * A dressing and its variants with every usual amount written in. What follows from the hook (turns that lie side by
 * side, all fibres of a feather) is left to be worked out.
 */
export function withUsualAmounts<Kept extends Dressing, Tied extends Variant>(
  dressing: Kept,
  variants: readonly Tied[],
  materials: ReadonlyMap<string, Material>,
): { readonly dressing: Kept; readonly variants: readonly Tied[] } {
  const components = dressing.components.map((component) => {
    const material = materials.get(component.materialId)
    return material ? withUsual(component, material) : component
  })
  const byKey = new Map(components.map((component) => [component.key, component]))
  const swapped = (swap: Swap) => {
    const component = byKey.get(swap.componentKey)
    const material = swap.materialId ? materials.get(swap.materialId) : undefined
    return component && material && !swap.omit ? swapWithUsual(swap, component, material) : swap
  }
  return {
    dressing: { ...dressing, components },
    variants: variants.map((variant) => ({ ...variant, swaps: variant.swaps.map(swapped) })),
  }
}
