import type { Mark } from './marks.ts'
import { heightShare } from './scale.ts'

const ROWS = 120
/** Foods of the film have no height of their own; half a row is lent them. */
const HALF_ROW = 0.5 / ROWS
/** The widest leaves a little room before the middle. */
const MOST = 0.95

interface ProfileProps {
  readonly marks: readonly Mark[]
  readonly widthPx: number
  readonly heightPx: number
  readonly bedMm: number
}

/** The foods as one outline from the outer edge: at each depth as far towards the middle as its widest; its soft end pale. */
export function Profile({ marks, widthPx, heightPx, bedMm }: ProfileProps) {
  const outline = (weightOf: (mark: Mark) => number) => {
    const rows = Array.from({ length: ROWS + 1 }, (_, row) => {
      const share = row / ROWS
      const widest = marks.reduce((most, mark) => {
        const inside =
          share >= heightShare(mark.fromMm, bedMm) - HALF_ROW &&
          share <= heightShare(mark.toMm, bedMm) + HALF_ROW
        return inside ? Math.max(most, weightOf(mark)) : most
      }, 0)
      return `L${(widest * MOST * widthPx).toFixed(1)} ${(share * heightPx).toFixed(1)}`
    })
    return `M0 0${rows.join('')}L0 ${heightPx}Z`
  }
  return (
    <svg
      width={widthPx}
      height={heightPx}
      aria-hidden="true"
      style={{ position: 'absolute', top: 0, left: 0, pointerEvents: 'none' }}
    >
      <path d={outline(({ softWeight }) => softWeight)} fill="var(--thistle)" opacity={0.18} />
      <path d={outline(({ weight }) => weight)} fill="var(--thistle)" opacity={0.42} />
    </svg>
  )
}
