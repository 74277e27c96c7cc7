import { FlyThumb } from './FlyThumb.tsx'
import { Slits } from './Slits.tsx'
import { useSketch } from './useSketch.ts'

interface ListedFlyProps {
  readonly drawingKey: string | null
  readonly pxPerMm: number
  readonly title?: string
}

/** A fly as lists show it; its drawing comes a moment after the list. */
export function ListedFly({ drawingKey, ...props }: ListedFlyProps) {
  const sketch = useSketch(drawingKey)
  return sketch ? <FlyThumb sketch={sketch} {...props} /> : null
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
