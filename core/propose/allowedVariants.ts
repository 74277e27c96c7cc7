import { applySwaps } from '../dressing/index.ts'
import type { Dressing, Swap, Variant } from '../dressing/index.ts'
import { sizeNumber } from '../material/index.ts'
import type { Material } from '../material/index.ts'

/** Sizes counted in twos: the next one larger and the next one smaller. */
const HOOK_SIZES_AWAY = 2
/** Beads that a tier would try instead: this much smaller or larger, mm. */
const BEAD_MM_AWAY = 0.55

/** A variant that a pattern allows and that does not exist yet: one that is there, on another hook or with another bead. */
export interface AllowedVariant extends Variant {
  /** key of the variant that it comes from */
  readonly likeKey: string
}

const recipeKey = (dressing: Dressing, variant: Variant) =>
  JSON.stringify([variant.hookMaterialId, applySwaps(dressing, variant)])

const withSwap = (swaps: readonly Swap[], swap: Swap): readonly Swap[] => [
  ...swaps.filter(({ componentKey }) => componentKey !== swap.componentKey),
  swap,
]

function hooksFor(hook: Material, drawers: readonly Material[]): readonly Material[] {
  const size = sizeNumber(hook)
  return drawers.filter((drawer) => {
    const other = sizeNumber(drawer)
    const alike = drawer.family.kind === 'hook' && drawer.family.name === hook.family.name
    return alike && size !== null && other !== null && Math.abs(other - size) <= HOOK_SIZES_AWAY
  })
}

function beadsFor(bead: Material, drawers: readonly Material[]): readonly Material[] {
  const diameterMm = sizeNumber(bead)
  return drawers.filter((drawer) => {
    const other = sizeNumber(drawer)
    const alike = drawer.family.kind === 'bead' && drawer.family.boring === bead.family.boring
    const near = diameterMm !== null && other !== null && Math.abs(other - diameterMm) <= BEAD_MM_AWAY
    // another metal comes in the colour at hand, or the fly would be another fly
    return alike && near && (drawer.family.name === bead.family.name || drawer.colourName === bead.colourName)
  })
}

/**
 * Variants that a pattern allows with the drawers there are: each that exists, on a hook of the same make one size
 * larger or smaller and with a bead a step smaller, larger or of another metal. None of them exists already, and none
 * comes twice.
 *
 * @param drawers goods that lie in the stores, or could
 */
export function allowedVariants(
  dressing: Dressing,
  variants: readonly (Variant & { readonly key: string })[],
  drawers: readonly Material[],
): readonly AllowedVariant[] {
  const byId = new Map(drawers.map((drawer) => [drawer.id, drawer]))
  const beadKey = dressing.components.find(({ kind }) => kind === 'bead')?.key
  const known = new Set(variants.map((variant) => recipeKey(dressing, variant)))
  const allowed: AllowedVariant[] = []
  for (const { key: likeKey, hookMaterialId, swaps } of variants) {
    const hook = byId.get(hookMaterialId)
    if (!hook) continue
    const beadId = applySwaps(dressing, { hookMaterialId, swaps }).find(
      ({ key }) => key === beadKey,
    )?.materialId
    const bead = byId.get(beadId ?? '')
    const beads = bead ? beadsFor(bead, drawers) : []
    const weightings = [
      swaps,
      ...beads.map(({ id }) => withSwap(swaps, { componentKey: beadKey ?? '', materialId: id })),
    ]
    for (const { id } of hooksFor(hook, drawers)) {
      for (const own of weightings) {
        const variant = { hookMaterialId: id, swaps: own }
        const recipe = recipeKey(dressing, variant)
        if (known.has(recipe)) continue
        known.add(recipe)
        allowed.push({ ...variant, likeKey })
      }
    }
  }
  return allowed
}
