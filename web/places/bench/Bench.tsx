import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import type { BatchMention, BenchStep, BenchView } from '../../../contract/index.ts'
import { useBenchQuery } from '../../app/api.ts'
import { newId, useCommand } from '../../app/useCommand.ts'
import { useWording } from '../../app/useWording.ts'
import { stockAmount } from '../../app/words.ts'
import { FlyDrawing } from '../../drawing/FlyDrawing.tsx'
import { useDrawing } from '../../drawing/useDrawing.ts'
import { Button } from '../../ui/Button.tsx'
import { Caution, Dense, Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { useColumn } from '../../column/marks.ts'
import { FirstFly } from './FirstFly.tsx'
import type { Check } from './FirstFly.tsx'
import { BatchNotes } from './BatchNotes.tsx'
import { useWakeLock } from './useWakeLock.ts'

const Vise = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(200px, 300px);
  gap: 10px 28px;
  outline: none;
  border-left: 4px solid transparent;
  padding-left: 10px;
  margin-left: -14px;
  &:focus-visible,
  &:focus {
    border-left-color: var(--thistle);
    outline: none;
  }
  h2 {
    font-size: 1.75rem;
    line-height: 1.15;
  }
  .figures-now {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 26px;
    font-size: 1.5rem;
    line-height: 1.25;
    padding: 8px 0;
  }
  .figures-now small {
    display: block;
    font-size: 0.875rem;
    color: var(--quiet);
  }
  .material {
    font-size: 1.25rem;
  }
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr);
    margin-left: -6px;
    padding-left: 6px;
    .picture {
      order: -1;
    }
  }
