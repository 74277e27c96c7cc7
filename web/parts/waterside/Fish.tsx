import styled from 'styled-components'
import { waterside } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { driftsSoFar, labels, LEFT, REFUSAL, STEP } from '../../words/waterside.ts'
import { techniqueName } from '../../words/words.ts'
import type { Rung } from './answer.ts'
import type { AtTheWater } from './useWaterside.ts'

const Taps = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
  padding-top: 6px;
  > button {
    white-space: normal;
    line-height: 1.2;
  }
`
const Step = styled.div`
  padding: 12px;
  border: 2px solid var(--thistle);
  border-radius: 6px;
  background: var(--panel);
`

/** A take that came off is told where takes are. */
const REFUSED = waterside.REFUSALS.filter((one) => one !== 'cameOff')
const ENDS: Readonly<Record<waterside.TakeEnd, string>> = {
  landed: labels.landed,
  cameOff: labels.cameOff,
  missed: labels.missed,
}

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
      <Section aria-label={labels.aTake}>
        <h2>{labels.aTake}</h2>
        <Taps>
          {waterside.TAKE_ENDS.map((end) => (
            <Button key={end} large onPress={() => note({ kind: 'take', end, lengthMm: null })}>
              {ENDS[end]}
              {count(last.ends, end)}
            </Button>
          ))}
        </Taps>
      </Section>
      <Section aria-label={labels.flyLost}>
        <h2>{labels.flyLost}</h2>
        <Taps>
          {waterside.LEFT_IN.map((leftIn) => (
            <Button
              key={leftIn}
              large
              onPress={() => note({ kind: 'lost', variantKeys: [fly.variantId], leftIn })}
            >
              {LEFT[leftIn]}
            </Button>
          ))}
        </Taps>
      </Section>
    </>
  )
}

const count = (ends: readonly waterside.TakeEnd[], end: waterside.TakeEnd): string => {
  const n = ends.filter((one) => one === end).length
  return n > 0 ? ` ${n}` : ''
}
