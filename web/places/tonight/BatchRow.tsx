import { useMemo } from 'react'
import { Link } from 'react-router'
import { resolveDressing, sketchOf, wording } from '../../../core/index.ts'
import type { PlannedNeed } from '../../../core/index.ts'
import type { StageLine } from '../../../contract/index.ts'
import { usePatternQuery } from '../../wire/answers.ts'
import { FlyThumb } from '../../drawing/FlyThumb.tsx'
import { ListedFly } from '../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import type { Ahead, AheadBatch } from './ahead.ts'
import type { Newcomer } from './useNewcomers.ts'
import { clockTime, dayName } from '../../words/words.ts'
import { labels } from '../../words/ahead.ts'

const MOST_COVERED = 3
const NO_DRAWERS: readonly never[] = []

/** A need as it is said. */
export function needName(
  { kind, stageKey }: Pick<PlannedNeed, 'kind' | 'stageKey'>,
  stages: ReadonlyMap<string, StageLine>,
): string {
  const stage = stages.get(stageKey ?? '')
  if (stage) return `${stage.foodName}, ${stage.stageName}`
  return kind === 'anchor' ? labels.anchor : labels.whateverComes
}

/** `Sat 13:00–15:00, large burrowing mayfly, dun: nothing else to show` for the needs that a batch adds most to. */
function Covers({ batch, plan, stages }: Pick<BatchRowProps, 'batch' | 'plan' | 'stages'>) {
  const rest = batch.covers.length - MOST_COVERED
  return (
    <>
      {batch.covers
        .slice(0, MOST_COVERED)
        .map(({ need: key, hours, fromLocalMin, toLocalMin, elseNothing }) => {
          const need = plan.needs.get(key)
          const outing = plan.planned.outings.find(({ outingId }) => outingId === need?.outingKey)
          return need && outing ? (
            <div key={key}>
              {dayName(outing.on)} {clockTime(fromLocalMin)}–{clockTime(toLocalMin)}, {needName(need, stages)}:{' '}
              {elseNothing ? labels.nothingElseToShow : `+${wording.shortHours(hours)}`}
            </div>
          ) : null
        })}
      {rest > 0 ? <div>{rest} more</div> : null}
    </>
  )
}

/** A fly that nobody made yet, as it would look. */
function NewcomerFly({ newcomer, pxPerMm }: { readonly newcomer: Newcomer; readonly pxPerMm: number }) {
  const { data: pattern } = usePatternQuery(newcomer.patternId)
  const book = useMaterialBook(NO_DRAWERS)
  const sketch = useMemo(() => {
    if (!pattern || !book) return null
    const fly = resolveDressing(pattern.dressing, newcomer, book.materials)
    return fly.kind === 'fly' ? sketchOf(fly) : null
  }, [pattern, book, newcomer])
  return sketch ? <FlyThumb sketch={sketch} pxPerMm={pxPerMm} title={newcomer.name} /> : null
}

interface BatchRowProps {
  readonly batch: AheadBatch
  readonly plan: Ahead
  readonly stages: ReadonlyMap<string, StageLine>
  /** the number that the user fixed; nothing where the plan chose */
  readonly fixed: number | undefined
  readonly onFix: (count: number | null) => void
  readonly onQueue: () => void
}

/** One batch of the plan: how many, of what, for what, and what leaving it out would cost. */
export function BatchRow({ batch, plan, stages, fixed, onFix, onQueue }: BatchRowProps) {
  const pxPerMm = useTrueSize()
  const { variant, newcomer, count, nightsToDry } = batch
  return (
    <tr>
      <td className="fly wide">
        {newcomer ? (
          <NewcomerFly newcomer={newcomer} pxPerMm={pxPerMm} />
        ) : (
          <ListedFly drawingKey={variant.figure.drawingKey} pxPerMm={pxPerMm} title={variant.name} />
        )}
      </td>
      <td>
        <NumberField
          label={`How many ${variant.name}`}
          hideLabel
          value={fixed ?? count}
          min={0}
          max={12}
          width="64px"
          onChange={(value) => (value === null || !Number.isInteger(value) ? undefined : onFix(value))}
        />
      </td>
      <td>
        {newcomer ? (
          variant.name
        ) : (
          <Link to={`/patterns/${variant.patternId}?variant=${variant.variantId}`}>{variant.name}</Link>
        )}
        <br />
        <Quiet>
          {newcomer ? 'not made yet: queuing makes it' : `${variant.onHand} on hand`}
          {variant.queued > 0 ? `, ${variant.queued} at the bench` : ''}
          {newcomer ? '' : `, ${wording.trustWord[variant.trust]}`}
        </Quiet>
      </td>
      <td className="number">
        {Math.round(batch.minutes)} min
        <br />
        <Quiet>{variant.timedFlies > 0 ? `timed ×${variant.timedFlies}` : 'usual'}</Quiet>
        {nightsToDry > 0 ? (
          <>
            <br />
            <Quiet>{nightsToDry === 1 ? 'dries a night' : `dries ${nightsToDry} nights`}</Quiet>
          </>
        ) : null}
      </td>
      <td className="covers wide">
        <Covers batch={batch} plan={plan} stages={stages} />
      </td>
      <td className="number wide">−{wording.shortHours(batch.costOfLeaving)}</td>
      <td>
        <Row $gap={4}>
          <Button onPress={onQueue} aria-label={`Queue ${count} ${variant.name}`}>
            {labels.queue}
          </Button>
          {fixed === undefined ? (
            <Button look="quiet" onPress={() => onFix(0)} aria-label={`Leave ${variant.name} out`}>
              {labels.leaveOut}
            </Button>
          ) : (
            <Button look="quiet" onPress={() => onFix(null)} aria-label={`Let the plan choose ${variant.name}`}>
              {labels.letItChoose}
            </Button>
          )}
        </Row>
      </td>
    </tr>
  )
}
