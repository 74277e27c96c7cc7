import { memo } from 'react'
import { useNavigate } from 'react-router'
import type { PatternView } from '../../../contract/index.ts'
import type { ChangeDraft } from '../../recipe/draft.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField } from '../../ui/fields.tsx'
import { Section } from '../../ui/layout.tsx'
import { useCommand } from '../../wire/useCommand.ts'
import { labels } from '../../words/patterns.ts'

interface NoteAndPutAwayProps {
  readonly note: string
  readonly dirty: boolean
  readonly pattern: PatternView | undefined
  readonly onChange: ChangeDraft
}

/** The pattern's note, and putting it away once it is saved. */
export const NoteAndPutAway = memo(function NoteAndPutAway({
  note,
  dirty,
  pattern,
  onChange,
}: NoteAndPutAwayProps) {
  const command = useCommand()
  const navigate = useNavigate()
  const putAway = async ({ id, version }: PatternView) => {
    const delivery = await command('patternArchive', { patternId: id, version })
    if (delivery.kind === 'done') void navigate('/patterns')
  }
  return (
    <Section>
      <NoteField label={labels.note} value={note} onChange={(next) => onChange({ note: next })} width="520px" />
      {pattern ? (
        <Button onPress={() => void putAway(pattern)} isDisabled={dirty}>
          {labels.putThePatternAway}
        </Button>
      ) : null}
    </Section>
  )
})
