import { useEffect, useRef } from 'react'
import type { KeyboardEvent, ReactNode } from 'react'
import { Form as AriaForm } from 'react-aria-components'
import type { Problem } from '../../contract/index.ts'
import { focusField, focusFirstFault } from './faults.ts'
import { Fault } from './layout.tsx'

interface FormProps {
  readonly label: string
  readonly onSubmit: () => void
  /** what the server refused: said at the fields that it names, and below them */
  readonly problem?: Problem | null
  /** a long form says at its head what was refused, and not below its fields */
  readonly saysItself?: boolean
  readonly onKeyDown?: (event: KeyboardEvent) => void
  readonly children: ReactNode
}

/** Messages by the name of the field that they belong to. */
const messagesOf = (problem: Problem | null): Readonly<Record<string, string>> =>
  Object.fromEntries((problem?.fields ?? []).map(({ path, message }) => [path, message]))

/**
 * A form, sent with Enter or its button. Fields say by themselves what they do not understand, and until they do
 * understand nothing is sent; one whose `name` is a path of the command, as `test.depthMm`, also says what the server
 * refused of it. Either way the focus goes to the first field that is wrong.
 */
export function Form({ label, onSubmit, problem = null, saysItself = false, onKeyDown, children }: FormProps) {
  const form = useRef<HTMLFormElement>(null)
  useEffect(() => {
    if (form.current && problem) focusField(form.current, new Set(problem.fields.map(({ path }) => path)))
  }, [problem])
  return (
    <AriaForm
      ref={form}
      aria-label={label}
      validationBehavior="aria"
      validationErrors={messagesOf(problem)}
      onSubmit={(event) => {
        event.preventDefault()
        if (!focusFirstFault(event.currentTarget)) onSubmit()
      }}
      {...(onKeyDown ? { onKeyDown } : {})}
    >
      {children}
      {problem && !saysItself ? <Fault role="alert">{problem.detail}</Fault> : null}
    </AriaForm>
  )
}
