import { useState } from 'react'
import { stepMoved, stepsOf, withOwnStep, withoutStep, withStepNote, wording } from '../../../core/index.ts'
import type { Step } from '../../../core/index.ts'
import type { ChangeDraft, Draft, DraftVariant } from '../../recipe/draft.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/patterns.ts'

/** The dressing with all of its parts, whatever a variant leaves out. */
const WHOLE = { hookMaterialId: '', swaps: [] }

interface OneStepProps {
  readonly step: Step
  readonly title: string
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly onSteps: (change: (steps: readonly Step[]) => readonly Step[]) => void
}

/** A step with what the tier adds to it, and its place among the others. */
function OneStep({ step, title, isFirst, isLast, onSteps }: OneStepProps) {
  const { key, verb, note } = step
  const isOwn = verb === 'own'
  return (
    <li style={{ padding: '5px 0', borderBottom: '1px solid var(--rule)' }}>
      <Row $gap={6}>
        <span style={{ flex: '1 1 180px' }}>{isOwn ? <Quiet>{labels.ownStep}</Quiet> : title}</span>
        <TextField
          label={isOwn ? labels.whatToDo : labels.tipOf(title)}
          hideLabel
          placeholder={isOwn ? labels.sweepBack : labels.ownTip}
          value={note}
          onChange={(text) => onSteps((steps) => withStepNote(steps, key, text))}
          width="240px"
        />
        <Button
          look="quiet"
          aria-label={labels.stepEarlier(title)}
          isDisabled={isFirst}
          onPress={() => onSteps((steps) => stepMoved(steps, key, -1))}
        >
          ↑
        </Button>
        <Button
          look="quiet"
          aria-label={labels.stepLater(title)}
          isDisabled={isLast}
          onPress={() => onSteps((steps) => stepMoved(steps, key, 1))}
        >
          ↓
        </Button>
        <Button
          look="quiet"
          aria-label={isOwn ? labels.takeOutStep(title) : labels.stepAfter(title)}
          onPress={() => onSteps((steps) => (isOwn ? withoutStep(steps, key) : withOwnStep(steps, key)))}
        >
          {isOwn ? '−' : '+'}
        </Button>
      </Row>
    </li>
  )
}

/** The steps at the vise: in another order, with tips and steps of one's own, or as they follow from the dressing. */
export function Steps({
  draft,
  variant,
  onChange,
}: {
  readonly draft: Draft
  readonly variant: DraftVariant
  readonly onChange: ChangeDraft
}) {
  const [open, setOpen] = useState(false)
  const steps = stepsOf({ components: draft.components, steps: draft.steps }, variant)
  const kinds = new Map(draft.components.map(({ key, kind }) => [key, kind]))
  const edited = draft.steps !== null
  const onSteps: OneStepProps['onSteps'] = (change) =>
    onChange(({ components, steps: before }) => ({
      steps: [...change(stepsOf({ components, steps: before }, WHOLE))],
    }))
  return (
    <div>
      <Row>
        <Button look="quiet" aria-expanded={open} onPress={() => setOpen(!open)}>
          {labels.stepsAtTheVise(steps.length, edited)}
        </Button>
        {open && edited ? (
          <Button look="quiet" onPress={() => onChange({ steps: null })}>
            {labels.asTheyFollow}
          </Button>
        ) : null}
      </Row>
      {open ? (
        <ol aria-label={labels.steps}>
          {steps.map((step, i) => (
            <OneStep
              key={step.key}
              step={step}
              title={wording.stepTitle(step, kinds.get(step.componentKey ?? '') ?? null)}
              isFirst={i === 0}
              isLast={i === steps.length - 1}
              onSteps={onSteps}
            />
          ))}
        </ol>
      ) : null}
    </div>
  )
}
