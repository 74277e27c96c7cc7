import {
  Button as AriaButton, FieldError, Label, ListBox, ListBoxItem, Popover, Select as AriaSelect, SelectValue,
} from 'react-aria-components' // prettier-ignore
import { memo, useCallback, useLayoutEffect, useRef } from 'react'
import { shallowEqual } from 'react-redux'
import styled from 'styled-components'
import { fieldLook, Shell } from './fieldShell.ts'

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
  readonly width?: string
  readonly hideLabel?: boolean
  readonly placeholder?: string
  readonly fault?: string | undefined
  readonly isDisabled?: boolean
  readonly onChange: (id: string) => void
}

const areAlike = (some: readonly Choice[], others: readonly Choice[]): boolean =>
  some.length === others.length && some.every((choice, at) => shallowEqual(choice, others[at]))

/** What is seen of a choice; a page with ten of them redraws none whose look stays, whoever asks. */
const Seen = memo(
  function Seen({
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
      <Shell $width={width} data-fault={fault}>
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
            <ListBox items={choices}>
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
  },
  ({ choices, ...look }, { choices: before, ...looked }) =>
    shallowEqual(look, looked) && areAlike(choices, before),
)

/** A choice of one from a list. */
export function Select({ onChange, ...look }: SelectProps) {
  const asked = useRef(onChange)
  useLayoutEffect(() => {
    asked.current = onChange
  })
  const choose = useCallback((id: string) => asked.current(id), [])
  return <Seen {...look} onChange={choose} />
}
