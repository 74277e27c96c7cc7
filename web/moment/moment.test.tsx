// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { curveC, epochDayOf } from '../../core/index.ts'
import { asked } from '../testing/asked.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { chooseMoment } from '../wire/state.ts'
import { store } from '../wire/store.ts'
import { newId } from '../wire/useCommand.ts'
import { useMoment } from './useMoment.ts'
import { useNow } from './useNow.ts'

onTheDemo()
afterEach(() => {
  store.dispatch(chooseMoment(null))
})

describe('useMoment', () => {
  it('is that of the next outing, until another is chosen', async () => {
    const { result } = callHook(() => useMoment(), undefined)
    const next = await until(() => result.current)
    expect(next).toMatchObject({ on: '2026-06-06', reach: { reachName: 'Bridge Reach' } })
    const { reaches } = await asked.frame()
    const mill = reaches.find(({ reachName }) => reachName === 'Mill Reach')!
    act(() => void store.dispatch(chooseMoment({ reachId: mill.reachId, on: '2026-01-15', localMin: 600 })))
    expect(result.current).toMatchObject({
      on: '2026-01-15',
      localMin: 600,
      reach: { reachName: 'Mill Reach' },
    })
    // half a year from the latest reading only the season counts
    expect(result.current!.waterTempC).toBeCloseTo(curveC(mill.warmth.model, epochDayOf('2026-01-15')), 0)
    expect(result.current!.waterTempC).toBeLessThan(next.waterTempC)
  })

  it('is none for a reach that is not there', async () => {
    const { result } = callHook(() => useMoment(), undefined)
    await until(() => result.current)
    act(() => void store.dispatch(chooseMoment({ reachId: newId(), on: '2026-06-06', localMin: 600 })))
    expect(result.current).toBeNull()
  })
})

describe('useNow', () => {
  it('shares the fish out at the moment, anew as the water is said to rise', async () => {
    const { result } = callHook(() => useNow(), undefined)
    const now = await until(() => result.current)
    expect(now.whatever + now.foods.reduce((sum, { onIt }) => sum + onIt, 0)).toBeGreaterThan(0.95)
    const worm = ({ foods }: typeof now) => foods.find(({ name }) => name.startsWith('Earthworm'))?.onIt ?? 0
    const { reachId, on, localMin } = now.moment
    act(() => void store.dispatch(chooseMoment({ reachId, on, localMin, said: { level: 'rising' } })))
    await until(() => result.current?.level?.by === 'said')
    expect(worm(result.current!)).toBeGreaterThan(3 * worm(now))
  })
})
