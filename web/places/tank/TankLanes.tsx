import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import styled from 'styled-components'
import { depthAtTime, drawSketch, wording } from '../../../core/index.ts'
import type { Current, Descent } from '../../../core/index.ts'
import type { FoodAtMoment } from '../../../contract/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Row } from '../../ui/layout.tsx'
import { FOOD_LANE_PX, FoodLane } from './FoodLane.tsx'
import { depthGone, LANE_COLOURS, placeOf, secondsApart } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { useTankClock } from './useTankClock.ts'
import { labels } from '../../words/tank.ts'

const Glass = styled.div`
  svg {
    display: block;
    width: 100%;
    max-width: 1040px;
    border: 1px solid var(--quiet);
  }
  text {
    font: 11px var(--figures);
    fill: var(--quiet);
  }
  /* a layer each: the drawing is painted once, then only moved; at rest it is painted where it is, which is sharper */
  .falling .fly {
    will-change: transform;
  }
  input[type='range'] {
    flex: 1;
    min-width: 180px;
    max-width: 420px;
    accent-color: var(--thistle);
  }
`

const WIDTH = 760
const HEIGHT = 320
/** Room of the depth marks. */
const MARKS_PX = 56
const SPEEDS = [
  { id: '1', name: 'true time' },
  { id: '0.5', name: 'half as fast' },
  { id: '0.2', name: 'a fifth as fast' },
]
const STEP_S = 0.1
/** Flies are drawn larger than the tank's scale, or they would not be seen. */
const FLY_PX_PER_MM = 4
const HEADROOM = 26
const MARK_MM = 500

interface TankLanesProps {
  readonly flies: readonly InTank[]
  readonly depthMm: number
  /** foods of the place whose water this is; none in a tank of another depth */
  readonly foods: readonly FoodAtMoment[]
  /** the current that they drift in; null in still water */
  readonly current: Current | null
  readonly svgRef: React.RefObject<SVGSVGElement | null>
}

function DepthMarks({ depthMm, pxPerMm }: { readonly depthMm: number; readonly pxPerMm: number }) {
  const { depth } = useWording()
  return Array.from({ length: Math.floor(depthMm / MARK_MM) + 1 }, (_, i) => i * MARK_MM).map((deep) => (
    <g key={deep}>
      <line
        x1={MARKS_PX - 6}
        x2={WIDTH}
        y1={deep * pxPerMm}
        y2={deep * pxPerMm}
        stroke="var(--rule)"
        strokeWidth={1}
      />
      <text x={MARKS_PX - 10} y={deep * pxPerMm + 11} textAnchor="end">
        {depth(deep)}
      </text>
    </g>
  ))
}

/** The water with its film, and the depths marked in it. */
function Water(marks: { readonly depthMm: number; readonly pxPerMm: number }) {
  return (
    <>
      <defs>
        <linearGradient id="tankWater" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor="var(--waterFilm)" />
          <stop offset="1" stopColor="var(--waterDeep)" />
        </linearGradient>
      </defs>
      <rect x={0} y={0} width={WIDTH} height={HEIGHT} fill="url(#tankWater)" />
      <rect x={0} y={-HEADROOM} width={WIDTH} height={HEADROOM} fill="var(--ground)" />
      <DepthMarks {...marks} />
      <line x1={0} x2={WIDTH} y1={0} y2={0} stroke="var(--ink)" strokeWidth={1.5} />
    </>
  )
}

/** A fly as it holds itself while it falls, about the dot that its depth is read at. */
function FlyInLane({ fly: { report, sketch }, colour }: { readonly fly: InTank; readonly colour?: string }) {
  const drawing = useMemo(() => drawSketch(sketch, { pxPerMm: FLY_PX_PER_MM }), [sketch])
  const turnedDeg = report.kind === 'sinks' ? -report.attitude.noseDownDeg : 0
  const [middleX, middleY] = [drawing.leftPx + drawing.widthPx / 2, drawing.topPx + drawing.heightPx / 2]
  return (
    <>
      <g transform={`rotate(${turnedDeg}) translate(${-middleX} ${-middleY})`}>
        {drawing.shapes.map(({ path, fill, stroke, strokePx, opacity }, i) => (
          <path
            key={i}
            d={path}
            fill={fill ?? 'none'}
            stroke={stroke ?? 'none'}
            strokeWidth={strokePx}
            opacity={opacity}
            strokeLinecap="round"
          />
        ))}
      </g>
      <circle r={3} cx={0} cy={0} fill={colour} />
    </>
  )
}

/** Ticks down a lane, one a second of its fly's fall, or as many as have room. */
function SecondMarks({
  fly,
  descent,
  x,
  pxPerMm,
}: {
  readonly fly: InTank
  readonly descent: Descent
  readonly x: number
  readonly pxPerMm: number
}) {
  const every = secondsApart(descent, pxPerMm)
  const last = Math.floor(descent.points.at(-1)?.timeS ?? 0)
  return Array.from({ length: Math.floor(last / every) }, (_, i) => {
    const y = depthGone(fly, depthAtTime(descent, (i + 1) * every)) * pxPerMm
    return (
      <g key={i}>
        <line x1={x} x2={x + 8} y1={y} y2={y} stroke="var(--quiet)" />
        <text x={x + 11} y={y + 4}>
          {(i + 1) * every}
        </text>
      </g>
    )
  })
}

