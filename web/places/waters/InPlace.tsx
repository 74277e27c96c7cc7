import { useState } from 'react'
import { parseQuantity, wording } from '../../../core/index.ts'
import type { Quantity, Unit } from '../../../core/index.ts'
import { TextField } from '../../ui/fields.tsx'

interface InPlaceProps {
  readonly label: string
  /** shown above it; without one, the column says what it is */
  readonly named?: string
  readonly shown: string
  readonly quantity: Quantity
  readonly unit: Unit
  readonly min: number
  readonly max: number
  readonly onSave: (value: number) => void
  /** where it need not be said; an empty field says so */
  readonly onClear?: () => void
}

/** A figure that is saved as it is edited, on leaving the field or Enter. */
export function InPlace({ label, named, shown, quantity, unit, min, max, onSave, onClear }: InPlaceProps) {
  const [text, setText] = useState<string | null>(null)
  const isCleared = onClear !== undefined && text?.trim() === ''
  const parsed = text === null || isCleared ? null : parseQuantity(text, quantity, unit, { min, max })
  const fault =
    parsed?.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined
  const save = () => {
    if (isCleared && shown !== '') onClear()
    if (parsed?.kind === 'quantity' && text !== shown) onSave(Math.round(parsed.value))
    if (parsed?.kind !== 'unclear') setText(null)
  }
  return (
    <span
      onKeyDown={(event) => {
        if (event.key === 'Enter') save()
      }}
    >
      <TextField
        label={named ?? label}
        hideLabel={named === undefined}
        value={text ?? shown}
        onChange={setText}
        onBlur={save}
        fault={fault}
        width="96px"
      />
    </span>
  )
}
