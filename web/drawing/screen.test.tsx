// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../testing/asked.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { calibrateScreen, useTrueSize } from './trueSize.ts'
import { useSketch } from './useSketch.ts'

onTheDemo()

describe('useTrueSize', () => {
  it('is what style sheets assume until it was calibrated, then what was measured, at once', () => {
    const { result } = callHook(() => useTrueSize(), undefined)
    expect(result.current).toBeCloseTo(96 / 25.4, 9)
    act(() => calibrateScreen(6.2))
    expect(result.current).toBe(6.2)
  })

  it.each(['1', '20', 'wide', '-4'])('does not believe %s pixels to the millimetre', (kept) => {
    localStorage.setItem('heavy-thistle:px-per-mm', kept)
    expect(callHook(() => useTrueSize(), undefined).result.current).toBeCloseTo(96 / 25.4, 9)
  })
})

describe('useSketch', () => {
  it('fetches drawings by their keys, many in few requests, each once', async () => {
    const { variants } = await asked.plan()
    const keys = [...new Set(variants.flatMap(({ figure }) => figure.drawingKey ?? []))]
    let asks = 0
    const { fetch } = globalThis
    globalThis.fetch = (...of) => ((asks += 1), fetch(...of))
    const drawn = keys.map((key) => callHook(() => useSketch(key), undefined))
    for (const { result } of drawn) await until(() => result.current)
    expect(asks).toBe(Math.ceil(keys.length / 50))
    expect(drawn[0]!.result.current!.parts.length).toBeGreaterThan(1)
    expect(callHook(() => useSketch(keys[0]!), undefined).result.current).toBe(drawn[0]!.result.current)
    await new Promise((resolve) => setTimeout(resolve, 20))
    expect(asks).toBe(Math.ceil(keys.length / 50))
    globalThis.fetch = fetch
  })

  it('is none where there is none', () => {
    expect(callHook(() => useSketch(null), undefined).result.current).toBeNull()
  })
})
