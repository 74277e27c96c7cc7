import { useState } from 'react'
import styled from 'styled-components'
import { within } from '../../../contract/limits.ts'
import type { BoxesView } from '../../../contract/index.ts'
import { useWording } from '../../words/useWording.ts'
import { TextField } from '../../ui/fields.tsx'
import { placeChoices } from '../../parts/placeChoices.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Dense } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import type { ChangeDraft, DraftVariant } from '../../recipe/draft.ts'
import type { WorkedVariant } from './useWorkedVariants.ts'
import { labels } from '../../words/patterns.ts'

const Table = styled(Dense)`
  tr[data-chosen='true'] td {
    background: var(--panel);
  }
  tr[data-chosen='true'] td:first-child {
    box-shadow: inset 3px 0 0 var(--thistle);
  }
  td:first-child {
    padding-left: 8px;
  }
`

interface VariantTableProps {
  readonly worked: readonly WorkedVariant[]
  readonly boxes: BoxesView | undefined
  readonly chosenId: string
  readonly onChoose: (id: string) => void
  readonly onChange: ChangeDraft
}

const NOWHERE = 'nowhere'

/** The name of a variant: what is typed shows at once; left empty, it is called by what differs. */
function LabelField({
  label,
  onChange,
}: {
  readonly label: string
  readonly onChange: (label: string) => void
}) {
  const [text, setText] = useState<string | null>(null)
  const shown = text ?? label
  return (
    <TextField
      label={labels.nameOfTheVariant}
      hideLabel
      value={shown}
      onChange={(typed) => {
        setText(typed)
        onChange(typed)
      }}
      onBlur={() => setText(null)}
      width="150px"
      maxLength={80}
    />
  )
}

/** Variants one by one: name, weight, ride, where each lives and how many to keep. */
export function VariantTable({ worked, boxes, chosenId, onChoose, onChange }: VariantTableProps) {
  const { fall, mass } = useWording()
  const edit = (id: string, change: Partial<DraftVariant>) =>
    onChange((before) => ({
      variants: before.variants.map((variant) => (variant.id === id ? { ...variant, ...change } : variant)),
    }))
  const places = placeChoices(boxes?.boxes ?? [])
  return (
    <Table data-saved aria-label={labels.variants}>
      <thead>
        <tr>
          <td />
          <th>{labels.variant}</th>
          <th className="number">{labels.weighs}</th>
          <th>{labels.falls}</th>
          <th>{labels.livesIn}</th>
          <th>{labels.keep}</th>
          <th className="number">{labels.onHand}</th>
        </tr>
      </thead>
      <tbody>
        {worked.map(({ variant, fly, figure, onHand }) => {
          return (
            <tr key={variant.id} data-chosen={variant.id === chosenId} onClick={() => onChoose(variant.id)}>
              <td>
                <Button
                  look="quiet"
                  aria-label={labels.lookAtVariant(variant.label)}
                  aria-pressed={variant.id === chosenId}
                  onPress={() => onChoose(variant.id)}
                >
                  {variant.id === chosenId ? '●' : '○'}
                </Button>
              </td>
              <td>
                <LabelField label={variant.label} onChange={(label) => edit(variant.id, { label })} />
              </td>
              <td className="number">{figure ? mass(figure.massMg) : '–'}</td>
              <td style={{ whiteSpace: 'nowrap' }}>{figure || fly ? fall(figure) : 'recipe incomplete'}</td>
              <td>
                <Select
                  label={`Lives in, ${variant.label}`}
                  hideLabel
                  value={variant.homeCompartmentId ?? NOWHERE}
                  choices={[{ id: NOWHERE, name: 'no place yet' }, ...places]}
                  onChange={(id) => edit(variant.id, { homeCompartmentId: id === NOWHERE ? null : id })}
                  width="190px"
                />
              </td>
              <td>
                <NumberField
                  label={`Keep of ${variant.label}`}
                  hideLabel
                  value={variant.parCount}
                  {...within('par')}
                  mayBeEmpty
                  onChange={(parCount) => edit(variant.id, { parCount })}
                  width="58px"
                />
              </td>
              <td className="number">{onHand}</td>
            </tr>
          )
        })}
      </tbody>
    </Table>
  )
}
