// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { onTheDemo, until, callHook } from '../../testing/onThePage.tsx'
import { useWakeLock } from './useWakeLock.ts'

onTheDemo()

describe('useWakeLock', () => {
  /** What a browser grants: a lock that can be taken away. */
  const granting = () => {
    const locks: { released: boolean; drop: () => void }[] = []
    const request = () => {
      let drop: () => void = () => undefined
      const lock = {
        released: false,
        drop: () => drop(),
        release: () => ((lock.released = true), Promise.resolve()),
        addEventListener: (_: string, listener: () => void) => (drop = listener),
      }
      locks.push(lock)
      return Promise.resolve(lock)
    }
    Object.defineProperty(navigator, 'wakeLock', { configurable: true, value: { request } })
    return locks
  }

  it('holds the screen awake, takes it again when the page is shown again, and lets go when it is left', async () => {
    const locks = granting()
    const { result, unmount } = callHook(() => useWakeLock(), undefined)
    await until(() => result.current)
    act(() => locks[0]!.drop())
    expect(result.current).toBe(false)
    act(() => void document.dispatchEvent(new Event('visibilitychange')))
    await until(() => result.current)
    expect(locks).toHaveLength(2)
    unmount()
    expect(locks[1]!.released).toBe(true)
  })

  it('says that it does not where the browser refuses, or knows no such thing', async () => {
    Object.defineProperty(navigator, 'wakeLock', { configurable: true, value: { request: () => Promise.reject(new Error('battery')) } }) // prettier-ignore
    const { result } = callHook(() => useWakeLock(), undefined)
    await new Promise((resolve) => setTimeout(resolve, 10))
    expect(result.current).toBe(false)
    delete (navigator as { wakeLock?: unknown }).wakeLock
    expect(callHook(() => useWakeLock(), undefined).result.current).toBe(false)
  })
})
