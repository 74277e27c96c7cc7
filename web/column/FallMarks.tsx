import type { PointerEvent } from 'react'
import type { FallMark, SecondMark } from './marks.ts'
import { depthAtShare, heightShare } from './scale.ts'

interface FallMarksProps {
  readonly fall: FallMark
  readonly bedMm: number
  readonly heightPx: number
}

/** Seconds of a fall at their depths, each with its smear; dragged, a second asks for the weighting that is there then. */
export default function FallMarks({ fall, bedMm, heightPx }: FallMarksProps) {
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  const { onDrag } = fall
  const drag = (event: PointerEvent<HTMLElement>, timeS: number) => {
    const water = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!onDrag || !water || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    onDrag(timeS, depthAtShare((event.clientY - water.top) / water.height, bedMm))
  }
  const mark = ({ timeS, lowMm, highMm }: SecondMark, ghost: boolean) => (
    <span key={`${ghost} ${timeS}`}>
      <span
        className="bar"
        style={{
          left: ghost ? 'calc(50% + 38px)' : '50%',
          width: 10,
          top: y(lowMm),
          height: Math.max(y(highMm) - y(lowMm), 2),
          background: 'linear-gradient(transparent, var(--thistle), transparent)',
          opacity: ghost ? 0.3 : 0.5,
        }}
      />
    </span>
  )
  const deepest = fall.seconds.at(-1)?.depthMm
  return (
    <>
      {deepest === undefined ? null : (
        <span className="tippet" style={{ top: y(0), height: y(deepest) - y(0) }} />
      )}
      {fall.seconds.map((second) => mark(second, false))}
      {fall.ghost.map((second) => mark(second, true))}
      {fall.seconds.map(({ timeS, depthMm }) => (
        <span
          key={timeS}
          className="grip"
          data-drags={onDrag !== null}
          style={{ top: y(depthMm) - 8 }}
          onPointerDown={(event) =>
            onDrag ? event.currentTarget.setPointerCapture(event.pointerId) : undefined
          }
          onPointerMove={(event) => drag(event, timeS)}
        >
          {timeS} s
        </span>
      ))}
      {fall.ghost.map(({ timeS, depthMm }) => (
        <span key={timeS} className="grip" data-ghost="true" style={{ top: y(depthMm) - 8 }}>
          {timeS} s
        </span>
      ))}
    </>
  )
}
