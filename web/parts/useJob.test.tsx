// @vitest-environment jsdom
import { act, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { CoverLook } from '../../core/index.ts'
import { toServing } from '../../contract/planned.ts'
import Coverage from '../places/boxes/cover/Coverage.tsx'
import { asked } from '../testing/asked.ts'
import { callHook, onTheDemo, show, until } from '../testing/onThePage.tsx'
import { breakWorkers, WorkerHere } from '../testing/workerHere.ts'
import { plannedOf } from '../../contract/planned.ts'
import { store } from '../wire/store.ts'
import type { JobInput } from '../workers/jobs.ts'
import { useJob } from './useJob.ts'

onTheDemo()
afterEach(() => {
  Object.assign(globalThis, { Worker: WorkerHere })
})

type Looks = JobInput<'coverLooks'>

/** Looks at the boxes: of so many foods of the larder, each as much asked for as the other. */
async function looksAt(...foods: readonly number[]): Promise<readonly Looks[]> {
  const [plan, larder] = [plannedOf(await asked.plan()), await asked.larder()]
  const { rules } = (await asked.waters()).waters[0]!.water
  const place: CoverLook['place'] = {
    waterKind: 'freestone', bedMm: 900, surfaceSpeedMmPerS: 600, techniques: [], school: 'sizeAndStage',
    rules,
  } // prettier-ignore
  return foods.map((count) => ({
    looks: [
      {
        key: `of ${count}`,
        foods: larder.stages.slice(0, count).map(({ id }) => ({ stageKey: id, worth: 1 / count, lengthMmLow: 5, lengthMmHigh: 9 })),
        whatever: 0, place, clarity: null, month: 6, without: [],
      },
    ],
    variants: plan.variants.map(toServing),
    stages: larder.stages,
  })) // prettier-ignore
}

const held = (input: Looks | null, key: string) =>
  callHook((given: Looks | null) => useJob('coverLooks', given, { key, label: 'Holding' }), input)
type Held = ReturnType<typeof held>['result']
const keyOf = (result: Held) => result.current.found?.[0]?.key

describe('what a job finds', () => {
  it('is nothing before there is something to work on', () => {
    const { result } = held(null, 'a')
    expect(result.current).toMatchObject({ found: null, isBroken: false })
    expect(store.getState().view.work).toBeNull()
  })

  it('stands until there is something of the next input', async () => {
    const [first, second] = await looksAt(3, 40)
    const { result, rerender } = held(first!, 'a')
    await until(() => keyOf(result) === 'of 3')
    rerender(second!)
    expect(keyOf(result)).toBe('of 3')
    await until(() => keyOf(result) === 'of 40')
    await until(() => store.getState().view.work === null)
  })

  it('comes to each of two that ask beside each other by keys of their own', async () => {
    const [first, second] = await looksAt(30, 40)
    const [one, other] = [held(first!, 'a'), held(second!, 'b')]
    await until(() => keyOf(one.result) === 'of 30' && keyOf(other.result) === 'of 40')
  })

  it('comes to the newer of two that ask by one key', async () => {
    const [first, second] = await looksAt(60, 5)
    const [older, newer] = [held(first!, 'same'), held(second!, 'same')]
    await until(() => keyOf(newer.result) === 'of 5')
    expect(older.result.current).toMatchObject({ found: null, isBroken: false })
  })

  it('is said to be broken where the work breaks, keeps what there was, and is tried again', async () => {
    const [first, second] = await looksAt(3, 4)
    const { result, rerender } = held(first!, 'a')
    await until(() => keyOf(result) === 'of 3')
    breakWorkers()
    rerender(second!)
    await until(() => result.current.isBroken)
    expect(keyOf(result)).toBe('of 3')
    expect(store.getState().view.work).toBeNull()
    Object.assign(globalThis, { Worker: WorkerHere })
    act(() => result.current.again())
    await until(() => keyOf(result) === 'of 4')
    expect(result.current.isBroken).toBe(false)
  })

  it('is not waited for once its page is left', async () => {
    const [first] = await looksAt(60)
    const { result, unmount } = held(first!, 'a')
    unmount()
    expect(result.current.found).toBeNull()
    expect(store.getState().view.work).toBeNull()
  })
})

describe('what the boxes cover, where workers do not load', () => {
  it('says so in its place, and is worked out once they do', async () => {
    breakWorkers()
    show(<Coverage />)
    await until(() => screen.queryByText('This could not be worked out.'))
    Object.assign(globalThis, { Worker: WorkerHere })
    act(() => screen.getByRole('button', { name: 'Try again' }).click())
    await until(() => screen.queryByRole('table', { name: 'Cover' }), 120_000)
    // what is said of the moment broke by itself, and has its own way on
    const again = screen.queryByRole('button', { name: 'Try again' })
    if (again) act(() => again.click())
    await until(() => screen.queryByText(/fish have something on hand to show/), 120_000)
  })

  it('tells of the moment and of situations side by side', async () => {
    show(<Coverage />, { at: '/?look=situation' })
    await until(() => screen.queryByRole('table', { name: 'By situation' }), 120_000)
    await until(() => screen.queryByText(/fish have something on hand to show/), 120_000)
  })
})
