import { useCallback, useMemo, useState } from 'react'
import { trimmable, trimSteps, waterAt, wording } from '../../../core/index.ts'
import type { Trimmed } from '../../../core/index.ts'
import type { TrimLine } from '../../column/marks.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { once } from '../../ui/once.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { labels } from '../../words/patterns.ts'
import { useWording } from '../../words/useWording.ts'
import { asVariant } from './cutVariant.ts'
import type { WorkedOut } from './useFlyReport.ts'

type Ridden = Trimmed & { readonly ride: NonNullable<Trimmed['ride']> }

/** A cut that is only thought of, said against the fly as it is. */
interface ThoughtCut {
  readonly words: string
  readonly make: () => void
  readonly letGo: () => void
}

/** The trim line of a fly that floats: how high its top stands above the film, and what a cut that is thought of makes of it. */
export function useTrimLine(
  worked: WorkedOut | null,
  draft: Draft | null,
  variant: DraftVariant | undefined,
  book: MaterialBook | null,
  waterTempC: number,
  onMake: (edit: Partial<Draft>, id: string) => void,
): { readonly line: TrimLine | null; readonly thought: ThoughtCut | null } {
  const { small, units } = useWording()
  const [left, setLeft] = useState<{ readonly of: string; readonly left: number } | null>(null)
  const floats = worked?.report.kind === 'floats' ? worked.report : null
  const cuttable = useMemo(() => (floats && worked ? trimmable(worked.fly)[0] : undefined), [floats, worked])
  // eight cuts are eight flies: they are worked out when someone takes up the shears
  const steps = useMemo(
    () =>
      once((): readonly Ridden[] =>
        worked && cuttable
          ? trimSteps(worked.fly, cuttable.component.key, cuttable.how, waterAt(waterTempC)).filter(
              (step): step is Ridden => step.ride !== null,
            )
          : [],
      ),
    [worked, cuttable, waterTempC],
  )
  const isThought = cuttable !== undefined && left !== null && left.of === variant?.id
  const ghost = isThought ? (steps().find(({ cut }) => cut.left === left.left) ?? null) : null
  const isCut = ghost !== null && ghost.cut.left < 1

  const think = useCallback(
    (step: Ridden | undefined) => {
      if (step && variant) setLeft({ of: variant.id, left: step.cut.left })
    },
    [variant],
  )
  const letGo = () => setLeft(null)
  const step = (by: 1 | -1) => {
    const all = steps()
    think(all[(ghost ? all.indexOf(ghost) : 0) + by])
  }
  const make = () => {
    if (!isCut || !draft || !variant || !book || !cuttable) return
    const made = asVariant(draft, variant, ghost.cut, cuttable.component.lengthMm, book.materials)
    onMake({ variants: [...draft.variants, made] }, made.id)
    letGo()
  }
  usePlaceActions([
    ...(cuttable
      ? [
          { key: 'Alt+ArrowDown', what: labels.cutItLower, go: () => step(1) },
          { key: 'Alt+ArrowUp', what: labels.cutItLess, go: () => step(-1) },
        ]
      : []),
    ...(isCut
      ? [
          { key: 'Enter', what: labels.makeThatCut, go: make },
          { key: 'Escape', what: labels.letTheCutGo, go: letGo },
        ]
      : []),
  ])

  const onDrag = useCallback(
    (clearMm: number) => {
      const off = ({ ride }: Ridden) => Math.abs(ride.freeHeightMm - clearMm)
      think([...steps()].sort((a, b) => off(a) - off(b))[0])
    },
    [steps, think],
  )
  const own = floats?.ride
  const line = useMemo<TrimLine | null>(
    () =>
      own
        ? {
            clearMm: own.freeHeightMm,
            ghostMm: isCut ? ghost.ride.freeHeightMm : null,
            words: (clearMm) => `${small(clearMm)} ${labels.clear}`,
            onDrag: cuttable ? onDrag : null,
          }
        : null,
    // eslint-disable-next-line react-hooks/exhaustive-deps -- small is made anew at each render and depends on units alone
    [own, ghost, isCut, cuttable, onDrag],
  )
  const thought =
    isCut && own && cuttable
      ? {
          words: wording.cutWords(
            wording.componentName[cuttable.component.kind],
            ghost.cut,
            { from: own, to: ghost.ride },
            units,
          ),
          make,
          letGo,
        }
      : null
  return { line, thought }
}
