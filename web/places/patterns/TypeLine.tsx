import { useState } from 'react'
import { KINDS, readTypedLine } from '../../../core/index.ts'
import type { DisplayUnits, TypedLine } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Row } from '../../ui/layout.tsx'
import { newLine } from '../../recipe/draft.ts'
import type { ChangeDraft } from '../../recipe/draft.ts'
import { componentLine } from '../../recipe/lineText.ts'
import { toMaterial } from '../../recipe/useMaterialBook.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labels } from '../../words/patterns.ts'

type Unclear = Extract<TypedLine, { kind: 'unclear' }>

/** Where a line was not understood, and how it is written. */
function unclearLine({ code, at }: Unclear): string {
  switch (code) {
    case 'noKind':
      return 'Begin with what it is and a colon: “tail: 6 speckled cock, ⅔ shank”.'
    case 'unknownKind':
      return `“${at}” is no component. Write tail, body, rib, hackle, wing …`
    case 'noMaterial':
      return `No material of this kind is called “${at}”.`
    case 'unknownAmount':
      return `“${at}” is not understood. Write 5 turns, ⅔ shank, slim, above …`
  }
}

/** What was understood, as the line that it will be. */
function echo(
  line: Extract<TypedLine, { kind: 'understood' }>,
  book: MaterialBook,
  units: DisplayUnits,
): string {
  const family = book.families.find(({ id }) => id === line.familyId)
  const material = family && toMaterial(family, { id: '', sizeKey: line.sizeKey, colourName: line.colourName })
  const place = KINDS[line.component.kind].place
  return componentLine({ ...line.component, key: line.component.kind, materialId: '', place }, material, units)
}

interface TypeLineProps {
  readonly book: MaterialBook
  readonly onChange: ChangeDraft
}

/** A line of the dressing as it is written on a card; it says what it understood before it is taken. */
export function TypeLine({ book, onChange }: TypeLineProps) {
  const { units } = useWording()
  const [text, setText] = useState('')
  const [tried, setTried] = useState(false)
  const line = text.trim() === '' ? null : readTypedLine(text, book.families)
  const take = async () => {
    if (line?.kind !== 'understood') {
      setTried(true)
      return
    }
    const drawer = await book.drawer(line.familyId, line.sizeKey, line.colourName)
    onChange((draft) => ({
      newDrawers: drawer.minted ? [...draft.newDrawers, drawer.minted] : draft.newDrawers,
      components: [...draft.components, newLine(line.component, drawer.material, draft.components)],
      steps: null,
    }))
    setText('')
    setTried(false)
  }
  return (
    <Form
      label={labels.typeALine}
      onSubmit={() => {
        void take()
      }}
    >
      <Row $align="end" $gap={8}>
        <TextField
          label={labels.typeALine}
          value={text}
          onChange={(typed) => {
            setText(typed)
            setTried(false)
          }}
          placeholder={labels.tail6SpeckledCock}
          width="420px"
          fault={tried && line?.kind === 'unclear' ? unclearLine(line) : undefined}
        />
        <Button type="submit" isDisabled={text.trim() === ''}>
          {labels.addTheLine}
        </Button>
      </Row>
      <p role="status" style={{ minHeight: '1.4em', fontSize: '0.875rem', color: 'var(--quiet)' }}>
        {line?.kind === 'understood' ? `understood: ${echo(line, book, units)}` : ''}
      </p>
    </Form>
  )
}
