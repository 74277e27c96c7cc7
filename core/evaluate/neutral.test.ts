import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { terminalSpeed } from '../sink/index.ts'
import { recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { wording } from '../index.ts'
import { evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from './index.ts'

/** A fly of foam on a hook with so many turns of wire under it: from a cork to a stone. */
function report(turns: number, wet: 'fresh' | 'soaked' = 'soaked') {
  const made = recipe(shippedMaterial('hook-straight', '10'), [
    ...(turns > 0
      ? [
          {
            key: 'wire',
            kind: 'wire' as const,
            material: shippedMaterial('wire-lead', '0.63'),
            at: [0.2, 0.9] as const,
            turns,
            layers: turns > 14 ? 2 : 1,
          },
        ]
      : []),
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0, 1] },
    {
      key: 'foam',
      kind: 'foam',
      material: shippedMaterial('foam-closed-medium', '4'),
      at: [0.1, 1],
      side: 'above',
    },
  ])
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return evaluateFly(fly, { ...LIST_CONDITIONS, wet, tippet: USUAL_TIPPET })
}

const TURNS = Array.from({ length: 57 }, (_, i) => i * 0.5)

describe('a fly near the weight of water', () => {
  const all = TURNS.map((turns) => report(turns))
  const kinds = all.map(({ kind }) => kind)

  it('floats, then hovers, then sinks as wire is added, in that order', () => {
    expect(kinds[0]).toBe('floats')
    expect(kinds.at(-1)).toBe('sinks')
    const order = ['floats', 'hovers', 'sinks']
    const ranks = kinds.map((kind) => order.indexOf(kind))
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
    expect(kinds.filter((kind) => kind === 'hovers').length).toBeGreaterThan(1)
  })

  it('hovers with a band of its weight that spans nothing, and says both sides of it', () => {
    for (const one of all) {
      if (one.kind !== 'hovers') continue
      const { low, value, high } = one.submergedMg
      expect(low).toBeLessThan(value)
      expect(value).toBeLessThan(high)
      expect(high - value).toBeCloseTo(value - low, 6)
      expect(low < 0 === high < 0 || low < 0).toBe(true)
    }
    const middle = all.find(
      (one) => one.kind === 'hovers' && one.submergedMg.low < 0 && one.submergedMg.high > 0,
    )
    const units = { depth: 'm', speed: 'cm/s', mass: 'mg', smallLength: 'mm', temperature: '°C' } as never
    expect(middle && wording.hoversWords(middle as Extract<typeof middle, { kind: 'hovers' }>, units)).toMatch(
      /^hovers, between .* light and .* heavy in water$/,
    )
  })

  it('has no band of a speed that spans nothing or a hundredfold', () => {
    for (const one of all) {
      if (one.kind !== 'sinks') continue
      const { low, value, high } = one.free.sinkSpeedMmPerS
      expect(value).toBeGreaterThanOrEqual(10)
      expect(high / low).toBeLessThan(12)
    }
  })

  it('rises the faster the lighter it is, slower with line drawn after it', () => {
    const rises = all.flatMap((one) => (one.kind === 'floats' && one.rise ? [one.rise] : []))
    expect(rises.length).toBeGreaterThan(2)
    const speeds = rises.map(({ free }) => free.sinkSpeedMmPerS.value)
    speeds.slice(1).forEach((speed, i) => expect(speed).toBeLessThanOrEqual(speeds[i]! * 1.001))
    for (const { free, trailing } of rises)
      expect(trailing?.sinkSpeedMmPerS.value).toBeLessThan(free.sinkSpeedMmPerS.value)
  })

  it('rises as a fall of the same weight, upside down', () => {
    const heavy = report(28)
    if (heavy.kind !== 'sinks') throw new Error(heavy.kind)
    const light = all[0]!
    if (light.kind !== 'floats' || !light.rise) throw new Error(light.kind)
    const byWeight = terminalSpeed({ ...heavy.model, tippet: null, submergedMg: light.ride.spareMg })
    expect(light.rise.free.sinkSpeedMmPerS.value / byWeight).toBeGreaterThan(0.4)
    expect(light.rise.free.sinkSpeedMmPerS.value / byWeight).toBeLessThan(2.5)
  })
})
