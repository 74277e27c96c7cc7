import { useState } from 'react'
import { Dialog, Popover } from 'react-aria-components'
import styled from 'styled-components'
import { isSought } from '../../../core/index.ts'
import type { FrameView, StageLine } from '../../../contract/index.ts'
import { useNow } from '../useNow.ts'
import type { Moment } from '../useMoment.ts'
import { useLarderQuery } from '../../wire/answers.ts'
import { newId } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Caution, Fault, Quiet } from '../../ui/layout.tsx'
import { labels as ofFrame } from '../../words/frame.ts'
import { labels } from '../../words/note.ts'
import { countOf, CountedFoods } from './CountedFoods.tsx'
import type { Counted } from './CountedFoods.tsx'
import { KINDS, METHODS, wholeUpTo } from './noteWords.ts'
import type { Noted } from './noteWords.ts'
import { useNoting } from './useNoting.ts'
import { WhatItChanged } from './WhatItChanged.tsx'

const Panel = styled(Popover)`
  width: min(400px, calc(100vw - 16px));
  max-height: 80vh;
  padding: 12px;
  overflow-y: auto;
  font-size: 0.875rem;
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  .form {
    display: grid;
    gap: 8px;
    outline: 0;
  }
  .pair {
    display: grid;
    gap: 8px;
    grid-template-columns: 1fr 1fr;
  }
  .foods {
    display: grid;
    gap: 4px;
  }
  .foods button {
    justify-content: flex-start;
    width: 100%;
    text-align: left;
  }
  .counted {
    display: grid;
    grid-template-columns: 1fr 76px 44px;
    gap: 6px;
    align-items: end;
  }
`

/** Foods that are offered to be tapped. */
const OFFERED = 7

interface NotePanelProps {
  readonly frame: FrameView
  readonly moment: Moment
  readonly onDone: () => void
}

/** A note of what is seen, from any place: tap the food. Several of one net or stone are counted and noted together. */
export default function NotePanel({ frame, moment, onDone }: NotePanelProps) {
  const { today } = frame
  const now = useNow()
  const stages = useLarderQuery().data?.stages ?? []
  const { note, said, problem } = useNoting()
  const [kind, setKind] = useState<Noted['kind']>('thick')
  const [method, setMethod] = useState<Noted['method']>('seen')
  const [date, setDate] = useState(moment.on < today ? moment.on : today)
  const [minutes, setMinutes] = useState('')
  const [sought, setSought] = useState('')
  const [several, setSeveral] = useState(false)
  const [counted, setCounted] = useState<readonly Counted[]>([])
  const looked = wholeUpTo(minutes, 1440)
  const likely = (now?.foods ?? []).flatMap(
    ({ foodStageId }) => stages.find(({ id }) => id === foodStageId) ?? [],
  )
  const offered = (sought.trim() === '' ? likely : stages.filter((stage) => isSought(stage, sought)))
    .filter(({ id }) => !counted.some(({ stage }) => stage.id === id))
    .slice(0, OFFERED)
  const noted = (stage: StageLine, change: Pick<Noted, 'kind' | 'count'>): Noted => ({
    reachId: moment.reachId as Noted['reachId'],
    on: date,
    localMin: date === moment.on ? moment.localMin : null,
    foodStageId: stage.id,
    lengthMm: null,
    effortMinutes: looked ?? null,
    method,
    note: '',
    ...change,
  })
  const take = (stage: StageLine) => {
    setSought('')
    if (several) setCounted([...counted, { stage, count: '' }])
    else {
      const observation = noted(stage, { kind, count: null })
      void note('observationSave', { observationId: newId(), version: null, observation }, [stage.id])
    }
  }
  const noteAll = async () => {
    const observations = counted.map((one) => ({
      observationId: newId<never>(),
      observation: noted(one.stage, { kind: 'counted', count: countOf(one) }),
    }))
    const ids = counted.map(({ stage }) => stage.id)
    if (await note('sampleSave', { observations }, ids)) setCounted([])
  }
  return (
    <Panel isNonModal placement="top end" offset={4}>
      <Dialog className="form" aria-label={ofFrame.noteWhatYouSee}>
        <p>
          <strong>{moment.reach.reachName}</strong>: {several ? labels.countWhatIsInIt : labels.tapWhatYouSee}
        </p>
        <div className="pair">
          {several ? null : (
            <Select
              label={labels.i}
              value={kind}
              choices={KINDS.filter(({ id }) => id !== 'counted')}
              onChange={(id) => setKind(id as Noted['kind'])}
            />
          )}
          <Select
            label={labels.how}
            value={method}
            choices={METHODS}
            onChange={(id) => setMethod(id as Noted['method'])}
          />
          <TextField
            label={labels.on}
            type="date"
            value={date}
            onChange={setDate}
            fault={date > today ? labels.notYet : undefined}
          />
          <TextField
            label={labels.minutesLooked}
            value={minutes}
            onChange={setMinutes}
            fault={looked === undefined ? labels.wholeMinutes : undefined}
          />
        </div>
        <Checkbox isSelected={several} onChange={setSeveral}>
          {labels.severalAtOnce}
        </Checkbox>
        <CountedFoods counted={counted} onChange={setCounted} onNoteAll={() => void noteAll()} />
        <TextField label={labels.food} value={sought} onChange={setSought} maxLength={80} />
        <div className="foods">
          {offered.map((stage) => (
            <Button
              key={stage.id}
              isDisabled={date > today || date.length !== 10 || looked === undefined}
              onPress={() => take(stage)}
            >
              {stage.foodName}, {stage.stageName}
            </Button>
          ))}
          {offered.length === 0 ? <Quiet>{labels.nothingIsCalledSo}</Quiet> : null}
        </div>
        {method === 'fishSample' ? <Caution>{labels.samplingAFishsThroat}</Caution> : null}
        {problem ? <Fault>{problem.detail}</Fault> : null}
        <WhatItChanged said={said} />
        <div>
          <Button onPress={onDone}>{labels.close}</Button>
        </div>
      </Dialog>
    </Panel>
  )
}
