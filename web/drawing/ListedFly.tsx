import { roomOf } from '../../contract/drawingKey.ts'
import { FlyThumb, ThumbRoom } from './FlyThumb.tsx'
import { Slits } from './Slits.tsx'
import { useSketch } from './useSketch.ts'

interface ListedFlyProps {
  readonly drawingKey: string | null
  readonly pxPerMm: number
  readonly title?: string
}

/** A fly as lists show it; its drawing comes a moment after the list, into room that was kept for it. */
export function ListedFly({ drawingKey, ...props }: ListedFlyProps) {
  const sketch = useSketch(drawingKey)
  if (sketch) return <FlyThumb sketch={sketch} {...props} />
  const room = roomOf(drawingKey ?? '')
  return room ? <ThumbRoom room={room} pxPerMm={props.pxPerMm} /> : null
}

interface ListedSlitsProps {
  readonly drawingKey: string | null
  readonly onHand: number
  readonly keep: number
  readonly label: string
}

/** Slits filled with a fly of a list. */
export function ListedSlits({ drawingKey, ...props }: ListedSlitsProps) {
  return <Slits sketch={useSketch(drawingKey)} {...props} />
}
