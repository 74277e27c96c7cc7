import { useState } from 'react'
import { parseDecimal, wording } from '../../core/index.ts'
import { TextField } from './fields.tsx'

/** What a field for a number is told. */
export interface NumberFieldProps {
  readonly label: string
  readonly value: number | null
  readonly onChange: (value: number | null) => void
  /** what is written is no such number: for a button that must not go by what stood there before */
  readonly onUnclear?: () => void
  readonly min: number
  readonly max: number
  /** whole ones only */
  readonly whole?: boolean
  /** whether it may be left empty, for none */
  readonly mayBeEmpty?: boolean
  /** how a number is written, in a notation that can be read again */
  readonly shown?: (value: number) => string
  readonly placeholder?: string
  readonly width?: string
  readonly hideLabel?: boolean
  /** passes the number on when the field is left or Enter is pressed, for what is saved at once */
  readonly whenLeft?: boolean
  readonly autoFocus?: boolean
  /** path of the command that the field fills, for what the server says of it */
  readonly name?: string | undefined
}

type Limits = Pick<NumberFieldProps, 'min' | 'max' | 'whole' | 'mayBeEmpty'>

/** What was written, or what is wrong with it. */
function read(typed: string, { min, max, whole, mayBeEmpty }: Limits): { value: number | null } | string {
  const range = `From ${min} to ${max}.`
  if (typed.trim() === '') return mayBeEmpty ? { value: null } : range
  const parsed = parseDecimal(typed)
  if (parsed.kind === 'unclear') return wording.unclearSentence(parsed.code, parsed.suggestions)
  if (parsed.value < 0 && min >= 0) return wording.unclearSentence('negative', [])
  if (parsed.value < min || parsed.value > max) return range
  return whole && !Number.isInteger(parsed.value) ? 'Whole ones only.' : { value: parsed.value }
}

/**
 * A number in any notation that says at once whether it will do; what will not do is not passed on. Within a form it is
 * not sent before it does.
 */
export function NumberField({
  label,
  value,
  onChange,
  onUnclear,
  shown = String,
  placeholder,
  width = '90px',
  hideLabel = false,
  whenLeft = false,
  autoFocus = false,
  name,
  ...limits
}: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? (value === null ? '' : shown(value))
  const now = read(text, limits)
  const change = (next: string) => {
    setTyped(next)
    const written = read(next, limits)
    if (typeof written === 'string') onUnclear?.()
    else if (!whenLeft) onChange(written.value)
  }
  const leave = () => {
    if (typeof now === 'string') return
    setTyped(null)
    if (whenLeft && now.value !== value) onChange(now.value)
  }
  return (
    <TextField
      label={label}
      value={text}
      onChange={change}
      onBlur={leave}
      onEnter={leave}
      fault={typeof now === 'string' ? now : undefined}
      isUnread={typeof now === 'string'}
      placeholder={placeholder}
      width={width}
      hideLabel={hideLabel}
      maxLength={12}
      autoFocus={autoFocus}
      name={name}
    />
  )
}
