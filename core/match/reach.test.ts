import { describe, expect, it } from 'vitest'
import { bottomAspect, fishingDepthMm } from './index.ts'
import type { MatchPlace } from './index.ts'
import { tooLightSentence } from '../wording/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'

const place = (surfaceSpeedMmPerS: number, bedMm = 900) => ({ bedMm, surfaceSpeedMmPerS })
const sinks = (sinkSpeedMmPerS: number) =>
  ({ kind: 'sinks', sinkSpeedMmPerS, freeMmPerS: sinkSpeedMmPerS, submergedMg: 20 }) as const

describe('fishingDepthMm', () => {
  it('is as far as a fly gets on a drift of six metres', () => {
    // 6 m at 0.6 m/s take 10 s; at 50 mm/s a fly is half a metre down by then
    expect(fishingDepthMm(sinks(50), [], place(600))).toBeCloseTo(500, 9)
    expect(fishingDepthMm(sinks(50), [], place(1200))).toBeCloseTo(250, 9)
  })

  it('is as far as anyone waits for where the water hardly moves, and never below the bed', () => {
    expect(fishingDepthMm(sinks(50), [], place(0, 4000))).toBeCloseTo(1000, 9)
    expect(fishingDepthMm(sinks(50), [], place(300, 4000))).toBeCloseTo(1000, 9)
    expect(fishingDepthMm(sinks(400), [], place(600))).toBe(900)
  })

  it('is the film for what floats, and unknown for what nobody knows', () => {
    expect(fishingDepthMm({ kind: 'floats', posture: 'low' }, [], place(600))).toBe(0)
    expect(fishingDepthMm({ kind: 'unknown' }, [], place(600))).toBeNull()
  })
})

describe('fishingDepthMm as it is fished', () => {
  const bead = { kind: 'sinks', sinkSpeedMmPerS: 220, freeMmPerS: 250, submergedMg: 90 } as const

  it('is that of the way which brings it deepest, and never below the bed', () => {
    expect(fishingDepthMm(bead, ['swungWets'], place(600))).toBeLessThan(200)
    expect(fishingDepthMm(bead, ['tightLineNymph'], place(600))).toBeGreaterThan(850)
    const both = fishingDepthMm(bead, ['swungWets', 'tightLineNymph'], place(600))
    expect(both).toBe(fishingDepthMm(bead, ['tightLineNymph'], place(600)))
    // a dry leader is no way for it: then it falls free
    expect(fishingDepthMm(bead, ['dry'], place(600))).toBe(fishingDepthMm(bead, [], place(600)))
    expect(fishingDepthMm(bead, ['indicatorNymph'], place(100, 500))).toBe(500)
  })

  it('is counted down in still water though wind drifts it, and swung where it runs', () => {
    const still = fishingDepthMm(bead, ['slowRetrieve'], place(0, 4000))!
    expect(still).toBeGreaterThan(1000)
    expect(fishingDepthMm(bead, ['slowRetrieve'], place(20, 4000))).toBe(still)
    expect(fishingDepthMm(bead, ['slowRetrieve'], place(400, 4000))).toBeLessThan(still / 3)
  })

  it('is the bed for what hovers over it, and the film for what floats', () => {
    const floats = { kind: 'floats', posture: 'low' } as const
    expect(fishingDepthMm(floats, ['buoyantOnSinkingLine'], place(0, 3000))).toBe(3000)
    expect(fishingDepthMm(floats, ['dry'], place(600))).toBe(0)
  })
})

describe('bottomAspect', () => {
  const run: MatchPlace = {
    ...{ waterKind: 'freestone', bedMm: 900, surfaceSpeedMmPerS: 600, lengthMmLow: 0, lengthMmHigh: 0 },
  }
  const bare = { kind: 'sinks', sinkSpeedMmPerS: 40, freeMmPerS: 45, submergedMg: 4 } as const
  const beaded = { kind: 'sinks', sinkSpeedMmPerS: 220, freeMmPerS: 250, submergedMg: 90 } as const
  const UNITS: DisplayUnits = {
    ...{ smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' },
  }
  const said = (...of: Parameters<typeof bottomAspect>) =>
    tooLightSentence(bottomAspect(...of), 'Bridge Reach', UNITS)

  it('asks the rig that the fly is fished on, the one that brings it nearest of several', () => {
    expect(bottomAspect(beaded, ['tightLineNymph'], run)).toMatchObject({ code: 'reachesDepth', score: 1 })
    expect(bottomAspect(bare, ['tightLineNymph'], run).code).toBe('tooShallow')
    const several = bottomAspect(beaded, ['swungWets', 'tightLineNymph'], run)
    expect(several).toMatchObject({ code: 'reachesDepth', names: ['tight'] })
    // where nobody said how, it falls free: six metres at 0.6 m/s are ten seconds
    expect(bottomAspect(bare, [], run)).toMatchObject({ code: 'tooSlow', found: 40, wantedLow: 75 })
    expect(bottomAspect(beaded, ['dry'], run)).toMatchObject({ code: 'notSo', score: 0 })
  })

  it('is said where it does not get down, as it is fished', () => {
    expect(said(bare, [], run)).toBe(
      'Too light for the bottom at Bridge Reach: it falls 4.0 cm/s with its line, and 7.5 cm/s gets down there.',
    )
    expect(said(bare, ['indicatorNymph'], run)).toMatch(
      /^Too light for the bottom at Bridge Reach: it is 0\.\d\d m down under a float, and 0\.75 m is wanted there\.$/,
    )
    expect(said(beaded, ['swungWets'], run)).toBe('It swings above the bottom at Bridge Reach.')
    expect(said(beaded, ['indicatorNymph'], run)).toBeNull()
  })
})
