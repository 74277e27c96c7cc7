import { useLitAmong } from '../wire/lit.ts'
import { useAppSelector } from '../wire/store.ts'
import { FlyMark } from './FlyMark.tsx'
import type { Mark } from './marks.ts'

/** Room at the outer edge of a lane for the silhouettes of flies. */
export const FLY_PX = 36

/** A mark where it hangs, px below the top of its lane. */
export type Hung = Mark & { readonly atPx: number }

interface LeaderProps {
  readonly of: readonly Hung[]
  /** where it leaves the label, px */
  readonly from: string
  /** where it ends, px across the lane */
  readonly tipPx: (mark: Mark) => number
  /** whether each mark has a dot: a food has no picture */
  readonly withDots: boolean
}

/** The line from a label to its mark; from a group's to the foremost, or to the one that is pointed at. */
export function Leader({ of, from, tipPx, withDots }: LeaderProps) {
  const lit = useLitAmong(of)
  const pointsAt = lit ?? of[0]
  if (!pointsAt) return null
  return (
    <g data-lit={lit !== undefined}>
      <path d={`M${from}L${tipPx(pointsAt)} ${pointsAt.atPx}`} />
      {withDots ? of.map((mark) => <circle key={mark.id} cx={tipPx(mark)} cy={mark.atPx} r={2.5} />) : null}
    </g>
  )
}

interface BarsProps {
  readonly marks: readonly Mark[]
  readonly styleOf: (mark: Mark) => React.CSSProperties
}

/** The stretches that marks are met in, while they are pointed at or pinned. */
export function Bars({ marks, styleOf }: BarsProps) {
  const lit = useLitAmong(marks)
  const pinned = useAppSelector(({ view }) => marks.find(({ id }) => id === view.pinned))
  return [...new Set([lit, pinned])].map((mark) =>
    mark ? <span key={mark.id} className="bar" style={styleOf(mark)} /> : null,
  )
}

/** Of a group its foremost fly stands for all, or the one that is pointed at. */
export function Foremost({ of, yPx }: { readonly of: readonly Hung[]; readonly yPx: (mark: Mark) => number }) {
  const shown = useLitAmong(of) ?? of[0]
  return shown ? <FlyMark key={shown.id} mark={shown} atPx={yPx(shown)} roomPx={FLY_PX} /> : null
}

/** Full as far as the mark is sure, then fading to where it may reach: one soft edge for all doubt. */
export const softEnd = ({ weight, softWeight, look }: Mark, towards: 'left' | 'right') =>
  `linear-gradient(to ${towards}, var(--${look === 'food' ? 'thistle' : 'moss'}) ${(100 * weight) / Math.max(softWeight, 0.01)}%, transparent)`
