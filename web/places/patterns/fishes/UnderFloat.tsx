import { useMemo, useState } from 'react'
import { wording } from '../../../../core/index.ts'
import { useJob } from '../../../parts/useJob.ts'
import { Working } from '../../../parts/Working.tsx'
import { Caution, Quiet, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { labels } from '../../../words/fishes.ts'
import { useWording } from '../../../words/useWording.ts'
import { LeaderFields, leaderPiece } from './LeaderFields.tsx'
import type { Leader } from './LeaderFields.tsx'
import { currentOf, OVER_BED_MM } from './asked.ts'
import type { FishesProps } from './asked.ts'

/** An indicator of cork or foam, and a leader a third longer than the water is deep. */
const USUAL = { acrossMm: 12, weighsMg: 200, leaderMm: 0.14, ofDepth: 1.3 }

/** Where a fly that sinks fishes under a float at the moment's reach, and what to set for it to pass over the bed. */
export default function UnderFloat({ model, dragSdLog, reach }: FishesProps) {
  const { units } = useWording()
  const [leader, setLeader] = useState<Leader>({
    lengthMm: Math.round(reach.typicalDepthMm * USUAL.ofDepth),
    diameterMm: USUAL.leaderMm,
    stuff: 'nylon',
  })
  const [acrossMm, setAcrossMm] = useState<number | null>(USUAL.acrossMm)
  const [weighsMg, setWeighsMg] = useState<number | null>(USUAL.weighsMg)
  const forbidden = reach.rules.noIndicator
  const input = useMemo(() => {
    const piece = leaderPiece(leader)
    if (forbidden || !piece || !acrossMm || !weighsMg) return null
    return {
      model,
      dragSdLog,
      float: { massMg: weighsMg, diameterMm: acrossMm },
      leader: piece,
      setMm: piece.lengthMm,
      current: currentOf(reach),
      overBedMm: OVER_BED_MM,
    }
  }, [model, dragSdLog, reach, leader, acrossMm, weighsMg, forbidden])
  const worked = useJob('underFloat', input, { key: 'fishes' })
  if (forbidden) return <Caution>{labels.noFloats}</Caution>
  const said =
    worked.isOfThis && worked.found && input
      ? wording.underFloatSentences(worked.found, { ...input, surfaceMmPerS: reach.surfaceSpeedMmPerS }, units)
      : null
  return (
    <>
      <Row $gap={10} $align="end" style={{ padding: '8px 0' }}>
        <LeaderFields label={labels.leaderBelowIt} leader={leader} onChange={setLeader} />
        <MeasureField
          label={labels.floatAcross}
          unit={units.smallLength}
          value={acrossMm}
          min={3}
          max={40}
          onChange={setAcrossMm}
          onUnclear={() => setAcrossMm(null)}
          width="120px"
        />
        <MeasureField
          label={labels.floatWeight}
          unit={units.mass}
          value={weighsMg}
          min={5}
          max={5000}
          onChange={setWeighsMg}
          onUnclear={() => setWeighsMg(null)}
          width="120px"
        />
      </Row>
      {input && !said ? (
        <Working of={worked} label={labels.reckons} />
      ) : (
        <p role="status">{said ? `At ${reach.reachName}: ${said.join(' ')}` : labels.sayAll}</p>
      )}
      <Quiet>{labels.floatIsReckoned}</Quiet>
    </>
  )
}
