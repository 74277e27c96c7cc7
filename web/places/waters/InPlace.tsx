import { parseQuantity, wording } from '../../../core/index.ts'
import type { Quantity, Unit } from '../../../core/index.ts'
import { TextField } from '../../ui/fields.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import type { Saved } from '../../ui/useTyped.ts'

interface InPlaceProps {
  readonly label: string
  /** shown above it; without one, the column says what it is */
  readonly named?: string
  readonly shown: string
  readonly quantity: Quantity
  readonly unit: Unit
  readonly min: number
  readonly max: number
  readonly onSave: (value: number) => Saved
  /** where it need not be said; an empty field says so */
  readonly onClear?: () => Saved
}

/** A figure that is saved as it is edited, on leaving the field or Enter. */
export function InPlace({ label, named, shown, quantity, unit, min, max, onSave, onClear }: InPlaceProps) {
  const read = (text: string) => parseQuantity(text, quantity, unit, { min, max })
  const isCleared = (text: string) => onClear !== undefined && text.trim() === ''
  const typed = useTyped(
    shown,
    (text) => {
      if (onClear && isCleared(text)) return onClear()
      const parsed = read(text)
      return parsed.kind === 'quantity' ? onSave(Math.round(parsed.value)) : Promise.resolve(null)
    },
    {
      faultOf(text) {
        const parsed = isCleared(text) ? null : read(text)
        return parsed?.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined
      },
    },
  )
  return <TextField label={named ?? label} hideLabel={named === undefined} {...typed} width="96px" />
}
