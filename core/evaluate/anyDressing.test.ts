import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COMPONENT_KINDS, FIELD_LIMITS, resolveDressing } from '../dressing/index.ts'
import type { Component } from '../dressing/index.ts'
import { hookOf } from '../hook/index.ts'
import type { Material } from '../material/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { countdown, evaluateFly, USUAL_TIPPET } from './index.ts'

const drawers: readonly Material[] = shippedFamilies.flatMap(({ key, sizes, hook }) =>
  hook ? [] : [shippedMaterial(key, sizes[0] ?? ''), shippedMaterial(key, sizes.at(-1) ?? '')],
)
const hooks: readonly Material[] = shippedFamilies.flatMap(({ key, sizes, hook }) =>
  hook ? [shippedMaterial(key, sizes[0] ?? '16'), shippedMaterial(key, sizes.at(-1) ?? '16')] : [],
)

/** What no length of a line exceeds, of the longest hook. */
const MOST_LENGTHS =
  FIELD_LIMITS.lengthMm.max / Math.max(...hooks.map((hook) => hookOf(hook)?.hookLengthMm ?? 0))

const proportion = fc.oneof(
  fc.record({
    factor: fc.double({ min: 0, max: MOST_LENGTHS, noNaN: true }),
    of: fc.constantFrom('shank' as const, 'gape' as const, 'hookLength' as const, 'bead' as const),
  }),
  fc.record({ mm: fc.double({ min: 0, max: 200, noNaN: true }) }),
)
const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined })

/** Any component that a recipe may hold, whatever its material. */
const component = (i: number): fc.Arbitrary<Component> =>
  fc
    .record({
      kind: fc.constantFrom(...COMPONENT_KINDS),
      drawer: fc.integer({ min: 0, max: drawers.length - 1 }),
      ends: fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true })),
      side: fc.constantFrom('around', 'above', 'below', 'left', 'right', 'both'),
      length: maybe(proportion),
      turns: maybe(fc.double({ min: 0, max: 200, noNaN: true })),
      fibreCount: maybe(fc.integer({ min: 0, max: 500 })),
      strands: maybe(fc.integer({ min: 0, max: 200 })),
      layers: maybe(fc.integer({ min: 1, max: 20 })),
      bulk: maybe(fc.double({ min: 0, max: 1, noNaN: true })),
      clipped: maybe(fc.double({ min: 0, max: 1, noNaN: true })),
      treatment: maybe(
        fc.constantFrom('dry' as const, 'floatant' as const, 'resin' as const, 'varnish' as const),
      ),
    })
    .map(({ drawer, ends, side, ...rest }) => ({
      ...rest,
      key: `c${i}`,
      materialId: drawers[drawer]?.id ?? '',
      place: { from: Math.min(...ends), to: Math.max(...ends), side },
    }))

const anyDressing = fc
  .integer({ min: 0, max: 8 })
  .chain((count) => fc.tuple(...Array.from({ length: count }, (_, i) => component(i))))

/** Every number anywhere in a value. */
function numbersIn(value: unknown): readonly number[] {
  if (typeof value === 'number') return [value]
  if (value === null || typeof value !== 'object' || value instanceof Map) return []
  return Object.values(value).flatMap(numbersIn)
}

const materials = new Map([...drawers, ...hooks].map((drawer) => [drawer.id, drawer]))

describe('any dressing that a recipe may hold', () => {
  it('has a report without a figure that is none, at any temperature and wetness', () => {
    const kinds = new Set<string>()
    fc.assert(
      fc.property(
        anyDressing,
        fc.constantFrom(...hooks),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.constantFrom('dry' as const, 'fresh' as const, 'soaked' as const),
        (components, hook, waterTempC, wet) => {
          const fly = resolveDressing(
            { components, steps: null },
            { hookMaterialId: hook.id, swaps: [] },
            materials,
          )
          if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
          const report = evaluateFly(fly, { waterTempC, tippet: USUAL_TIPPET, wet, filmTreatment: 'none' })
          kinds.add(report.kind)
          expect(numbersIn(report).filter(Number.isNaN)).toEqual([])
          expect(report.massMg.value).toBeGreaterThan(0)
          if (report.kind === 'sinks') {
            expect(report.free.sinkSpeedMmPerS.value).toBeGreaterThan(0)
            expect(Number.isFinite(report.free.sinkSpeedMmPerS.value)).toBe(true)
            const times = countdown(report.model, 500).points.map(({ timeS }) => timeS)
            expect(times.every(Number.isFinite)).toBe(true)
          }
        },
      ),
      { seed: 2026, numRuns: 100, endOnFailure: true },
    )
    expect([...kinds]).toEqual(expect.arrayContaining(['doesNotFit', 'floats', 'sinks']))
  })
})
