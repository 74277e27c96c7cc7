import { useCallback, useState } from 'react'
import type { BenchStep, BenchView, EventId } from '../../../contract/index.ts'
import { useDoneCount, useOwnCounts } from '../../wire/counted.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'

type OnVise = NonNullable<BenchView['onVise']>
type Counted = 'done' | 'spoiled' | 'step' | 'station' | 'pause' | 'resume'

/** What can be done at the vise: next, back, count, pause, end. Each has a key and a button. */
export function useViseActions(vise: OnVise) {
  const command = useCommand()
  const { batch, steps, way, throughStep } = vise
  const at = Math.max(
    steps.findIndex(({ key }) => key === vise.stepKey),
    0,
  )
  const [local, setLocal] = useState<{ batchId: string; at: number }>({ batchId: batch.batchId, at })
  const [spoiledId, setSpoiledId] = useState<EventId | null>(null)
  const own = useOwnCounts(batch)
  const doneCount = useDoneCount(batch)
  const spoiledCount = batch.spoiled + own.filter(({ kind }) => kind === 'spoiled').length
  const now = local.batchId === batch.batchId ? Math.min(local.at, steps.length - 1) : at
  const step: BenchStep | undefined = steps[now]
  const isLast = now === steps.length - 1
  const count = useCallback(
    (kind: Counted, stepKey: string | null, eventId: EventId = newId()) =>
      command('batchCount', {
        eventId,
        batchId: batch.batchId,
        kind,
        stepKey,
        count: kind === 'done' || kind === 'spoiled' || kind === 'station' ? 1 : 0,
        spoiledCause: null,
      }),
    [command, batch.batchId],
  )
  const goTo = (next: number) => {
    const to = steps[next]
    if (!to) return
    setLocal({ batchId: batch.batchId, at: next })
    void count('step', to.key)
  }
  const through =
    (throughStep[step?.key ?? ''] ?? 0) +
    own.filter(({ kind, stepKey }) => kind === 'station' && stepKey === step?.key).length
  const flies = Math.max(batch.planned - spoiledCount, 0)
  const isWhole = doneCount >= batch.planned
  const done = () => {
    if (way === 'stations' && !isLast) {
      void count('station', step?.key ?? null)
      // the last fly of a station: all of them go on
      if (through + 1 >= flies) goTo(now + 1)
      return
    }
    if (isWhole) return
    void count('done', null)
    if (way === 'flyByFly') setLocal({ batchId: batch.batchId, at: 0 })
  }
  return {
    step,
    now,
    doneCount,
    /** as many are done as were planned: counting stops, and the way on is to finish */
    isWhole,
    spoiledCount,
    /** flies of the batch that are through this step; null where each fly is tied in one go */
    station: way === 'stations' && !isLast ? { through, flies } : null,
    isLast,
    /** the next step; from the last one on a fly is done */
    next: () => (isLast ? done() : goTo(now + 1)),
    back: () => goTo(Math.max(now - 1, 0)),
    done,
    spoiled: () => {
      const eventId = newId<EventId>()
      setSpoiledId(eventId)
      void count('spoiled', null, eventId)
    },
    /** a fly that was just counted as spoiled, of which nobody has said why */
    spoiledId,
    say: (cause: string | null) => {
      if (cause && spoiledId)
        void command('batchSpoiledCause', { batchId: batch.batchId, eventId: spoiledId, cause })
      setSpoiledId(null)
    },
    pause: () => void count(vise.paused ? 'resume' : 'pause', null),
    setWay: (next: OnVise['way']) => void command('batchWay', { batchId: batch.batchId, way: next }),
    finish: (abandon: boolean, anyway = false) =>
      command('batchFinish', { batchId: batch.batchId, abandon, anyway }, { quietly: true }),
  }
}
