import { memo, useState } from 'react'
import { MaterialPicker } from './MaterialPicker.tsx'
import { withDrawer } from './DressingLines.tsx'
import type { ChangeDraft, DraftVariant } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { TextField } from '../../ui/fields.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/patterns.ts'

interface NameAndHookProps {
  readonly name: string
  readonly chosen: DraftVariant
  readonly book: MaterialBook
  readonly onChange: ChangeDraft
  readonly fault: string | undefined
  readonly isNew: boolean
}

/** What the pattern is called, and the hook of the chosen variant. */
export const NameAndHook = memo(function NameAndHook({
  name,
  chosen,
  book,
  onChange,
  fault,
  isNew,
}: NameAndHookProps) {
  // nothing is wrong before something was written; said as the field is left, it would move what is just being pressed
  const [wrote, setWrote] = useState(!isNew)
  return (
    <Section>
      <Row $align="start">
        <TextField
          label={labels.name}
          value={name}
          onChange={(next) => {
            setWrote(true)
            onChange({ name: next })
          }}
          width="220px"
          maxLength={80}
          fault={wrote ? fault : undefined}
          autoFocus={isNew}
        />
        <MaterialPicker
          kind="hook"
          materialId={chosen.hookMaterialId}
          book={book}
          onPick={(hookMaterialId, minted) =>
            onChange((before) => ({
              ...withDrawer(before, minted),
              variants: before.variants.map((variant) =>
                variant.id === chosen.id ? { ...variant, hookMaterialId } : variant,
              ),
            }))
          }
        />
      </Row>
      <Quiet>The hook is that of {chosen.label}.</Quiet>
    </Section>
  )
})
