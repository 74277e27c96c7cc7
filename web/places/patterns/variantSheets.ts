import { is, sizeNumber, valueOf } from '../../../core/index.ts'
import type { Material, Swap } from '../../../core/index.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import { copyOf, materialIn } from '../../recipe/variantActions.ts'
import { beadLabel } from '../../recipe/variantLabel.ts'
import type { Copied } from '../../recipe/variantActions.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'

/** A row of a sheet: one way to weight the fly. */
export interface Weight {
  readonly key: string
  readonly label: string
  /** orders the rows: density × diameter cubed, and turns of wire */
  readonly heaviness: number
}

/** Variants of one colour: sizes across, weights down. */
export interface VariantSheet {
  readonly key: string
  /** what tells the sheet apart: a colour; empty where there is one sheet only */
  readonly name: string
  /** hook sizes, the smallest hook first */
  readonly sizes: readonly string[]
  readonly weights: readonly Weight[]
  readonly at: (size: string, weightKey: string) => readonly DraftVariant[]
}

const weighted = ({ components }: Draft) => components.filter(({ kind }) => is(kind, 'weighs'))

/** What weighs a variant: each bead and wire with its turns. */
function weightOf(draft: Draft, variant: DraftVariant, materials: ReadonlyMap<string, Material>): Weight {
  const parts = weighted(draft).flatMap(({ key, kind, turns }) => {
    const material = materials.get(materialIn(draft, variant, key) ?? '')
    if (!material) return []
    const swap = variant.swaps.find(({ componentKey }) => componentKey === key)
    const wound = swap?.turns ?? turns
    const density = valueOf(material, 'densityMgPerMm3')
    const diameter = sizeNumber(material) ?? 1
    const length = swap?.length && 'mm' in swap.length ? ` on ${swap.length.mm} mm` : ''
    return kind === 'wire'
      ? [
          {
            id: `${material.id}×${wound}`,
            label: `${wound ?? ''} t ${material.sizeKey}`,
            heaviness: density * (wound ?? 1) * diameter ** 2,
          },
        ]
      : [{ id: material.id + length, label: beadLabel(material) + length, heaviness: density * diameter ** 3 }]
  })
  return {
    key: parts.map(({ id }) => id).join(' '),
    label: parts.map(({ label }) => label).join(', ') || 'none',
    heaviness: parts.reduce((sum, part) => sum + part.heaviness, 0),
  }
}

const others = (draft: Draft, swaps: readonly Swap[]) => {
  const heavy = new Set(weighted(draft).map(({ key }) => key))
  return swaps.filter(({ componentKey }) => !heavy.has(componentKey))
}

function colourOf(draft: Draft, variant: DraftVariant, materials: ReadonlyMap<string, Material>) {
  const swaps = [...others(draft, variant.swaps)].sort((a, b) => a.componentKey.localeCompare(b.componentKey))
  const body = draft.components.find(({ kind }) => is(kind, 'givesColour'))
  const material = body && materials.get(materialIn(draft, variant, body.key) ?? '')
  return { key: JSON.stringify(swaps), name: material?.colourName ?? 'as it is' }
}

/** Arranges the variants of a pattern in sheets, one a colour. */
export function variantSheets(draft: Draft, materials: ReadonlyMap<string, Material>): readonly VariantSheet[] {
  const placed = draft.variants.flatMap((variant) => {
    const hook = materials.get(variant.hookMaterialId)
    const size = hook && sizeNumber(hook)
    if (!size) return []
    const weight = weightOf(draft, variant, materials)
    return [{ variant, size, weight, colour: colourOf(draft, variant, materials) }]
  })
  const colours = new Map(placed.map(({ colour }) => [colour.key, colour.name]))
  return [...colours].map(([key, name]) => {
    const own = placed.filter(({ colour }) => colour.key === key)
    const weights = new Map(own.map(({ weight }) => [weight.key, weight]))
    return {
      key,
      name: colours.size > 1 ? name : '',
      sizes: [...new Set(own.map(({ size }) => size))].sort((a, b) => b - a).map(String),
      weights: [...weights.values()].sort((a, b) => a.heaviness - b.heaviness),
      at: (size, weightKey) =>
        own
          .filter((one) => String(one.size) === size && one.weight.key === weightKey)
          .map(({ variant }) => variant),
    }
  })
}

/** The variant that an empty cell stands for: as its neighbour in the row, on a hook of that size. */
export async function makeForCell(
  sheet: VariantSheet,
  size: string,
  weightKey: string,
  book: MaterialBook,
): Promise<Copied | null> {
  const row = sheet.sizes.flatMap((other) =>
    sheet.at(other, weightKey).map((variant) => ({ variant, apart: Math.abs(Number(other) - Number(size)) })),
  )
  const nearest = row.sort((a, b) => a.apart - b.apart)[0]?.variant
  const family = nearest && book.familyOf(nearest.hookMaterialId)
  const hook = nearest && book.materials.get(nearest.hookMaterialId)
  if (!nearest || !family || !hook || !family.sizes.includes(size)) return null
  const drawer = await book.drawer(family.id, size, hook.colourName)
  return {
    variant: copyOf(nearest, { hookMaterialId: drawer.id }),
    minted: drawer.minted ? [drawer.minted] : [],
  }
}
