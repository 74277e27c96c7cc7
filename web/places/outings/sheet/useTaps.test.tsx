// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { AlongView } from '../../../../contract/index.ts'
import { PATHS } from '../../../../contract/paths.ts'
import { useWaterside } from '../../../parts/waterside/useWaterside.ts'
import { asked } from '../../../testing/asked.ts'
import { callHook, onTheDemo, until } from '../../../testing/onThePage.tsx'
import { useTaps } from './useTaps.ts'

onTheDemo()

/** The next outing as it is taken along. */
async function alongNow(): Promise<AlongView> {
  const { outings } = await asked.outings()
  const next = outings.find(({ status }) => status === 'planned')!
  return (await (await fetch(PATHS.along.replace(':id', next.id))).json()) as AlongView
}
/** The log of an outing with what is made of it, as its sheet has it. */
const sheet = (along: AlongView) => callHook((now: AlongView) => useWaterside(now, null, useTaps(now)), along)

describe('what is noted on an outing', () => {
  it('is there at once, kept by the server, and counted once when it comes back from there', async () => {
    const along = await alongNow()
    const { result, rerender } = sheet(along)
    const before = along.taps.length
    const last = result.current.last
    act(() => result.current.note({ kind: 'sign', signKey: 'duns-upright', seen: true }))
    const noted = result.current.last!
    expect(noted.id).not.toBe(last?.id)
    const there = await until(async () => {
      const now = await alongNow()
      return now.taps.length === before + 1 && now
    })
    expect(there.taps.at(-1)!.id).toBe(noted.id)
    rerender(there)
    expect(result.current.last!.id).toBe(noted.id)
    // taken back elsewhere, it is gone here
    rerender(along)
    expect(result.current.last?.id).toBe(last?.id)
  })

  it('is taken back, the last that holds first', async () => {
    const along = await alongNow()
    const { result } = sheet(along)
    const [first, second] = ['duns-upright', 'tiny-rings'].map((signKey) => {
      act(() => result.current.note({ kind: 'sign', signKey, seen: true }))
      return result.current.last!.id
    })
    expect(result.current.last!.id).toBe(second)
    act(() => result.current.undo!())
    expect(result.current.last!.id).toBe(first)
    act(() => result.current.undo!())
    expect([first, second]).not.toContain(result.current.last?.id)
  })
})
