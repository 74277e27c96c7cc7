import { memo, useMemo } from 'react'
import type { CSSProperties } from 'react'
import { drawSketch } from '../../core/index.ts'
import type { FlySketch, Wetness } from '../../core/index.ts'
import { FlyShapes } from './FlyShapes.tsx'

interface FlyDrawingProps {
  readonly sketch: FlySketch
  /** pixels for one mm; the screen's own at true size */
  readonly pxPerMm: number
  /** component to show, the others dimmed */
  readonly highlight?: string | null
  /** components that are tied already: solid, where what comes is pale */
  readonly tied?: ReadonlySet<string>
  /** those that are tied in and not yet wound or pulled over: half there */
  readonly begun?: ReadonlySet<string>
  readonly wetness?: Wetness
  readonly title?: string
}

const STYLE: CSSProperties = {
  maxWidth: '100%',
  height: 'auto',
  display: 'block',
  background: 'var(--paper)',
  borderRadius: 4,
}
const DIMMED = 0.25
const TO_COME = 0.16
const BEGUN = 0.45

/** The fly as it looks tied, to scale, its parts each for itself: for the one that is worked on. Lists show pictures. */
export const FlyDrawing = memo(function FlyDrawing(props: FlyDrawingProps) {
  const { sketch, pxPerMm, highlight = null, tied, begun, wetness = 'dry', title } = props
  const drawing = useMemo(() => drawSketch(sketch, { pxPerMm, wetness }), [sketch, pxPerMm, wetness])
  const { leftPx, topPx, widthPx, heightPx, shapes } = drawing
  const seen = (key: string) => {
    if (begun?.has(key)) return BEGUN
    if (key === 'hook' || key === highlight) return 1
    if (tied) return tied.has(key) ? 1 : TO_COME
    return highlight ? DIMMED : 1
  }
  return (
    <svg
      viewBox={`${leftPx} ${topPx} ${widthPx} ${heightPx}`}
      width={widthPx}
      height={heightPx}
      role={title ? 'img' : 'presentation'}
      aria-label={title}
      style={STYLE}
    >
      <FlyShapes shapes={shapes} solid={seen} />
    </svg>
  )
})
