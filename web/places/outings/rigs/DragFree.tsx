import { useMemo, useState } from 'react'
import { waterAt, wording } from '../../../../core/index.ts'
import type { RigPart, SlackCast } from '../../../../core/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { useJob } from '../../../parts/useJob.ts'
import { Working } from '../../../parts/Working.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'

interface DragFreeProps {
  readonly parts: readonly RigPart[]
  readonly moment: Moment
}

/** How long a dry drifts free on a cast across the run of the moment, with slack, a mend, and a lane of other water on the way. */
export default function DragFree({ parts, moment: { reach, waterTempC } }: DragFreeProps) {
  const { units } = useWording()
  const runs = reach.surfaceSpeedMmPerS
  const [acrossMm, setAcross] = useState<number | null>(8000)
  const [slack, setSlack] = useState<number | null>(10)
  const [mendMm, setMend] = useState<number | null>(0)
  const [laneMm, setLane] = useState<number | null>(0)
  const [laneRuns, setLaneRuns] = useState<number | 'unclear' | null>(null)
  const laneMmPerS = laneRuns === 'unclear' ? null : (laneRuns ?? runs)
  const cast = useMemo((): SlackCast | null => {
    if (acrossMm === null || slack === null || mendMm === null || laneMm === null) return null
    if (laneMm > 0 && laneMmPerS === null) return null
    const nearMm = Math.max((acrossMm - laneMm) / 2, 0)
    const lanes = [
      { widthMm: nearMm, mmPerS: runs },
      { widthMm: laneMm, mmPerS: laneMmPerS ?? runs },
      { widthMm: nearMm, mmPerS: runs },
    ]
    return { parts, water: waterAt(waterTempC), lanes, acrossMm, slackShare: slack / 100, mendMm }
  }, [parts, waterTempC, runs, acrossMm, slack, mendMm, laneMm, laneMmPerS])
  const worked = useJob('dragFree', cast, { key: 'dragFree', lane: 1 })
  return (
    <section aria-label={labels.driftsFree} style={{ paddingTop: 8 }}>
      <h2>{labels.driftsFree}</h2>
      <Row $gap={10} $align="end">
        <MeasureField
          label={labels.castAcross}
          unit={units.depth}
          value={acrossMm}
          min={1000}
          max={30_000}
          onChange={setAcross}
          onUnclear={() => setAcross(null)}
          width="110px"
        />
        <NumberField
          label={labels.slackPercent}
          value={slack}
          min={0}
          max={60}
          onChange={setSlack}
          onUnclear={() => setSlack(null)}
          width="110px"
        />
        <MeasureField
          label={labels.mend}
          unit={units.depth}
          value={mendMm}
          min={0}
          max={6000}
          onChange={setMend}
          onUnclear={() => setMend(null)}
          width="150px"
        />
        <MeasureField
          label={labels.otherLane}
          unit={units.depth}
          value={laneMm}
          min={0}
          max={20_000}
          onChange={setLane}
          onUnclear={() => setLane(null)}
          width="150px"
        />
        {laneMm ? (
          <MeasureField
            label={labels.laneRuns}
            unit={units.speed}
            value={laneMmPerS}
            min={0}
            max={4000}
            onChange={(next) => setLaneRuns(next ?? 'unclear')}
            onUnclear={() => setLaneRuns('unclear')}
            width="110px"
          />
        ) : null}
      </Row>
      {cast && !worked.isOfThis ? (
        <Working of={worked} label={labels.reckons} />
      ) : (
        <p role="status">
          {!cast ? labels.sayAll : worked.found ? wording.dragFreeSentence(worked.found) : labels.noLineToLay}
        </p>
      )}
      <Quiet>{labels.slackIsWeak}</Quiet>
    </section>
  )
}
