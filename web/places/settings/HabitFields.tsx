import { within } from '../../../contract/limits.ts'
import type { SettingsBody } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Row, Section } from '../../ui/layout.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { toggleKeys } from '../../wire/state.ts'
import { refusalOf } from '../../wire/refusal.ts'
import type { useSettings } from '../../wire/useSettings.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { ZoneField } from './ZoneField.tsx'
import { labels } from '../../words/settings.ts'

interface HabitFieldsProps {
  readonly settings: SettingsBody
  readonly unknownZone: string | null
  readonly onChange: ReturnType<typeof useSettings>['change']
}

const isCurrency = (text: string) => /^[A-Z]{3}$/.test(text)

/** How the user keeps, sees and judges flies. */
export function HabitFields({ settings, unknownZone, onChange }: HabitFieldsProps) {
  const dispatch = useAppDispatch()
  const currency = useTyped(
    settings.currency,
    (text) => onChange({ currency: text }, { quietly: true }).then(refusalOf),
    { isGood: isCurrency },
  )
  return (
    <Section>
      <h2>{labels.habits}</h2>
      <Row $align="end">
        <NumberField
          label={labels.keepOfEachFly}
          value={settings.parCount}
          {...within('usualPar')}
          whenLeft
          onChange={(parCount) => (parCount ? onChange({ parCount }) : undefined)}
          width="130px"
        />
        <Select
          label={labels.light}
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
          label={labels.whatMattersMostIn}
          value={settings.school}
          choices={[
            { id: 'sizeAndStage', name: 'size and stage, then the pattern' },
            { id: 'exact', name: 'the natural in every part' },
            { id: 'bright', name: 'something bright that is seen' },
            { id: 'presentation', name: 'how it is shown: posture, depth, movement' },
          ]}
          onChange={(id) => onChange({ school: id as 'exact' })}
          width="280px"
        />
        <Select
          label={labels.n2XLongIsThe}
          value={settings.hookSteps}
          choices={[
            { id: 'wholeSizes', name: 'two sizes larger' },
            { id: 'evenSizes', name: 'two even sizes larger' },
          ]}
          onChange={(id) => onChange({ hookSteps: id as 'wholeSizes' })}
          width="220px"
        />
        <TextField
          label={labels.money}
          {...currency}
          width="90px"
          maxLength={3}
          fault={isCurrency(currency.value) ? undefined : 'Three letters, as EUR.'}
        />
        <ZoneField
          zone={settings.timeZone}
          unknown={unknownZone}
          onChange={(timeZone) => onChange({ timeZone })}
        />
        <Checkbox isSelected={settings.singleKeys} onChange={(singleKeys) => onChange({ singleKeys })}>
          {labels.singleKeys}
        </Checkbox>
        <Button onPress={() => dispatch(toggleKeys())}>{labels.showTheKeys}</Button>
      </Row>
    </Section>
  )
}
