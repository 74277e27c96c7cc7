// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { beforeAll, describe, expect, it } from 'vitest'
import type { BenchView } from '../../../contract/index.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, until, callHook } from '../../testing/onThePage.tsx'
import { useBenchQuery } from '../../wire/api.ts'
import { flush } from '../../wire/outbox/sender.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
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
    await until(async () => (await read()).stepKey === null)
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
    const { fetch } = globalThis
    globalThis.fetch = () => Promise.reject(new TypeError('fetch failed'))
    act(() => result.current.done())
    act(() => result.current.spoiled())
    await until(() => result.current.doneCount === before + 1 && result.current.spoiledCount === spoiled + 1)
    const other = callHook(
      () => useViseActions({ ...vise, batch: { ...vise.batch, batchId: newId() } }),
      undefined,
    )
    expect(other.result.current.doneCount).toBe(vise.batch.done)
    globalThis.fetch = fetch
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
