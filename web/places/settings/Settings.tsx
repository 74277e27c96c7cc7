import { useState } from 'react'
import { useFrameQuery } from '../../wire/api.ts'
import { toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { calibrateScreen, useTrueSize } from '../../drawing/trueSize.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, Select, TextField } from '../../ui/fields.tsx'
import { Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { WeightCodeFields } from './WeightCodeFields.tsx'

/** Width of a bank card, mm (ISO/IEC 7810 ID-1). */
const CARD_MM = 85.6

const choices = (...names: readonly string[]) => names.map((name) => ({ id: name, name }))

/** Units, habits, this screen. Each is saved as it is changed. */
export default function Settings() {
  const { data: frame } = useFrameQuery()
  const command = useCommand()
  const dispatch = useAppDispatch()
  const pxPerMm = useTrueSize()
  const [currency, setCurrency] = useState(frame?.settings.currency ?? '')
  if (!frame) return null
  const { settings, settingsVersion } = frame
  const save = (change: Partial<typeof settings>) =>
    void command('settingsSave', { version: settingsVersion, settings: { ...settings, ...change } })
  const unit = (change: Partial<typeof settings.units>) => save({ units: { ...settings.units, ...change } })
  return (
    <>
      <Heading>
        <h1>Settings</h1>
      </Heading>
      <Section>
        <h2>Units</h2>
        <Row>
          <Select
            label="Hooks and beads"
            value={settings.units.smallLength}
            choices={choices('mm', 'in')}
            onChange={(id) => unit({ smallLength: id as 'mm' })}
            width="120px"
          />
          <Select
            label="Depth"
            value={settings.units.depth}
            choices={choices('m', 'ft')}
            onChange={(id) => unit({ depth: id as 'm' })}
            width="90px"
          />
          <Select
            label="Fall"
            value={settings.units.speed}
            choices={choices('cm/s', 'in/s')}
            onChange={(id) => unit({ speed: id as 'cm/s' })}
            width="100px"
          />
          <Select
            label="Water"
            value={settings.units.temperature}
            choices={choices('°C', '°F')}
            onChange={(id) => unit({ temperature: id as '°C' })}
            width="90px"
          />
          <Select
            label="Weight"
            value={settings.units.mass}
            choices={choices('mg', 'g', 'gr')}
            onChange={(id) => unit({ mass: id as 'mg' })}
            width="90px"
          />
        </Row>
        <Quiet>Any notation may be typed anywhere; this is what is shown.</Quiet>
      </Section>
      <Section>
        <h2>Habits</h2>
        <Row $align="end">
          <NumberField
            label="Keep of each fly"
            value={settings.parCount}
            min={1}
            max={99}
            whole
            onChange={(parCount) => (parCount ? save({ parCount }) : undefined)}
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
            onChange={(id) => save({ theme: id as 'day' })}
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
            onChange={(id) => save({ school: id as 'exact' })}
            width="280px"
          />
          <Select
            label="2X long is the shank of a hook"
            value={settings.hookSteps}
            choices={[
              { id: 'wholeSizes', name: 'two sizes larger' },
              { id: 'evenSizes', name: 'two even sizes larger' },
            ]}
            onChange={(id) => save({ hookSteps: id as 'wholeSizes' })}
            width="220px"
          />
          <TextField
            label="Money"
            value={currency}
            onChange={setCurrency}
            onBlur={() => (/^[A-Z]{3}$/.test(currency) ? save({ currency }) : setCurrency(settings.currency))}
            width="90px"
            maxLength={3}
            fault={/^[A-Z]{3}$/.test(currency) ? undefined : 'Three letters, as EUR.'}
          />
          <Checkbox isSelected={settings.singleKeys} onChange={(singleKeys) => save({ singleKeys })}>
            single keys
          </Checkbox>
          <Button onPress={() => dispatch(toggleKeys())}>Show the keys</Button>
        </Row>
      </Section>
      <Section>
        <h2>Weight code</h2>
        <WeightCodeFields
          code={settings.weightCode}
          onSave={(code) => save({ weightCode: code && { marks: code.marks, on: [...code.on] } })}
        />
      </Section>
      <Section>
        <h2>This screen</h2>
        <p>
          Lay a bank card on the screen and move the end until the bar is as long as the card. Flies are then
          shown at their true size.
        </p>
        <div
          style={{
            height: 40,
            width: CARD_MM * pxPerMm,
            maxWidth: '100%',
            margin: '8px 0',
            border: '2px solid var(--thistle)',
            borderRadius: 6,
          }}
        />
        <input
          type="range"
          min={2.2}
          max={8}
          step={0.01}
          value={pxPerMm}
          onChange={(event) => calibrateScreen(Number(event.target.value))}
          aria-label="Length of the card on this screen"
          style={{ width: 320, accentColor: 'var(--thistle)' }}
        />{' '}
        <span className="figures">{pxPerMm.toFixed(2)} px a mm</span>
      </Section>
      <Section>
        <Quiet>
          Build {frame.buildId}. <a href="/api/docs">The interface for programs</a>
        </Quiet>
      </Section>
    </>
  )
}
