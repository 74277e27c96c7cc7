import type { ReactNode } from 'react'
import {
  Checkbox as AriaCheckbox, FieldError, Input, Label, Text, TextArea, TextField as AriaTextField,
} from 'react-aria-components' // prettier-ignore
import styled from 'styled-components'
import { Shell } from './fieldShell.ts'

interface FieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (value: string) => void
  readonly onBlur?: () => void
  readonly onEnter?: () => void
  /** what is wrong, at the field; none where nothing is */
  readonly fault?: string | undefined
  readonly hint?: ReactNode
  readonly width?: string | undefined
  readonly hideLabel?: boolean
  readonly autoFocus?: boolean
  readonly type?: 'text' | 'date' | 'time' | 'search'
  readonly maxLength?: number
  /** path of the command that the field fills, for what the server says of it */
  readonly name?: string | undefined
  /** what holds where nothing is written */
  readonly placeholder?: string | undefined
  /** what stands there was not understood, and what it was before still holds */
  readonly isUnread?: boolean
}

/** A line of text with its label, its hint and what is wrong with it. */
export function TextField({
  label,
  fault,
  hint,
  width,
  hideLabel,
  maxLength = 200,
  type = 'text',
  onBlur,
  onEnter,
  placeholder,
  name,
  isUnread = false,
  ...props
}: FieldProps) {
  return (
    <Shell $width={width} data-fault={fault} data-unread={isUnread || undefined}>
      <AriaTextField
        {...props}
        type={type}
        maxLength={maxLength}
        {...(name ? { name } : {})}
        {...(fault ? { isInvalid: true } : {})}
        {...(onBlur ? { onBlur } : {})}
        {...(onEnter
          ? { onKeyDown: ({ key }: { key: string }) => (key === 'Enter' ? onEnter() : undefined) }
          : {})}
        {...(hideLabel ? { 'aria-label': label } : {})}
      >
        {hideLabel ? null : <Label className="label">{label}</Label>}
        <Input placeholder={placeholder ?? (hideLabel && type === 'search' ? label : undefined)} />
        {hint ? (
          <Text slot="description" className="hint">
            {hint}
          </Text>
        ) : null}
        <FieldError className="fault">{fault}</FieldError>
      </AriaTextField>
    </Shell>
  )
}

/** Several lines of text. */
export function NoteField({
  label,
  value,
  onChange,
  onBlur,
  width,
  fault,
  name,
  rows = 2,
}: FieldProps & { readonly rows?: number }) {
  return (
    <Shell $width={width} data-fault={fault}>
      <AriaTextField
        value={value}
        onChange={onChange}
        maxLength={2000}
        {...(name ? { name } : {})}
        {...(fault ? { isInvalid: true } : {})}
        {...(onBlur ? { onBlur } : {})}
      >
        <Label className="label">{label}</Label>
        <TextArea rows={rows} />
        <FieldError className="fault">{fault}</FieldError>
      </AriaTextField>
    </Shell>
  )
}

const Tick = styled(AriaCheckbox)`
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 32px;
  font-size: 0.9375rem;
  cursor: pointer;
  .box {
    display: grid;
    flex: none;
    place-items: center;
    width: 20px;
    height: 20px;
    border: 1px solid var(--quiet);
    border-radius: 4px;
    background: var(--panel);
    color: var(--thistle);
    line-height: 1;
  }
  &[data-focus-visible] .box {
    outline: 2px solid var(--thistle);
    outline-offset: 2px;
  }
`

/** A box to tick. */
export function Checkbox({
  isSelected,
  onChange,
  children,
}: {
  readonly isSelected: boolean
  readonly onChange: (on: boolean) => void
  readonly children: ReactNode
}) {
  return (
    <Tick isSelected={isSelected} onChange={onChange}>
      <span className="box" aria-hidden="true">
        {isSelected ? '✓' : ''}
      </span>
      {children}
    </Tick>
  )
}
