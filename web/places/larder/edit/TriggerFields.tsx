import { within } from '../../../../contract/limits.ts'
import type { LimitName } from '../../../../contract/limits.ts'
import type { Trigger } from '../../../../core/index.ts'
import { TextField } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { useWording } from '../../../words/useWording.ts'
import { Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { labels } from '../../../words/larder.ts'
import { changedTrigger, usualTrigger } from './trigger.ts'

const KINDS: readonly { readonly id: Trigger['kind']; readonly name: string }[] = [
  { id: 'waterTemp', name: 'the water at a warmth' },
  { id: 'degreeDays', name: 'warmth summed up' },
  { id: 'dayLength', name: 'the length of the day' },
  { id: 'airTemp', name: 'the air at a warmth' },
  { id: 'iceOff', name: 'the going of the ice' },
  { id: 'allYear', name: 'nothing: it is there all year' },
  { id: 'light', name: 'light' },
  { id: 'level', name: 'a rising level' },
]

type Figure = readonly [label: string, limit: LimitName]

/** What is read in the user's own unit. */
const MEASURES: Readonly<Record<string, readonly [...Figure, of: 'temperature' | 'smallLength']>> = {
  thresholdC: ['from', 'triggerTempC', 'temperature'],
  lowC: ['8 in 10 from', 'triggerTempC', 'temperature'],
  highC: ['8 in 10 to', 'triggerTempC', 'temperature'],
  strongLowC: ['thickest from', 'triggerTempC', 'temperature'],
  strongHighC: ['thickest to', 'triggerTempC', 'temperature'],
  baseC: ['above', 'triggerTempC', 'temperature'],
  withoutIceC: ['without ice, from', 'triggerTempC', 'temperature'],
  riseMm: ['rise', 'riseMm', 'smallLength'],
}
const FIGURES: Readonly<Record<string, Figure>> = {
  degreeDays: ['degree-days of °C', 'degreeDays'],
  hours: ['hours of day', 'dayLengthH'],
  offsetDays: ['days after it', 'iceOffDays'],
  withinHours: ['within, hours', 'withinHours'],
  spreadDays: ['give or take, days', 'spreadDays'],
  durationDays: ['lasts, days', 'durationDays'],
}
const DAYS: Readonly<Record<string, string>> = {
  notBefore: 'not before, month-day',
  startOn: 'summed from, month-day',
  steadyStartOn: 'in steady water, month-day',
  latest: 'anyhow by, month-day',
}

/** What starts a stage, or one of its broods. */
export function TriggerFields({
  label,
  trigger,
  onChange,
}: {
  readonly label: string
  readonly trigger: Trigger
  readonly onChange: (trigger: Trigger) => void
}) {
  const { units } = useWording()
  const values = trigger as unknown as Readonly<Record<string, number | string>>
  const set = (key: string, value: number | string) => onChange(changedTrigger(trigger, key, value))
  return (
    <Row $align="start" role="group" aria-label={label}>
      <Select
        label={label}
        value={trigger.kind}
        choices={KINDS}
        onChange={(kind) => onChange(usualTrigger(kind as Trigger['kind']))}
        width="230px"
      />
      {'direction' in trigger ? (
        <Select
          label={labels.when}
          value={trigger.direction}
          choices={[
            { id: 'rising', name: 'rising' },
            { id: 'falling', name: 'falling' },
          ]}
          onChange={(direction) => set('direction', direction)}
          width="110px"
        />
      ) : null}
      {'regime' in trigger ? (
        <Select
          label={labels.which}
          value={trigger.regime}
          choices={[
            { id: 'glare', name: 'glare' },
            { id: 'dim', name: 'dim' },
            { id: 'night', name: 'night' },
          ]}
          onChange={(regime) => set('regime', regime)}
          width="110px"
        />
      ) : null}
      {Object.entries(MEASURES).flatMap(([key, [name, limit, of]]) =>
        key in values ? (
          <MeasureField
            key={`${trigger.kind} ${key}`}
            label={name}
            unit={units[of]}
            value={Number(values[key])}
            {...within(limit)}
            onChange={(value) => (value === null ? undefined : set(key, value))}
            width="120px"
          />
        ) : (
          []
        ),
      )}
      {Object.entries(FIGURES).flatMap(([key, [name, limit]]) =>
        key in values ? (
          <NumberField
            key={`${trigger.kind} ${key}`}
            label={name}
            value={Number(values[key])}
            {...within(limit)}
            onChange={(value) => (value === null ? undefined : set(key, value))}
            width="120px"
          />
        ) : (
          []
        ),
      )}
      {Object.entries(DAYS).flatMap(([key, name]) =>
        key in values ? (
          <TextField
            key={`${trigger.kind} ${key}`}
            label={name}
            value={String(values[key])}
            onChange={(text) => set(key, text)}
            fault={
              /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(String(values[key])) ? undefined : 'As 04-02.'
            }
            width="150px"
            maxLength={5}
          />
        ) : (
          []
        ),
      )}
    </Row>
  )
}
