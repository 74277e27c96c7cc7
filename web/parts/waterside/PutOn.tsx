import styled from 'styled-components'
import { waterside, wording } from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { AlongView } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Caution, Quiet, Row, Section } from '../../ui/layout.tsx'
import { FORBIDDEN } from '../../words/outings.ts'
import { fairTrial, labels, sampleWords, STEP, whySentence } from '../../words/waterside.ts'
import { techniqueName } from '../../words/words.ts'
import { stageDepth } from './pocketCard.ts'
import { useMeans } from './means.ts'
import { SERVES } from './answer.ts'
import type { Answer, OnStage, Put, Rung } from './answer.ts'
import type { AtTheWater } from './useWaterside.ts'

const Bar = styled.div<{ $share: number; $before: number }>`
  position: relative;
  height: 10px;
  background: var(--rule);
  max-width: 360px;
  &::before {
    content: '';
    position: absolute;
    inset: 0 auto 0 0;
    width: ${({ $share }) => 100 * $share}%;
    background: var(--moss);
  }
  &::after {
    content: '';
    position: absolute;
    top: -3px;
    bottom: -3px;
    left: ${({ $before }) => 100 * $before}%;
    border-left: 2px solid var(--ink);
  }
`

const Sub = styled.h3`
  font-size: 1rem;
  font-weight: 650;
  padding-top: 10px;
`

/** One stage that fish are on: how many, what by the season alone, and why. */
function Stage({ stage, share, before, says, samples }: OnStage) {
  return (
    <li style={{ padding: '6px 0' }}>
      <Row $gap={8}>
        <strong>{stage.name}</strong> <span>{wording.fishOnIt(share)}</span>
        <Quiet>
          {labels.before2} {wording.fishOnIt(before)}
        </Quiet>
      </Row>
      <Bar $share={share} $before={before} aria-hidden />
      <Quiet>{whySentence([...says.map(({ text }) => text), ...samples.map(sampleWords)])}</Quiet>
    </li>
  )
}

/** For what, by which way, and how deep it gets so where they are met deeper than at the film. */
function howSo({ way, stage, depthMm }: Put, units: DisplayUnits): string {
  const isSunk = depthMm !== null && depthMm > 0
  const met = stageDepth(stage, units)
  return [
    `${labels.for} ${stage?.name ?? labels.whatever}`,
    way ? `; ${techniqueName[way] ?? way}` : '',
    isSunk ? `, ${labels.to} ${wording.fineDepth(depthMm, units)}` : '',
    isSunk && met ? `; ${labels.metAt}${met.slice(1)}` : '',
    '.',
  ].join('')
}

/** A fly, where it lies, how it is fished, on which rig, and how deep it gets so. */
function Fly({
  put,
  rigs,
  large = false,
}: {
  readonly put: Put
  readonly rigs: AlongView['rigs']
  readonly large?: boolean
}) {
  const { units, pxPerMm, DrawnFly } = useMeans()
  const { fly, stage, way } = put
  const suits = rigs.filter(
    ({ techniques, against }) => against.length === 0 && techniques.some((one) => one === way),
  )
  // the one that carries the fly already, if there is one
  const rig = suits.find(({ said }) => said.includes(fly.name)) ?? suits[0]
  return (
    <div>
      <Row $gap={10}>
        <DrawnFly drawingKey={fly.drawingKey} pxPerMm={large ? 1.6 * pxPerMm : pxPerMm} />
        <strong style={{ fontSize: large ? '1.25rem' : undefined }}>{fly.name}</strong>
        <span>{fly.place}</span>
      </Row>
      <p>
        {howSo(put, units)} {stage?.howFished}
      </p>
      {large && rig ? (
        <p>
          {labels.rig}: {rig.name}. <Quiet>{rig.said}</Quiet>
        </p>
      ) : null}
      {stage && put.does < SERVES ? <Caution>{labels.couldPass}</Caution> : null}
    </div>
  )
}

