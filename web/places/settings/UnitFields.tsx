import type { SettingsBody, SettingsChange } from '../../../contract/index.ts'
import { Select } from '../../ui/Select.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/settings.ts'

type Units = SettingsBody['units']

/** Each measure with the units that it may be shown in. */
const MEASURES: readonly {
  readonly [Measure in keyof Units]: {
    readonly measure: Measure
    readonly label: string
    readonly units: readonly Units[Measure][]
    readonly width: string
  }
}[keyof Units][] = [
  { measure: 'smallLength', label: 'Hooks and beads', units: ['mm', 'in'], width: '120px' },
  { measure: 'depth', label: 'Depth', units: ['m', 'ft'], width: '90px' },
  { measure: 'speed', label: 'Fall', units: ['cm/s', 'in/s'], width: '100px' },
  { measure: 'temperature', label: 'Water', units: ['°C', '°F'], width: '90px' },
  { measure: 'mass', label: 'Weight', units: ['mg', 'g', 'gr'], width: '90px' },
]

interface UnitFieldsProps {
  readonly units: SettingsBody['units']
  readonly onChange: (change: NonNullable<SettingsChange['units']>) => void
}

/** In which units figures are shown. */
export function UnitFields({ units, onChange }: UnitFieldsProps) {
  return (
    <Section>
      <h2>{labels.units}</h2>
      <Row>
        {MEASURES.map(({ measure, label, units: offered, width }) => (
          <Select
            key={measure}
            label={label}
            value={units[measure]}
            choices={offered.map((id) => ({ id, name: id }))}
            onChange={(id) => onChange({ [measure]: id })}
            width={width}
          />
        ))}
      </Row>
      <Quiet>{labels.anyNotationMayBe}</Quiet>
    </Section>
  )
}
