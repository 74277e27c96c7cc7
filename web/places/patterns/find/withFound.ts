import { swapsFor, weightable } from '../../../../core/index.ts'
import type { Finalist } from '../../../../core/index.ts'
import { newId } from '../../../wire/useCommand.ts'
import type { Draft, DraftVariant } from '../../../recipe/draft.ts'
import type { MaterialBook } from '../../../recipe/useMaterialBook.ts'
import { labelFor } from '../../../recipe/variantLabel.ts'
import type { Searchable } from './useOffers.ts'

/** What tells a weighting apart where its hook and bead do not: turns of wire, the length of its pin. */
function remark({ weighting: { wire, turns, pinMm } }: Finalist): string {
  if (pinMm !== null) return `pin ${pinMm}`
  return wire && turns > 0 ? `${turns} t` : ''
}

/** The draft with a variant that is weighted as found; bead or wire join the dressing where it had none. */
export function withFound(
  draft: Draft,
  chosen: DraftVariant,
  finalist: Finalist,
  { drawers }: Searchable,
  book: MaterialBook,
): { readonly edit: Partial<Draft>; readonly id: string } {
  const { weighting } = finalist
  const dressing = { components: draft.components, steps: draft.steps }
  const { added, ...keys } = weightable(dressing, weighting.hook.id)
  const used = { [keys.beadKey]: weighting.bead, [keys.wireKey]: weighting.wire }
  const joined = added.flatMap((component) => {
    const material = used[component.key]
    const turns = component.kind === 'wire' ? { turns: weighting.turns } : {}
    return material ? [{ ...component, materialId: material.id, ...turns }] : []
  })
  const components = [...joined, ...draft.components]
  const left = new Set(components.map(({ key }) => key))
  const swaps = swapsFor(dressing, chosen.swaps, weighting, keys).filter(({ componentKey }) =>
    left.has(componentKey),
  )
  const omitted = joined.map(({ key }) => ({ componentKey: key, omit: true }))
  const goods = [weighting.hook, weighting.bead, weighting.wire].flatMap((material) => material ?? [])
  const newDrawers = goods.flatMap(({ id }) => drawers.get(id) ?? [])
  const materials = new Map(book.materials)
  for (const material of goods) materials.set(material.id, material)
  const variant = {
    ...chosen,
    id: newId<string>(),
    hookMaterialId: weighting.hook.id,
    swaps,
    parCount: null,
    homeCompartmentId: null,
  }
  const next = { ...draft, components }
  return {
    id: variant.id,
    edit: {
      components,
      newDrawers: [...draft.newDrawers, ...newDrawers],
      variants: [
        ...draft.variants.map((other) => ({ ...other, swaps: [...other.swaps, ...omitted] })),
        { ...variant, label: labelFor(next, variant, materials, remark(finalist)) },
      ],
    },
  }
}
