import type { BenchView } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { Cautions } from './Cautions.tsx'
import { Gauge } from './Gauge.tsx'
import { StepFigures } from './StepFigures.tsx'
import type { useViseActions } from './useViseActions.ts'
import { labels } from '../../words/bench.ts'

type OnVise = NonNullable<BenchView['onVise']>

interface StepPanelProps {
  readonly vise: OnVise
  readonly step: OnVise['steps'][number]
  readonly actions: ReturnType<typeof useViseActions>
}

/** What the way on does: the next step, a fly counted at the last, and the batch finished when all are done. */
function wayOnWords({ isWhole, isLast, doneCount }: StepPanelProps['actions'], planned: number): string {
  if (isWhole) return `${doneCount} of ${planned}: finish`
  return isLast ? `Fly ${doneCount + 1} of ${planned} done` : labels.nextStep
}

/** The step at hand, large: what to do, of what, with the numbers for this hook, and what usually goes wrong. */
export function StepPanel({ vise, step, actions }: StepPanelProps) {
  const { batch, steps, shankMm } = vise
  return (
    <div className="step">
      <Quiet>
        {batch.patternName} {batch.label} on {vise.hookName} · step {actions.now + 1} of {steps.length}
      </Quiet>
      <h2 aria-live="polite">{step.title}</h2>
      {step.materialName ? (
        <p className="material">
          <span
            style={{
              display: 'inline-block',
              width: 18,
              height: 18,
              marginRight: 8,
              verticalAlign: -3,
              border: '1px solid var(--quiet)',
              background: step.colourHex ?? 'transparent',
            }}
          />
          {step.materialName}
        </p>
      ) : null}
      <StepFigures step={step} shankMm={shankMm} />
      {step.note ? <p>{step.note}</p> : null}
      {step.tip ? <p className="goes-wrong">{step.tip}</p> : null}
      <Cautions key={step.key} step={step} />
      {actions.doneCount <= 1 ? <Gauge figure={vise.figure} variantId={batch.variantId} /> : null}
      {actions.station ? (
        <p style={{ fontSize: '1.25rem' }}>
          <span className="figures">{actions.station.through}</span> of{' '}
          <span className="figures">{actions.station.flies}</span> through this step
        </p>
      ) : null}
      <Row className="way-on">
        <Button large look="main" onPress={actions.next}>
          {wayOnWords(actions, batch.planned)}
        </Button>
        <Button large onPress={actions.back} isDisabled={actions.now === 0}>
          {labels.back}
        </Button>
      </Row>
    </div>
  )
}
