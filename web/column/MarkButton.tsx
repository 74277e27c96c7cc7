import { useNavigate } from 'react-router'
import { useIsLit } from '../wire/lit.ts'
import { light, pin } from '../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import type { Mark } from './marks.ts'
import { takeHole, useQueueHole } from './queueHole.ts'

/** What the marks of either lane are. */
export const LANES = { left: 'foods', right: 'flies' } as const

/** A mark's whole name, and what else is said of it. */
export const nameOf = ({ names, words: more }: Mark) => `${names[0] ?? ''}${more ? `, ${more}` : ''}`

/** A mark's name: pointed at or reached by keyboard its mark and its row light up, and Enter opens it. */
export function MarkButton({
  mark,
  text,
  lane,
  style,
}: {
  readonly mark: Mark
  readonly text: string
  readonly lane: 'left' | 'right'
  readonly style?: React.CSSProperties
}) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const isLit = useIsLit(mark.id)
  const isPinned = useAppSelector(({ view }) => view.pinned === mark.id)
  const queue = useQueueHole()
  const batch = mark.batch ?? null
  return (
    <button
      type="button"
      data-mark={LANES[lane]}
      data-lit={isLit}
      data-pinned={isPinned}
      className={mark.look}
      aria-label={nameOf(mark)}
      style={style}
      onMouseEnter={() => dispatch(light(mark.id))}
      onMouseLeave={() => dispatch(light(null))}
      onFocus={() => dispatch(light(mark.id))}
      onBlur={() => dispatch(light(null))}
      onClick={() => (mark.to ? void navigate(mark.to) : undefined)}
      draggable={batch !== null}
      onDragStart={batch ? (event) => takeHole(event, batch) : undefined}
      onKeyDown={(event) => {
        const key = event.key.toLowerCase()
        if (event.ctrlKey || event.altKey || event.metaKey) return
        if (key === 'p') dispatch(pin(mark.id))
        else if (key === 'b' && batch) void queue(batch)
        else return
        event.preventDefault()
        event.stopPropagation()
      }}
    >
      {isLit ? nameOf(mark) : text}
    </button>
  )
}
