import { memo } from 'react'
import type { Drawing } from './FlyDrawing.tsx'

/** Between the quiet ink of day and of night: a picture of its own knows no theme. */
const OUTLINE = '#7b878b'
const OUTLINE_MM = 0.04

/** Dots to a pixel of the page: as fine as fine screens are. */
const DOTS = 2

const pictures = new WeakMap<Drawing, Map<number, string | undefined>>()

/** Draws a fly on a canvas, and gives the canvas as a picture; nothing where the browser draws none. */
function pictureAt(
  { minXMm, minYMm, widthMm, heightMm, shapes }: Drawing,
  pxPerMm: number,
): string | undefined {
  const canvas = document.createElement('canvas')
  const dotsPerMm = pxPerMm * DOTS
  canvas.width = Math.max(Math.ceil(widthMm * dotsPerMm), 1)
  canvas.height = Math.max(Math.ceil(heightMm * dotsPerMm), 1)
  const context = canvas.getContext('2d')
  if (!context) return undefined
  context.setTransform(dotsPerMm, 0, 0, dotsPerMm, -minXMm * dotsPerMm, -minYMm * dotsPerMm)
  context.lineCap = 'round'
  context.lineJoin = 'round'
  for (const { path, fill, stroke, strokeMm } of shapes) {
    const shape = new Path2D(path)
    if (fill) {
      context.fillStyle = fill
      context.fill(shape)
    }
    if (!stroke && !fill) continue
    context.strokeStyle = stroke ?? OUTLINE
    context.lineWidth = stroke ? strokeMm : OUTLINE_MM
    context.stroke(shape)
  }
  return canvas.toDataURL()
}

/** The drawing as dots, made once a size: an SVG would be painted shape by shape wherever it is shown. */
function pictureOf(drawing: Drawing, pxPerMm: number): string | undefined {
  const known = pictures.get(drawing) ?? new Map<number, string | undefined>()
  pictures.set(drawing, known)
  const picture = known.get(pxPerMm) ?? pictureAt(drawing, pxPerMm)
  known.set(pxPerMm, picture)
  return picture
}

/** A small fly that is shown many times over, as in slits. */
export const FlyThumb = memo(function FlyThumb({
  drawing,
  pxPerMm,
  title = '',
}: {
  readonly drawing: Drawing
  readonly pxPerMm: number
  /** what it shows; empty where words beside it say so */
  readonly title?: string | undefined
}) {
  return (
    <img
      alt={title}
      src={pictureOf(drawing, pxPerMm)}
      width={drawing.widthMm * pxPerMm}
      height={drawing.heightMm * pxPerMm}
      style={{
        display: 'block',
        maxWidth: '100%',
        background: 'var(--paper)',
        borderRadius: 4,
        overflow: 'visible',
      }}
    />
  )
})
