import { FlyThumb } from '../drawing/FlyThumb.tsx'
import { useSketch } from '../drawing/useSketch.ts'
import { useIsLit } from '../wire/lit.ts'
import { light } from '../wire/state.ts'
import { useAppDispatch } from '../wire/store.ts'
import type { Mark } from './marks.ts'

/** The largest that a fly is shown in the Column. */
const MOST_PX_PER_MM = 2

interface FlyMarkProps {
  readonly mark: Mark
  readonly atPx: number
  /** room at the outer edge of the lane */
  readonly roomPx: number
}

/** A fly's own silhouette at its true depth; an empty outline where none is on hand, or nothing serves. */
export function FlyMark({ mark, atPx, roomPx }: FlyMarkProps) {
  const dispatch = useAppDispatch()
  const isLit = useIsLit(mark.id)
  const sketch = useSketch(mark.look === 'fly' || mark.look === 'packed' ? mark.drawingKey : null)
  const pxPerMm = sketch ? Math.min((roomPx - 8) / sketch.frame.widthMm, MOST_PX_PER_MM) : 0
  return (
    <span
      className={sketch ? 'silhouette' : 'outline'}
      data-look={mark.look}
      data-lit={isLit}
      aria-hidden="true"
      style={{ top: atPx, right: 2, maxWidth: roomPx - 6 }}
      onMouseEnter={() => dispatch(light(mark.id))}
      onMouseLeave={() => dispatch(light(null))}
    >
      {sketch ? <FlyThumb sketch={sketch} pxPerMm={pxPerMm} /> : null}
    </span>
  )
}
