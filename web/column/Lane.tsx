import { memo, useMemo, useState } from 'react'
import { wording } from '../../core/index.ts'
import { shortDepth } from '../words/words.ts'
import { defaultUnits } from '../words/defaultUnits.ts'
import { useSettings } from '../wire/useSettings.ts'
import { labels as words } from '../words/frame.ts'
import { GroupLabel, ROW_PX } from './GroupLabel.tsx'
import { labelsFor } from './labelling.ts'
import type { Label } from './labelling.ts'
import { Bars, FLY_PX, Foremost, Leader, softEnd } from './LaneMarks.tsx'
import type { Hung } from './LaneMarks.tsx'
import { MarkButton } from './MarkButton.tsx'
import type { Mark } from './marks.ts'
import { heightShare, LENS_BOTTOM_MM } from './scale.ts'
import { thatFits, thatTellApart } from './shortNames.ts'
import { textWidth, useFontLoaded } from './textWidth.ts'

/** Padding of a label on both sides, and how far from its mark it may stand. */
const PADDING_PX = 10
const FURTHEST_PX = 80
/** The words at the bed keep their own line. */
const FOOT_PX = 16
/** Room at the outer edge for the tips of the bars. */
const TIP_PX = 8
/** Labels may reach over the tips: the bars are seen beside and through them. */
const LABEL_EDGE_PX = 4

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

/** What a mark may be called, the whole first; opened, with its words. */
function namesOf(mark: Mark | undefined, opened: boolean): readonly string[] {
  if (!mark) return []
  const withWords = opened && mark.words ? mark.names.map((name) => `${name} · ${mark.words}`) : []
  return [...withWords, ...mark.names]
}

/** One lane: marks at their true depths, labels beside them with leaders, and what has no room in groups that open in place. */
export const Lane = memo(function Lane({ marks, side, widthPx, heightPx, bedMm, opened }: LaneProps) {
  const units = useSettings().settings?.units ?? defaultUnits
  useFontLoaded()
  const [openGroup, setOpenGroup] = useState<string | null>(null)
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
  const outer = side === 'left' ? 'left' : 'right'
  const inner = side === 'left' ? 'right' : 'left'
  return (
    <div className="lane" style={{ [outer]: 0, width: widthPx }}>
      <svg className="leaders" width={widthPx} height={heightPx} aria-hidden="true">
        {shown.map(({ label, foremost, labelPx }) => {
          if (!foremost) return null
          const across = (fromOuter: number) => (side === 'left' ? fromOuter : widthPx - fromOuter)
          return (
            <Leader
              key={foremost.id}
              of={label.of}
              from={`${across(widthPx - labelPx - 2)} ${label.topPx + ROW_PX / 2}`}
              tipPx={(mark) => across(tipOf(mark))}
              withDots={side === 'left'}
            />
          )
        })}
      </svg>
      <Bars
        marks={marks}
        styleOf={(mark) => ({
          [outer]: 0,
          top: y(mark.fromMm) - 1,
          height: Math.max(y(mark.toMm) - y(mark.fromMm), 3),
          width: Math.max(reach(mark.softWeight), side === 'left' ? 8 : FLY_PX),
          background: softEnd(mark, inner),
        })}
      />
      {side === 'right'
        ? labels.map(({ of }) => <Foremost key={of[0]?.id} of={of} yPx={({ depthMm }) => y(depthMm)} />)
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
})

const middleDepth = ({ of }: Label<Hung>): number => {
  const depths = of.map(({ depthMm }) => depthMm).sort((a, b) => a - b)
  return depths[Math.floor((depths.length - 1) / 2)] ?? 0
}
