import { is, wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import { CopyInColour } from './CopyInColour.tsx'
import { copyToSize, copyUnweighted, copyWithDrawer, materialIn } from '../../recipe/variantActions.ts'
import type { Copied } from '../../recipe/variantActions.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labels } from '../../words/patterns.ts'

interface CopyRowProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly chosen: DraftVariant
  readonly onAdd: (copied: Copied | null) => void
  readonly onRemove: (id: string) => void
}

/** Copies of the chosen variant: next size, other bead, any part in another colour, unweighted. */
export function CopyRow({ draft, book, chosen, onAdd, onRemove }: CopyRowProps) {
  const beadKey = draft.components.find(({ kind }) => kind === 'bead')?.key
  const beadId = beadKey ? materialIn(draft, chosen, beadKey) : null
  const bead = beadId ? book.materials.get(beadId) : undefined
  const beadFamilies = book.families.filter(({ kind }) => kind === 'bead')
  const beadFamily = beadId ? book.familyOf(beadId) : null
  const beadChoices = [
    ...(beadFamily?.sizes ?? []).map((size) => ({
      id: `${beadFamily?.id}|${size}`,
      name: wording.beadSize(Number(size)),
    })),
    ...beadFamilies
      .filter(({ id }) => id !== beadFamily?.id)
      .map(({ id, name }) => ({ id: `${id}|${bead?.sizeKey ?? '2.8'}`, name })),
  ]
  return (
    <Row style={{ paddingTop: 8 }} $gap={8}>
      <Quiet>Copy {chosen.label} to:</Quiet>
      <Button onPress={() => void copyToSize(draft, chosen, 2, book).then((copied) => onAdd(copied))}>
        {labels.aSizeSmaller}
      </Button>
      <Button onPress={() => void copyToSize(draft, chosen, -2, book).then((copied) => onAdd(copied))}>
        {labels.aSizeLarger}
      </Button>
      {beadKey && bead ? (
        <Select
          label={labels.copyWithAnotherBead}
          hideLabel
          placeholder={labels.anotherBead}
          value={null}
          choices={beadChoices}
          onChange={(choice) => {
            const [familyId = '', sizeKey = ''] = choice.split('|')
            const family = book.families.find(({ id }) => id === familyId)
            const colour = family?.colours.find(({ name }) => name === bead.colourName) ?? family?.colours[0]
            void copyWithDrawer(
              chosen,
              beadKey,
              { familyId, sizeKey, colourName: colour?.name ?? '' },
              book,
            ).then((copied) => onAdd(copied))
          }}
          width="150px"
        />
      ) : null}
      <CopyInColour draft={draft} book={book} chosen={chosen} onAdd={onAdd} />
      {draft.components.some(({ kind }) => is(kind, 'weighs')) ? (
        <Button onPress={() => onAdd(copyUnweighted(draft, chosen))}>{labels.unweighted}</Button>
      ) : null}
      {draft.variants.length > 1 ? (
        <Button onPress={() => onRemove(chosen.id)}>Put {chosen.label} away</Button>
      ) : null}
    </Row>
  )
}
