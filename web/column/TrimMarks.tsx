import type { PointerEvent } from 'react'
import type { TrimLine } from './marks.ts'
import { depthAtShare, heightShare } from './scale.ts'

interface TrimMarksProps {
  readonly trim: TrimLine
  readonly bedMm: number
  readonly heightPx: number
}

/** In the lens: how high a fly rides, and as a ghost how high it would after a cut; dragged, it asks for the cut. */
export default function TrimMarks({ trim, bedMm, heightPx }: TrimMarksProps) {
  const { clearMm, ghostMm, words, onDrag } = trim
  const top = (mm: number) => Math.max(heightShare(-mm, bedMm) * heightPx - 8, 0)
  const drag = (event: PointerEvent<HTMLElement>) => {
    const water = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!onDrag || !water || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    onDrag(-depthAtShare((event.clientY - water.top) / water.height, bedMm))
  }
  return (
    <>
      <span
        className="grip"
        data-trim="true"
        data-drags={onDrag !== null}
        style={{ top: top(clearMm) }}
        onPointerDown={(event) => (onDrag ? event.currentTarget.setPointerCapture(event.pointerId) : undefined)}
        onPointerMove={drag}
      >
        {words(clearMm)}
      </span>
      {ghostMm === null ? null : (
        <span className="grip" data-trim="true" data-ghost="true" style={{ top: top(ghostMm) + 18 }}>
          {words(ghostMm)}
        </span>
      )}
    </>
  )
}
