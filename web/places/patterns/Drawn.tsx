import { memo, useMemo, useState } from 'react'
import { ToggleButton } from 'react-aria-components'
import { sketchOf } from '../../../core/index.ts'
import type { FlyReport } from '../../../core/index.ts'
import { FlyDrawing } from '../../drawing/FlyDrawing.tsx'
import { FlyFromBelow } from '../../drawing/FlyFromBelow.tsx'
import { FlyInWater } from '../../drawing/FlyInWater.tsx'
import type { Pose } from '../../drawing/posed.ts'
import { ruleMarks } from '../../drawing/ruleMarks.ts'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Row } from '../../ui/layout.tsx'
import { Select } from '../../ui/Select.tsx'
import { labels } from '../../words/patterns.ts'
import { useWording } from '../../words/useWording.ts'
import type { WorkedOut } from './useFlyReport.ts'

/** A rule of a centimetre or half an inch, tied to the drawing. */
function ScaleRule({ pxPerMm }: { readonly pxPerMm: number }) {
  const { units } = useWording()
  const { marks, name, lengthMm } = ruleMarks(units.smallLength)
  return (
    <svg className="scale" width={lengthMm * pxPerMm + 44} height={14} aria-hidden="true">
      {marks.map(({ atMm, isLong }) => (
        <line
          key={atMm}
          x1={atMm * pxPerMm + 0.5}
          x2={atMm * pxPerMm + 0.5}
          y1={0}
          y2={isLong ? 8 : 5}
          stroke="var(--quiet)"
        />
      ))}
      <line x1={0} x2={lengthMm * pxPerMm} y1={0.5} y2={0.5} stroke="var(--quiet)" />
      <text x={lengthMm * pxPerMm + 5} y={10} fontSize={10} fill="var(--quiet)">
        {name}
      </text>
    </svg>
  )
}

/** Room for the fly on its sheet, px: above the lines, and never in their way. */
const DRAWN = { wide: 300, high: 128 }
const POSED = { wide: 300, high: 150 }

const AS_TIED = 'tied'
const FROM_BELOW = 'below'
const HOW: Readonly<Record<Pose['kind'], string>> = {
  rides: labels.asItRides,
  falls: labels.asItFalls,
  hangs: labels.asItHangs,
  hangsBelow: labels.asItHangs,
}

/** How the water holds a fly. */
function posesOf(report: FlyReport): readonly Pose[] {
  if (report.kind === 'sinks')
    return [
      { kind: 'falls', noseDownDeg: report.attitude.noseDownDeg },
      { kind: 'hangs', noseDownDeg: report.hung.noseDownDeg },
    ]
  if (report.kind !== 'floats') return []
  if (report.hangs) return [{ kind: 'hangsBelow', ...report.hangs }]
  return report.ride.shankMm === null ? [] : [{ kind: 'rides', shankMm: report.ride.shankMm }]
}

/** The fly to scale, as tied or as the water holds it, its colours dry or wet, and beside it at its true size. */
export const Drawn = memo(function Drawn({
  worked: { fly, report },
  highlight,
}: {
  readonly worked: WorkedOut
  /** component to show, the others dimmed */
  readonly highlight: string | null
}) {
  const truePx = useTrueSize()
  const [wet, setWet] = useState(false)
  const [how, setHow] = useState<string>(AS_TIED)
  const sketch = useMemo(() => sketchOf(fly), [fly])
  const { frame } = sketch
  const poses = posesOf(report)
  const pose = poses.find(({ kind }) => kind === how)
  const rides = poses.find((one) => one.kind === 'rides')
  const isBelow = how === FROM_BELOW && rides !== undefined
  const wetness = wet ? 'wet' : 'dry'
  const pxPerMm = Math.min(DRAWN.wide / frame.widthMm, DRAWN.high / frame.heightMm)
  return (
    <div className="drawing">
      {isBelow ? (
        <FlyFromBelow sketch={sketch} shankMm={rides.shankMm} room={POSED} title={labels.fromBelow} />
      ) : pose ? (
        <FlyInWater sketch={sketch} pose={pose} wetness={wetness} room={POSED} title={HOW[pose.kind]} />
      ) : (
        <FlyDrawing
          sketch={sketch}
          pxPerMm={pxPerMm}
          highlight={highlight}
          wetness={wetness}
          title={labels.theFlyToScale}
        />
      )}
      <Row $gap={8}>
        {pose || isBelow ? null : <ScaleRule pxPerMm={pxPerMm} />}
        <ToggleButton className="wet" isSelected={wet} onChange={setWet}>
          {wet ? labels.drawnWet : labels.drawnDry}
        </ToggleButton>
        {poses.length > 0 ? (
          <Select
            label={labels.howItIsShown}
            hideLabel
            value={isBelow ? FROM_BELOW : (pose?.kind ?? AS_TIED)}
            choices={[
              { id: AS_TIED, name: labels.asTied },
              ...poses.map(({ kind }) => ({ id: kind, name: HOW[kind] })),
              ...(rides ? [{ id: FROM_BELOW, name: labels.fromBelow }] : []),
            ]}
            onChange={setHow}
            width="120px"
          />
        ) : null}
        <FlyDrawing sketch={sketch} pxPerMm={truePx} title={labels.theFlyAtTrue} />
      </Row>
    </div>
  )
})