function RungLine({ step, fly, cut }: Rung & { readonly cut: string | null }) {
  return (
    <li>
      {STEP[step]} {fly ? <strong>{fly.name}</strong> : null} {fly ? <Quiet>{fly.place}</Quiet> : null}
      {step === 'cutLower' && cut ? <Quiet> {cut}.</Quiet> : null}
    </li>
  )
}

/** The choice from what is packed, with what stands ready below it. */
function Choice({ at, answer, half, onTied }: PutOnProps & { readonly answer: Answer }) {
  const { water, standing, note, along } = at
  const { put, second, atHome } = answer
  if (along.flies.every(({ aboard }) => aboard === 0)) return <p>{labels.nothingPacked}</p>
  if (!put) return <p>{labels.nothingAboardServes}</p>
  const isOn = (one: Put) => {
    const last = standing.fished.at(-1)
    return last?.toMs === null && last.variantKey === one.fly.variantId
  }
  const tie = ({ fly, way, stage }: Put) => {
    note({ kind: 'tiedOn', variantKey: fly.variantId, way, stageKey: stage?.foodStageId ?? null, step: null })
    onTied()
  }
  const fair = waterside.FAIR_DRIFTS[put.fly.figure.kind === 'floats' ? 'onTop' : 'under']
  return (
    <>
      <Fly put={put} rigs={along.rigs} large />
      <Row>
        {isOn(put) ? (
          <strong>{labels.itIsOn}</strong>
        ) : (
          <Button large look="main" onPress={() => tie(put)}>
            {labels.tieOn}
          </Button>
        )}
        <Quiet>{fairTrial(fair, water.isStill)}</Quiet>
      </Row>
      {atHome ? (
        <Caution>
          {labels.notAboard} {atHome.name}; {labels.atHome} {atHome.place}.
        </Caution>
      ) : null}
      <Sub>{labels.ifRefused}</Sub>
      <ul>
        {water.rungs(put, standing, half).map((rung) => (
          <RungLine key={rung.step} {...rung} cut={put.fly.cut} />
        ))}
      </ul>
      {second ? (
        <>
          <Sub>{labels.nextBest}</Sub>
          <Row $align="start">
            <Fly put={second} rigs={along.rigs} />
            <Button large isDisabled={isOn(second)} onPress={() => tie(second)}>
              {labels.tieOn}
            </Button>
          </Row>
        </>
      ) : null}
    </>
  )
}

interface PutOnProps {
  readonly at: AtTheWater
  /** half hour of the outing */
  readonly half: number
  readonly onTied: () => void
}

/** What fish are on by what was seen, what would settle it, and what to put on of what is packed. */
export function PutOn(props: PutOnProps) {
  const { at, half } = props
  const answer = at.water.answer(at.standing, half)
  const { settles } = answer
  const barred = at.along.flies.filter(({ aboard, forbidden }) => aboard > 0 && forbidden !== null)
  const tick = (seen: boolean) => settles && at.note({ kind: 'sign', signKey: settles.key, seen })
  return (
    <>
      <Section aria-label={labels.whatFishAreOn}>
        <h2>{labels.whatFishAreOn}</h2>
        <ul>
          {answer.stages.map((on) => (
            <Stage key={on.stage.foodStageId} {...on} />
          ))}
        </ul>
        <Quiet>
          {labels.whatever}: {wording.fishOnIt(answer.whatever)}
        </Quiet>
      </Section>
      {settles ? (
        <Section aria-label={labels.whatWouldSettleIt}>
          <h2>{labels.whatWouldSettleIt}</h2>
          <p>
            <strong>{settles.text}</strong>. {settles.where}
          </p>
          <Row>
            <Button large onPress={() => tick(true)}>
              {labels.sawIt}
            </Button>
            <Button large onPress={() => tick(false)}>
              {labels.sawNone}
            </Button>
          </Row>
        </Section>
      ) : null}
      <Section aria-label={labels.whatToPutOn}>
        <h2>{labels.whatToPutOn}</h2>
        <Choice {...props} answer={answer} />
        {barred.map(({ variantId, name, forbidden }) => (
          <Caution key={variantId}>
            {name}. {forbidden ? FORBIDDEN[forbidden] : ''}
          </Caution>
        ))}
      </Section>
    </>
  )
}
