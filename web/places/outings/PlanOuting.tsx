import { useState } from 'react'
import { TECHNIQUES } from '../../../contract/techniques.ts'
import type { Technique } from '../../../contract/techniques.ts'
import type { OutingId, ReachId, WaterId } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { parseClock, techniqueName } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Fault, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/outings.ts'

/** One way all day. */
const NO_OTHER = 'none'

/** Date, water and hours: what an outing needs before. */
export function PlanOuting({ onDone }: { readonly onDone: () => void }) {
  const { data: frame } = useFrameQuery()
  const command = useCommand()
  const [reachId, setReachId] = useState<string | null>(
    frame?.moment?.reachId ?? frame?.reaches[0]?.reachId ?? null,
  )
  const [on, setOn] = useState(frame?.today ?? '')
  const [from, setFrom] = useState('10:00')
  const [to, setTo] = useState('16:00')
  const [technique, setTechnique] = useState<Technique>('tightLineNymph')
  const [then, setThen] = useState<Technique | typeof NO_OTHER>(NO_OTHER)
  const [note, setNote] = useState('')
  const [fault, setFault] = useState<string | null>(null)
  const reach = frame?.reaches.find((candidate) => candidate.reachId === reachId)
  const [fromLocalMin, toLocalMin] = [parseClock(from), parseClock(to)]
  const backwards = fromLocalMin !== null && toLocalMin !== null && fromLocalMin >= toLocalMin
  const ready =
    reach && /^\d{4}-\d{2}-\d{2}$/.test(on) && fromLocalMin !== null && toLocalMin !== null && !backwards
  const save = async () => {
    if (!ready) return
    const delivery = await command(
      'outingSave',
      {
        outingId: newId<OutingId>(),
        version: null,
        outing: {
          waterId: reach.waterId as WaterId,
          reachId: reach.reachId as ReachId,
          on,
          fromLocalMin,
          toLocalMin,
          status: 'planned',
          technique,
          alsoTechniques: then === NO_OTHER || then === technique ? [] : [then],
          note,
        },
      },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setFault(delivery.problem.detail)
    else onDone()
  }
  return (
    <Section aria-label={labels.planAnOuting}>
      <Row $align="start">
        <Select
          label={labels.water}
          value={reachId}
          choices={(frame?.reaches ?? []).map((choice) => ({
            id: choice.reachId,
            name:
              choice.waterName === choice.reachName
                ? choice.reachName
                : `${choice.waterName}, ${choice.reachName}`,
          }))}
          onChange={setReachId}
          width="240px"
        />
        <TextField label={labels.day} type="date" value={on} onChange={setOn} width="150px" />
        <TextField
          label={labels.from}
          value={from}
          onChange={setFrom}
          width="80px"
          fault={fromLocalMin === null ? 'As 10:00.' : undefined}
        />
        <TextField
          label={labels.to}
          value={to}
          onChange={setTo}
          width="80px"
          fault={toLocalMin === null ? 'As 16:00.' : backwards ? 'It ends before it begins.' : undefined}
        />
        <Select
          label={labels.how}
          value={technique}
          choices={TECHNIQUES.map((id) => ({ id, name: techniqueName[id] ?? id }))}
          onChange={(id) => setTechnique(id as Technique)}
          width="190px"
        />
        <Select
          label={labels.then}
          value={then}
          choices={[
            { id: NO_OTHER, name: labels.nothingElse },
            ...TECHNIQUES.filter((id) => id !== technique).map((id) => ({ id, name: techniqueName[id] ?? id })),
          ]}
          onChange={(id) => setThen(id as Technique)}
          width="190px"
        />
      </Row>
      <NoteField label={labels.note} value={note} onChange={setNote} width="520px" />
      {fault ? <Fault>{fault}</Fault> : null}
      <Row style={{ paddingTop: 8 }}>
        <Button look="main" large onPress={() => void save()} isDisabled={!ready}>
          {labels.planIt}
        </Button>
        <Button large onPress={onDone}>
          {labels.leaveIt}
        </Button>
      </Row>
      {frame?.reaches.length === 0 ? <p>{labels.addAWaterFirst}</p> : null}
    </Section>
  )
}
