import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { wording } from '../../core/index.ts'
import { light, pin } from '../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import { shortDepth } from '../words/words.ts'
import { defaultUnits } from '../words/defaultUnits.ts'
import { useSettings } from '../wire/useSettings.ts'
import { labels as words } from '../words/frame.ts'
import { FlyMark } from './FlyMark.tsx'
import { labelsFor } from './labelling.ts'
import type { Label } from './labelling.ts'
import type { Mark } from './marks.ts'
import { takeHole, useQueueHole } from './queueHole.ts'
import { heightShare, LENS_BOTTOM_MM } from './scale.ts'
import { thatFits, thatTellApart } from './shortNames.ts'
import { textWidth, useFontLoaded } from './textWidth.ts'

/** Height of a label with its gap, its padding on both sides, and how far from its mark it may stand. */
const ROW_PX = 19
const PADDING_PX = 10
const FURTHEST_PX = 80
/** The words at the bed keep their own line. */
const FOOT_PX = 16
/** Room at the outer edge for the silhouettes, and a little for the tips of the bars. */
const FLY_PX = 36
const TIP_PX = 8
/** Labels may reach over the tips: the bars are seen beside and through them. */
const LABEL_EDGE_PX = 4

type Hung = Mark & { readonly atPx: number }

interface LaneProps {
  readonly marks: readonly Mark[]
  readonly side: 'left' | 'right'
  readonly widthPx: number
  readonly heightPx: number
  readonly bedMm: number
  /** the water is opened: whole names, and what they say */
  readonly opened: boolean
}

/** Where a group hangs, in words. */
function groupPlace(depthMm: number, bedMm: number, units: typeof defaultUnits): string {
  if (depthMm < 1) return 'on the film'
  if (depthMm <= LENS_BOTTOM_MM) return 'under the film'
  return depthMm > bedMm * 0.8 ? 'near the bed' : `at ${shortDepth(depthMm, units)}`
}

const nameOf = ({ names, words: more }: Mark) => `${names[0] ?? ''}${more ? `, ${more}` : ''}`

/** What a mark may be called, the whole first; opened, with its words. */
function namesOf(mark: Mark | undefined, opened: boolean): readonly string[] {
  if (!mark) return []
  const withWords = opened && mark.words ? mark.names.map((name) => `${name} · ${mark.words}`) : []
  return [...withWords, ...mark.names]
}

