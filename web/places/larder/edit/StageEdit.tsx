import { useEffect, useState } from 'react'
import type { Problem, StageLine } from '../../../../contract/index.ts'
import { useCommand } from '../../../wire/useCommand.ts'
import { Unsaved } from '../../../parts/Unsaved.tsx'
import { useLeaveWarning, wholePlace } from '../../../ui/useLeaveWarning.ts'
import { Button } from '../../../ui/Button.tsx'
import { Form } from '../../../ui/Form.tsx'
import { NoteField, TextField } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { Fault, Heading, Row, Section } from '../../../ui/layout.tsx'
import { AmountFields } from './AmountFields.tsx'
import { draftOf } from './draft.ts'
import type { ChangeStage, StageDraft } from './draft.ts'
import { HourFields } from './HourFields.tsx'
import { HomeFields, LookFields } from './LookFields.tsx'
import { MonthFields } from './MonthFields.tsx'
import { calledHere } from './trigger.ts'
import { TriggerFields } from './TriggerFields.tsx'
import { labels } from '../../../words/larder.ts'

interface StageEditProps {
  readonly line: StageLine
  /** groups that there are */
  readonly groups: readonly string[]
  readonly onDone: (stageId: string | null) => void
}

/** Where a refusal points, in words: `months.5` is said as it stands in the form. */
function placeOf(path: string): string {
  const parts = path.replace(/^(stage|food)\./, '').split('.')
  const trigger = parts.indexOf('trigger')
  if (trigger < 0) return parts.join(' ')
  return [labels.whatStartsIt, ...parts.slice(trigger + 1).map(calledHere)].join(', ')
}

