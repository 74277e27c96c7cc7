import { useState } from 'react'
import { parseDecimal } from '../../core/index.ts'
import { TextField } from './fields.tsx'

interface NumberFieldProps {
  readonly label: string
  readonly value: number | null
  readonly onChange: (value: number | null) => void
  readonly min: number
  readonly max: number
  /** whether it may be left empty, for none */
  readonly mayBeEmpty?: boolean
  readonly width?: string
  readonly hideLabel?: boolean
  /** passes the number on when the field is left or Enter is pressed, for what is saved at once */
  readonly whenLeft?: boolean
  readonly autoFocus?: boolean
}

/** A plain number that says at once whether it will do; what will not do is not passed on. */
export function NumberField({
  label,
  value,
  onChange,
  min,
  max,
  mayBeEmpty = false,
  width = '90px',
  hideLabel = false,
  whenLeft = false,
  autoFocus = false,
}: NumberFieldProps) {
  const [text, setText] = useState<string | null>(null)
  const shown = text ?? (value === null ? '' : String(value))
  /** the number that is written; undefined where it will not do */
  const read = (typed: string): number | null | undefined => {
    if (typed.trim() === '') return mayBeEmpty ? null : undefined
    const parsed = parseDecimal(typed)
    return parsed.kind === 'number' && parsed.value >= min && parsed.value <= max ? parsed.value : undefined
  }
  const change = (typed: string) => {
    setText(typed)
    const now = read(typed)
    if (now !== undefined && !whenLeft) onChange(now)
  }
  const leave = () => {
    const now = read(shown)
    if (now === undefined) return
    setText(null)
    if (whenLeft && now !== value) onChange(now)
  }
  return (
    <TextField
      label={label}
      value={shown}
      onChange={change}
      onBlur={leave}
      onEnter={leave}
      fault={read(shown) === undefined ? `From ${min} to ${max}.` : undefined}
      width={width}
      hideLabel={hideLabel}
      maxLength={12}
      autoFocus={autoFocus}
    />
  )
}
