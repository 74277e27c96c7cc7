import { useState } from 'react'
import { within } from '../../../contract/limits.ts'
import { parseQuantity, wording } from '../../../core/index.ts'
import type { CommandInput } from '../../../contract/index.ts'
import { useStoresQuery } from '../../wire/answers.ts'
import { newId } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import type { Choice } from '../../ui/Select.tsx'
import { Form } from '../../ui/Form.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { useInstrument } from '../../wire/useInstrument.ts'
import { useKeeping } from './useKeeping.ts'
import { labels } from '../../words/parts.ts'

const COUNTS = [1, 2, 5, 10, 20, 25].map((count) => ({ id: String(count), name: String(count) }))
const SCALES = [
  { id: '0.1', name: '0.1 mg' },
  { id: '1', name: '1 mg' },
  { id: '10', name: '0.01 g' },
]

/** Enters a weighing: of finished flies, or of hooks, beads or wire alone. */
export function WeighingForm({
  flies,
  massOf,
  withStandIns,
  first,
}: {
  readonly flies: readonly Choice[]
  /** estimate of one piece of a subject, for the simulated scale */
  readonly massOf: (subject: string) => number
  /** whether simulated instruments are offered: among made-up data only */
  readonly withStandIns: boolean
  /** what lies on the scale to begin with */
  readonly first?: { readonly subject: string; readonly count: string }
}) {
  const { data: stores } = useStoresQuery()
  const { units, mass } = useWording()
  const [subject, setSubject] = useState<string | null>(first?.subject ?? null)
  const [count, setCount] = useState(first?.count ?? '10')
  const [readability, setReadability] = useState('1')
  const [text, setText] = useState('')
  const { keep, problem } = useKeeping(() => setText(''))
  const [source, setSource] = useState<'entered' | 'simulated'>('entered')
  const scale = useInstrument('scale', (mg) => {
    setText(`${mg.toFixed(1)} mg`)
    setSource('simulated')
  })
  const goods = (stores?.materials ?? [])
    .filter(({ kind }) => kind === 'hook' || kind === 'bead')
    .map(({ id, name, sizeKey, colourName }) => ({
      id: `material:${id}`,
      name: [`${name}${sizeKey ? ` ${sizeKey}` : ''}`, colourName].filter(Boolean).join(', '),
    }))
  const choices = [...goods, ...flies.map(({ id, name }) => ({ id: `variant:${id}`, name: `flies: ${name}` }))]
  const expectedMg = subject ? massOf(subject) : 0
  const total = parseQuantity(text, 'mass', units.mass, within('weighedMg'))
  const save = async () => {
    if (!subject || total.kind !== 'quantity') return
    const [kind, id = ''] = subject.split(':')
    type Subject = CommandInput<'weighingSave'>['weighing']['subject']
    await keep('weighingSave', {
      weighingId: newId(),
      weighing: {
        subject: (kind === 'variant' ? { kind, variantId: id } : { kind, materialId: id }) as Subject,
        count: Number(count),
        totalMg: total.value,
        readabilityMg: Number(readability),
        source,
        note: '',
      },
    })
  }
  return (
    <Form
      label={labels.aWeighing}
      onSubmit={() => {
        void save()
      }}
      problem={problem}
    >
      <Row $align="end">
        <Select
          label={labels.onTheScale}
          value={subject}
          choices={choices}
          onChange={setSubject}
          width="300px"
        />
        <Select label={labels.howManyAtOnce} value={count} choices={COUNTS} onChange={setCount} width="130px" />
        <TextField
          name="weighing.totalMg"
          label={`All together, ${units.mass}`}
          value={text}
          onChange={(typed) => {
            setText(typed)
            setSource('entered')
          }}
          width="120px"
          fault={
            text !== '' && total.kind === 'unclear'
              ? wording.unclearSentence(total.code, total.suggestions)
              : undefined
          }
        />
        <Select
          label={labels.itShowsStepsOf}
          value={readability}
          choices={SCALES}
          onChange={setReadability}
          width="130px"
        />
        <Button type="submit" look="main" isDisabled={!subject || total.kind !== 'quantity'}>
          {labels.keepTheWeighing}
        </Button>
      </Row>
      {withStandIns ? (
        <Row $gap={8} style={{ paddingTop: 6 }}>
          <Button
            onPress={() => void scale.read(Number(count) * expectedMg)}
            isDisabled={!subject || scale.busy}
          >
            {labels.weighItOnThe}
          </Button>
          {source === 'simulated' ? <Quiet>{labels.simulatedNoScaleIs}</Quiet> : null}
        </Row>
      ) : null}
      {scale.fault ? <Fault>{scale.fault}</Fault> : null}
      {total.kind === 'quantity' ? <Quiet>{mass(total.value / Number(count))} each.</Quiet> : null}
    </Form>
  )
}
