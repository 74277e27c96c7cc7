// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { beforeAll, describe, expect, it } from 'vitest'
import type { BenchView } from '../../../contract/index.ts'
import { PATHS } from '../../../contract/paths.ts'
import { asked } from '../../testing/asked.ts'
import { away, heldBack, meanwhile } from '../../testing/meanwhile.ts'
import { onTheDemo, until, callHook } from '../../testing/onThePage.tsx'
import { useBenchQuery } from '../../wire/answers.ts'
import { api } from '../../wire/api.ts'
import { dataPutBack, flush, waitingWrites } from '../../wire/outbox/sender.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useUndoLast } from '../../wire/useUndoLast.ts'
import { useViseActions } from './useViseActions.ts'

type OnVise = NonNullable<BenchView['onVise']>

onTheDemo()

const read = async () => {
  const { onVise } = await asked.bench()
  if (!onVise) throw new Error('nothing on the vise')
  return onVise
}

/** A fresh batch of a fly on the vise. */
async function begin(plannedCount: number): Promise<OnVise> {
  const { result } = callHook(() => useCommand(), undefined)
  const { boxes } = await asked.boxes()
  const isThirdButton = ({ patternName }: { patternName: string }) => patternName === 'Third Button'
  const place = boxes.flatMap(({ compartments }) => compartments).find(({ flies }) => flies.some(isThirdButton))
  const fly = place!.flies.find(isThirdButton)!
  await act(() =>
    result.current('batchPlan', { batchId: newId(), variantId: fly.variantId, plannedCount, compartmentId: place!.id, onVise: true }),
  ) // prettier-ignore
  return read()
}

/** The vise as the page has it: what was counted comes back with the bench. */
function atTheVise(onVise: OnVise) {
  return callHook(() => {
    const { data } = useBenchQuery()
    return useViseActions(data?.onVise ?? onVise)
  }, undefined)
}

describe('useViseActions, fly by fly', () => {
  let vise: OnVise
  beforeAll(async () => {
    vise = await begin(3)
  })

  it('goes from step to step, counts a fly after the last, and goes back no further than the first', async () => {
    const { result } = atTheVise(vise)
    const last = vise.steps.length - 1
    expect(result.current.now).toBe(0)
    act(() => result.current.back())
    expect(result.current.now).toBe(0)
    for (let n = 0; n < last; n += 1) act(() => result.current.next())
    expect(result.current.now).toBe(last)
    expect(result.current.step?.key).toBe(vise.steps[last]?.key)
    expect(result.current.station).toBeNull()
    act(() => result.current.next())
    expect(result.current.now).toBe(0)
    await until(() => result.current.doneCount === 1)
    // before anything arrives the fly is at no step, too
    const { batch, stepKey } = await until(async () => {
      const seen = await read()
      return seen.batch.done > 0 && seen
    })
    expect([batch.done, stepKey]).toEqual([1, null])
  })

  it('counts a fly and begins the next at the first step', async () => {
    const { result } = atTheVise(await read())
    await until(() => result.current.doneCount === 1)
    act(() => result.current.next())
    act(() => result.current.done())
    expect(result.current.now).toBe(0)
    await until(() => result.current.doneCount === 2)
    await until(async () => (await read()).batch.done === 2)
  })

  it('counts one as spoiled, asks why until it is said, and keeps it', async () => {
    const { result } = atTheVise(vise)
    expect(result.current.spoiledId).toBeNull()
    act(() => result.current.spoiled())
    expect(result.current.spoiledId).not.toBeNull()
    await until(() => result.current.spoiledCount === 1)
    act(() => result.current.say('thread broke'))
    expect(result.current.spoiledId).toBeNull()
    act(() => result.current.say(null))
    await until(async () => (await read()).batch.spoiled === 1)
  })

  it('shows what was counted while nobody answers, of this batch alone', async () => {
    const { result } = atTheVise(vise)
    const before = await until(() => result.current.doneCount)
    const spoiled = result.current.spoiledCount
    await away(async () => {
      act(() => result.current.done())
      act(() => result.current.spoiled())
      await until(() => result.current.doneCount === before + 1 && result.current.spoiledCount === spoiled + 1)
      const other = callHook(
        () => useViseActions({ ...vise, batch: { ...vise.batch, batchId: newId() } }),
        undefined,
      )
      expect(other.result.current.doneCount).toBe(vise.batch.done)
    })
    await act(flush)
    await until(() => result.current.doneCount === before + 1)
    expect((await read()).batch.done).toBe(before + 1)
  })

  it('pauses and goes on', async () => {
    const { result } = atTheVise(await read())
    act(() => result.current.pause())
    await until(async () => (await read()).paused)
    const again = atTheVise(await read())
    act(() => again.result.current.pause())
    await until(async () => !(await read()).paused)
  })

  it('ends with what was tied', async () => {
    const { result } = atTheVise(await read())
    const delivery = await act(() => result.current.finish(false, true))
    expect(delivery.kind).toBe('done')
    const { onVise } = await asked.bench()
    expect(onVise?.batch.batchId).not.toBe(vise.batch.batchId)
  })
})

