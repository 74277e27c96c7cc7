import { memo, useMemo } from 'react'
import { drawBelow } from '../../core/index.ts'
import type { FlySketch } from '../../core/index.ts'
import { FlyShapes } from './FlyShapes.tsx'

/** The sky through the film, by day and by night: a fly is dark against it. */
const SKY = '#e8efec'
const MARGIN_PX = 8
/** At this scale it is drawn once to see how far it reaches. */
const TRIED_PX_PER_MM = 4

interface FlyFromBelowProps {
  readonly sketch: FlySketch
  /** how high its shank rides above the film */
  readonly shankMm: number
  /** the room that it is given, px */
  readonly room: { readonly wide: number; readonly high: number }
  readonly title: string
}

/** A fly that floats as the fish sees it: from right below, dark against the light, its feet on the film. */
export const FlyFromBelow = memo(function FlyFromBelow({ sketch, shankMm, room, title }: FlyFromBelowProps) {
  const { leftPx, topPx, widthPx, heightPx, shapes } = useMemo(() => {
    const tried = drawBelow(sketch, { pxPerMm: TRIED_PX_PER_MM, shankMm })
    const more = Math.min(
      (room.wide - 2 * MARGIN_PX) / tried.widthPx,
      (room.high - 2 * MARGIN_PX) / tried.heightPx,
    )
    return drawBelow(sketch, { pxPerMm: TRIED_PX_PER_MM * more, shankMm })
  }, [sketch, shankMm, room])
  const [width, height] = [widthPx + 2 * MARGIN_PX, heightPx + 2 * MARGIN_PX]
  return (
    <svg
      viewBox={`${leftPx - MARGIN_PX} ${topPx - MARGIN_PX} ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={title}
      style={{ display: 'block', maxWidth: '100%', background: SKY, borderRadius: 4 }}
    >
      <FlyShapes shapes={shapes} />
    </svg>
  )
})
