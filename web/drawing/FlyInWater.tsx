import { memo, useMemo } from 'react'
import { drawSketch, eyeCentre } from '../../core/index.ts'
import type { FlySketch, Wetness } from '../../core/index.ts'
import { FlyShapes } from './FlyShapes.tsx'
import { filmBelowEyeMm, turned, turnedBox, turnOf } from './posed.ts'
import type { Pose } from './posed.ts'

/** Water that is shown round a fly, px. */
const MARGIN_PX = 8
/** Line that is shown above a fly that hangs from it, px. */
const LINE_PX = 16

interface FlyInWaterProps {
  readonly sketch: FlySketch
  readonly pose: Pose
  readonly wetness: Wetness
  /** the room that it is given, px */
  readonly room: { readonly wide: number; readonly high: number }
  readonly title: string
}

/** The fly as it is held by the water: riding on the film or hanging below it, falling at its attitude, or hanging from its line. */
export const FlyInWater = memo(function FlyInWater({ sketch, pose, wetness, room, title }: FlyInWaterProps) {
  const deg = turnOf(pose)
  const { frame } = sketch
  const inMm = turnedBox(
    { left: frame.leftMm, top: frame.topMm, width: frame.widthMm, height: frame.heightMm },
    deg,
  )
  const pxPerMm = Math.min(
    (room.wide - 2 * MARGIN_PX) / inMm.width,
    (room.high - 2 * MARGIN_PX - LINE_PX) / inMm.height,
  )
  const { shapes } = useMemo(() => drawSketch(sketch, { pxPerMm, wetness }), [sketch, pxPerMm, wetness])
  const top = inMm.top * pxPerMm
  const filmMm = filmBelowEyeMm(pose)
  const filmPx = filmMm === null ? null : filmMm * pxPerMm
  const box = {
    left: inMm.left * pxPerMm - MARGIN_PX,
    top: top - MARGIN_PX - LINE_PX,
    width: inMm.width * pxPerMm + 2 * MARGIN_PX,
    height: inMm.height * pxPerMm + 2 * MARGIN_PX + LINE_PX,
  }
  const centre = eyeCentre(sketch.hook)
  const eye = turned({ x: centre.xMm * pxPerMm, y: -centre.yMm * pxPerMm }, deg)
  const waterTop = filmPx ?? box.top
  return (
    <svg
      viewBox={`${box.left} ${box.top} ${box.width} ${box.height}`}
      width={box.width}
      height={box.height}
      role="img"
      aria-label={title}
      style={{ display: 'block', maxWidth: '100%', background: 'var(--paper)', borderRadius: 4 }}
    >
      <rect
        x={box.left}
        y={waterTop}
        width={box.width}
        height={Math.max(box.top + box.height - waterTop, 0)}
        fill="var(--waterFilm)"
      />
      {pose.kind === 'hangs' ? (
        <line x1={eye.x} x2={eye.x} y1={box.top} y2={eye.y} stroke="var(--ink)" strokeWidth={1} />
      ) : null}
      <g transform={`rotate(${deg})`}>
        <FlyShapes shapes={shapes} />
      </g>
      {filmPx === null ? null : (
        <line
          x1={box.left}
          x2={box.left + box.width}
          y1={filmPx}
          y2={filmPx}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      )}
    </svg>
  )
})
