import { LEADER_MG_PER_MM3 } from '../../../../core/index.ts'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { Select } from '../../../ui/Select.tsx'
import { labels } from '../../../words/fishes.ts'
import { useWording } from '../../../words/useWording.ts'

/** A length of leader: how long, how thick, and what it is drawn of. */
export interface Leader {
  readonly lengthMm: number | null
  readonly diameterMm: number | null
  readonly stuff: 'nylon' | 'fluorocarbon'
}

/** As core takes it; null while something of it is not said. */
export const leaderPiece = ({ lengthMm, diameterMm, stuff }: Leader) =>
  lengthMm && diameterMm ? { lengthMm, diameterMm, densityMgPerMm3: LEADER_MG_PER_MM3[stuff] } : null

interface LeaderFieldsProps {
  readonly label: string
  readonly leader: Leader
  readonly onChange: (leader: Leader) => void
}

/** Fields of a length of leader. */
export function LeaderFields({ label, leader, onChange }: LeaderFieldsProps) {
  const { units } = useWording()
  return (
    <>
      <MeasureField
        label={label}
        unit={units.depth}
        value={leader.lengthMm}
        min={100}
        max={15_000}
        onChange={(lengthMm) => onChange({ ...leader, lengthMm })}
        onUnclear={() => onChange({ ...leader, lengthMm: null })}
        width="140px"
      />
      <MeasureField
        label={labels.thick}
        unit={units.smallLength}
        value={leader.diameterMm}
        min={0.05}
        max={0.6}
        onChange={(diameterMm) => onChange({ ...leader, diameterMm })}
        onUnclear={() => onChange({ ...leader, diameterMm: null })}
        width="100px"
      />
      <Select
        label={labels.drawnOf}
        value={leader.stuff}
        choices={[
          { id: 'nylon', name: labels.nylon },
          { id: 'fluorocarbon', name: labels.fluorocarbon },
        ]}
        onChange={(id) => onChange({ ...leader, stuff: id as Leader['stuff'] })}
        width="140px"
      />
    </>
  )
}
