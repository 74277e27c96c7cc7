import { useState } from 'react'
import type { ReachSeasonView } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { newId } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Form } from '../../ui/Form.tsx'
import { Caution, Row } from '../../ui/layout.tsx'
import { KINDS, METHODS, wholeUpTo } from '../../moment/note/noteWords.ts'
import type { Noted } from '../../moment/note/noteWords.ts'
import { useNoting } from '../../moment/note/useNoting.ts'
import { WhatItChanged } from '../../moment/note/WhatItChanged.tsx'
import { labels } from '../../words/larder.ts'
import { labels as ofNotes } from '../../words/note.ts'

/** A note as it stands. */
type NotedBefore = ReachSeasonView['observations'][number]

const inText = (value: number | null | undefined) =>
  value === null || value === undefined ? '' : String(value)

interface NoteItProps {
  readonly stageId: string
  readonly reachId: string
  readonly on: string
  /** a note that is changed; nothing for a new one */
  readonly noted?: NotedBefore
  readonly onDone?: () => void
}

/** A note of a food beside the water: seen, counted, or looked for and not seen. */
export function NoteIt({ stageId, reachId, on, noted, onDone }: NoteItProps) {
  const { note: keep, said, problem } = useNoting()
  const before = noted?.observation
  const [kind, setKind] = useState<Noted['kind']>(before?.kind ?? 'firstSeen')
  const [method, setMethod] = useState<Noted['method']>(before?.method ?? 'seen')
  const today = useFrameQuery().data?.today ?? on
  const [date, setDate] = useState(before?.on ?? (on < today ? on : today))
  const [minutes, setMinutes] = useState(inText(before?.effortMinutes))
  const [count, setCount] = useState(inText(before?.count))
  const [note, setNote] = useState(before?.note ?? '')
  const looked = wholeUpTo(minutes, 1440)
  // what was typed before something else was chosen is not said along with it
  const counted = kind === 'counted' ? wholeUpTo(count, 100_000) : null
  const ready = /^\d{4}-\d{2}-\d{2}$/.test(date) && looked !== undefined && counted !== undefined
  const save = async () => {
    if (!ready) return
    const observation = {
      reachId: before?.reachId ?? reachId,
      foodStageId: stageId,
      on: date,
      localMin: before?.localMin ?? null,
      kind,
      count: counted,
      lengthMm: before?.lengthMm ?? null,
      effortMinutes: looked,
      method,
      note,
    }
    const isKept = await keep(
      'observationSave',
      {
        observationId: noted?.id ?? newId(),
        version: noted?.version ?? null,
        observation: observation as Noted,
      },
      [stageId],
    )
    if (!isKept) return
    setNote('')
    onDone?.()
  }
  return (
    <Form
      label={noted ? labels.changeTheNote : labels.noteIt}
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
          name="observation.effortMinutes"
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
            {noted ? labels.changeIt : labels.noteIt}
          </Button>
          {noted ? (
            <Button look="quiet" onPress={onDone}>
              {labels.leaveIt}
            </Button>
          ) : null}
        </div>
      </Row>
      {method === 'fishSample' ? <Caution>{ofNotes.samplingAFishsThroat}</Caution> : null}
      <WhatItChanged said={said} />
    </Form>
  )
}
