import { memo } from 'react'
import { lookAlikes, looksOf } from '../../../core/index.ts'
import type { BoxesView, VariantLine } from '../../../contract/index.ts'
import { Caution } from '../../ui/layout.tsx'
import { CopyRow } from './CopyRow.tsx'
import type { ChangeDraft, Draft } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { useWorkedVariants } from './useWorkedVariants.ts'
import { labelFor } from '../../recipe/variantLabel.ts'
import type { Copied } from '../../recipe/variantActions.ts'
import { VariantGrid } from './VariantGrid.tsx'
import { VariantTable } from './VariantTable.tsx'

interface VariantsProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly boxes: BoxesView | undefined
  readonly saved: readonly VariantLine[]
  readonly chosenId: string
  readonly onChoose: (id: string) => void
  readonly onChange: ChangeDraft
}

/** The variants of a pattern: sheets of sizes and weights, then name, place and number of each; copies in one action. */
export const Variants = memo(function Variants(props: VariantsProps) {
  const { draft, book, boxes, saved, chosenId, onChoose, onChange } = props
  const worked = useWorkedVariants(draft, book, saved)
  const chosen = draft.variants.find(({ id }) => id === chosenId)
  const labels = new Map(draft.variants.map(({ id, label }) => [id, label]))
  const alike = lookAlikes(
    worked.flatMap(({ variant, fly, figure }) =>
      fly && figure ? [{ id: variant.id, looks: looksOf(fly), massMg: figure.massMg }] : [],
    ),
  )
  const add = (copied: Copied | null) => {
    if (!copied) return
    const materials = new Map(book.materials)
    for (const drawer of copied.minted) {
      const family = book.families.find(({ id }) => id === drawer.familyId)
      if (family) materials.set(drawer.id, { ...drawer, family, colourHex: '', colourWetHex: '' })
    }
    const variant = { ...copied.variant, label: labelFor(draft, copied.variant, materials) }
    onChange({ variants: [...draft.variants, variant], newDrawers: [...draft.newDrawers, ...copied.minted] })
    onChoose(variant.id)
  }
  return (
    <>
      <VariantGrid
        draft={draft}
        book={book}
        worked={worked}
        chosenId={chosenId}
        onChoose={onChoose}
        onAdd={add}
      />
      <VariantTable worked={worked} boxes={boxes} chosenId={chosenId} onChoose={onChoose} onChange={onChange} />
      {alike.map(({ lighterId, heavierId, ratio }) => (
        <Caution key={lighterId + heavierId}>
          {labels.get(lighterId)} and {labels.get(heavierId)} look alike, and one weighs {ratio.toFixed(1)}{' '}
          times the other. A turn of another thread behind the bead tells them apart.
        </Caution>
      ))}
      {chosen ? (
        <CopyRow
          draft={draft}
          book={book}
          chosen={chosen}
          onAdd={add}
          onRemove={(id) => onChange({ variants: draft.variants.filter((variant) => variant.id !== id) })}
        />
      ) : null}
    </>
  )
})
