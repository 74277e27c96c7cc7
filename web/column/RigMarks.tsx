import type { KeyboardEvent, PointerEvent } from 'react'
import type { RigMark } from './marks.ts'
import { depthAtShare, heightShare, LENS_BOTTOM_MM, LENS_TOP_MM } from './scale.ts'

interface RigMarksProps {
  readonly rig: RigMark
  readonly bedMm: number
  /** of all the water: what is longer hangs out of it */
  readonly widthPx: number
  readonly heightPx: number
  /** in the opened water its grip has room */
  readonly opened: boolean
}

/** Room for the flies' own marks at the outer edge, px. */
const FLIES_PX = 50
const GRIP_PX = 18

/**
 * A rig as it hangs in the current, below the lens to scale both ways: in the opened water all of it, with a grip that brings
 * its lowest fly to a depth; else what of it is in the flies' lane.
 */
export default function RigMarks({ rig, bedMm, widthPx, heightPx, opened }: RigMarksProps) {
  const { line, ghost, flies, isCarried, grip } = rig
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  const pxPerMm = (heightPx - y(LENS_BOTTOM_MM)) / Math.max(bedMm - LENS_BOTTOM_MM, 1)
  const wet = line.filter(({ zMm }) => zMm >= LENS_TOP_MM)
  // the Column knows no upstream: a rig is turned so that its point is beside the flies' own marks
  const ends = [...wet, ...flies].map(({ xMm }) => xMm)
  const [left, right] = [Math.min(...ends), Math.max(...ends)]
  const turned = (wet.at(-1)?.xMm ?? 0) < (left + right) / 2 ? -1 : 1
  const outer = turned < 0 ? left : right
  const x = (mm: number) => widthPx - FLIES_PX + turned * (mm - outer) * pxPerMm - (opened ? 0 : widthPx / 2)
  const path = (points: RigMark['line']) =>
    points
      .filter(({ zMm }) => zMm >= LENS_TOP_MM)
      .map(({ xMm, zMm }) => `${x(xMm).toFixed(1)},${y(zMm).toFixed(1)}`)
      .join(' ')
  const [top] = wet
  const drag = (event: PointerEvent<HTMLElement>) => {
    const water = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!grip || !water || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    grip.onDrag(depthAtShare((event.clientY - water.top) / water.height, bedMm))
  }
  const press = (event: KeyboardEvent<HTMLElement>) => {
    const large = event.shiftKey ? 10 : 1
    const steps = { ArrowDown: large, ArrowUp: -large, '+': 10, '-': -10 }[event.key]
    if (!grip || steps === undefined) return
    event.preventDefault()
    event.stopPropagation()
    grip.onStep(steps)
  }
  return (
    <>
      <svg
        width={opened ? widthPx : widthPx / 2}
        height={heightPx}
        aria-hidden="true"
        style={{ position: 'absolute', top: 0, right: 0, pointerEvents: 'none' }}
      >
        {ghost ? (
          <polyline
            points={path(ghost)}
            fill="none"
            stroke="var(--quiet)"
            strokeDasharray="5 4"
            strokeWidth={1.2}
          />
        ) : null}
        <polyline points={path(line)} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
        {flies.map(({ xMm, zMm, knot, fromMm, toMm }, i) => (
          <g key={i}>
            <line x1={x(knot.xMm)} y1={y(knot.zMm)} x2={x(xMm)} y2={y(zMm)} stroke="var(--ink)" />
            <line
              x1={x(xMm)}
              y1={y(fromMm)}
              x2={x(xMm)}
              y2={y(toMm)}
              stroke="var(--moss)"
              strokeWidth={9}
              strokeLinecap="round"
              opacity={0.3}
            />
            <circle cx={x(xMm)} cy={y(zMm)} r={3.5} fill="var(--moss)" stroke="var(--panel)" />
          </g>
        ))}
        {isCarried && top ? (
          <circle cx={x(top.xMm)} cy={y(0)} r={5} fill="var(--madder)" stroke="var(--ink)" />
        ) : null}
      </svg>
      {grip && opened ? (
        <span
          className="grip"
          data-drags
          role="slider"
          tabIndex={0}
          aria-orientation="vertical"
          aria-label={grip.label}
          aria-valuemin={0}
          aria-valuemax={Math.round(bedMm)}
          aria-valuenow={Math.round(grip.depthMm)}
          aria-valuetext={grip.words}
          style={{ top: Math.min(y(grip.depthMm) - 8, heightPx - GRIP_PX), left: 'auto', right: FLIES_PX + 14 }}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={drag}
          onLostPointerCapture={grip.onDrop}
          onKeyDown={press}
        >
          {grip.words}
        </span>
      ) : null}
    </>
  )
}