`

/** A millimetre rule along the shank with the stretch of the step on it. */
function ShankRule({
  step,
  shankMm,
  pxPerMm,
}: {
  readonly step: BenchStep
  readonly shankMm: number
  readonly pxPerMm: number
}) {
  const marks = Array.from({ length: Math.floor(shankMm) + 1 }, (_, i) => i)
  const thread = step.threadTo * shankMm * pxPerMm
  return (
    <svg
      width={shankMm * pxPerMm + 24}
      height={34}
      role="img"
      aria-label={`Thread ends ${(step.threadTo * shankMm).toFixed(1)} mm from the eye`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {marks.map((mm) => (
        <line
          key={mm}
          x1={mm * pxPerMm + 6}
          x2={mm * pxPerMm + 6}
          y1={0}
          y2={mm % 5 === 0 ? 10 : 6}
          stroke="var(--quiet)"
        />
      ))}
      <line x1={6} x2={shankMm * pxPerMm + 6} y1={0.5} y2={0.5} stroke="var(--quiet)" />
      {step.fromMm !== null && step.toMm !== null ? (
        <rect
          x={step.fromMm * pxPerMm + 6}
          y={12}
          width={Math.max((step.toMm - step.fromMm) * pxPerMm, 3)}
          height={6}
          fill="var(--thistle)"
        />
      ) : null}
      <path d={`M${thread + 6} 20l-5 9h10z`} fill="var(--ink)" />
    </svg>
  )
}

const mm = (value: number) => `${value.toFixed(1)} mm`

function StepFigures({ step, shankMm }: { readonly step: BenchStep; readonly shankMm: number }) {
  const figures: readonly (readonly [string, string])[] = [
    ...(step.lengthMm === null ? [] : [['long', mm(step.lengthMm)] as const]),
    ...(step.turns === null ? [] : [['turns', String(step.turns)] as const]),
    ...(step.fibreCount === null ? [] : [['fibres', String(step.fibreCount)] as const]),
    ...(step.fromMm !== null && step.toMm !== null && step.toMm > step.fromMm
      ? [['from the eye', `${step.fromMm.toFixed(1)}–${mm(step.toMm)}`] as const]
      : []),
    ...(step.cutMm === null ? [] : [['cut', `${(step.cutMm / 10).toFixed(0)} cm`] as const]),
    ...(step.strands === null ? [] : [['strands', String(step.strands)] as const]),
    ['thread ends at', mm(step.threadTo * shankMm)],
  ]
  return (
    <div className="figures-now">
      {figures.map(([name, text]) => (
        <span key={name}>
          <small>{name}</small>
          <span className="figures">{text}</span>
        </span>
      ))}
    </div>
  )
}

type OnVise = NonNullable<BenchView['onVise']>

/** What can be done at the vise: next, back, count, pause, end. Each has a key and a button. */
function useViseActions(vise: OnVise) {
  const command = useCommand()
  const { batch, steps } = vise
  const at = Math.max(
    steps.findIndex(({ key }) => key === vise.stepKey),
    0,
  )
  const [local, setLocal] = useState<{ batchId: string; at: number }>({ batchId: batch.batchId, at })
  const now = local.batchId === batch.batchId ? Math.min(local.at, steps.length - 1) : at
  const count = useCallback(
    (kind: 'done' | 'spoiled' | 'step' | 'pause' | 'resume', stepKey: string | null) =>
      command('batchCount', {
        eventId: newId(),
        batchId: batch.batchId,
        kind,
        stepKey,
        count: kind === 'done' || kind === 'spoiled' ? 1 : 0,
        spoiledCause: null,
      }),
    [command, batch.batchId],
  )
  const goTo = (next: number) => {
    const step = steps[next]
    if (!step) return
    setLocal({ batchId: batch.batchId, at: next })
    void count('step', step.key)
  }
  return {
    now,
    step: steps[now],
    next: () => goTo((now + 1) % steps.length),
    back: () => goTo(Math.max(now - 1, 0)),
    done: () => {
      void count('done', null)
      setLocal({ batchId: batch.batchId, at: 0 })
    },
    spoiled: () => void count('spoiled', null),
    pause: () => void count(vise.paused ? 'resume' : 'pause', null),
    finish: (abandon: boolean) => command('batchFinish', { batchId: batch.batchId, abandon }),
  }
}

function AtTheVise({ vise }: { readonly vise: OnVise }) {
  const actions = useViseActions(vise)
  const region = useRef<HTMLElement>(null)
  const awake = useWakeLock()
  const [leaving, setLeaving] = useState(false)
  const { batch, figure, steps, shankMm } = vise
  const drawing = useDrawing(figure.drawingKey)
  const { step } = actions
  useEffect(() => {
    region.current?.focus()
  }, [batch.batchId])
  const [check, setCheck] = useState<Check | null>(null)
  const left = batch.planned - batch.done - batch.spoiled

  function onKeyDown(event: KeyboardEvent) {
    if (
      event.target !== event.currentTarget &&
      event.target instanceof HTMLElement &&
      event.target.closest('button, a, input')
    ) {
      if (!['c', 'x', 'p'].includes(event.key.toLowerCase())) return
    }
    const keys: Readonly<Record<string, () => void>> = {
      ' ': actions.next,
      PageDown: actions.next,
      ArrowRight: actions.next,
      Backspace: actions.back,
      PageUp: actions.back,
      ArrowLeft: actions.back,
      c: actions.done,
      x: actions.spoiled,
      p: actions.pause,
      t: () => setCheck(check === 'time' ? null : 'time'),
      g: () => setCheck(check === 'weigh' ? null : 'weigh'),
    }
    const act =
      event.ctrlKey || event.metaKey || event.altKey
        ? undefined
        : (keys[event.key] ?? keys[event.key.toLowerCase()])
    if (!act) return
    event.preventDefault()
    event.stopPropagation()
    act()
  }
  if (!step) return <Fault>This recipe has no steps.</Fault>
  const pxPerMm = drawing ? Math.min(290 / drawing.widthMm, 30) : 10
  return (
    <>
      <Vise
        ref={region}
        tabIndex={0}
        aria-label={`At the vise: ${batch.patternName} ${batch.label}. Space next, Backspace back, C done, X spoiled, P pause, T time the first, G weigh it`}
        onKeyDown={onKeyDown}
      >
        <div>
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
          {step.cautions.map((text) => (
            <Caution key={text}>{text}</Caution>
          ))}
          <Row style={{ paddingTop: 8 }}>
            <Button large look="main" onPress={actions.next}>
              Next step
            </Button>
            <Button large onPress={actions.back} isDisabled={actions.now === 0}>
              Back
            </Button>
          </Row>
        </div>
        <div className="picture">
          {drawing ? (
            <FlyDrawing
              drawing={drawing}
              pxPerMm={pxPerMm}
              highlight={step.componentKey}
              title={`The fly, ${step.title.toLowerCase()}`}
            />
          ) : null}
          <div style={{ paddingLeft: drawing ? Math.max(-drawing.minXMm * pxPerMm - 6, 0) : 0 }}>
            <ShankRule step={step} shankMm={shankMm} pxPerMm={pxPerMm} />
          </div>
        </div>
      </Vise>
      <Section style={{ marginTop: 16 }}>
        <Row>
          <span style={{ fontSize: '1.5rem' }} data-testid="count">
            <span className="figures">{batch.done}</span> of <span className="figures">{batch.planned}</span>{' '}
            done
            {batch.spoiled > 0 ? `, ${batch.spoiled} spoiled` : ''}
          </span>
          <Button large onPress={actions.done}>
            Count one done
          </Button>
          <Button large onPress={actions.spoiled}>
            One spoiled
          </Button>
          <Button large onPress={actions.pause}>
            {vise.paused ? 'Go on' : 'Pause'}
          </Button>
        </Row>
        <Row style={{ paddingTop: 10 }}>
          <Button
            large
            look={left <= 0 ? 'main' : 'plain'}
            onPress={() => void actions.finish(false)}
            isDisabled={batch.done === 0}
          >
            Finish: {batch.done} into {batch.compartmentLabel}
          </Button>
          {leaving ? (
            <>
              <span>Leave this batch? What is counted is kept.</span>
              <Button large onPress={() => void actions.finish(true)}>
                Leave it
              </Button>
              <Button large onPress={() => setLeaving(false)}>
                Go on tying
              </Button>
            </>
          ) : (
            <Button large look="quiet" onPress={() => setLeaving(true)}>
              Leave the batch
            </Button>
          )}
        </Row>
        <Quiet>
          {awake
            ? 'The screen stays awake while this is open.'
            : 'This browser does not keep the screen awake here.'}{' '}
          {vise.paused ? 'Paused.' : ''}
        </Quiet>
        <Quiet>
          {vise.minutesEach.toFixed(0)} minutes a fly,{' '}
          {vise.timedFlies > 0 ? `timed ×${vise.timedFlies}` : 'usual'}: about{' '}
          {Math.max(Math.round(left * vise.minutesEach), 0)} more.
        </Quiet>
        {vise.note ? <p>Note of the pattern: {vise.note}</p> : null}
        <BatchNotes key={batch.batchId} vise={vise} />
      </Section>
      <FirstFly vise={vise} open={check} onOpen={setCheck} />
      <Section>
        <h2>To lay out</h2>
        <Dense aria-label="To lay out for the batch">
          <thead>
            <tr>
              <th>material</th>
              <th className="number">a fly</th>
              <th className="number">the batch of {batch.planned}</th>
              <th className="number">on hand</th>
            </tr>
          </thead>
          <tbody>
            {vise.cutList.map(({ materialId, name, perFly, forBatch, onHand, stockUnit }) => (
              <tr key={materialId}>
                <td>{name}</td>
                <td className="number">{stockAmount(perFly, stockUnit)}</td>
                <td className="number">{stockAmount(forBatch, stockUnit)}</td>
                <td
                  className="number"
                  style={{ color: onHand !== null && onHand < forBatch ? 'var(--madder)' : undefined }}
                >
                  {onHand === null ? 'not counted' : stockAmount(onHand, stockUnit)}
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      </Section>
    </>
  )
}

function BatchList({
  title,
  batches,
  children,
}: {
  readonly title: string
  readonly batches: readonly BatchMention[]
  readonly children?: (batch: BatchMention) => React.ReactNode
}) {
  if (batches.length === 0) return null
  return (
    <Section>
      <h2>{title}</h2>
      <ul>
        {batches.map((batch) => (
          <li key={batch.batchId} style={{ padding: '4px 0', borderBottom: '1px solid var(--rule)' }}>
            <Row>
              <span style={{ flex: 1 }}>
                {batch.status === 'planned' || batch.status === 'open' ? `${batch.planned} ` : `${batch.done} `}
                {batch.patternName} {batch.label}{' '}
                <Quiet>
                  into {batch.compartmentLabel}
                  {batch.spoiled > 0 ? `, ${batch.spoiled} spoiled` : ''}
                  {batch.status === 'abandoned' ? ', left' : ''}
                </Quiet>
              </span>
              {children?.(batch)}
            </Row>
          </li>
        ))}
      </ul>
    </Section>
  )
}

/** One step at a time, large, with the numbers for the hook at hand. */
export default function Bench() {
  const { data } = useBenchQuery()
  const command = useCommand()
  const { speed, speedBand } = useWording()
  const figure = data?.onVise?.figure
  const content = useMemo(() => {
    const sinks = figure?.kind === 'sinks'
    const name = data?.onVise ? `${data.onVise.batch.patternName} ${data.onVise.batch.label}` : ''
    return {
      flies: sinks
        ? [
            {
              id: data?.onVise?.batch.variantId ?? '',
              label: name,
              fromMm: (figure.low ?? 0) * 1,
              toMm: (figure.high ?? 0) * 1,
              weight: 0.6,
              softWeight: 0.9,
              words: `1 s free: ${speed(figure.sinkSpeedMmPerS ?? 0)}, likely ${speedBand({ value: figure.sinkSpeedMmPerS ?? 0, low: figure.low ?? 0, high: figure.high ?? 0, basis: [] })}`,
              look: 'fly' as const,
              to: null,
            },
          ]
        : [],
      fall: null,
      foods: [],
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the formatters depend on units alone
  }, [figure, data?.onVise?.batch.batchId])
  useColumn(content)
  if (!data) return <p aria-busy="true">Clearing the bench …</p>
  return (
    <>
      <Heading>
        <h1>Bench</h1>
      </Heading>
      {data.onVise ? (
        <AtTheVise vise={data.onVise} />
      ) : (
        <p>
          The vise is empty. {data.queue.length > 0 ? 'Put the next one on it.' : 'Start a batch from '}
          {data.queue.length > 0 ? null : (
            <>
              <Link to="/">Tonight</Link>, <Link to="/boxes">Boxes</Link> or{' '}
              <Link to="/patterns">a pattern</Link>.
            </>
          )}
        </p>
      )}
      <BatchList title="Waiting" batches={data.queue}>
        {(batch) => (
          <Button onPress={() => void command('batchOnVise', { batchId: batch.batchId })}>
            Put on the vise
          </Button>
        )}
      </BatchList>
      <BatchList title="Tied lately" batches={data.done.slice(0, 6)} />
    </>
  )
}
