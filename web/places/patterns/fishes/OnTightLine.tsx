import { useMemo, useState } from 'react'
import { wording } from '../../../../core/index.ts'
import { useJob } from '../../../parts/useJob.ts'
import { Working } from '../../../parts/Working.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { labels } from '../../../words/fishes.ts'
import { useWording } from '../../../words/useWording.ts'
import { LeaderFields, leaderPiece } from './LeaderFields.tsx'
import type { Leader } from './LeaderFields.tsx'
import { currentOf, OVER_BED_MM } from './asked.ts'
import type { FishesProps } from './asked.ts'

/** A tip held at the height of the eyes, leader down to the water, and a pace a little below the surface's. */
const USUAL = { tipMm: 1700, upperMm: 0.2, tippetMm: 0.13, ofDepth: 1.5, ofSurface: 0.9 }
/** What is not entered is to the whole centimetre a second. */
const WHOLE_MM_PER_S = 10

/** Where a fly hangs on a tight line that is led over the moment's reach. */
export default function OnTightLine({ model, dragSdLog, reach }: FishesProps) {
  const { units } = useWording()
  const [tipMm, setTipMm] = useState<number | null>(USUAL.tipMm)
  const [ledMmPerS, setLed] = useState<number | null>(
    Math.round((USUAL.ofSurface * reach.surfaceSpeedMmPerS) / WHOLE_MM_PER_S) * WHOLE_MM_PER_S,
  )
  const [upper, setUpper] = useState<Leader>({ lengthMm: 2000, diameterMm: USUAL.upperMm, stuff: 'nylon' })
  const [tippet, setTippet] = useState<Leader>({
    lengthMm: Math.round((reach.typicalDepthMm * USUAL.ofDepth) / 100) * 100,
    diameterMm: USUAL.tippetMm,
    stuff: 'nylon',
  })
  const input = useMemo(() => {
    const [above, below] = [leaderPiece(upper), leaderPiece(tippet)]
    if (!above || !below || !tipMm || !ledMmPerS) return null
    return {
      model,
      dragSdLog,
      upper: above,
      tippet: below,
      tipHeightMm: tipMm,
      ledMmPerS,
      current: currentOf(reach),
      overBedMm: OVER_BED_MM,
    }
  }, [model, dragSdLog, reach, upper, tippet, tipMm, ledMmPerS])
  const worked = useJob('onTightLine', input, { key: 'fishes' })
  const said =
    worked.isOfThis && input
      ? worked.found
        ? wording.tightLineSentences(worked.found, input, units)
        : [labels.neverRests]
      : null
  return (
    <>
      <Row $gap={10} $align="end" style={{ padding: '8px 0' }}>
        <MeasureField
          label={labels.tipAbove}
          unit={units.depth}
          value={tipMm}
          min={200}
          max={5000}
          onChange={setTipMm}
          onUnclear={() => setTipMm(null)}
          width="140px"
        />
        <MeasureField
          label={labels.ledAt}
          unit={units.speed}
          value={ledMmPerS}
          min={10}
          max={4000}
          onChange={setLed}
          onUnclear={() => setLed(null)}
          width="120px"
        />
      </Row>
      <Row $gap={10} $align="end" style={{ paddingBottom: 8 }}>
        <LeaderFields label={labels.leaderToTippet} leader={upper} onChange={setUpper} />
        <LeaderFields label={labels.tippet} leader={tippet} onChange={setTippet} />
      </Row>
      {input && !said ? (
        <Working of={worked} label={labels.reckons} />
      ) : (
        <p role="status">{said ? `At ${reach.reachName}: ${said.join(' ')}` : labels.sayAll}</p>
      )}
      <Quiet>{labels.tightIsReckoned}</Quiet>
    </>
  )
}
