// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { calibrateScreen, useTrueSize } from './trueSize.ts'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

describe('pixels in a millimetre', () => {
  it('are 96 to the inch where nobody held a card to the screen', () => {
    expect(renderHook(useTrueSize).result.current).toBeCloseTo(3.7795, 4)
  })

  it('are as calibrated, at once wherever something is drawn to size, and in the next window', () => {
    const [one, other] = [renderHook(useTrueSize), renderHook(useTrueSize)]
    act(() => calibrateScreen(5.2))
    expect([one.result.current, other.result.current]).toEqual([5.2, 5.2])
    one.unmount()
    act(() => calibrateScreen(6))
    expect(other.result.current).toBe(6)
    expect(renderHook(useTrueSize).result.current).toBe(6)
  })

  it.each(['1', '20', 'wide', '-4', ''])('are as assumed where %o was kept, which no screen has', (kept) => {
    act(() => calibrateScreen(5))
    const [key = ''] = Object.keys(localStorage)
    localStorage.setItem(key, kept)
    expect(renderHook(useTrueSize).result.current).toBeCloseTo(3.7795, 4)
  })
})
