import type { KeyboardEvent, PointerEvent } from 'react'
import type { RigMark } from './marks.ts'
import { depthAtShare, heightShare, LENS_BOTTOM_MM, LENS_TOP_MM } from './scale.ts'

interface RigMarksProps {
  readonly rig: RigMark
  readonly bedMm: number
  /** of the lane that it hangs in, the right half */
  readonly widthPx: number
  readonly heightPx: number
  /** in the opened water its grip has room */
  readonly opened: boolean
}

/** Room at both sides of the rig, px. */
const MARGIN_PX = 14

/** A rig as it hangs in the current, below the lens to scale both ways; its grip brings its lowest fly to a depth. */
export default function RigMarks({ rig, bedMm, widthPx, heightPx, opened }: RigMarksProps) {
  const { line, ghost, flies, isCarried, grip } = rig
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  const pxPerMm = (heightPx - y(LENS_BOTTOM_MM)) / Math.max(bedMm - LENS_BOTTOM_MM, 1)
  const wet = line.filter(({ zMm }) => zMm >= LENS_TOP_MM)
  const across = [...wet, ...flies].map(({ xMm }) => xMm)
  const [left, right] = [Math.min(...across), Math.max(...across)]
  const room = widthPx - 2 * MARGIN_PX
  // of what is longer than the lane is wide, the end with the flies is seen
  const start = Math.min(left, right - room / pxPerMm) === left ? left : right - room / pxPerMm
  const shift = Math.max(room - (right - left) * pxPerMm, 0) / 2
  const x = (mm: number) => MARGIN_PX + shift + (mm - start) * pxPerMm
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
        width={widthPx}
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
        {flies.map(({ xMm, zMm }, i) => (
          <circle key={i} cx={x(xMm)} cy={y(zMm)} r={3.5} fill="var(--moss)" stroke="var(--panel)" />
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
          style={{ top: y(grip.depthMm) - 8, left: 'auto', right: 44 }}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={drag}
          onPointerUp={grip.onDrop}
          onKeyDown={press}
        >
          {grip.words}
        </span>
      ) : null}
    </>
  )
}
