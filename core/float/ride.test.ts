import { describe, expect, it } from 'vitest'
import { partsOf, resolveDressing } from '../dressing/index.ts'
import type { Part } from '../dressing/index.ts'
import { emerger, hackledDry, shippedMaterial } from '../testing/shippedMaterial.ts'
import { GRAVITY_MM_PER_S2, waterAt } from '../water/index.ts'
import { filmLimitMg, POSTURES, rideOf, trimmable, trimSteps, tuftLiftMg } from './index.ts'
import { stepsOf } from '../testing/steps.ts'

const water = waterAt(10)
const DRY = { drownings: 0, seconds: 0 }

function partsFor(made: ReturnType<typeof emerger>): readonly Part[] {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return partsOf(fly)
}

const clipped = (share: number) => {
  const made = hackledDry()
  return {
    ...made,
    dressing: {
      ...made.dressing,
      components: made.dressing.components.map((component) =>
        component.kind === 'hackle' ? { ...component, clipped: share } : component,
      ),
    },
  }
}

describe('lift', () => {
  it('of a tuft of 30 mm³ that holds six tenths of its air is 16.6 mg', () => {
    expect(tuftLiftMg(30, 0.05, 1.3, 0.6, water)).toBeCloseTo(16.6, 1)
  })

  it('of 24 mm³ of foam of 0.10 is 21.6 mg', () => {
    expect(tuftLiftMg(24, 1, 0.1, 0, water)).toBeCloseTo(21.6, 1)
  })

  it('of a tuft halves with the tuft', () => {
    expect(tuftLiftMg(15, 0.05, 1.3, 0.6, water)).toBeCloseTo(tuftLiftMg(30, 0.05, 1.3, 0.6, water) / 2, 9)
  })
})

describe('filmLimitMg', () => {
  it('never passes 2γ along the lines of contact', () => {
    for (const part of partsFor(hackledDry())) {
      const perMm = water.surfaceTensionMgPerS2 / GRAVITY_MM_PER_S2
      expect(filmLimitMg(part, water)).toBeLessThanOrEqual(perMm * (part.film?.lineMm ?? 0) + 1e-9)
    }
  })

  it('lets neighbours share a dimple: a denser hackle of the same reach gains nothing', () => {
    const hackle = (turns: number) => {
      const made = hackledDry()
      const dressing = {
        ...made.dressing,
        components: made.dressing.components.map((c) => (c.kind === 'hackle' ? { ...c, turns } : c)),
      }
      const part = partsFor({ ...made, dressing }).find(({ kind }) => kind === 'hackle')
      return part ? filmLimitMg(part, water) : 0
    }
    expect(hackle(8)).toBeCloseTo(hackle(4), 6)
    expect(hackle(0.25)).toBeLessThan(hackle(4))
  })
})

describe('rideOf', () => {
  it('stands a hackled dry proud, and lower once its hackle is clipped below', () => {
    const order = [1, 0.5, 0].map((share) => rideOf(partsFor(clipped(share)), water, DRY))
    expect(order[0]?.posture).toBe('proud')
    expect(order[2]?.posture).toBe('low')
    const heights = order.map((ride) => ride?.freeHeightMm ?? 0)
    expect(Math.max(...stepsOf(heights))).toBeLessThan(0)
  })

  it('goes from hanging to sunk as a tuft is shortened, with less to spare at each cut', () => {
    const rides = [2, 1.5, 1, 0.8].map((gapes) => rideOf(partsFor(emerger(gapes)), water, DRY))
    expect(rides.map((ride) => ride?.posture)).toEqual(['hanging', 'hanging', 'hanging', undefined])
    const spare = rides.map((ride) => ride?.spareMg ?? 0)
    expect(Math.max(...stepsOf(spare))).toBeLessThan(0)
    const drowned = rides.map((ride) => ride?.drowningsUntilSunk ?? 0)
    expect(Math.max(...stepsOf(drowned))).toBeLessThan(0)
    expect(rideOf(partsFor(emerger(0.1)), water, DRY)).toBeNull()
  })

  it('has less to spare in heavier iron under the same tuft', () => {
    const on = (family: string) => {
      const made = emerger(1.5)
      const hook = shippedMaterial(family, '16')
      const materials = new Map(made.materials).set(hook.id, hook)
      return rideOf(
        partsFor({ ...made, materials, variant: { hookMaterialId: hook.id, swaps: [] } }),
        water,
        DRY,
      )
    }
    expect(on('hook-curved-fine')?.spareMg ?? 0).toBeGreaterThan(1)
    expect(on('hook-curved-heavy')?.spareMg ?? 0).toBeLessThan((on('hook-curved-fine')?.spareMg ?? 0) - 1)
  })

  it('never rides higher after a drowning or an hour', () => {
    const parts = partsFor(hackledDry())
    const rank = (drownings: number, seconds: number) => {
      const ride = rideOf(parts, water, { drownings, seconds })
      return ride ? POSTURES.indexOf(ride.posture) : POSTURES.length
    }
    const ranks = [0, 2, 5, 10, 20, 40].map((drownings) => rank(drownings, 0))
    expect(Math.min(...stepsOf(ranks))).toBeGreaterThanOrEqual(0)
    expect(ranks[0]).toBe(POSTURES.indexOf('proud'))
    expect(ranks.at(-1)).toBeGreaterThan(ranks[0] ?? 0)
    expect(rank(0, 36_000)).toBe(POSTURES.length)
  })
})

describe('trimSteps', () => {
  const flyOf = (made: ReturnType<typeof emerger>) => {
    const fly = resolveDressing(made.dressing, made.variant, made.materials)
    if (fly.kind !== 'fly') throw new Error('incomplete')
    return fly
  }

  it('knows what shears can do to a dry and to an emerger', () => {
    expect(trimmable(flyOf(hackledDry())).map(({ how }) => how)).toEqual(['clipBelow'])
    expect(trimmable(flyOf(emerger(1))).map(({ component, how }) => [component.key, how])).toEqual([
      ['tuft', 'shorten'],
    ])
  })

  it('never raises a fly that is cut', () => {
    for (const [made, key, how] of [
      [hackledDry(), 'hackle', 'clipBelow'],
      [emerger(2), 'tuft', 'shorten'],
    ] as const) {
      const steps = trimSteps(flyOf(made), key, how, water)
      const heights = steps.map(({ ride }) => ride?.freeHeightMm ?? -1)
      expect(Math.max(...stepsOf(heights))).toBeLessThanOrEqual(0)
      expect(heights.at(-1)).toBeLessThan((heights[0] ?? 0) - 0.3)
      expect(steps.at(-1)?.cut.left).toBe(0)
    }
  })
})
