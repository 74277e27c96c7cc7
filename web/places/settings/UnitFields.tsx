import type { SettingsBody } from '../../../contract/index.ts'
import { Select } from '../../ui/fields.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'

const choices = (...names: readonly string[]) => names.map((name) => ({ id: name, name }))

interface UnitFieldsProps {
  readonly units: SettingsBody['units']
  readonly onChange: (units: SettingsBody['units']) => void
}

/** In which units figures are shown. */
export function UnitFields({ units, onChange }: UnitFieldsProps) {
  const unit = (change: Partial<SettingsBody['units']>) => onChange({ ...units, ...change })
  return (
    <Section>
      <h2>Units</h2>
      <Row>
        <Select
          label="Hooks and beads"
          value={units.smallLength}
          choices={choices('mm', 'in')}
          onChange={(id) => unit({ smallLength: id as 'mm' })}
          width="120px"
        />
        <Select
          label="Depth"
          value={units.depth}
          choices={choices('m', 'ft')}
          onChange={(id) => unit({ depth: id as 'm' })}
          width="90px"
        />
        <Select
          label="Fall"
          value={units.speed}
          choices={choices('cm/s', 'in/s')}
          onChange={(id) => unit({ speed: id as 'cm/s' })}
          width="100px"
        />
        <Select
          label="Water"
          value={units.temperature}
          choices={choices('°C', '°F')}
          onChange={(id) => unit({ temperature: id as '°C' })}
          width="90px"
        />
        <Select
          label="Weight"
          value={units.mass}
          choices={choices('mg', 'g', 'gr')}
          onChange={(id) => unit({ mass: id as 'mg' })}
          width="90px"
        />
      </Row>
      <Quiet>Any notation may be typed anywhere; this is what is shown.</Quiet>
    </Section>
  )
}
