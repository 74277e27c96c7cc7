import type { Dressing, Variant } from './dressing.ts'

/** A recipe with one material in the place of another, wherever it names that: dressing, hook and swaps. */
export function instead<Tied extends Variant>(
  dressing: Dressing,
  variant: Tied,
  fromId: string,
  toId: string,
): { readonly dressing: Dressing; readonly variant: Tied } {
  const put = (id: string) => (id === fromId ? toId : id)
  return {
    dressing: {
      ...dressing,
      components: dressing.components.map((component) => ({
        ...component,
        materialId: put(component.materialId),
      })),
    },
    variant: {
      ...variant,
      hookMaterialId: put(variant.hookMaterialId),
      swaps: variant.swaps.map((swap) =>
        swap.materialId === undefined ? swap : { ...swap, materialId: put(swap.materialId) },
      ),
    },
  }
}
