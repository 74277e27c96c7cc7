import { memo, useState } from 'react'
import { KINDS, parseQuantity, SAME_BEAD_MM, wording } from '../../../core/index.ts'
import type { ComponentKind, MaterialKind } from '../../../core/index.ts'
import type { FamilyFull } from '../../../contract/index.ts'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Row } from '../../ui/layout.tsx'
import type { NewDrawer } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { nearestSize } from '../../recipe/variantActions.ts'
import { labels } from '../../words/patterns.ts'

interface PickerProps {
  readonly kind: ComponentKind | 'hook'
  readonly materialId: string
  readonly book: MaterialBook
  readonly onPick: (materialId: string, minted: NewDrawer | null) => void
}

/** Families of a component's kinds, in the order of the kinds. */
function choicesFor(kind: ComponentKind | 'hook', families: readonly FamilyFull[]): readonly FamilyFull[] {
  const kinds: readonly MaterialKind[] = kind === 'hook' ? ['hook'] : KINDS[kind].madeOf
  return families
    .filter((family) => kinds.includes(family.kind))
    .sort((a, b) => kinds.indexOf(a.kind) - kinds.indexOf(b.kind) || a.name.localeCompare(b.name))
}

const sizeName = (family: FamilyFull, size: string) => wording.goodsSize(family.kind, size)

/** A size typed in any notation, for goods that come by diameter: `7/64 in` is 2.8 mm. */
function TypedSize({
  family,
  onSize,
}: {
  readonly family: FamilyFull
  readonly onSize: (size: string) => void
}) {
  const [text, setText] = useState('')
  const parsed = text === '' ? null : parseQuantity(text, 'length', 'mm', { min: 0.05, max: 20 })
  const nearest = parsed?.kind === 'quantity' ? nearestSize(family.sizes, parsed.value) : null
  const fits =
    parsed?.kind === 'quantity' && nearest !== null && Math.abs(Number(nearest) - parsed.value) <= SAME_BEAD_MM
  const fault =
    parsed?.kind === 'unclear'
      ? wording.unclearSentence(parsed.code, parsed.suggestions)
      : parsed && !fits
        ? `Does not come in that size; the nearest is ${nearest} mm.`
        : undefined
  return (
    <TextField
      label={labels.orTypeIt}
      value={text}
      width="120px"
      fault={fault}
      hint={fits && nearest ? `understood: ${sizeName(family, nearest)}` : ''}
      onChange={(typed) => {
        setText(typed)
        const read = parseQuantity(typed, 'length', 'mm', { min: 0.05, max: 20 })
        const size = read.kind === 'quantity' ? nearestSize(family.sizes, read.value) : null
        if (read.kind === 'quantity' && size && Math.abs(Number(size) - read.value) <= SAME_BEAD_MM)
          onSize(size)
      }}
    />
  )
}

/** Choosing a material: family, size, colour. A drawer that is not there yet is minted on saving. */
export const MaterialPicker = memo(function MaterialPicker({ kind, materialId, book, onPick }: PickerProps) {
  const family = book.familyOf(materialId)
  const material = book.materials.get(materialId)
  const choices = choicesFor(kind, book.families)
  const pick = async (next: FamilyFull, sizeKey: string, colourName: string) => {
    const { id, minted } = await book.drawer(next.id, sizeKey, colourName)
    onPick(id, minted)
  }
  const middle = (sizes: readonly string[]) => sizes[Math.floor(sizes.length / 2)] ?? ''
  return (
    <Row $align="start">
      <Select
        label={kind === 'hook' ? 'Hook: bend, length, wire' : 'Material'}
        value={family?.id ?? null}
        choices={choices.map(({ id, name }) => ({ id, name }))}
        onChange={(id) => {
          const next = choices.find((candidate) => candidate.id === id)
          if (!next) return
          const size = material && next.sizes.includes(material.sizeKey) ? material.sizeKey : middle(next.sizes)
          const colour = next.colours.find(({ name }) => name === material?.colourName) ?? next.colours[0]
          void pick(next, size, colour?.name ?? '')
        }}
        width="270px"
      />
      {family && family.sizes.length > 0 ? (
        <Select
          label={labels.size}
          value={material?.sizeKey ?? null}
          choices={family.sizes.map((size) => ({ id: size, name: sizeName(family, size) }))}
          onChange={(size) => void pick(family, size, material?.colourName ?? '')}
          width={family.kind === 'bead' ? '150px' : '110px'}
        />
      ) : null}
      {family && (family.kind === 'bead' || family.kind === 'wire') ? (
        <TypedSize
          key={family.id}
          family={family}
          onSize={(size) => void pick(family, size, material?.colourName ?? '')}
        />
      ) : null}
      {family ? (
        <Select
          label={labels.colour}
          value={material?.colourName ?? null}
          choices={family.colours.map(({ name }) => ({ id: name, name }))}
          onChange={(colour) => void pick(family, material?.sizeKey ?? '', colour)}
          width="130px"
        />
      ) : null}
    </Row>
  )
})
