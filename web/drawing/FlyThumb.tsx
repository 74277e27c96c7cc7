import { memo } from 'react'
import type { Drawing } from './FlyDrawing.tsx'

/** Between the quiet ink of day and of night: a picture of its own knows no theme. */
const OUTLINE = '#7b878b'

const escaped = (text: string) => text.replace(/[&"<>]/g, (sign) => `&#${sign.charCodeAt(0)};`)

const pictures = new WeakMap<Drawing, string>()

/** The drawing as a picture of its own, made once: a browser paints it many times over for the price of one. */
function pictureOf(drawing: Drawing): string {
  const known = pictures.get(drawing)
  if (known) return known
  const { minXMm, minYMm, widthMm, heightMm, shapes } = drawing
  const paths = shapes.map(({ path, fill, stroke, strokeMm }) => {
    const line = stroke ?? (fill ? OUTLINE : 'none')
    return `<path d="${escaped(path)}" fill="${escaped(fill ?? 'none')}" stroke="${escaped(line)}" stroke-width="${stroke ? strokeMm : 0.04}" stroke-linecap="round" stroke-linejoin="round"/>`
  })
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${minXMm} ${minYMm} ${widthMm} ${heightMm}">${paths.join('')}</svg>`
  const made = `data:image/svg+xml,${encodeURIComponent(svg)}`
  pictures.set(drawing, made)
  return made
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
      src={pictureOf(drawing)}
      width={drawing.widthMm * pxPerMm}
      height={drawing.heightMm * pxPerMm}
      style={{ display: 'block', maxWidth: '100%', background: 'var(--paper)', borderRadius: 4 }}
    />
  )
})