describe('useViseActions, by stations', () => {
  it('takes every fly through a step before the next, and counts it done at the last', async () => {
    const vise = await begin(2)
    const { result } = atTheVise(vise)
    act(() => result.current.setWay('stations'))
    await until(() => result.current.station)
    expect(result.current.station).toEqual({ through: 0, flies: 2 })
    act(() => result.current.done())
    await until(() => result.current.station?.through === 1)
    expect(result.current.now).toBe(0)
    act(() => result.current.done())
    expect(result.current.now).toBe(1)
    await until(async () => (await read()).throughStep[vise.steps[0]!.key] === 2)
    while (result.current.now < vise.steps.length - 1) act(() => result.current.next())
    expect(result.current.station).toBeNull()
    act(() => result.current.next())
    await until(() => result.current.doneCount === 1)
    expect(result.current.now).toBe(vise.steps.length - 1)
  })
})

describe('what was counted, while the view of it is on its way', () => {
  /** What was shown of the flies done, from when a first one is looked for. */
  function watching(onVise: OnVise) {
    const shown: number[] = []
    const { result } = callHook(() => {
      const { data, isFetching } = api.useBenchQuery()
      const actions = useViseActions(data?.onVise ?? onVise)
      shown.push(actions.doneCount)
      return { ...actions, viewed: isFetching ? null : (data?.onVise?.batch.done ?? null) }
    }, undefined)
    return { result, shown }
  }
  const arrived = () => until(() => waitingWrites().length === 0)

  it('counts from the press on, through its delivery, and never less in between', async () => {
    const { result, shown } = watching(await begin(3))
    await until(() => result.current.viewed === 0)
    await heldBack(PATHS.bench, async (letGo) => {
      act(() => result.current.done())
      await act(arrived)
      expect([result.current.viewed, result.current.doneCount]).toEqual([null, 1])
      act(() => result.current.done())
      act(() => result.current.done())
      await act(arrived)
      expect([result.current.doneCount, result.current.isWhole]).toEqual([3, true])
      // it is whole: one more is not counted
      act(() => result.current.done())
      letGo()
      await until(() => result.current.viewed === 3)
    })
    expect(shown.at(-1)).toBe(3)
    expect([...shown].sort((a, b) => a - b)).toEqual(shown)
  })

  it('counts once where the server took it and its answer was lost', async () => {
    const { result, shown } = watching(await begin(4))
    await until(() => result.current.viewed === 0)
    const { fetch: goOn } = globalThis
    await meanwhile(
      async (request) => {
        if (new URL(request.url).pathname !== PATHS.command) return null
        await goOn(request)
        throw new TypeError('the answer was lost')
      },
      async () => {
        act(() => result.current.done())
        await until(async () => (await read()).batch.done === 1)
        await until(() => result.current.viewed === 1)
        expect([waitingWrites().length, result.current.doneCount]).toEqual([1, 1])
      },
    )
    await act(flush)
    await act(arrived)
    expect(Math.max(...shown)).toBe(1)
  })

  it('counts back what is taken back, before anything answers and after', async () => {
    const { result } = watching(await begin(5))
    const undo = callHook(() => useUndoLast(null), undefined)
    await until(() => result.current.viewed === 0)
    act(() => result.current.done())
    await until(() => result.current.viewed === 1)
    await act(async () => undo.result.current())
    await until(() => result.current.viewed === 0)
    expect(result.current.doneCount).toBe(0)
    await away(async () => {
      act(() => result.current.done())
      await until(() => waitingWrites().some(({ tries }) => tries > 0))
      expect(result.current.doneCount).toBe(1)
      await act(async () => undo.result.current())
      await until(() => waitingWrites().length === 2)
      expect(result.current.doneCount).toBe(0)
    })
    await act(flush)
    await act(arrived)
    await until(async () => (await read()).batch.done === 0)
    await until(() => result.current.doneCount === 0)
  })

  it('counts no more of it where a copy of the data was put back, which need not hold it', async () => {
    const { result } = watching(await begin(6))
    await until(() => result.current.viewed === 0)
    await heldBack(PATHS.bench, async () => {
      act(() => result.current.done())
      await act(arrived)
      expect(result.current.doneCount).toBe(1)
      act(dataPutBack)
      expect(result.current.doneCount).toBe(0)
    })
    // here the data are as they were: the view has it
    await until(() => result.current.viewed === 1)
    expect(result.current.doneCount).toBe(1)
  })

  it('takes all flies through a step and goes on, tied by stations', async () => {
    const { result } = watching(await begin(2))
    act(() => result.current.setWay('stations'))
    await until(() => result.current.station)
    await heldBack(PATHS.bench, async () => {
      act(() => result.current.done())
      expect(result.current.station).toEqual({ through: 1, flies: 2 })
      act(() => result.current.done())
      expect([result.current.now, result.current.station]).toEqual([1, { through: 0, flies: 2 }])
      await act(arrived)
      act(() => result.current.back())
      expect(result.current.station).toEqual({ through: 2, flies: 2 })
    })
  })
})
