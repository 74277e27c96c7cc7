// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { callHook, onTheDemo } from '../testing/onThePage.tsx'
import { useInstrument } from './useInstrument.ts'

onTheDemo()

function instrument(kind: Parameters<typeof useInstrument>[0]) {
  const read: number[] = []
  const { result } = callHook(() => useInstrument(kind, (value) => read.push(value)), undefined)
  return { read, result, ask: (expected: number) => act(() => result.current.read(expected)) }
}

describe('an instrument that is read', () => {
  it('hands a figure over near what is held to it, or says in words why there is none', async () => {
    const scale = instrument('scale')
    for (let n = 0; n < 12 && scale.read.length < 3; n += 1) {
      const before = scale.read.length
      await scale.ask(412)
      const { fault } = scale.result.current
      // either a figure or a reason, never both and never neither
      if (scale.read.length > before) expect(fault).toBeNull()
      else expect(fault).toMatch(/^(No instrument|The line broke|It does not come|The instrument says)/)
    }
    expect(scale.read.length).toBeGreaterThan(0)
    for (const mg of scale.read) expect(Math.abs(mg / 412 - 1)).toBeLessThan(0.2)
    expect(scale.result.current.busy).toBe(false)
  })

  it('says so where nobody answers, and takes nothing', async () => {
    const timer = instrument('timer')
    const answering = globalThis.fetch
    globalThis.fetch = () => Promise.reject(new TypeError('fetch failed'))
    try {
      await timer.ask(3)
    } finally {
      globalThis.fetch = answering
    }
    expect(timer.result.current.fault).toBe('No instrument answers. Write the figure instead.')
    expect(timer.read).toEqual([])
  })
})
