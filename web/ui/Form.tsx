import type { KeyboardEvent, ReactNode } from 'react'
import { Form as AriaForm } from 'react-aria-components'
import type { Problem } from '../../contract/index.ts'
import { Fault } from './layout.tsx'

interface FormProps {
  readonly label: string
  readonly onSubmit: () => void
  /** what the server refused: said at the fields that it names, and below them */
  readonly problem?: Problem | null
  readonly onKeyDown?: (event: KeyboardEvent) => void
  readonly children: ReactNode
}

/** Messages by the name of the field that they belong to. */
const messagesOf = (problem: Problem | null): Readonly<Record<string, string>> =>
  Object.fromEntries((problem?.fields ?? []).map(({ path, message }) => [path, message]))

/**
 * A form, sent with Enter or its button. Fields say by themselves what they do not understand; one whose `name` is a
 * path of the command, as `test.depthMm`, also says what the server refused of it.
 */
export function Form({ label, onSubmit, problem = null, onKeyDown, children }: FormProps) {
  return (
    <AriaForm
      aria-label={label}
      validationBehavior="aria"
      validationErrors={messagesOf(problem)}
      onSubmit={(event) => {
        event.preventDefault()
        onSubmit()
      }}
      {...(onKeyDown ? { onKeyDown } : {})}
    >
      {children}
      {problem ? <Fault role="alert">{problem.detail}</Fault> : null}
    </AriaForm>
  )
}
