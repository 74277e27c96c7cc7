import type { ReactNode } from 'react'
import { Button } from './Button.tsx'
import { Row } from './layout.tsx'

interface OneOfProps<Choice> {
  /** what is chosen here, for those who hear it */
  readonly label: string
  readonly choices: readonly { readonly id: Choice; readonly name: string }[]
  readonly chosen: Choice
  readonly onChoose: (id: Choice) => void
  /** what stands before the choices */
  readonly before?: ReactNode
}

/** One of a few, side by side: what is chosen is underlined, never filled, which is the next step's alone. */
export function OneOf<Choice extends string | null>({
  label,
  choices,
  chosen,
  onChoose,
  before,
}: OneOfProps<Choice>) {
  return (
    <Row $gap={6} role="group" aria-label={label}>
      {before}
      {choices.map(({ id, name }) => (
        <Button key={id} aria-pressed={chosen === id} onPress={() => onChoose(id)}>
          {name}
        </Button>
      ))}
    </Row>
  )
}
