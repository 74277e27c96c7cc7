import { useState } from 'react'
import { parseQuantity, wording } from '../../core/index.ts'
import type { DisplayUnits } from '../../core/index.ts'
import { TextField } from '../ui/fields.tsx'

interface SaidTemperatureProps {
  readonly label: string
  readonly units: DisplayUnits
  readonly limits: { readonly min: number; readonly max: number }
  /** undefined where nobody said */
  readonly saidC: number | undefined
  readonly onSay: (tempC: number | undefined) => void
}

/** A temperature that may be left open. */
export function SaidTemperature({ label, units, limits, saidC, onSay }: SaidTemperatureProps) {
  const [text, setText] = useState(saidC === undefined ? '' : wording.temperature(saidC, units))
  const read = (written: string) => parseQuantity(written, 'temperature', units.temperature, limits)
  const parsed = read(text)
  return (
    <TextField
      label={`${label}, ${units.temperature}`}
      value={text}
      onChange={(written) => {
        setText(written)
        const now = read(written)
        if (written.trim() === '') onSay(undefined)
        else if (now.kind === 'quantity') onSay(now.value)
      }}
      fault={
        text.trim() !== '' && parsed.kind === 'unclear'
          ? wording.unclearSentence(parsed.code, parsed.suggestions)
          : undefined
      }
    />
  )
}
