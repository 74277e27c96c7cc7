// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../testing/asked.ts'
import { callHook, onTheDemo } from '../testing/onThePage.tsx'
import { useTakeReadings } from './useTakeReadings.ts'

onTheDemo()

const reach = async () => (await asked.frame()).reaches[0]!
/** One reading of a noon: its day since 1970, the minute, hundredths of a degree. */
const rows = (tempC: number) => JSON.stringify([[20_603, 720, tempC * 100, null, null]])

describe('readings that are taken in', () => {
  it('are kept, and what is said of a refusal goes with the next that are', async () => {
    const { reachId } = await reach()
    const { result } = callHook(() => useTakeReadings(reachId), undefined)
    expect(result.current.refused).toBeNull()
    await act(async () => expect(await result.current.take('entered', 'no rows')).toBe(false))
    expect(result.current.refused).toMatch(/\w+/)
    const last = (await asked.actions()).actions[0]!.actionId
    await act(async () => expect(await result.current.take('entered', rows(12.5))).toBe(true))
    expect(result.current.refused).toBeNull()
    expect((await asked.actions()).actions[1]!.actionId).toBe(last)
  })

  it('are refused in the words of the server where there is no such reach', async () => {
    const { result } = callHook(() => useTakeReadings('01990000-0000-7000-8000-000000000000'), undefined)
    await act(async () => expect(await result.current.take('entered', rows(12.5))).toBe(false))
    expect(result.current.refused).toMatch(/reach/)
  })

  it('are not taken in where nobody answers, and it is said so', async () => {
    const { reachId } = await reach()
    const { result } = callHook(() => useTakeReadings(reachId), undefined)
    const answering = globalThis.fetch
    globalThis.fetch = () => Promise.reject(new TypeError('fetch failed'))
    try {
      await act(async () => expect(await result.current.take('entered', rows(12.5))).toBe(false))
    } finally {
      globalThis.fetch = answering
    }
    expect(result.current.refused).toBe(
      'The server does not answer. Nothing was taken in; try again when it does.',
    )
  })
})
