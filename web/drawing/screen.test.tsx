// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { PATHS } from '../../contract/paths.ts'
import { asked } from '../testing/asked.ts'
import { heldBack } from '../testing/meanwhile.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { calibrateScreen, useTrueSize } from './trueSize.ts'
import { useSketch, useSketchesToCome } from './useSketch.ts'

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
  let { fetch } = globalThis
  let asks = 0
  beforeEach(() => {
    fetch = globalThis.fetch
    globalThis.fetch = (...of) => ((asks += 1), fetch(...of))
  })
  afterEach(() => void (globalThis.fetch = fetch))
  const drawings = async () => {
    const { variants } = await asked.plan()
    const keys = [...new Set(variants.flatMap(({ figure }) => figure.drawingKey ?? []))]
    const half = Math.ceil(keys.length / 2)
    return [keys.slice(0, half), keys.slice(half)] as const
  }

  it('fetches drawings by their keys, many in few requests, each once', async () => {
    const [keys] = await drawings()
    asks = 0
    const drawn = keys.map((key) => callHook(() => useSketch(key), undefined))
    for (const { result } of drawn) await until(() => result.current)
    expect(asks).toBe(Math.ceil(keys.length / 50))
    expect(drawn[0]!.result.current!.parts.length).toBeGreaterThan(1)
    expect(callHook(() => useSketch(keys[0]!), undefined).result.current).toBe(drawn[0]!.result.current)
    await new Promise((resolve) => setTimeout(resolve, 20))
    expect(asks).toBe(Math.ceil(keys.length / 50))
  })

  it('asks for none that the page asked for before it came to show it', async () => {
    const [, keys] = await drawings()
    asks = 0
    await heldBack(PATHS.drawings, async (letGo) => {
      callHook(() => useSketchesToCome(keys), undefined)
      // they are on their way
      await new Promise((resolve) => setTimeout(resolve, 20))
      const drawn = keys.slice(0, 5).map((key) => callHook(() => useSketch(key), undefined))
      await new Promise((resolve) => setTimeout(resolve, 20))
      letGo()
      for (const { result } of drawn) await until(() => result.current)
    })
    expect(asks).toBe(Math.ceil(keys.length / 50))
  })

  it('is none where there is none', () => {
    expect(callHook(() => useSketch(null), undefined).result.current).toBeNull()
  })
})