/** One lane: marks at their true depths, labels beside them with leaders, and what has no room in groups that open in place. */
export function Lane({ marks, side, widthPx, heightPx, bedMm, opened }: LaneProps) {
  const units = useSettings().settings?.units ?? defaultUnits
  useFontLoaded()
  const [openGroup, setOpenGroup] = useState<string | null>(null)
  const { lit, pinned } = useAppSelector((state) => state.view)
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  const labels = useMemo(
    () =>
      labelsFor<Hung>(
        marks.map((mark) => ({ ...mark, atPx: heightShare(mark.depthMm, bedMm) * heightPx })),
        {
          fromPx: heightShare(0, bedMm) * heightPx + 2,
          toPx: heightPx - FOOT_PX,
          rowPx: ROW_PX,
          furthestPx: FURTHEST_PX,
        },
      ),
    [marks, bedMm, heightPx],
  )
  const reach = (share: number) => share * (widthPx - TIP_PX)
  /** Where a mark's leader ends, from the lane's outer edge. */
  const tipOf = (mark: Mark) => (side === 'left' ? Math.max(reach(mark.weight), 3) : FLY_PX - 4)
  const roomPx = widthPx - PADDING_PX - LABEL_EDGE_PX - (side === 'left' ? 0 : FLY_PX)
  // as much of each name as there is room for
  const texts = thatTellApart(
    labels.map(({ of }) => (of.length > 1 ? [] : namesOf(of[0], opened))),
    roomPx,
    textWidth,
  )
  const shown = labels.map((label, nth) => {
    const [foremost] = label.of
    const isGroup = label.of.length > 1
    const share = label.of.reduce((sum, { weight }) => sum + weight, 0)
    const where = groupPlace(foremost ? middleDepth(label) : 0, bedMm, units)
    const text = isGroup
      ? thatFits(
          [
            ...(side === 'left' ? [`${label.of.length} ${where} · ${wording.fishOnIt(share)}`] : []),
            `${label.of.length} ${where}`,
            `${label.of.length} more`,
          ],
          roomPx + (side === 'right' ? FLY_PX / 2 : 0),
          textWidth,
        )
      : (texts[nth] ?? '')
    return { label, foremost, isGroup, text, labelPx: textWidth(text) + PADDING_PX }
  })
  // of a group its foremost stands for all, or the one that is pointed at
  const silhouettes = labels.flatMap(({ of }) => of.find(({ id }) => id === lit) ?? of[0] ?? [])
  const outer = side === 'left' ? 'left' : 'right'
  const inner = side === 'left' ? 'right' : 'left'
  return (
    <div className="lane" style={{ [outer]: 0, width: widthPx }}>
      <svg className="leaders" width={widthPx} height={heightPx} aria-hidden="true">
        {shown.map(({ label, foremost, labelPx }) => {
          if (!foremost) return null
          const across = (fromOuter: number) => (side === 'left' ? fromOuter : widthPx - fromOuter)
          const end = across(widthPx - labelPx - 2)
          const pointsAt = label.of.find(({ id }) => id === lit) ?? foremost
          return (
            <g key={foremost.id} data-lit={lit === pointsAt.id}>
              <path d={`M${end} ${label.topPx + ROW_PX / 2}L${across(tipOf(pointsAt))} ${pointsAt.atPx}`} />
              {side === 'left'
                ? label.of.map((mark) => (
                    <circle key={mark.id} cx={across(tipOf(mark))} cy={mark.atPx} r={2.5} />
                  ))
                : null}
            </g>
          )
        })}
      </svg>
      {marks.map((mark) =>
        lit === mark.id || pinned === mark.id ? (
          <span
            key={mark.id}
            className="bar"
            style={{
              [outer]: 0,
              top: y(mark.fromMm) - 1,
              height: Math.max(y(mark.toMm) - y(mark.fromMm), 3),
              width: Math.max(reach(mark.softWeight), side === 'left' ? 8 : FLY_PX),
              background: softEnd(mark, inner),
            }}
          />
        ) : null,
      )}
      {side === 'right'
        ? silhouettes.map((mark) => (
            <FlyMark key={mark.id} mark={mark} atPx={y(mark.depthMm)} roomPx={FLY_PX} />
          ))
        : null}
      {shown.map(({ label, foremost, isGroup, text, labelPx }) => {
        if (!foremost) return null
        const common = { [inner]: 2, top: label.topPx, minWidth: labelPx }
        return isGroup ? (
          <GroupLabel
            key={`group ${foremost.id}`}
            label={label}
            text={text}
            style={common}
            lane={side}
            heightPx={heightPx}
            isOpen={openGroup === foremost.id}
            onOpen={(open) => setOpenGroup(open ? foremost.id : null)}
          />
        ) : (
          <MarkButton key={foremost.id} mark={foremost} text={text} lane={side} style={common} />
        )
      })}
      {marks.length === 0 ? null : <span className="sr">{side === 'left' ? words.food : words.flies}</span>}
    </div>
  )
}

/** Full as far as the mark is sure, then fading to where it may reach: one soft edge for all doubt. */
const softEnd = ({ weight, softWeight, look }: Mark, towards: 'left' | 'right') =>
  `linear-gradient(to ${towards}, var(--${look === 'food' ? 'thistle' : 'moss'}) ${(100 * weight) / Math.max(softWeight, 0.01)}%, transparent)`

const middleDepth = ({ of }: Label<Hung>): number => {
  const depths = of.map(({ depthMm }) => depthMm).sort((a, b) => a - b)
  return depths[Math.floor((depths.length - 1) / 2)] ?? 0
}

const LANES = { left: 'foods', right: 'flies' } as const

/** A mark's name: pointed at or reached by keyboard its mark and its row light up, and Enter opens it. */
function MarkButton({
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
  const { lit, pinned } = useAppSelector((state) => state.view)
  const queue = useQueueHole()
  const isLit = lit === mark.id
  const batch = mark.batch ?? null
  return (
    <button
      type="button"
      data-mark={LANES[lane]}
      data-lit={isLit}
      data-pinned={pinned === mark.id}
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

/** Below its label in the upper half of the water, above it in the lower. */
const besideLabel = (topPx: number, heightPx: number): React.CSSProperties =>
  topPx < heightPx / 2 ? { top: topPx + ROW_PX } : { bottom: heightPx - topPx }

/** Marks that share a label for want of room; opened, each by its whole name. */
function GroupLabel({
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
  const lit = useAppSelector((state) => state.view.lit)
  const pointedAt = label.of.find(({ id }) => id === lit)
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
