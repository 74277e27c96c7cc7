import { useState } from 'react'
import type { CommandInput, Problem } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/api.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Select, TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Caution, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/larder.ts'

type Noted = CommandInput<'observationSave'>['observation']

const KINDS: readonly { readonly id: Noted['kind']; readonly name: string }[] = [
  { id: 'firstSeen', name: 'saw the first' },
  { id: 'thick', name: 'saw it thick' },
  { id: 'lastSeen', name: 'saw the last' },
  { id: 'absent', name: 'looked, none' },
  { id: 'counted', name: 'counted some' },
]
const METHODS: readonly { readonly id: Noted['method']; readonly name: string }[] = [
  { id: 'seen', name: 'by eye' },
  { id: 'stone', name: 'under stones' },
  { id: 'seine', name: 'in a seine' },
  { id: 'fishSample', name: 'in a fish' },
]

interface NoteItProps {
  readonly stageId: string
  readonly reachId: string
  readonly on: string
}

/** A note of a food beside the water: seen, counted, or looked for and not seen. */
export function NoteIt({ stageId, reachId, on }: NoteItProps) {
  const command = useCommand()
  const [kind, setKind] = useState<Noted['kind']>('firstSeen')
  const [method, setMethod] = useState<Noted['method']>('seen')
  const today = useFrameQuery().data?.today ?? on
  const [date, setDate] = useState(on < today ? on : today)
  const [minutes, setMinutes] = useState('')
  const [count, setCount] = useState('')
  const [note, setNote] = useState('')
  const [problem, setProblem] = useState<Problem | null>(null)
  const whole = (text: string, most: number) =>
    text.trim() === '' ? null : /^\d+$/.test(text.trim()) && Number(text) <= most ? Number(text) : undefined
  const [looked, counted] = [whole(minutes, 1440), whole(count, 100_000)]
  const ready = /^\d{4}-\d{2}-\d{2}$/.test(date) && looked !== undefined && counted !== undefined
  const save = async () => {
    if (!ready) return
    const observation = {
      reachId,
      foodStageId: stageId,
      on: date,
      localMin: null,
      kind,
      count: counted,
      lengthMm: null,
      effortMinutes: looked,
      method,
      note,
    }
    const delivery = await command(
      'observationSave',
      { observationId: newId(), version: null, observation: observation as Noted },
      { quietly: true },
    )
    setProblem(delivery.kind === 'refused' ? delivery.problem : null)
    if (delivery.kind === 'done') setNote('')
  }
  return (
    <Form
      label={labels.noteIt}
      onSubmit={() => {
        void save()
      }}
      problem={problem}
    >
      <Row $align="start">
        <Select
          label="I"
          value={kind}
          choices={KINDS}
          onChange={(id) => setKind(id as typeof kind)}
          width="150px"
        />
        <TextField name="observation.on" label={labels.on} value={date} onChange={setDate} width="120px" />
        <Select
          label={labels.how}
          value={method}
          choices={METHODS}
          onChange={(id) => setMethod(id as typeof method)}
          width="130px"
        />
        <TextField
          name="observation.minutesLooked"
          label={labels.minutesLooked}
          value={minutes}
          onChange={setMinutes}
          width="100px"
          fault={looked === undefined ? 'Whole minutes.' : undefined}
        />
        {kind === 'counted' ? (
          <TextField
            label={labels.howMany}
            value={count}
            onChange={setCount}
            width="90px"
            fault={counted === undefined ? 'A whole number.' : undefined}
          />
        ) : null}
        <TextField
          name="observation.note"
          label={labels.note}
          value={note}
          onChange={setNote}
          width="180px"
          maxLength={200}
        />
        <div style={{ paddingTop: 20 }}>
          <Button type="submit" look="main" isDisabled={!ready}>
            {labels.noteIt}
          </Button>
        </div>
      </Row>
      {method === 'fishSample' ? <Caution>{labels.samplingAFishsThroat}</Caution> : null}
    </Form>
  )
}
