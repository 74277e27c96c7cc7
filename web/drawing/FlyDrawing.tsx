import { memo } from 'react'
import type { CSSProperties } from 'react'

/** A drawing as core and the server hand it over, in mm. */
export interface Drawing {
  readonly minXMm: number
  readonly minYMm: number
  readonly widthMm: number
  readonly heightMm: number
  readonly shapes: readonly {
    readonly key: string
    readonly path: string
    readonly fill: string | null
    readonly stroke: string | null
    readonly strokeMm: number
  }[]
}

interface FlyDrawingProps {
  readonly drawing: Drawing
  /** pixels for one mm; the screen's own at true size */
  readonly pxPerMm: number
  /** component to show, the others dimmed */
  readonly highlight?: string | null
  readonly title?: string
}

// lists hold hundreds of drawings: those out of sight are neither laid out nor painted
const STYLE: CSSProperties = {
  maxWidth: '100%',
  display: 'block',
  background: 'var(--paper)',
  borderRadius: 4,
  contentVisibility: 'auto',
}

/** The fly to scale, from its dressing. One component for list, sheet, bench, box and card. */
export const FlyDrawing = memo(function FlyDrawing({
  drawing,
  pxPerMm,
  highlight = null,
  title,
}: FlyDrawingProps) {
  const { minXMm, minYMm, widthMm, heightMm, shapes } = drawing
  return (
    <svg
      viewBox={`${minXMm} ${minYMm} ${widthMm} ${heightMm}`}
      width={widthMm * pxPerMm}
      height={heightMm * pxPerMm}
      role={title ? 'img' : 'presentation'}
      aria-label={title}
      style={STYLE}
    >
      {shapes.map(({ key, path, fill, stroke, strokeMm }, i) => (
        <path
          key={i}
          d={path}
          fill={fill ?? 'none'}
          stroke={stroke ?? (fill ? 'var(--quiet)' : 'none')}
          strokeWidth={stroke ? strokeMm : 0.04}
          strokeLinecap="round"
          strokeLinejoin="round"
          opacity={highlight && key !== highlight && key !== 'hook' ? 0.25 : 1}
        />
      ))}
    </svg>
  )
})
