import { useState } from 'react'
import { is, wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { ColourField } from '../../ui/ColourField.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Row } from '../../ui/layout.tsx'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import { copyWithDrawer, materialIn } from '../../recipe/variantActions.ts'
import type { Copied } from '../../recipe/variantActions.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labels } from '../../words/patterns.ts'

const OWN = '+'
const UNNAMED_HEX = '#808080'

interface CopyInColourProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly chosen: DraftVariant
  readonly onAdd: (copied: Copied | null) => void
}

/** A copy with one part in another colour: of the list, or one of the tier's own, by name and look. */
export function CopyInColour({ draft, book, chosen, onAdd }: CopyInColourProps) {
  const [partKey, setPartKey] = useState<string | null>(null)
  const [own, setOwn] = useState<{ readonly name: string; readonly hex: string } | null>(null)
  const parts = draft.components.flatMap(({ key, kind }) => {
    const materialId = materialIn(draft, chosen, key)
    const family = materialId ? book.familyOf(materialId) : null
    const material = materialId ? book.materials.get(materialId) : undefined
    return family && material ? [{ key, kind, family, material }] : []
  })
  const part =
    parts.find(({ key }) => key === partKey) ?? parts.find(({ kind }) => is(kind, 'givesColour')) ?? parts[0]
  if (!part) return null
  const { key, family, material } = part
  const copy = (colourName: string, colourHex?: string) => {
    const choice = {
      familyId: family.id,
      sizeKey: material.sizeKey,
      colourName,
      ...(colourHex ? { colourHex } : {}),
    }
    void copyWithDrawer(chosen, key, choice, book).then(onAdd)
    setOwn(null)
  }
  return (
    <Row $gap={6} role="group" aria-label={labels.copyInAnotherColour}>
      <Select
        label={labels.copyInAnotherColourOf}
        hideLabel
        value={key}
        choices={parts.map((one) => ({ id: one.key, name: wording.componentName[one.kind] }))}
        onChange={setPartKey}
        width="120px"
      />
      <Select
        label={labels.theColour}
        hideLabel
        placeholder={labels.anotherColour}
        value={own ? OWN : null}
        choices={[
          ...family.colours.map(({ name }) => ({ id: name, name })),
          { id: OWN, name: labels.ownColour },
        ]}
        onChange={(name) =>
          name === OWN ? setOwn({ name: '', hex: material.colourHex || UNNAMED_HEX }) : copy(name)
        }
        width="150px"
      />
      {own ? (
        <>
          <TextField
            label={labels.nameOfTheColour}
            value={own.name}
            onChange={(name) => setOwn({ ...own, name })}
            width="150px"
            maxLength={40}
          />
          <ColourField
            label={`How ${own.name || 'it'} looks`}
            hex={own.hex}
            onChange={(hex) => setOwn({ ...own, hex })}
          />
          <Button onPress={() => copy(own.name.trim(), own.hex)} isDisabled={own.name.trim() === ''}>
            {labels.copyInIt}
          </Button>
        </>
      ) : null}
    </Row>
  )
}