function RefusedStage({ problem }: { readonly problem: Problem }) {
  return (
    <div role="alert">
      {problem.fields.length === 0 ? <Fault>{problem.detail}</Fault> : null}
      <ul>
        {problem.fields.map(({ path, message }) => (
          <li key={path}>
            <Fault>
              {placeOf(path)}: {message}
            </Fault>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** What the stage waits for: one trigger, or one for each brood of the year. */
function Starts({ draft, onChange }: { readonly draft: StageDraft; readonly onChange: ChangeStage }) {
  return (
    <Section aria-label={labels.whatStartsIt}>
      <h2>{labels.whatStartsIt}</h2>
      {draft.broods.length === 0 ? (
        <TriggerFields
          label={labels.itWaitsFor}
          path="stage.trigger"
          trigger={draft.trigger}
          onChange={(trigger) => onChange({ trigger })}
        />
      ) : (
        draft.broods.map((brood, i) => (
          <TriggerFields
            key={brood.name}
            label={`The ${brood.name} brood waits for`}
            path={`stage.broods.${i}.trigger`}
            trigger={brood.trigger}
            onChange={(trigger) =>
              onChange({ broods: draft.broods.map((old, at) => (at === i ? { ...old, trigger } : old)) })
            }
          />
        ))
      )}
    </Section>
  )
}

/** A stage as it is edited until it is saved or left: its food, its draft, what was refused. */
function useStageEdit({ line, onDone }: Omit<StageEditProps, 'groups'>) {
  const command = useCommand()
  const [food, setFood] = useState({
    name: line.foodName,
    groupKey: line.groupKey,
  })
  const [draft, setDraft] = useState<StageDraft>(() => draftOf(line))
  const [dirty, setDirty] = useState(false)
  const [done, setDone] = useState<{ readonly to: string | null } | null>(null)
  const [refused, setRefused] = useState<Problem | null>(null)
  const blocker = useLeaveWarning(dirty && done === null, wholePlace)
  // the sheet is left only once nothing is unsaved any more
  useEffect(() => {
    if (done) onDone(done.to)
  }, [done, onDone])
  const change = (edit: Partial<StageDraft>) => {
    setDraft((before) => ({ ...before, ...edit }))
    setDirty(true)
  }
  const changeFood = (edit: Partial<typeof food>) => {
    setFood((before) => ({ ...before, ...edit }))
    setDirty(true)
  }
  const save = async () => {
    const delivery = await command(
      'foodStageSave',
      {
        foodStageId: line.id,
        version: line.version,
        food: { id: line.foodId, ...food },
        stage: draft,
      },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setRefused(delivery.problem)
    else setDone({ to: line.id })
  }
  const act = async (kind: 'foodStageRestore' | 'foodStageArchive') => {
    const delivery = await command(kind, { foodStageId: line.id, version: line.version }, { quietly: true })
    if (delivery.kind === 'refused') setRefused(delivery.problem)
    else setDone({ to: kind === 'foodStageArchive' ? null : line.id })
  }
  const leave = () => setDone({ to: line.id })
  return { food, changeFood, draft, change, dirty, save, act, leave, refused, blocker }
}

/** All that is known of a life stage, to be changed and saved at once; what shipped can be had back. */
export default function StageEdit({ groups, ...edited }: StageEditProps) {
  const { line } = edited
  const { food, changeFood, draft, change, dirty, save, act, leave, refused, blocker } = useStageEdit(edited)
  return (
    <Form label={labels.lifeStage} onSubmit={() => void save()} problem={refused} saysItself>
      <Heading>
        <h1>
          Change {line.foodName}, {line.stageName}
        </h1>
        <Row>
          <Button type="submit" look="main" isDisabled={!dirty}>
            {labels.save}
          </Button>
          <Button onPress={leave}>{labels.leaveIt}</Button>
        </Row>
      </Heading>
      <Unsaved blocker={blocker} />
      {refused ? <RefusedStage problem={refused} /> : null}
      <Row $align="start">
        <TextField
          name="food.name"
          label={labels.food}
          value={food.name}
          onChange={(name) => changeFood({ name })}
          width="220px"
          autoFocus
        />
        <TextField
          name="stage.stageName"
          label={labels.stage}
          value={draft.stageName}
          onChange={(stageName) => change({ stageName })}
          width="170px"
        />
        <Select
          label={labels.group}
          value={food.groupKey}
          choices={groups.map((id) => ({ id, name: id }))}
          onChange={(groupKey) => changeFood({ groupKey })}
          width="170px"
        />
      </Row>
      <Section aria-label={labels.whereItLives}>
        <h2>{labels.whereItLivesHow}</h2>
        <HomeFields draft={draft} onChange={change} />
      </Section>
      <Starts draft={draft} onChange={change} />
      <Section aria-label={labels.howMuchThereIs}>
        <h2>{labels.howMuchThereIs}</h2>
        <AmountFields draft={draft} onChange={change} />
      </Section>
      <Section aria-label={labels.months}>
        <h2>{labels.months}</h2>
        <MonthFields draft={draft} hookRanges={line.hookRanges} onChange={change} />
      </Section>
      <Section aria-label={labels.hours}>
        <h2>{labels.hours}</h2>
        <HourFields draft={draft} onChange={change} />
      </Section>
      <Section aria-label={labels.looks}>
        <h2>{labels.looksAndMovement}</h2>
        <LookFields draft={draft} onChange={change} />
      </Section>
      <Section aria-label={labels.notes}>
        <h2>{labels.notes}</h2>
        <NoteField
          name="stage.noteForTier"
          label={labels.forTheTier}
          value={draft.noteForTier}
          onChange={(noteForTier) => change({ noteForTier })}
          width="560px"
        />
        <NoteField
          name="stage.howFished"
          label={labels.howItIsFished}
          value={draft.howFished}
          onChange={(howFished) => change({ howFished })}
          width="560px"
        />
      </Section>
      <Row>
        {line.isShipped && line.isEdited ? (
          <Button onPress={() => void act('foodStageRestore')}>{labels.goBackToWhat}</Button>
        ) : null}
        <Button onPress={() => void act('foodStageArchive')}>{labels.putItAway}</Button>
      </Row>
    </Form>
  )
}
