import { describe, expect, it } from 'vitest'
import { barbsOf, partsOf, resolveDressing } from '../dressing/index.ts'
import type { Barbs, Part } from '../dressing/index.ts'
import { emerger, hackledDry, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { GRAVITY_MM_PER_S2, waterAt } from '../water/index.ts'
import {
  bendingMg,
  filmSupportMg,
  POSTURES,
  rideOf,
  trimmable,
  trimSteps,
  tuftLiftMg,
  wettingOf,
} from './index.ts'
import { stepsOf } from '../testing/steps.ts'

const water = waterAt(10)
const DRY = { drownings: 0, seconds: 0 }

function partsFor(made: ReturnType<typeof emerger>): readonly Part[] {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return partsOf(fly)
}

/** A hackled dry with something else about its hackle. */
const hackled = (change: { readonly turns?: number; readonly clipped?: number }) => {
  const made = hackledDry()
  return {
    ...made,
    dressing: {
      ...made.dressing,
      components: made.dressing.components.map((component) =>
        component.kind === 'hackle' ? { ...component, ...change } : component,
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

describe('a barb', () => {
  const stiff = shippedMaterial('hackle-cape-stiff', '16')
  const one = (reachMm: number, lie: Barbs['lie'] = 'ring') =>
    barbsOf(stiff, { count: 1, reachMm, lie, leftBelow: 1 })

  it('of stiff keratin, 0.045 mm by 5.4 mm, bears 2 to 5 mg for 1.7 mm of bend, at most what folds it', () => {
    // by hand: EI = 3 GPa × π 0.045⁴/64 = 6.04e-10 N·m²; 3EI/L³ 1.2 mg a mm by its tip, 8EI/L³ 3.1 spread
    const { bendMgPerMm, foldMg } = one(5.4)
    expect(bendMgPerMm * 1.7).toBeGreaterThan(1.99)
    expect(bendMgPerMm * 1.7).toBeLessThan(5.3)
    // Euler's column held at its foot, untapered: π²EI/4L² = 5.2 mg; a taper to a third folds at less than half of it
    expect(foldMg).toBeGreaterThan(0.3 * 5.2)
    expect(foldMg).toBeLessThan(0.6 * 5.2)
  })

  it('bears an eighth at twice its length of the same thickness, and a sixteenth of half its thickness', () => {
    const thread = (fibreDiameterMm: number, reachMm: number) =>
      barbsOf(
        {
          ...shippedMaterial('fibre-cock-stiff'),
          overrides: { fibreDiameterMm: { value: fibreDiameterMm, low: 0, high: 1, evidence: 'weighed' } },
        },
        { count: 1, reachMm, lie: 'fan', leftBelow: 1 },
      ).bendMgPerMm
    expect(thread(0.05, 4) / thread(0.05, 8)).toBeCloseTo(8, 9)
    expect(thread(0.05, 4) / thread(0.025, 4)).toBeCloseTo(16, 9)
  })

  it('bears less the higher it holds the shank, and nothing where it does not reach', () => {
    const heights = [0, 1, 2, 3, 4, 5, 5.5].map((height) => bendingMg({ ...one(5.4), count: 60 }, height))
    expect(Math.max(...stepsOf(heights))).toBeLessThan(0)
    expect(heights.at(-1)).toBe(0)
  })
})

describe('filmSupportMg', () => {
  it('never passes 2γ along the lines of contact, nor what folds the barbs', () => {
    for (const part of partsFor(hackledDry())) {
      const perMm = water.surfaceTensionMgPerS2 / GRAVITY_MM_PER_S2
      expect(filmSupportMg(part, water)).toBeLessThanOrEqual(perMm * (part.film?.lineMm ?? 0) + 1e-9)
      const barbs = part.film?.barbs
      if (barbs) expect(filmSupportMg(part, water)).toBeLessThanOrEqual(barbs.count * barbs.foldMg + 1e-9)
    }
  })

  it('grows with each turn of hackle, less with each since they share one dimple', () => {
    const held = [0.5, 1, 2, 4, 8].map((turns) => {
      const part = partsFor(hackled({ turns })).find(({ kind }) => kind === 'hackle')
      return part ? filmSupportMg(part, water) : 0
    })
    const gains = stepsOf(held)
    expect(Math.min(...gains)).toBeGreaterThan(1)
    expect(held[4]! / held[3]!).toBeLessThan(held[1]! / held[0]!)
    expect(held[0]).toBeLessThan(12)
  })
})

describe('how dries ride, wet once, without floatant', () => {
  const body = {
    key: 'body',
    kind: 'body',
    material: shippedMaterial('dubbing-fine-synthetic'),
    at: [0.3, 1],
    bulk: 0.15,
  } as const
  const tail = {
    key: 'tail',
    kind: 'tail',
    material: shippedMaterial('fibre-cock-stiff'),
    at: [1, 1],
    fibreCount: 8,
    length: { factor: 1, of: 'shank' },
  } as const
  const stiff = (size: string) => shippedMaterial('hackle-cape-stiff', size)
  const made = (size: string, ...lines: Parameters<typeof recipe>[1]) =>
    recipe(shippedMaterial('hook-dry-fine', size), [
      { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '50'), at: [0, 1] },
      ...lines,
    ])
  const flies = {
    hackled: (size: string) =>
      made(size, tail, body, {
        key: 'hackle',
        kind: 'hackle',
        material: stiff(size),
        at: [0.12, 0.28],
        turns: 4,
        length: { factor: 1.5, of: 'gape' },
      }),
    parachute: (size: string) =>
      made(
        size,
        tail,
        body,
        {
          key: 'post',
          kind: 'post',
          material: shippedMaterial('yarn-poly'),
          at: [0.22, 0.28],
          strands: 1,
          side: 'above',
          length: { factor: 0.9, of: 'shank' },
        },
        {
          key: 'hackle',
          kind: 'hackle',
          material: stiff(size),
          at: [0.2, 0.3],
          turns: 4,
          length: { factor: 1.5, of: 'gape' },
        },
      ),
    palmer: (size: string) =>
      made(size, tail, body, {
        key: 'hackle',
        kind: 'hackle',
        material: stiff(size),
        at: [0.15, 0.9],
        turns: 10,
        length: { factor: 1, of: 'gape' },
      }),
    hairWing: (size: string) =>
      made(size, tail, body, {
        key: 'wing',
        kind: 'wing',
        material: shippedMaterial('hair-deer-tip'),
        at: [0.2, 0.3],
        fibreCount: 40,
        side: 'both',
        length: { factor: 0.8, of: 'shank' },
      }),
    foam: (size: string) =>
      made(size, {
        key: 'foam',
        kind: 'foam',
        material: shippedMaterial('foam-closed-medium', '2'),
        at: [0.1, 1],
        side: 'above',
      }),
    tuft: (size: string) =>
      made(size, body, {
        key: 'wing',
        kind: 'wing',
        material: shippedMaterial('cdc-feather'),
        at: [0.15, 0.28],
        strands: 2,
        side: 'above',
        length: { factor: 1, of: 'gape' },
      }),
    softSpent: (size: string) =>
      made(size, tail, body, {
        key: 'wing',
        kind: 'wing',
        material: shippedMaterial('hackle-hen-soft', size),
        at: [0.2, 0.3],
        strands: 2,
        side: 'both',
        length: { factor: 1, of: 'shank' },
      }),
  } as const
  const spareOf = (name: keyof typeof flies, size: string) =>
    rideOf(partsFor(flies[name](size)), water, wettingOf('fresh'))?.spareMg ?? 0

  // By hand for the #16: 24 to 32 barbs of 72 meet the film, each bears 1 to 2.4 mg before it folds: 35 to 75 mg; the film
  // below, 9.4 × 3.7 mm, bears a third of 140 mg. Both together some 40 to 50, of which the fly takes 17.
  it.each([
    ['14', 15, 45],
    ['16', 20, 45],
    ['18', 20, 45],
  ])('a hackled #%s spares %s to %s mg, not two hundred', (size, least, most) => {
    expect(spareOf('hackled', size)).toBeGreaterThan(least)
    expect(spareOf('hackled', size)).toBeLessThan(most)
  })

  it.each(['12', '14', '16', '18'])(
    'in this order on a #%s: parachute, palmer, hackle, tuft, soft spent wings',
    (size) => {
      const spares = (['parachute', 'palmer', 'hackled', 'tuft', 'softSpent'] as const).map((name) =>
        spareOf(name, size),
      )
      expect(Math.max(...stepsOf(spares))).toBeLessThan(size === '18' ? 2 : 0.01)
      expect(spareOf('hairWing', size)).toBeGreaterThan(spareOf('tuft', size))
      expect(spareOf('foam', size)).toBeGreaterThan(spareOf('tuft', size))
      expect(spareOf('softSpent', size)).toBe(0)
    },
  )

  it('as they are tied: hackle holds the body clear, a parachute lays it on the film, a tuft lets a bent hook hang', () => {
    const posture = (name: keyof typeof flies) =>
      rideOf(partsFor(flies[name]('16')), water, wettingOf('fresh'))?.posture
    expect(posture('hackled')).toBe('proud')
    expect(posture('palmer')).toBe('proud')
    expect(posture('parachute')).toBe('low')
    expect(posture('hairWing')).toBe('low')
    expect(posture('tuft')).toBe('low')
    expect(rideOf(partsFor(emerger(1.5)), water, wettingOf('fresh'))?.posture).toBe('hanging')
    expect(posture('softSpent')).toBeUndefined()
  })

  it('stand the higher the more hackle they have, and not at all on half a turn', () => {
    const ride = (turns: number) => rideOf(partsFor(hackled({ turns })), water, wettingOf('fresh'))
    const heights = [2, 3, 4, 6, 8].map((turns) => ride(turns)?.freeHeightMm ?? 0)
    expect(Math.min(...stepsOf(heights))).toBeGreaterThan(0)
    // the shank is clear on hackle, on the film where the fly rides low, and not level where an abdomen hangs
    expect(ride(4)?.shankMm).toBeGreaterThanOrEqual(0.6)
    expect(rideOf(partsFor(flies.parachute('16')), water, wettingOf('fresh'))?.shankMm).toBe(0)
    expect(rideOf(partsFor(emerger(1.5)), water, wettingOf('fresh'))?.shankMm).toBeNull()
    expect(ride(0.5)?.posture).not.toBe('proud')
  })

  it('sink palmered round a bead of tungsten', () => {
    const heavy = recipe(shippedMaterial('hook-straight', '10'), [
      { key: 'bead', kind: 'bead', material: shippedMaterial('bead-tungsten-slotted', '3.3'), at: [0, 0.2] },
      { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0, 1] },
      body,
      {
        key: 'hackle',
        kind: 'hackle',
        material: stiff('10'),
        at: [0.2, 0.95],
        turns: 12,
        length: { factor: 1, of: 'gape' },
      },
    ])
    expect(rideOf(partsFor(heavy), water, wettingOf('dry'))).toBeNull()
  })

  it('ride no higher with a hackle clipped to nothing than with none, but for the barbs at its sides', () => {
    const none = partsFor(hackledDry()).filter(({ kind }) => kind !== 'hackle')
    const soft = partsFor(hackled({ turns: 0.01 }))
    expect(rideOf(none, water, wettingOf('fresh'))).toBeNull()
    expect(rideOf(soft, water, wettingOf('fresh'))).toBeNull()
  })
})

describe('rideOf', () => {
  it('stands a hackled dry proud, and lower once its hackle is clipped below', () => {
    const order = [1, 0.5, 0].map((share) => rideOf(partsFor(hackled({ clipped: share })), water, DRY))
    expect(order[0]?.posture).toBe('proud')
    expect(order[2]?.posture).toBe('low')
    const heights = order.map((ride) => ride?.freeHeightMm ?? 0)
    expect(Math.max(...stepsOf(heights))).toBeLessThan(0)
  })

  it('goes from hanging to sunk as a tuft is shortened, with less to spare at each cut', () => {
    const rides = [2, 1.5, 1, 0.3].map((gapes) => rideOf(partsFor(emerger(gapes)), water, DRY))
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
