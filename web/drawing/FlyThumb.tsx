import { memo, useEffect, useRef } from 'react'
import type { FlySketch } from '../../core/index.ts'
import { useFlyPicture, wantPicture } from './flyPictures.ts'
import { useTrueSize } from './trueSize.ts'
import { whenNear } from './whenNear.ts'
import type { Room } from '../../contract/drawingKey.ts'

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
  const room = roomPx(sketch.frame, pxPerMm)
  if (!picture) return <img ref={place} alt={title} src={NOTHING} {...sized(room, room)} />
  // lines are as thick at any scale: the picture is a little smaller or larger than its room
  const share = pxPerMm / drawnAt
  const shown = { width: Math.round(picture.widthPx * share), height: Math.round(picture.heightPx * share) }
  return <img ref={place} alt={title} src={picture.src} {...sized(shown, room)} />
})

/** The room of a small fly, before anything is known of it but how large it is. */
export function ThumbRoom({ room, pxPerMm }: { readonly room: Room; readonly pxPerMm: number }) {
  const px = roomPx(room, pxPerMm)
  return <img alt="" src={NOTHING} {...sized(px, px)} />
}

interface SizePx {
  readonly width: number
  readonly height: number
}
const roomPx = ({ widthMm, heightMm }: Room, pxPerMm: number): SizePx => ({
  width: Math.round(widthMm * pxPerMm),
  height: Math.round(heightMm * pxPerMm),
})

/** A picture amid the room that was kept for it, so that nothing moves when it comes. */
function sized({ width, height }: SizePx, room: SizePx) {
  return {
    width,
    height,
    style: {
      display: 'block',
      margin: `${(room.height - height) / 2}px ${(room.width - width) / 2}px`,
      maxWidth: '100%',
      height: 'auto',
      aspectRatio: `${width} / ${height}`,
      background: 'var(--paper)',
      borderRadius: 4,
    },
  }
}

/** A picture of one clear dot. */
const NOTHING = 'data:image/gif;base64,R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7'
