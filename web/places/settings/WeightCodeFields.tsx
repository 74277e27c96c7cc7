import { useState } from 'react'
import { CODED_METALS } from '../../../core/index.ts'
import type { CodedMetal, WeightCode } from '../../../core/index.ts'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/settings.ts'

const NOTHING: WeightCode = { marks: { tungsten: null, brass: null, none: null }, on: [] }
const WORDS: Readonly<Record<CodedMetal, string>> = { tungsten: 'Tungsten', brass: 'Brass', none: 'No bead' }
const SCOPES: readonly { readonly id: WeightCode['on'][number]; readonly name: string }[] = [
  { id: 'jigHooks', name: 'on jig hooks' },
  { id: 'midgePupae', name: 'on midge pupae' },
  { id: 'everything', name: 'on every fly' },
]

interface WeightCodeFieldsProps {
  readonly code: WeightCode | null
  readonly onSave: (code: WeightCode | null) => void
}

/** The tier's own marks for weight: a colour of thread for each metal, and the flies that bear them. */
export function WeightCodeFields({ code, onSave }: WeightCodeFieldsProps) {
  const [marks, setMarks] = useState((code ?? NOTHING).marks)
  const on = (code ?? NOTHING).on
  const save = (next: WeightCode) => onSave(next.on.length > 0 ? next : null)
  return (
    <>
      <Row $align="end">
        {CODED_METALS.map((metal) => (
          <TextField
            key={metal}
            label={WORDS[metal]}
            placeholder={labels.noTurn}
            value={marks[metal] ?? ''}
            onChange={(text) =>
              setMarks((before) => ({ ...before, [metal]: text.trim() === '' ? null : text }))
            }
            onBlur={() => save({ marks, on })}
            width="130px"
            maxLength={40}
          />
        ))}
        {SCOPES.map(({ id, name }) => (
          <Checkbox
            key={id}
            isSelected={on.includes(id)}
            onChange={(ticked) =>
              save({ marks, on: ticked ? [...on, id] : on.filter((scope) => scope !== id) })
            }
          >
            {name}
          </Checkbox>
        ))}
      </Row>
      <Quiet>{labels.theColourOfThe}</Quiet>
    </>
  )
}
