import { useEffect, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import styled from 'styled-components'
import { wording } from '../../../core/index.ts'
import type { BenchView } from '../../../contract/index.ts'
import { FlyDrawing } from '../../drawing/FlyDrawing.tsx'
import { useDrawing } from '../../drawing/useDrawing.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Quiet, Row, Section } from '../../ui/layout.tsx'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'
import { Photo } from '../../parts/Photo.tsx'
import { BatchNotes } from './BatchNotes.tsx'
import { Cautions } from './Cautions.tsx'
import { CutList } from './CutList.tsx'
import { FirstFly } from './FirstFly.tsx'
import type { Check } from './FirstFly.tsx'
import { Pace } from './Pace.tsx'
import { ShankRule } from './ShankRule.tsx'
import { SpoiledWhy } from './SpoiledWhy.tsx'
import { StepFigures } from './StepFigures.tsx'
import { useViseActions } from './useViseActions.ts'
import { useWakeLock } from './useWakeLock.ts'

type OnVise = NonNullable<BenchView['onVise']>

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

/** The batch on the vise, one step at a time, large. */
export function AtTheVise({ data, vise }: { readonly data: BenchView; readonly vise: OnVise }) {
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
  const left = batch.planned - actions.doneCount - actions.spoiledCount
  const { send, refusal } = useMayOverfill()
  const finish = (abandon: boolean) => send((anyway) => actions.finish(abandon, anyway))

  function onKeyDown(event: KeyboardEvent) {
    if (
      event.target !== event.currentTarget &&
      event.target instanceof HTMLElement &&
      event.target.closest('button, a, input')
    ) {
      if (!['c', 'x', 'p'].includes(event.key.toLowerCase())) return
    }
    const keys: Record<string, () => void> = {
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
    const cause = actions.spoiledId === null ? undefined : wording.SPOILED_CAUSES[Number(event.key) - 1]
    if (cause) keys[event.key] = () => actions.say(cause)
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
          {step.tip ? (
            <p>
              <Quiet>{step.tip}</Quiet>
            </p>
          ) : null}
          <Cautions key={step.key} step={step} />
          {actions.station ? (
            <p style={{ fontSize: '1.25rem' }}>
              <span className="figures">{actions.station.through}</span> of{' '}
              <span className="figures">{actions.station.flies}</span> through this step
            </p>
          ) : null}
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
            <span className="figures">{actions.doneCount}</span> of{' '}
            <span className="figures">{batch.planned}</span> done
            {actions.spoiledCount > 0 ? `, ${actions.spoiledCount} spoiled` : ''}
          </span>
          <Button large onPress={actions.done}>
            {actions.station ? 'One through' : 'Count one done'}
          </Button>
          <Button large onPress={actions.spoiled}>
            One spoiled
          </Button>
          <Button large onPress={actions.pause}>
            {vise.paused ? 'Go on' : 'Pause'}
          </Button>
        </Row>
        {actions.spoiledId ? <SpoiledWhy onSay={actions.say} /> : null}
        <Row style={{ paddingTop: 10 }}>
          <Button
            large
            look={left <= 0 ? 'main' : 'plain'}
            onPress={() => void finish(false)}
            isDisabled={actions.doneCount === 0}
          >
            Finish: {actions.doneCount} into {batch.compartmentLabel}
          </Button>
          {leaving ? (
            <>
              <span>Leave this batch? What is counted is kept.</span>
              <Button large onPress={() => void finish(true)}>
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
          <Button
            large
            look="quiet"
            onPress={() => actions.setWay(vise.way === 'stations' ? 'flyByFly' : 'stations')}
          >
            {vise.way === 'stations' ? 'One at a time instead' : 'By stations instead'}
          </Button>
        </Row>
        {refusal}
        <Quiet>
          {awake
            ? 'The screen stays awake while this is open.'
            : 'This browser does not keep the screen awake here.'}{' '}
          {vise.paused ? 'Paused.' : ''}
        </Quiet>
        <Pace vise={vise} left={left} />
        {vise.note ? <p>Note of the pattern: {vise.note}</p> : null}
        <BatchNotes key={batch.batchId} vise={vise} />
        <Row $align="start" $gap={20} style={{ paddingTop: 10 }}>
          <Photo
            subject="batch"
            subjectId={batch.batchId}
            photoId={vise.photoId}
            title={`${batch.patternName} ${batch.label}, this batch`}
            large
          />
          {vise.earlierPhotoId ? (
            <figure style={{ margin: 0 }}>
              <img
                src={`/api/photos/${vise.earlierPhotoId}`}
                alt={`${batch.patternName}, an earlier batch`}
                style={{ maxWidth: 260, maxHeight: 200, borderRadius: 6 }}
              />
              <figcaption>
                <Quiet>an earlier batch</Quiet>
              </figcaption>
            </figure>
          ) : null}
        </Row>
      </Section>
      <FirstFly vise={vise} open={check} onOpen={setCheck} />
      <CutList data={data} />
    </>
  )
}
