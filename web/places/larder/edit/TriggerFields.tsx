import { within } from '../../../../contract/limits.ts'
import type { Trigger } from '../../../../core/index.ts'
import { TextField } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { useWording } from '../../../words/useWording.ts'
import { Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { labels } from '../../../words/larder.ts'
import { changedTrigger, DAYS, FIGURES, MEASURES, usualTrigger } from './trigger.ts'

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

/** What starts a stage, or one of its broods. */
export function TriggerFields({
  label,
  path,
  trigger,
  onChange,
}: {
  readonly label: string
  /** of the trigger in the command, as `stage.trigger` */
  readonly path: string
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
            name={`${path}.${key}`}
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
            name={`${path}.${key}`}
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
            name={`${path}.${key}`}
            label={name}
            value={String(values[key])}
            onChange={(text) => set(key, text)}
            fault={
              /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(String(values[key])) ? undefined : 'As 04-02.'
            }
            width="180px"
            maxLength={5}
          />
        ) : (
          []
        ),
      )}
    </Row>
  )
}
