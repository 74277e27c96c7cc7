import { useState } from 'react'
import type { Problem, StageLine } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Form } from '../../ui/Form.tsx'
import { Heading, Quiet, Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { labels } from '../../words/larder.ts'
import { stagesLike } from './newFood.ts'

interface NewFoodProps {
  readonly stages: readonly StageLine[]
  /** the stage that is opened next; null where nothing was made */
  readonly onDone: (stageId: string | null) => void
}

/** A food of one's own: its name, what it is like, which of its stages it has, how large it is and when it comes. */
export function NewFood({ stages, onDone }: NewFoodProps) {
  const command = useCommand()
  const foods = [...new Map(stages.map(({ foodId, foodName }) => [foodId as string, foodName]))]
    .map(([id, name]) => ({ id, name }))
    .sort((a, b) => a.name.localeCompare(b.name))
  const [name, setName] = useState('')
  const [likeId, setLikeId] = useState(foods[0]?.id ?? '')
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set())
  const [percent, setPercent] = useState<number | null>(100)
  const [monthsLater, setMonthsLater] = useState<number | null>(0)
  const [problem, setProblem] = useState<Problem | null>(null)
  const like = stages.filter(({ foodId }) => foodId === likeId)
  const own = like.filter(({ id }) => !without.has(id))
  const ready = name.trim() !== '' && own.length > 0 && percent !== null && monthsLater !== null
  const save = async () => {
    if (!ready) return
    const made = stagesLike({ name, stages: own, times: percent / 100, monthsLater }, newId)
    const delivery = await command('larderPutIn', { stages: [...made] }, { quietly: true })
    if (delivery.kind === 'refused') setProblem(delivery.problem)
    else onDone(made[0]?.foodStageId ?? null)
  }
  return (
    <>
      <Heading>
        <h1>{labels.newFood}</h1>
      </Heading>
      <Form label={labels.newFood} onSubmit={() => void save()} problem={problem}>
        <Row $align="start">
          <TextField
            label={labels.food}
            value={name}
            onChange={setName}
            width="220px"
            maxLength={80}
            autoFocus
          />
          <Select
            label={labels.itIsLike}
            value={likeId}
            choices={foods}
            onChange={(id) => {
              setLikeId(id)
              setWithout(new Set())
            }}
            width="240px"
          />
          <NumberField
            label={labels.asLong}
            value={percent}
            min={20}
            max={500}
            onChange={setPercent}
            width="120px"
          />
          <NumberField
            label={labels.monthsLater}
            value={monthsLater}
            min={-6}
            max={6}
            whole
            onChange={setMonthsLater}
            width="150px"
          />
        </Row>
        <Row role="group" aria-label={labels.itsStages} style={{ padding: '8px 0' }}>
          <Quiet>{labels.itsStages}</Quiet>
          {like.map(({ id, stageName }) => (
            <Checkbox
              key={id}
              isSelected={!without.has(id)}
              onChange={(on) => {
                const left = new Set(without)
                if (on) left.delete(id)
                else left.add(id)
                setWithout(left)
              }}
            >
              {stageName}
            </Checkbox>
          ))}
        </Row>
        <Quiet>{labels.allElseIsTaken}</Quiet>
        <Row style={{ paddingTop: 8 }}>
          <Button type="submit" look="main" isDisabled={!ready}>
            {labels.makeIt}
          </Button>
          <Button onPress={() => onDone(null)}>{labels.leaveIt}</Button>
        </Row>
      </Form>
    </>
  )
}
