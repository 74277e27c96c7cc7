import { useDeferredValue, useEffect, useState } from 'react'
import { LEADER_MG_PER_MM3, wording } from '../../../core/index.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { Caution, Quiet, Row } from '../../ui/layout.tsx'
import { MeasureField } from '../../ui/MeasureField.tsx'
import { Select } from '../../ui/Select.tsx'
import { labels } from '../../words/patterns.ts'
import { useWording } from '../../words/useWording.ts'
import { runJob } from '../../workers/gateway.ts'
import type { WorkedOut } from './useFlyReport.ts'

/** A leader of usual thickness, an indicator of cork or foam, and how far over the bed most want a nymph. */
const USUAL = { leaderMm: 0.14, floatMm: 12, floatMg: 200, overBedMm: 150 }

/** A leader to begin with: a third more than the water is deep. */
const FIRST_OF_DEPTH = 1.3

type Stuff = 'nylon' | 'fluorocarbon'

/** Where a fly that sinks fishes under a float at the moment's reach, and what to set for it to pass over the bed. */
export default function UnderFloat({ worked }: { readonly worked: WorkedOut }) {
  const moment = useMoment()
  const { units } = useWording()
  const { report, calibration } = worked
  const model = report.kind === 'sinks' ? report.model : null
  const depthMm = moment?.reach.typicalDepthMm ?? 1000
  const [setMm, setSetMm] = useState<number | null>(Math.round(depthMm * FIRST_OF_DEPTH))
  const [leaderMm, setLeaderMm] = useState<number | null>(USUAL.leaderMm)
  const [floatMm, setFloatMm] = useState<number | null>(USUAL.floatMm)
  const [floatMg, setFloatMg] = useState<number | null>(USUAL.floatMg)
  const [stuff, setStuff] = useState<Stuff>('nylon')
  const [said, setSaid] = useState<readonly string[] | null>(null)
  const asked = useDeferredValue(model)
  const reach = moment?.reach
  useEffect(() => {
    // what was said is of other figures now
    setSaid(null)
    if (!asked || !reach || reach.rules.noIndicator || !setMm || !leaderMm || !floatMm || !floatMg)
      return undefined
    const controller = new AbortController()
    void runJob(
      'underFloat',
      {
        model: { ...asked, tippet: null },
        dragSdLog: calibration.dragSdLog,
        float: { massMg: floatMg, diameterMm: floatMm },
        leader: { diameterMm: leaderMm, densityMgPerMm3: LEADER_MG_PER_MM3[stuff] },
        setMm,
        current: {
          depthMm: reach.typicalDepthMm,
          surfaceMmPerS: reach.surfaceSpeedMmPerS,
          roughnessMm: reach.bedRoughnessMm,
        },
        overBedMm: USUAL.overBedMm,
      },
      { key: 'underFloat', signal: controller.signal },
    ).then((fishes) => {
      if ('kind' in fishes) return
      const asSet = { setMm, overBedMm: USUAL.overBedMm, surfaceMmPerS: reach.surfaceSpeedMmPerS }
      setSaid(wording.underFloatSentences(fishes, asSet, units))
    })
    return () => controller.abort()
  }, [asked, calibration, reach, setMm, leaderMm, floatMm, floatMg, stuff, units])
  if (!model || !reach) return null
  if (reach.rules.noIndicator) return <Caution>{labels.noFloats}</Caution>
  const isAsked = setMm && leaderMm && floatMm && floatMg
  return (
    <section aria-label={labels.underAFloat}>
      <Row $gap={10} $align="end" style={{ padding: '8px 0' }}>
        <MeasureField
          label={labels.leaderBelowIt}
          unit={units.depth}
          value={setMm}
          min={100}
          max={10_000}
          onChange={setSetMm}
          width="140px"
        />
        <MeasureField
          label={labels.leaderThickness}
          unit={units.smallLength}
          value={leaderMm}
          min={0.05}
          max={0.6}
          onChange={setLeaderMm}
          width="140px"
        />
        <Select
          label={labels.material}
          value={stuff}
          choices={[
            { id: 'nylon', name: 'nylon' },
            { id: 'fluorocarbon', name: labels.fluorocarbon },
          ]}
          onChange={(id) => setStuff(id as Stuff)}
          width="140px"
        />
        <MeasureField
          label={labels.floatAcross}
          unit={units.smallLength}
          value={floatMm}
          min={3}
          max={40}
          onChange={setFloatMm}
          width="120px"
        />
        <MeasureField
          label={labels.floatWeight}
          unit={units.mass}
          value={floatMg}
          min={5}
          max={5000}
          onChange={setFloatMg}
          width="120px"
        />
      </Row>
      <p role="status">
        {isAsked ? `At ${reach.reachName}: ${said?.join(' ') ?? labels.reckonsTheDrift}` : labels.sayAllFour}
      </p>
      <Quiet>{labels.floatIsReckoned}</Quiet>
    </section>
  )
}
