import { useLitAmong } from '../wire/lit.ts'
import type { Label } from './labelling.ts'
import type { Hung } from './LaneMarks.tsx'
import { LANES, MarkButton, nameOf } from './MarkButton.tsx'

/** Height of a label with its gap. */
export const ROW_PX = 19

/** Below its label in the upper half of the water, above it in the lower. */
const besideLabel = (topPx: number, heightPx: number): React.CSSProperties =>
  topPx < heightPx / 2 ? { top: topPx + ROW_PX } : { bottom: heightPx - topPx }

/** Marks that share a label for want of room; opened, each by its whole name. */
export function GroupLabel({
  label,
  text,
  style,
  lane,
  heightPx,
  isOpen,
  onOpen,
}: {
  readonly label: Label<Hung>
  readonly text: string
  readonly style: React.CSSProperties
  readonly lane: 'left' | 'right'
  readonly heightPx: number
  readonly isOpen: boolean
  readonly onOpen: (open: boolean) => void
}) {
  const pointedAt = useLitAmong(label.of)
  return (
    <>
      <button
        type="button"
        data-mark={LANES[lane]}
        data-lit={pointedAt !== undefined}
        className="group"
        aria-expanded={isOpen}
        style={style}
        onClick={() => onOpen(!isOpen)}
      >
        {pointedAt && !isOpen ? nameOf(pointedAt) : text}
      </button>
      {isOpen ? (
        <div
          className="members"
          style={{ [lane === 'left' ? 'left' : 'right']: 2, ...besideLabel(label.topPx, heightPx) }}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            event.stopPropagation()
            onOpen(false)
          }}
        >
          {label.of.map((mark) => (
            <MarkButton key={mark.id} mark={mark} text={nameOf(mark)} lane={lane} />
          ))}
        </div>
      ) : null}
    </>
  )
}
