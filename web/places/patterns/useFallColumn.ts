import { useMemo } from 'react'
import { depthAtTime } from '../../../core/index.ts'
import type { Rung } from '../../../core/index.ts'
import type { PatternView } from '../../../contract/index.ts'
import { useColumn } from '../../column/marks.ts'
import type { ColumnContent, FallMark, Mark, SecondMark, TrimLine } from '../../column/marks.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import type { Draft } from '../../recipe/draft.ts'
import type { WorkedOut } from './useFlyReport.ts'

const LAST_SECOND = 12

/** Second marks of a fall down to the bed, thinned where they would crowd, with the band of speed as smear. */
function secondsOf(
  { report, descent }: Pick<WorkedOut, 'report' | 'descent'>,
  bedMm: number,
): readonly SecondMark[] {
  if (report.kind !== 'sinks' || !descent) return []
  const { value, low, high } = (report.trailing ?? report.free).sinkSpeedMmPerS
  const marks: SecondMark[] = []
  let last = -Infinity
  for (let timeS = 1; timeS <= LAST_SECOND; timeS += 1) {
    const depthMm = depthAtTime(descent, timeS)
    if (depthMm >= bedMm) break
    if (depthMm - last < bedMm * 0.06) continue
    last = depthMm
    marks.push({
      timeS,
      depthMm,
      lowMm: (depthMm * low) / value,
      highMm: Math.min((depthMm * high) / value, bedMm),
    })
  }
  return marks
}

/** Variants of the pattern beside the chosen one: rungs, at the depth each reaches in two seconds. */
function rungs(
  pattern: PatternView | undefined,
  chosenId: string | undefined,
  bedMm: number,
  fall: (figure: PatternView['variants'][number]['figure']) => string,
): readonly Mark[] {
  return (pattern?.variants ?? [])
    .filter(({ id }) => id !== chosenId)
    .map(({ id, label, figure }, nth) => {
      const depthMm = figure.kind === 'sinks' ? Math.min((figure.trailingSpeedMmPerS ?? 0) * 2, bedMm) : 0
      return {
        id,
        names: [label],
        words: fall(figure),
        depthMm,
        fromMm: Math.max(depthMm - 30, 0),
        toMm: depthMm,
        weight: 0,
        softWeight: 0,
        look: 'fly',
        drawingKey: figure.drawingKey,
        rank: -nth,
        to: `/patterns/${pattern?.id}?variant=${id}`,
      }
    })
}

/** Hangs the chosen variant's fall and its sisters in the Column. */
export function useFallColumn(
  worked: WorkedOut | null,
  draft: Draft | null,
  pattern: PatternView | undefined,
  chosenId: string | undefined,
  { ghost, onDrag }: { readonly ghost: Rung | null; readonly onDrag: FallMark['onDrag'] },
  trim: TrimLine | null,
): void {
  const moment = useMoment()
  const { fall } = useWording()
  const bedMm = moment?.reach.typicalDepthMm ?? 1000
  const serves = draft?.serves
  const content = useMemo<ColumnContent>(() => {
    const foods = (serves ?? []).map(({ foodStageId }) => foodStageId)
    return {
      flies: rungs(pattern, chosenId, bedMm, fall),
      fall: worked
        ? { seconds: secondsOf(worked, bedMm), ghost: ghost ? secondsOf(ghost, bedMm) : [], onDrag }
        : null,
      trim,
      foods: foods.length > 0 ? foods : null,
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- speed is made anew at each render and depends on units alone
  }, [worked, pattern, chosenId, bedMm, serves, ghost, onDrag, trim])
  useColumn(content)
}
