import { useState } from 'react'
import { KINDS, newLine, readTypedHook, readTypedLine } from '../../../core/index.ts'
import type { Ask, DisplayUnits, Settled, TypedHook, TypedLine } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { ColourField } from '../../ui/ColourField.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import type { ChangeDraft } from '../../recipe/draft.ts'
import { componentLine, materialText } from '../../recipe/lineText.ts'
import { toMaterial } from '../../recipe/useMaterialBook.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labels } from '../../words/patterns.ts'

type Read = TypedLine | TypedHook
type Unclear = Extract<Read, { kind: 'unclear' }>

/** What was settled of a line, with the colour that a new name stands for. */
type Answers = Settled & { readonly colourHex?: string }

/** Where a line was not understood, and how it is written. */
function unclearLine({ code, at }: Unclear): string {
  switch (code) {
    case 'noKind':
      return 'Begin with what it is and a colon: “tail: 6 speckled cock, ⅔ shank”.'
    case 'unknownKind':
      return `“${at}” is no component. Write tail, body, rib, hackle, wing …`
    case 'noMaterial':
      return `No material of this kind is called “${at}”.`
  }
}

/** A hook is written like a line of the dressing. */
const HOOK = /^\s*hook\s*:/i

/** What a text means: a line of the dressing, or the hook of the chosen variant; null while there is none. */
function readText(text: string, families: MaterialBook['families'], answers: Answers): Read | null {
  if (text.trim() === '') return null
  return HOOK.test(text)
    ? readTypedHook(text.replace(HOOK, ''), families, answers)
    : readTypedLine(text, families, answers)
}

/** What was understood, as the line that it will be. */
function echo(line: Extract<Read, { kind: 'understood' }>, book: MaterialBook, units: DisplayUnits): string {
  const family = book.families.find(({ id }) => id === line.familyId)
  const material = family && toMaterial(family, { id: '', sizeKey: line.sizeKey, colourName: line.colourName })
  if (!('component' in line)) return `hook: ${materialText(material)}`
  const place = KINDS[line.component.kind].place
  const text = componentLine(
    { ...line.component, key: line.component.kind, materialId: '', place },
    material,
    units,
  )
  return [text, ...line.notes].join('; ')
}

/** What a line asks, in words. */
function question(ask: Ask, nameOf: (familyId: string) => string): string {
  switch (ask.about) {
    case 'goods':
      return 'Which of these?'
    case 'size':
      return ask.written === null
        ? `Which size of ${nameOf(ask.familyId)}?`
        : `${nameOf(ask.familyId)} has no such size here as ${ask.written}:`
    case 'colour':
      return `${nameOf(ask.familyId)} does not come in ${ask.written} here:`
    case 'words':
      return 'What is struck through was not understood.'
  }
}

interface AnswersToProps {
  readonly ask: Ask
  readonly onAnswer: (answer: Answers) => void
}

/** The answers that a line may be given, at most a handful. */
function AnswersTo({ ask, onAnswer }: AnswersToProps) {
  const [hex, setHex] = useState<string | null>(null)
  const button = (name: string, answer: Answers) => (
    <Button key={name} onPress={() => onAnswer(answer)}>
      {name}
    </Button>
  )
  switch (ask.about) {
    case 'goods':
      return ask.choices.map(({ id, name }) => button(name, { familyId: id }))
    case 'size':
      return (
        <>
          {ask.choices.map((sizeKey) => button(sizeKey, { sizeKey }))}
          {ask.make ? button(`make ${ask.make}`, { sizeKey: ask.make }) : null}
        </>
      )
    case 'colour': {
      const colourHex = hex ?? ask.hex
      return (
        <>
          {ask.choices.map((colourName) => button(colourName, { colourName }))}
          {button(`a new colour: ${ask.written}`, { colourName: ask.written, colourHex })}
          <ColourField label={`How ${ask.written} looks`} hex={colourHex} onChange={setHex} />
        </>
      )
    }
    case 'words':
      return button('without it', { withoutWords: true })
  }
}

/** What is understood of a line so far, struck through where it is not, and what it asks. */
function Understanding({
  line,
  text,
  book,
  onAnswer,
}: {
  readonly line: Read | null
  readonly text: string
  readonly book: MaterialBook
  readonly onAnswer: (answer: Answers) => void
}) {
  const { units } = useWording()
  const nameOf = (familyId: string) => book.families.find(({ id }) => id === familyId)?.name ?? ''
  return (
    <div role="status" style={{ minHeight: '1.4em', fontSize: '0.875rem' }}>
      {line?.kind === 'understood' ? <Quiet>understood: {echo(line, book, units)}</Quiet> : null}
      {line?.kind === 'asks' ? (
        <Row $gap={6}>
          <span>
            {line.unused.length > 0 ? (
              <>
                <Struck text={text} unused={line.unused} />{' '}
              </>
            ) : null}
            {question(line.ask, nameOf)}
          </span>
          <AnswersTo ask={line.ask} onAnswer={onAnswer} />
        </Row>
      ) : null}
    </div>
  )
}

/** A line as typed, the words struck through that were not understood. */
function Struck({ text, unused }: { readonly text: string; readonly unused: readonly string[] }) {
  const isUnused = (word: string) =>
    unused.some((one) =>
      word
        .toLowerCase()
        .replace(/[^\p{L}\p{N}./]/gu, '')
        .startsWith(one),
    )
  return text
    .split(/(\s+)/)
    .map((word, i) => (word.trim() !== '' && isUnused(word) ? <s key={i}>{word}</s> : word))
}

interface TypeLineProps {
  readonly book: MaterialBook
  /** whose hook a typed hook becomes */
  readonly variantId: string
  readonly onChange: ChangeDraft
}

/** A line of the dressing, or a hook, as it is written on a card; it says what it understood, and asks, before it is taken. */
export function TypeLine({ book, variantId, onChange }: TypeLineProps) {
  const [text, setText] = useState('')
  const [answers, setAnswers] = useState<Answers>({})
  const [tried, setTried] = useState(false)
  const line = readText(text, book.families, answers)
  const take = async () => {
    if (line?.kind !== 'understood') {
      setTried(true)
      return
    }
    const drawer = await book.drawer(line.familyId, line.sizeKey, line.colourName, answers.colourHex)
    onChange((draft) => ({
      newDrawers: drawer.minted ? [...draft.newDrawers, drawer.minted] : draft.newDrawers,
      ...('component' in line
        ? {
            components: [...draft.components, newLine(line.component, drawer.material, draft.components)],
          }
        : {
            variants: draft.variants.map((variant) =>
              variant.id === variantId ? { ...variant, hookMaterialId: drawer.id } : variant,
            ),
          }),
    }))
    setText('')
    setAnswers({})
    setTried(false)
  }
  const faultOf = (of: Read | null) => {
    if (of?.kind === 'unclear') return unclearLine(of)
    return of?.kind === 'asks' ? labels.settleTheLine : undefined
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
            setAnswers({})
            setTried(false)
          }}
          placeholder={labels.tail6SpeckledCock}
          width="min(420px, 100%)"
          fault={tried ? faultOf(line) : undefined}
        />
        <Button type="submit" isDisabled={text.trim() === ''}>
          {labels.addTheLine}
        </Button>
      </Row>
      <Understanding
        line={line}
        text={text}
        book={book}
        onAnswer={(answer) => setAnswers((before) => ({ ...before, ...answer }))}
      />
    </Form>
  )
}
