import { describe, expect, it } from 'vitest'
import { fishingDepthMm } from './index.ts'

const place = (surfaceSpeedMmPerS: number, bedMm = 900) => ({ bedMm, surfaceSpeedMmPerS })
const sinks = (sinkSpeedMmPerS: number) =>
  ({ kind: 'sinks', sinkSpeedMmPerS, freeMmPerS: sinkSpeedMmPerS, submergedMg: 20 }) as const

describe('fishingDepthMm', () => {
  it('is as far as a fly gets on a drift of six metres', () => {
    // 6 m at 0.6 m/s take 10 s; at 50 mm/s a fly is half a metre down by then
    expect(fishingDepthMm(sinks(50), place(600))).toBeCloseTo(500, 9)
    expect(fishingDepthMm(sinks(50), place(1200))).toBeCloseTo(250, 9)
  })

  it('is as far as anyone waits for where the water hardly moves, and never below the bed', () => {
    expect(fishingDepthMm(sinks(50), place(0, 4000))).toBeCloseTo(1000, 9)
    expect(fishingDepthMm(sinks(50), place(300, 4000))).toBeCloseTo(1000, 9)
    expect(fishingDepthMm(sinks(400), place(600))).toBe(900)
  })

  it('is the film for what floats, and unknown for what nobody knows', () => {
    expect(fishingDepthMm({ kind: 'floats', posture: 'low' }, place(600))).toBe(0)
    expect(fishingDepthMm({ kind: 'unknown' }, place(600))).toBeNull()
  })
})
