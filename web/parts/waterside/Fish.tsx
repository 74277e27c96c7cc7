import styled from 'styled-components'
import { waterside } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { driftsSoFar, labels, REFUSAL, STEP } from '../../words/waterside.ts'
import { techniqueName } from '../../words/words.ts'
import type { Rung } from './answer.ts'
import { FliesLost } from './FliesLost.tsx'
import { Taps } from './Taps.tsx'
import { Took } from './Took.tsx'
import type { AtTheWater } from './useWaterside.ts'

const Step = styled.div`
  padding: 12px;
  border: 2px solid var(--thistle);
  border-radius: 6px;
  background: var(--panel);
`

/** A take that came off is told where takes are. */
const REFUSED = waterside.REFUSALS.filter((one) => one !== 'cameOff')
/** The one thing to change now, and a tap that says it was done. */
function Change({
  at,
  rung,
  cut,
  onRise,
}: {
  readonly at: AtTheWater
  readonly rung: Rung
  /** what shears make of the fly that is on */
  readonly cut: string | null
  readonly onRise: () => void
}) {
  const { step, fly, way, stageId } = rung
  const done = () => {
    if (step === 'leave') at.note({ kind: 'newFish' })
    else if (fly) at.note({ kind: 'tiedOn', variantKey: fly.variantId, way, stageKey: stageId, step })
    else at.note({ kind: 'step', step })
  }
  return (
    <Step role="status">
      <Quiet>{labels.nextStep}</Quiet>
      <p style={{ fontSize: '1.125rem' }}>
        {STEP[step]} {fly ? <strong>{fly.name}</strong> : null} {fly ? <Quiet>{fly.place}</Quiet> : null}
      </p>
      {step === 'cutLower' && cut ? <p>{cut}.</p> : null}
      <Row>
        {step === 'showAgain' ? null : (
          <Button large look="main" onPress={done}>
            {step === 'leave' ? labels.newFish : labels.doneSo}
          </Button>
        )}
        {step === 'rest' || step === 'leave' ? (
          <Button large onPress={onRise}>
            {labels.rise}
          </Button>
        ) : null}
      </Row>
    </Step>
  )
}

/** What is fished, what came of it in one tap each, and what to change after a refusal. */
export function Fish({
  at,
  half,
  onPutOn,
  onRise,
}: {
  readonly at: AtTheWater
  readonly half: number
  readonly onPutOn: () => void
  readonly onRise: () => void
}) {
  const { standing, water, note, undo } = at
  const last = standing.fished.at(-1)
  const fly = last && water.flyOf(last.variantKey)
  if (!last || !fly || last.toMs !== null)
    return (
      <Section>
        <p>{labels.nothingIsOn}</p>
        <Row>
          <Button large look="main" onPress={onPutOn}>
            {labels.seeWhat}
          </Button>
          {undo ? (
            <Button large onPress={undo}>
              {labels.undo}
            </Button>
          ) : null}
        </Row>
      </Section>
    )
  const fair = waterside.FAIR_DRIFTS[fly.figure.kind === 'floats' ? 'onTop' : 'under']
  const { lastRefusal } = standing
  const rung = lastRefusal ? water.next(lastRefusal, standing, half) : null
  return (
    <>
      <Section>
        <Row>
          <strong style={{ fontSize: '1.25rem' }}>{fly.name}</strong>
          <span>{last.way ? techniqueName[last.way] : ''}</span>
          <Quiet>{driftsSoFar(last.drifts, fair, water.isStill)}</Quiet>
        </Row>
        {rung ? <Change at={at} rung={rung} cut={fly.cut} onRise={onRise} /> : null}
        <Taps>
          <Button large look={rung ? 'plain' : 'main'} onPress={() => note({ kind: 'drift' })}>
            {labels.cleanDrift} {last.drifts > 0 ? last.drifts : ''}
          </Button>
          <Button large onPress={() => note({ kind: 'newFish' })}>
            {labels.newFish}
          </Button>
          <Button large onPress={() => note({ kind: 'reeledIn' })}>
            {labels.reelIn}
          </Button>
          <Button large isDisabled={!undo} onPress={() => undo?.()}>
            {labels.undo}
          </Button>
        </Taps>
      </Section>
      <Section aria-label={labels.itRefused}>
        <h2>{labels.itRefused}</h2>
        <Taps>
          {REFUSED.map((refusal) => (
            <Button
              key={refusal}
              large
              aria-pressed={lastRefusal === refusal}
              onPress={() => note({ kind: 'refused', refusal })}
            >
              {REFUSAL[refusal]}
            </Button>
          ))}
        </Taps>
      </Section>
      <Took {...at} ends={last.ends} />
      <FliesLost key={last.variantKey} {...at} fly={fly} />
    </>
  )
}
