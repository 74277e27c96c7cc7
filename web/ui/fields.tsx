import type { ReactNode } from 'react'
import {
  Button as AriaButton, Checkbox as AriaCheckbox, FieldError, Input, Label, ListBox, ListBoxItem, Popover,
  Select as AriaSelect, SelectValue, Text, TextArea, TextField as AriaTextField,
} from 'react-aria-components' // prettier-ignore
import styled from 'styled-components'

const fieldLook = `
  font: inherit;
  font-size: 0.9375rem;
  min-height: 32px;
  width: 100%;
  padding: 3px 8px;
  color: var(--ink);
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
`

const Shell = styled.div<{ $width: string | undefined }>`
  width: ${({ $width }) => $width ?? 'auto'};
  min-width: 0;
  .label {
    display: block;
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .hint {
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .fault {
    display: block;
    font-size: 0.875rem;
    color: var(--madder);
  }
  input,
  textarea {
    ${fieldLook}
  }
  input[data-invalid],
  textarea[data-invalid] {
    border: 2px solid var(--madder);
  }
  textarea {
    min-height: 56px;
    resize: vertical;
  }
`

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
  ...props
}: FieldProps) {
  return (
    <Shell $width={width}>
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
  rows = 2,
}: FieldProps & { readonly rows?: number }) {
  return (
    <Shell $width={width}>
      <AriaTextField
        value={value}
        onChange={onChange}
        maxLength={2000}
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

const SelectButton = styled(AriaButton)`
  ${fieldLook}
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  text-align: left;
  cursor: pointer;
  .value {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`

const Sheet = styled(Popover)`
  min-width: var(--trigger-width);
  max-width: 380px;
  max-height: 340px;
  overflow: auto;
  padding: 4px;
  font: 0.9375rem/1.3 var(--text);
  color: var(--ink);
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  .choice {
    padding: 6px 8px;
    min-height: 32px;
    border-radius: 4px;
    cursor: pointer;
    outline: none;
  }
  .choice[data-focused] {
    background: var(--thistle);
    color: var(--panel);
  }
  .choice[data-selected] {
    font-weight: 650;
  }
`

/** One of a few choices. */
export interface Choice {
  readonly id: string
  readonly name: string
}

interface SelectProps {
  readonly label: string
  readonly value: string | null
  readonly choices: readonly Choice[]
  readonly onChange: (id: string) => void
  readonly width?: string
  readonly hideLabel?: boolean
  readonly placeholder?: string
  readonly fault?: string | undefined
  readonly isDisabled?: boolean
}

/** A choice of one from a list. */
export function Select({
  label,
  value,
  choices,
  onChange,
  width,
  hideLabel,
  placeholder = 'Choose',
  fault,
  isDisabled = false,
}: SelectProps) {
  return (
    <Shell $width={width}>
      <AriaSelect
        value={value}
        onChange={(key) => {
          if (key !== null) onChange(String(key))
        }}
        isDisabled={isDisabled || choices.length === 0}
        {...(fault ? { isInvalid: true } : {})}
        placeholder={placeholder}
        {...(hideLabel ? { 'aria-label': label } : {})}
      >
        {hideLabel ? null : <Label className="label">{label}</Label>}
        <SelectButton>
          <SelectValue className="value" />
          <span aria-hidden="true">▾</span>
        </SelectButton>
        <FieldError className="fault">{fault}</FieldError>
        <Sheet>
          <ListBox items={choices.map((choice) => ({ ...choice }))}>
            {(choice) => (
              <ListBoxItem className="choice" id={choice.id} textValue={choice.name}>
                {choice.name}
              </ListBoxItem>
            )}
          </ListBox>
        </Sheet>
      </AriaSelect>
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
