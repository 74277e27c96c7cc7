// @vitest-environment jsdom
import { act, fireEvent } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, press, until, callHook } from '../../testing/onThePage.tsx'
import { newId } from '../../wire/useCommand.ts'
import { useInstrument } from '../../wire/useInstrument.ts'
import { useKeeping } from './useKeeping.ts'
import { useStopwatch } from './useStopwatch.ts'

onTheDemo()

describe('useStopwatch', () => {
  const watch = (armed: boolean) => {
    const times: number[] = []
    const onTime = (timeS: number) => void times.push(timeS)
    return { ...callHook((on: boolean) => useStopwatch(on, onTime), armed), times }
  }

  it('starts and stops with the space bar, and hands hundredths of a second over', async () => {
    const { result, times } = watch(true)
    press(' ')
    expect(result.current.running).toBe(true)
    await new Promise((resolve) => setTimeout(resolve, 60))
    press(' ')
    expect(result.current.running).toBe(false)
    expect(times).toHaveLength(1)
    expect(times[0]).toBeGreaterThanOrEqual(0.05)
    expect(times[0]).toBeLessThan(2)
    expect(times[0]! * 100).toBeCloseTo(Math.round(times[0]! * 100), 9)
  })

  it('minds no other key, no key that is held down, and no space in a field', () => {
    const { result } = watch(true)
    press('s')
    fireEvent.keyDown(document.body, { key: ' ', repeat: true })
    const field = document.body.appendChild(document.createElement('input'))
    fireEvent.keyDown(field, { key: ' ' })
    field.remove()
    expect(result.current.running).toBe(false)
  })

  it('listens only while it is armed', () => {
    const { result, rerender } = watch(false)
    press(' ')
    expect(result.current.running).toBe(false)
    rerender(true)
    press(' ')
    expect(result.current.running).toBe(true)
  })

  it('can be pressed as a button', () => {
    const { result, times } = watch(true)
    act(() => result.current.press())
    act(() => result.current.press())
    expect(times).toHaveLength(1)
  })
})

describe('useInstrument', () => {
  it('hands a reading over that is about what lies on the scale', async () => {
    const readings: number[] = []
    const { result } = callHook(() => useInstrument('scale', (value) => readings.push(value)), undefined)
    for (let n = 0; n < 12 && readings.length === 0; n += 1) {
      await act(() => result.current.read(150))
      expect((result.current.fault === null) === readings.length > 0).toBe(true)
    }
    expect(readings).toHaveLength(1)
    expect(Math.abs(readings[0]! - 150)).toBeLessThan(15)
    expect(result.current.busy).toBe(false)
  })

  it('says that no instrument answers, and takes nothing away', async () => {
    const readings: number[] = []
    const { result } = callHook(() => useInstrument('timer', (value) => readings.push(value)), undefined)
    const { fetch } = globalThis
    globalThis.fetch = () => Promise.reject(new TypeError('fetch failed'))
    await act(() => result.current.read(3))
    globalThis.fetch = fetch
    expect(result.current.fault).toMatch(/No instrument answers/)
    expect(readings).toEqual([])
  })
})

describe('useKeeping', () => {
  const weighing = (massMg: number, variantId: string) => ({
    weighingId: newId<never>(), version: null,
    weighing: { on: '2026-06-04', subject: { kind: 'variant', variantId }, wet: 'dry', readings: [massMg], note: '' },
  }) as never // prettier-ignore

  it('says at the form why something was refused, and empties it only when it was kept', async () => {
    let kept = 0
    const { result } = callHook(() => useKeeping(() => (kept += 1)), undefined)
    await act(() => result.current.keep('weighingSave', weighing(-1, newId())))
    expect(result.current.problem).not.toBeNull()
    expect(kept).toBe(0)
    const [variant] = (await asked.pattern('Third Button')).variants
    await act(() =>
      result.current.keep('dropTestSave', {
        testId: newId(),
        version: null,
        test: {
          variantId: variant!.id, depthMm: 1200, timing: 'thumb', waterTempC: 10, vesselMm: null, tippet: null,
          wet: 'soaked', times: [{ timeS: 3, setAside: false }], note: '',
        },
      }),
    ) // prettier-ignore
    expect(result.current.problem).toBeNull()
    await until(() => kept === 1)
  })
})
