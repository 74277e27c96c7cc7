import type { StageLine } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { labels } from '../../words/note.ts'
import { wholeUpTo } from './noteWords.ts'

/** A food of a sample, and how many of it were counted, as written. */
export interface Counted {
  readonly stage: StageLine
  readonly count: string
}

const MOST = 100_000

/** How many were counted; null where that cannot be read. */
export const countOf = ({ count }: Counted): number | null => wholeUpTo(count, MOST) ?? null

interface CountedFoodsProps {
  readonly counted: readonly Counted[]
  readonly onChange: (counted: readonly Counted[]) => void
  readonly onNoteAll: () => void
}

/** The foods of a sample with their counts, and what notes all of them. */
export function CountedFoods({ counted, onChange, onNoteAll }: CountedFoodsProps) {
  return (
    <>
      {counted.map(({ stage, count }) => (
        <div key={stage.id} className="counted">
          <span>
            {stage.foodName}, {stage.stageName}
          </span>
          <TextField
            label={labels.howMany}
            value={count}
            onChange={(text) =>
              onChange(counted.map((one) => (one.stage.id === stage.id ? { stage, count: text } : one)))
            }
            fault={wholeUpTo(count, MOST) === undefined ? labels.wholeNumber : undefined}
          />
          <Button
            look="quiet"
            aria-label={`Leave ${stage.foodName}, ${stage.stageName} out`}
            onPress={() => onChange(counted.filter((one) => one.stage.id !== stage.id))}
          >
            ×
          </Button>
        </div>
      ))}
      {counted.length > 0 ? (
        <Button look="main" isDisabled={counted.some((one) => countOf(one) === null)} onPress={onNoteAll}>
          {labels.noteThem}
        </Button>
      ) : null}
    </>
  )
}
