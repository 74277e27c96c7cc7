import { useState } from 'react'
import type { SettingsBody, SettingsChange } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, Select, TextField } from '../../ui/fields.tsx'
import { Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'

interface HabitFieldsProps {
  readonly settings: SettingsBody
  readonly onChange: (change: SettingsChange) => void
}

/** How the user keeps, sees and judges flies. */
export function HabitFields({ settings, onChange }: HabitFieldsProps) {
  const dispatch = useAppDispatch()
  const [currency, setCurrency] = useState(settings.currency)
  return (
    <Section>
      <h2>Habits</h2>
      <Row $align="end">
        <NumberField
          label="Keep of each fly"
          value={settings.parCount}
          min={1}
          max={99}
          whole
          onChange={(parCount) => (parCount ? onChange({ parCount }) : undefined)}
          width="130px"
        />
        <Select
          label="Light"
          value={settings.theme}
          choices={[
            { id: 'system', name: 'as the system' },
            { id: 'day', name: 'day bench' },
            { id: 'night', name: 'night bench' },
          ]}
          onChange={(id) => onChange({ theme: id as 'day' })}
          width="150px"
        />
        <Select
          label="What matters most in a fly"
          value={settings.school}
          choices={[
            { id: 'sizeAndStage', name: 'size and stage, then the pattern' },
            { id: 'exact', name: 'the natural in every part' },
            { id: 'bright', name: 'something bright that is seen' },
          ]}
          onChange={(id) => onChange({ school: id as 'exact' })}
          width="280px"
        />
        <Select
          label="2X long is the shank of a hook"
          value={settings.hookSteps}
          choices={[
            { id: 'wholeSizes', name: 'two sizes larger' },
            { id: 'evenSizes', name: 'two even sizes larger' },
          ]}
          onChange={(id) => onChange({ hookSteps: id as 'wholeSizes' })}
          width="220px"
        />
        <TextField
          label="Money"
          value={currency}
          onChange={setCurrency}
          onBlur={() => (/^[A-Z]{3}$/.test(currency) ? onChange({ currency }) : setCurrency(settings.currency))}
          width="90px"
          maxLength={3}
          fault={/^[A-Z]{3}$/.test(currency) ? undefined : 'Three letters, as EUR.'}
        />
        <Checkbox isSelected={settings.singleKeys} onChange={(singleKeys) => onChange({ singleKeys })}>
          single keys
        </Checkbox>
        <Button onPress={() => dispatch(toggleKeys())}>Show the keys</Button>
      </Row>
    </Section>
  )
}
