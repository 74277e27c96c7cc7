import { useEffect, useRef, useState } from 'react'
import styled from 'styled-components'
import type { BenchView } from '../../../contract/index.ts'
import { Fault, Quiet, Section } from '../../ui/layout.tsx'
import { focusHeading } from '../../ui/focusHeading.ts'
import { sitAtVise } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'
import { BatchNotes } from './BatchNotes.tsx'
import { BatchPhotos } from './BatchPhotos.tsx'
import { CutList } from './CutList.tsx'
import { FirstFly } from './FirstFly.tsx'
import type { Check } from './FirstFly.tsx'
import { FlyPicture } from './FlyPicture.tsx'
import { Pace } from './Pace.tsx'
import { StepPanel } from './StepPanel.tsx'
import { useViseActions } from './useViseActions.ts'
import { useWakeLock } from './useWakeLock.ts'
import { ViseCounts } from './ViseCounts.tsx'
import { viseKeys } from './viseKeys.ts'
import { labels } from '../../words/bench.ts'

type OnVise = NonNullable<BenchView['onVise']>

const Vise = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 28px;
  min-height: min(620px, 100dvh - 150px);
  outline: none;
  border-left: 4px solid transparent;
  padding-left: 10px;
  margin-left: -14px;
  &:focus-visible,
  &:focus {
    border-left-color: var(--thistle);
    outline: none;
  }
  .step > * {
    text-align: left;
  }
  .step {
    display: flex;
    flex-direction: column;
    min-width: 0;
  }
  /* the way on is always at the same spot */
  .way-on {
    margin-top: auto;
    padding: 12px 0 4px;
    position: sticky;
    bottom: 0;
    background: var(--ground);
  }
  .picture {
    min-height: 320px;
    max-height: calc(100dvh - 150px);
    position: sticky;
    top: 0;
  }
  h2,
  .goes-wrong {
    font-size: 1.75rem;
    line-height: 1.2;
  }
  .goes-wrong {
    color: var(--quiet);
  }
  .figures-now {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 26px;
    font-size: 1.75rem;
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
      position: static;
      min-height: 0;
      height: 190px;
    }
    h2,
    .goes-wrong,
    .figures-now {
      font-size: 1.25rem;
    }
  }
`

/** The batch on the vise, one step at a time, large. */
export function AtTheVise({ data, vise }: { readonly data: BenchView; readonly vise: OnVise }) {
  const actions = useViseActions(vise)
  const region = useRef<HTMLElement>(null)
  const awake = useWakeLock()
  const { batch } = vise
  const { step } = actions
  const dispatch = useAppDispatch()
  useEffect(() => {
    dispatch(sitAtVise(true))
    return () => {
      dispatch(sitAtVise(false))
      requestAnimationFrame(focusHeading)
    }
  }, [dispatch])
  useEffect(() => {
    region.current?.focus()
  }, [batch.batchId])
  const [check, setCheck] = useState<Check | null>(null)
  const left = batch.planned - actions.doneCount - actions.spoiledCount
  const { send, refusal } = useMayOverfill()
  const finish = (abandon: boolean) => void send((anyway) => actions.finish(abandon, anyway))
  const wayOn = { ...actions, next: actions.isWhole ? () => finish(false) : actions.next }

  if (!step) return <Fault>{labels.thisRecipeHasNo}</Fault>
  return (
    <>
      <Vise
        ref={region}
        tabIndex={0}
        aria-label={`At the vise: ${batch.patternName} ${batch.label}. Space next, Backspace back, C done, X spoiled, P pause, T time the first, G weigh it`}
        onKeyDown={viseKeys(wayOn, check, setCheck)}
      >
        <StepPanel vise={vise} step={step} actions={wayOn} />
        <FlyPicture vise={vise} now={actions.now} />
      </Vise>
      <Section style={{ marginTop: 16 }}>
        <ViseCounts vise={vise} actions={actions} left={left} onFinish={finish} />
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
        <BatchPhotos vise={vise} />
      </Section>
      <FirstFly vise={vise} open={check} onOpen={setCheck} />
      <CutList data={data} />
    </>
  )
}