/** Up to six flies falling side by side in true or slowed time, each as it holds itself, with depth and second marks. */
export function TankLanes({ flies, depthMm, foods, current, svgRef }: TankLanesProps) {
  const left = MARKS_PX + (foods.length > 0 ? FOOD_LANE_PX : 0)
  const [rate, setRate] = useState('1')
  const moving = useRef(new Map<string, SVGGElement>())
  const clock = useRef<HTMLOutputElement>(null)
  const slider = useRef<HTMLInputElement>(null)
  const lastS = Math.max(1, ...flies.map(({ descent }) => descent?.points.at(-1)?.timeS ?? 0))
  const laneWidth = (WIDTH - left) / Math.max(flies.length, 1)
  const pxPerMm = (HEIGHT - 24) / depthMm
  const furthest = current ? Math.max(1, ...flies.map((fly) => placeOf(fly, lastS, current).driftMm)) : 1
  const paint = useCallback(
    (timeS: number) => {
      flies.forEach((fly, n) => {
        const { depthMm: deep, driftMm } = placeOf(fly, timeS, current)
        const x = current
          ? left + 30 + (driftMm / furthest) * (WIDTH - left - 90)
          : left + laneWidth * (n + 0.5)
        moving.current.get(fly.id)?.setAttribute('transform', `translate(${x} ${deep * pxPerMm})`)
      })
      if (clock.current) clock.current.value = wording.seconds(timeS)
      if (slider.current) slider.current.value = String(timeS)
    },
    [flies, current, furthest, laneWidth, left, pxPerMm],
  )
  const { time, running, toggle, show, stop } = useTankClock(lastS, Number(rate), paint)
  const step = (by: number) => {
    stop()
    show(time.current + by)
  }
  const region = useRef<HTMLDivElement>(null)
  useEffect(() => region.current?.focus({ preventScroll: true }), [])
  const press = (event: KeyboardEvent<HTMLElement>) => {
    if (event.target !== event.currentTarget) return
    if (event.key === ' ') toggle()
    else if (event.key === 'ArrowRight' || event.key === 'PageDown') step(STEP_S)
    else if (event.key === 'ArrowLeft' || event.key === 'PageUp') step(-STEP_S)
    else if (event.key === 'Backspace') step(-lastS)
    else return
    event.preventDefault()
  }
  return (
    <Glass ref={region} tabIndex={-1} role="group" aria-label={labels.theTank} onKeyDown={press}>
      <Row style={{ paddingBottom: 8 }} role="group" aria-label={labels.timeInTheTank}>
        <Button look="main" onPress={toggle}>
          {running ? 'Pause' : 'Let them fall'}
        </Button>
        <Button onPress={() => step(-STEP_S)} aria-label={labels.aTenthOfA}>
          −0.1 s
        </Button>
        <Button onPress={() => step(STEP_S)} aria-label={labels.aTenthOfASecond}>
          +0.1 s
        </Button>
        <input
          ref={slider}
          type="range"
          aria-label={labels.secondOfTheFall}
          min={0}
          max={lastS}
          step={0.02}
          defaultValue={0}
          onInput={(event) => {
            stop()
            show(Number(event.currentTarget.value))
          }}
        />
        <output ref={clock} className="figures" style={{ minWidth: 56 }}>
          0 s
        </output>
        <Select label={labels.pace} hideLabel value={rate} choices={SPEEDS} onChange={setRate} width="140px" />
      </Row>
      <svg
        ref={svgRef}
        className={running ? 'falling' : undefined}
        viewBox={`0 ${-HEADROOM} ${WIDTH} ${HEIGHT + HEADROOM}`}
        role="img"
        aria-label={labels.fliesFallingInThe}
      >
        <Water depthMm={depthMm} pxPerMm={pxPerMm} />
        <FoodLane foods={foods} leftPx={MARKS_PX} bedPx={depthMm * pxPerMm} pxPerMm={pxPerMm} />
        {flies.map((fly, n) =>
          current || !fly.descent ? null : (
            <SecondMarks
              key={fly.id}
              fly={fly}
              descent={fly.descent}
              x={left + laneWidth * n + 8}
              pxPerMm={pxPerMm}
            />
          ),
        )}
        {current ? (
          <path
            d={`M${MARKS_PX - 6} ${depthMm * pxPerMm} H${WIDTH}`}
            stroke="var(--brass)"
            strokeWidth={5}
            strokeDasharray="14 4 8 3"
          />
        ) : null}
        {flies.map((fly, n) => (
          <g
            key={fly.id}
            className="fly"
            ref={(element) => {
              if (element) moving.current.set(fly.id, element)
              else moving.current.delete(fly.id)
            }}
          >
            <FlyInLane fly={fly} colour={LANE_COLOURS[n]} />
          </g>
        ))}
      </svg>
    </Glass>
  )
}
