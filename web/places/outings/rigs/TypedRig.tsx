import styled from 'styled-components'
import { wording } from '../../../../core/index.ts'
import type { RigPhrase } from '../../../../core/index.ts'
import { NoteField, TextField } from '../../../ui/fields.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'

/** What was understood, in a line where there is room. */
const Understood = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 0 6px;
  padding: 0;
  margin: 4px 0 10px;
  list-style: none;
  font-size: 0.875rem;
  color: var(--quiet);
  li:not(:last-child)::after {
    content: ' ·';
  }
  .asked {
    color: var(--madder);
  }
`

interface TypedRigProps {
  readonly name: string
  readonly typed: string
  readonly phrases: readonly RigPhrase[]
  readonly nameOf: (flyId: string) => string
  readonly onName: (name: string) => void
  readonly onType: (typed: string) => void
}

/** A rig's name and its line, with what was understood of it and what is asked. */
export function TypedRig({ name, typed, phrases, nameOf, onName, onType }: TypedRigProps) {
  const { units } = useWording()
  return (
    <>
      <TextField
        label={labels.name}
        name="rig.name"
        value={name}
        maxLength={80}
        onChange={onName}
        width="320px"
      />
      <NoteField label={labels.typed} value={typed} onChange={onType} rows={3} />
      <Understood aria-label={labels.understood}>
        {phrases.map((phrase, i) => (
          <li key={i} className={phrase.part ? '' : 'asked'}>
            {phrase.part ? '' : `“${phrase.text}”: `}
            {wording.rigPhraseWords(phrase, nameOf, units)}
          </li>
        ))}
      </Understood>
    </>
  )
}
