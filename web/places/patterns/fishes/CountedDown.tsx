import { useMemo, useState } from 'react'
import { densityByRate, SPOOL_SD_LOG, wording } from '../../../../core/index.ts'
import type { FishesCounted } from '../../../../core/index.ts'
import { useJob } from '../../../parts/useJob.ts'
import { Working } from '../../../parts/Working.tsx'
import { Dense, Quiet, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { Select } from '../../../ui/Select.tsx'
import type { JobProgress } from '../../../workers/jobs.ts'
import { labels } from '../../../words/fishes.ts'
import { useWording } from '../../../words/useWording.ts'
import { BestRetrieve } from './BestRetrieve.tsx'
import { LeaderFields, leaderPiece } from './LeaderFields.tsx'
import type { Leader } from './LeaderFields.tsx'
import type { FishesProps } from './asked.ts'

type LineKind = 'floating' | 'intermediate' | 'sinking'

/** Fly lines as they are sold: thickness and density, mg/mm³. A sinking one says how fast it sinks. */
const LINES = {
  floating: { acrossMm: 1.1, density: 0.86 },
  intermediate: { acrossMm: 1, density: 1.04 },
  sinking: { acrossMm: 1, density: null },
} as const
const USUAL = { outMm: 12_000, rateMmPerS: 75, leaderMm: 2700, thickMm: 0.2 }

/** A fly line outside the rod, and its density were it a little heavier; null while something of it is not said. */
function linePiece(kind: LineKind, lengthMm: number | null, acrossMm: number | null, rate: number | null) {
  if (!lengthMm || !acrossMm) return null
  const { density } = LINES[kind]
  if (density !== null)
    return {
      line: { lengthMm, diameterMm: acrossMm, densityMgPerMm3: density },
      lineOffMgPerMm3: density * Math.exp(SPOOL_SD_LOG.density),
    }
  if (!rate) return null
  return {
    line: { lengthMm, diameterMm: acrossMm, densityMgPerMm3: densityByRate(acrossMm, rate) },
    lineOffMgPerMm3: densityByRate(acrossMm, rate * Math.exp(SPOOL_SD_LOG.rate)),
  }
}

/** A line that hangs less below its end has no belly. */
const LEAST_BELLY_MM = 10

/** Depths by count, in a table. */
function Counts({ rows }: Pick<FishesCounted, 'rows'>) {
  const { units } = useWording()
  const depth = (mm: number) => wording.fineDepth(mm, units)
  return (
    <Dense style={{ width: 'auto' }}>
      <thead>
        <tr>
          <th className="figures">{labels.count}</th>
          <th className="figures">{labels.flyAt}</th>
          <th>{labels.likely}</th>
          <th className="figures">{labels.belly}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ countS, depthMm, band, bellyMm, onBed }) => (
          <tr key={countS}>
            <td className="figures">{countS}</td>
            <td className="figures">{onBed ? labels.onTheBed : depth(depthMm)}</td>
            <td>
              {onBed ? '' : band ? `${depth(band.lowMm)} to ${depth(band.highMm)}` : labels.stillReckoned}
            </td>
            <td className="figures">{bellyMm < LEAST_BELLY_MM ? '' : depth(bellyMm)}</td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}

const soFarOf = ({ soFar }: JobProgress<'countedDown'>) => soFar

/** How deep a fly is on a line that is counted down in still water, and how long to count to a depth. */
export default function CountedDown({ model, dragSdLog, reach }: FishesProps) {
  const { units } = useWording()
  const [kind, setKind] = useState<LineKind>('floating')
  const [outMm, setOutMm] = useState<number | null>(USUAL.outMm)
  const [acrossMm, setAcrossMm] = useState<number | null>(LINES.floating.acrossMm)
  const [rate, setRate] = useState<number | null>(USUAL.rateMmPerS)
  const [leader, setLeader] = useState<Leader>({
    lengthMm: USUAL.leaderMm,
    diameterMm: USUAL.thickMm,
    stuff: 'nylon',
  })
  const [bedMm, setBedMm] = useState<number | null>(reach.typicalDepthMm)
  const [wantedMm, setWantedMm] = useState<number | null>(Math.round(reach.typicalDepthMm / 200) * 100)
  const input = useMemo(() => {
    const [piece, line] = [leaderPiece(leader), linePiece(kind, outMm, acrossMm, rate)]
    return piece && line && wantedMm && bedMm
      ? { model, dragSdLog, ...line, leader: piece, bedMm, wantedMm }
      : null
  }, [model, dragSdLog, bedMm, leader, kind, outMm, acrossMm, rate, wantedMm])
  const worked = useJob('countedDown', input, { key: 'fishes', soFar: soFarOf })
  const known = worked.isOfThis ? worked.found : null
  const choose = (id: string) => {
    setKind(id as LineKind)
    setAcrossMm(LINES[id as LineKind].acrossMm)
  }
  return (
    <>
      <Row $gap={10} $align="end" style={{ padding: '8px 0' }}>
        <Select
          label={labels.flyLine}
          value={kind}
          choices={(['floating', 'intermediate', 'sinking'] as const).map((id) => ({ id, name: labels[id] }))}
          onChange={choose}
          width="140px"
        />
        <MeasureField
          label={labels.across}
          unit={units.smallLength}
          value={acrossMm}
          min={0.4}
          max={2.5}
          onChange={setAcrossMm}
          onUnclear={() => setAcrossMm(null)}
          width="100px"
        />
        {kind === 'sinking' ? (
          <MeasureField
            label={labels.sinksAt}
            unit={units.speed}
            value={rate}
            min={5}
            max={300}
            onChange={setRate}
            onUnclear={() => setRate(null)}
            width="120px"
          />
        ) : null}
        <MeasureField
          label={labels.lineOut}
          unit={units.depth}
          value={outMm}
          min={1000}
          max={40_000}
          onChange={setOutMm}
          onUnclear={() => setOutMm(null)}
          width="120px"
        />
        <LeaderFields label={labels.leader} leader={leader} onChange={setLeader} />
        <MeasureField
          label={labels.waterDeep}
          unit={units.depth}
          value={bedMm}
          min={100}
          max={60_000}
          onChange={setBedMm}
          onUnclear={() => setBedMm(null)}
          width="120px"
        />
        <MeasureField
          label={labels.wantedAt}
          unit={units.depth}
          value={wantedMm}
          min={100}
          max={30_000}
          onChange={setWantedMm}
          onUnclear={() => setWantedMm(null)}
          width="120px"
        />
      </Row>
      {input && !known ? (
        <Working of={worked} label={labels.reckons} />
      ) : (
        <p role="status">
          {input && known
            ? `${labels.inStillWater}: ${wording.countSentence(known.toWantedS, input, units)}`
            : labels.sayAll}
        </p>
      )}
      {known ? <Counts rows={known.rows} /> : null}
      {input ? <BestRetrieve key={input.wantedMm} input={input} /> : null}
      <Quiet>{labels.countIsReckoned}</Quiet>
    </>
  )
}
