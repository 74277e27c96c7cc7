// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { curveC, epochDayOf } from '../../core/index.ts'
import { asked } from '../testing/asked.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { chooseMoment } from '../wire/state.ts'
import { store } from '../wire/store.ts'
import { newId, useCommand } from '../wire/useCommand.ts'
import { useMoment } from './useMoment.ts'
import { useReachState } from './useReachState.ts'
import { useSeasonKeeper } from './useSeasonKeeper.ts'

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

describe('useReachState', () => {
  it('has the reach’s season with its windows and what was seen', async () => {
    const { result } = callHook(() => ({ reach: useReachState(), moment: useMoment() }), undefined)
    const season = await until(() => result.current.reach.season)
    expect(season.windows.size).toBeGreaterThan(10)
    for (const [key, windows] of season.windows) for (const { stageKey } of windows) expect(stageKey).toBe(key)
    expect(season.waterTempC).toBe(result.current.moment!.waterTempC)
    expect(season.measured).toBe(true)
    expect(result.current.reach).toMatchObject({ waterKind: 'freestone', utcOffsetMinutes: 60 })
  })

  it('has a common river’s season where there is no water', async () => {
    store.dispatch(chooseMoment({ reachId: newId(), on: '2026-06-06', localMin: 600 }))
    const { result } = callHook(() => useReachState(), undefined)
    expect(result.current).toMatchObject({ waterKind: 'freestone', latitudeDeg: 54 })
    expect(result.current.season ?? null).toBeNull()
  })
})

describe('useSeasonKeeper', () => {
  it('works windows out anew where what they hang on has changed, and gives them to the server to keep', async () => {
    const { waters } = await asked.waters()
    const { id, version, reach } = waters.flatMap(({ reaches }) => reaches).find((one) => one.reach.name === 'Alder Reach')! // prettier-ignore
    const { result } = callHook(() => useCommand(), undefined)
    const kept = (await asked.season()).reaches.find(({ reachId }) => reachId === id)!
    const higher = { ...reach, elevationM: reach.elevationM + 150 }
    await act(() => result.current('reachSave', { reachId: id, version, reach: higher }))
    const stale = (await asked.season()).reaches.find(({ reachId }) => reachId === id)!
    expect(stale.inputHash).not.toBe(kept.inputHash)
    expect(stale.inputHash).not.toBe(stale.keptHash)
    callHook(() => useSeasonKeeper(), undefined)
    await until(async () => {
      const { reaches } = await asked.season()
      return reaches.every(({ inputHash, keptHash }) => inputHash === keptHash)
    }, 60_000)
    await until(() => store.getState().view.work === null)
  }, 90_000)
})
