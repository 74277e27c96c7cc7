import { memo, useEffect, useRef } from 'react'
import type { FlySketch } from '../../core/index.ts'
import { useFlyPicture, wantPicture } from './flyPictures.ts'
import { useTrueSize } from './trueSize.ts'
import { whenNear } from './whenNear.ts'

interface FlyThumbProps {
  readonly sketch: FlySketch
  readonly pxPerMm: number
  /** what it shows; empty where words beside it say so */
  readonly title?: string | undefined
}

/**
 * A small fly that is shown many times over, as in lists and slits: a picture, in the room that it will take, drawn when
 * the sheet comes near it. Smaller than life it is the picture at true size, so that one does for list and slits.
 */
export const FlyThumb = memo(function FlyThumb({ sketch, pxPerMm, title = '' }: FlyThumbProps) {
  const place = useRef<HTMLImageElement>(null)
  const drawnAt = Math.max(useTrueSize(), pxPerMm)
  const picture = useFlyPicture(sketch, drawnAt)
  useEffect(() => {
    if (picture || !place.current) return undefined
    return whenNear(place.current, () => wantPicture(sketch, drawnAt))
  }, [picture, sketch, drawnAt])
  const { widthMm, heightMm } = sketch.frame
  const share = pxPerMm / drawnAt
  const width = Math.round(picture ? picture.widthPx * share : widthMm * pxPerMm)
  const height = Math.round(picture ? picture.heightPx * share : heightMm * pxPerMm)
  return (
    <img
      ref={place}
      alt={title}
      src={picture?.src ?? NOTHING}
      width={width}
      height={height}
      style={{
        display: 'block',
        maxWidth: '100%',
        height: 'auto',
        aspectRatio: `${width} / ${height}`,
        background: 'var(--paper)',
        borderRadius: 4,
      }}
    />
  )
})

/** A picture of one clear dot. */
const NOTHING = 'data:image/gif;base64,R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7'
