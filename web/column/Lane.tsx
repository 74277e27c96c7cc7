import { useNavigate } from 'react-router'
import { light, pin } from '../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import type { Mark } from './marks.ts'
import { heightShare, spread } from './scale.ts'

const LABEL_GAP_PX = 33
const BED_LABEL_PX = 16
const ROWS = 90
const LOOKS: Readonly<Record<Mark['look'], string>> = {
  food: 'var(--thistle)',
  fly: 'var(--moss)',
  hole: 'var(--madder)',
}

interface LaneProps {
  readonly marks: readonly Mark[]
  readonly side: 'left' | 'right'
  readonly heightPx: number
  readonly bedMm: number
  readonly lane: 'foods' | 'flies'
}

/** Full as far as the mark is sure, then fading to where it may reach: one soft edge for all doubt. */
const softEnd = (mark: Mark, side: 'left' | 'right') =>
  `linear-gradient(to ${side}, ${LOOKS[mark.look]} ${(100 * mark.weight) / Math.max(mark.softWeight, 0.01)}%, transparent)`

/** The whole lane as one outline: at each depth as wide as its widest mark; drawn twice, with and without soft ends. */
export function Profile({
  marks,
  side,
  heightPx,
  bedMm,
  soft,
}: Omit<LaneProps, 'lane'> & { readonly soft: boolean }) {
  const widths = Array.from({ length: ROWS + 1 }, (_, row) => {
    const share = row / ROWS
    return marks.reduce((widest, mark) => {
      const [top, bottom] = [heightShare(mark.fromMm, bedMm), heightShare(mark.toMm, bedMm)]
      const inside = share >= top - 0.006 && share <= bottom + 0.006
      return inside ? Math.max(widest, soft ? mark.softWeight : mark.weight) : widest
    }, 0)
  })
  const x = (width: number) => (side === 'left' ? 100 - width * 96 : width * 96)
  const path = widths
    .map((width, row) => `L${x(width).toFixed(1)} ${((row / ROWS) * heightPx).toFixed(1)}`)
    .join('')
  const edge = side === 'left' ? 100 : 0
  return (
    <svg
      viewBox={`0 0 100 ${heightPx}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      style={{ position: 'absolute', top: 0, [side]: 0, width: '50%', height: heightPx, pointerEvents: 'none' }}
    >
      <path
        d={`M${edge} 0${path}L${edge} ${heightPx}Z`}
        fill={side === 'left' ? 'var(--thistle)' : 'var(--moss)'}
        opacity={soft ? 0.14 : 0.26}
      />
    </svg>
  )
}

/** One lane of marks: each a button that keeps clear of its neighbours, and a bar at its depth while it is lit. */
export function Lane({ marks, side, heightPx, bedMm, lane }: LaneProps) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { lit, pinned } = useAppSelector((state) => state.view)
  const tops = spread(
    marks.map(({ fromMm }) => heightShare(fromMm, bedMm) * heightPx),
    LABEL_GAP_PX,
    heightPx - LABEL_GAP_PX - BED_LABEL_PX,
  )
  return marks.map((mark, i) => {
    const top = heightShare(mark.fromMm, bedMm) * heightPx
    const tall = Math.max(heightShare(mark.toMm, bedMm) * heightPx - top, 3)
    return (
      <span key={mark.id}>
        {lit === mark.id || pinned === mark.id ? (
          <span
            className="bar"
            style={{
              [side === 'left' ? 'right' : 'left']: '50%',
              top,
              height: tall,
              width: `calc(${Math.max(mark.softWeight, 0.06)} * (50% - 8px))`,
              background: softEnd(mark, side),
            }}
          />
        ) : null}
        <button
          type="button"
          data-mark={lane}
          data-lit={lit === mark.id}
          data-pinned={pinned === mark.id}
          className={mark.look}
          style={{ [side]: 3, top: tops[i], ...(mark.narrow ? { width: 'calc(50% - 58px)' } : {}) }}
          onMouseEnter={() => dispatch(light(mark.id))}
          onMouseLeave={() => dispatch(light(null))}
          onFocus={() => dispatch(light(mark.id))}
          onBlur={() => dispatch(light(null))}
          onClick={() => (mark.to ? void navigate(mark.to) : undefined)}
          onKeyDown={(event) => {
            if (event.key.toLowerCase() !== 'p') return
            event.preventDefault()
            event.stopPropagation()
            dispatch(pin(mark.id))
          }}
        >
          <span className="name">{mark.label}</span>
          <span className="words">{mark.words}</span>
        </button>
      </span>
    )
  })
}
