import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { hackledDry, jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import {
  behaviourOf,
  evaluateFly,
  hangOf,
  LIST_CONDITIONS,
  sampleFall,
  speedAtAttitude,
  UNCALIBRATED,
  USUAL_TIPPET,
} from './index.ts'

function flyOf(made: ReturnType<typeof recipe>): Fly {
  const resolved = resolveDressing(made.dressing, made.variant, made.materials)
  if (resolved.kind !== 'fly') throw new Error(JSON.stringify(resolved.missing))
  return resolved
}

const withTippet = { ...LIST_CONDITIONS, tippet: USUAL_TIPPET }

function sinking(fly: Fly, conditions = withTippet) {
  const report = evaluateFly(fly, conditions)
  if (report.kind !== 'sinks') throw new Error(`it ${report.kind}`)
  return report
}

describe('evaluateFly', () => {
  it('lets the size 16 tungsten nymph fall at 57 cm/s free and 41 with half a metre of straight line, within 15 %', () => {
    const report = sinking(flyOf(jigNymph()), { ...LIST_CONDITIONS, tippet: { ...USUAL_TIPPET, curlDeg: 0 } })
    expect(Math.abs(report.free.sinkSpeedMmPerS.value / 570 - 1)).toBeLessThan(0.15)
    expect(Math.abs((report.trailing?.sinkSpeedMmPerS.value ?? 0) / 415 - 1)).toBeLessThan(0.15)
    expect(report.attitude.hold).toBe('steady')
    expect(Math.abs(report.attitude.noseDownDeg - 90)).toBeLessThan(40)
  })

  it('gives about ± 25 % until something is measured, most of it from the drag', () => {
    const { free } = sinking(flyOf(jigNymph()))
    expect(free.sinkSpeedMmPerS.high / free.sinkSpeedMmPerS.value - 1).toBeGreaterThan(0.18)
    expect(free.sinkSpeedMmPerS.high / free.sinkSpeedMmPerS.value - 1).toBeLessThan(0.3)
    expect(free.doubt[0]?.input).toBe('drag')
    expect(free.doubt.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
  })

  it('has an analytic band that agrees with sampling within 15 % of its width', () => {
    for (const made of [
      jigNymph(),
      jigNymph('bead-brass-slotted'),
      jigNymph('bead-tungsten-slotted', '2.0', '20'),
    ]) {
      const work = sampleFall({ fly: flyOf(made), conditions: withTippet, samples: 3000, seed: 5 })
      let step = work.next()
      while (!step.done) step = work.next()
      if (step.value.kind !== 'sampled') throw new Error('it should sink')
      const { speed, analytic } = step.value
      const width = analytic.high - analytic.low
      expect(Math.abs(speed.low - analytic.low) / width).toBeLessThan(0.15)
      expect(Math.abs(speed.high - analytic.high) / width).toBeLessThan(0.15)
    }
  })

  it('puts a straight line at the fast end of what a curled one may do: one in ten', () => {
    const fly = flyOf(jigNymph())
    const curled = sinking(fly).trailing
    const straight = sinking(fly, { ...withTippet, tippet: { ...USUAL_TIPPET, curlDeg: 0 } }).trailing
    const share = curled?.doubt.find(({ input }) => input === 'tippet')?.share ?? 0
    const { value = 0, high = 0 } = curled?.sinkSpeedMmPerS ?? {}
    // the line's own part of the band; 0.1 of doubt in the laws beside it widens it by a fourteenth
    const byLine = Math.exp(Math.log(high / value) * Math.sqrt(share))
    expect(((straight?.sinkSpeedMmPerS.value ?? 0) / value - 1) / (byLine - 1)).toBeGreaterThan(0.8)
    expect(((straight?.sinkSpeedMmPerS.value ?? 0) / value - 1) / (byLine - 1)).toBeLessThan(1.05)
  })

  it('has the same speed, mass and fit where only those are asked for', () => {
    const fly = flyOf(jigNymph())
    const report = sinking(fly)
    const quick = speedAtAttitude(fly, withTippet, report.attitude.noseDownDeg)
    expect(quick.speedMmPerS).toBeCloseTo(report.trailing?.sinkSpeedMmPerS.value ?? 0, 4)
    expect(quick.massMg).toBeCloseTo(report.massMg.value, 9)
    expect(report.findings).toEqual(expect.arrayContaining([...quick.findings]))
  })

  it.each([
    ['2.4', '18'],
    ['2.8', '16'],
    ['3.3', '14'],
  ])('hangs a jig with a slotted %s on a #%s with its shank at 44 to 48°, point up', (bead, hook) => {
    const { hung } = sinking(flyOf(jigNymph('bead-tungsten-slotted', bead, hook)))
    expect(hung.pointUp).toBe(true)
    expect(180 - Math.abs(hung.noseDownDeg)).toBeGreaterThan(44)
    expect(180 - Math.abs(hung.noseDownDeg)).toBeLessThan(48)
  })

  it('hangs a fly with floatant by the air that it keeps, as it falls with it', () => {
    const fly = flyOf(jigNymph())
    const oiled = { ...withTippet, filmTreatment: 'floatant' } as const
    const [plain, treated] = [sinking(fly), sinking(fly, oiled)]
    expect(treated.submergedMg.value).toBeLessThan(plain.submergedMg.value)
    // a nymph's dubbing holds little air: the twentieth of a degree is the air's all the same
    expect(Math.abs(treated.hung.noseDownDeg - plain.hung.noseDownDeg)).toBeGreaterThan(0.02)
    expect(hangOf(fly, oiled, UNCALIBRATED)).toEqual(treated.hung)
    expect(hangOf(fly, withTippet, UNCALIBRATED)).toEqual(plain.hung)
  })

  it('orders tungsten, brass and no bead', () => {
    const speed = (made: ReturnType<typeof recipe>) => sinking(flyOf(made)).free.sinkSpeedMmPerS.value
    const made = jigNymph()
    const bare = { ...made, variant: { ...made.variant, swaps: [{ componentKey: 'bead', omit: true }] } }
    expect(speed(made)).toBeGreaterThan(speed(jigNymph('bead-brass-slotted')))
    expect(speed(jigNymph('bead-brass-slotted'))).toBeGreaterThan(speed(bare))
  })

  it('is slower in colder water, and behind thicker tippet of the weight of water', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 28 }),
        fc.double({ min: 0.08, max: 0.3, noNaN: true }),
        (tempC, diameterMm) => {
          const fly = flyOf(jigNymph('bead-brass-slotted', '2.4', '18'))
          const at = (t: number, d: number) =>
            sinking(fly, {
              ...withTippet,
              waterTempC: t,
              tippet: { diameterMm: d, densityMgPerMm3: 1, lengthMm: 500, curlDeg: 0 },
            }).trailing?.sinkSpeedMmPerS.value ?? 0
          expect(at(tempC + 2, diameterMm)).toBeGreaterThan(at(tempC, diameterMm))
          expect(at(tempC, diameterMm * 1.3)).toBeLessThan(at(tempC, diameterMm))
        },
      ),
      { seed: 2, numRuns: 25 },
    )
  })

  it('says that a hackled dry floats, and on the film', () => {
    const report = evaluateFly(flyOf(hackledDry()), LIST_CONDITIONS)
    expect(report).toMatchObject({ kind: 'floats', ride: { posture: 'proud' } })
    expect(behaviourOf(report)).toEqual({ kind: 'floats', posture: 'proud' })
  })

  it('lets the same dry sink once it is soaked', () => {
    expect(evaluateFly(flyOf(hackledDry()), { ...LIST_CONDITIONS, wet: 'soaked' }).kind).toBe('sinks')
  })

  it('says that a bead does not fit, and still what it would weigh', () => {
    const report = evaluateFly(flyOf(jigNymph('bead-tungsten-slotted', '4.6', '20')), LIST_CONDITIONS)
    expect(report.kind).toBe('doesNotFit')
    expect(report.massMg.value).toBeGreaterThan(0)
  })

  it('has a finite answer for any hook, bead, wire and bulk', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('8', '10', '12', '14', '16', '18', '20'),
        fc.constantFrom('1.5', '2.0', '2.4', '2.8', '3.3', '4.0', '4.6'),
        fc.integer({ min: 0, max: 60 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (hook, bead, turns, bulk) => {
          const made = recipe(shippedMaterial('hook-straight', hook), [
            { key: 'bead', kind: 'bead', material: shippedMaterial('bead-brass-drilled', bead), at: [0, 0.2] },
            { key: 'wire', kind: 'wire', material: shippedMaterial('wire-tin', '0.38'), at: [0.2, 0.8], turns },
            { key: 'body', kind: 'body', material: shippedMaterial('dubbing-hare'), at: [0.2, 1], bulk },
          ])
          const report = evaluateFly(flyOf(made), withTippet)
          expect(Number.isFinite(report.massMg.value)).toBe(true)
          if (report.kind === 'sinks') {
            const { low, value, high } = report.free.sinkSpeedMmPerS
            expect(low > 0 && low < value && value < high && high < 5000).toBe(true)
          }
        },
      ),
      { seed: 19, numRuns: 120 },
    )
  })
})

describe('sense', () => {
  const codes = (made: ReturnType<typeof recipe>) =>
    evaluateFly(flyOf(made), LIST_CONDITIONS).findings.map(({ code }) => code)
  const on = (hook: string, lines: Parameters<typeof recipe>[1]) =>
    recipe(shippedMaterial('hook-straight', hook), lines)
  const fur = (bulk: number) =>
    ({ key: 'body', kind: 'body', material: shippedMaterial('dubbing-hare'), at: [0.3, 1], bulk }) as const
  const bead = {
    key: 'bead',
    kind: 'bead',
    material: shippedMaterial('bead-brass-drilled', '2.4'),
    at: [0, 0.2],
  } as const

  it('finds the slim nymph in order', () => {
    expect(codes(jigNymph())).toEqual([])
  })

  it('says what is overdressed, by its bulk', () => {
    expect(codes(on('16', [bead, fur(0.2)]))).not.toContain('overdressed')
    expect(codes(on('16', [bead, fur(1)]))).toContain('overdressed')
    const floating = { ...bead, kind: 'eyes', material: shippedMaterial('eyes-foam', '3.0') } as const
    expect(codes(on('16', [floating, fur(1)]))).not.toContain('overdressed')
  })

  it('leaves the eye free, the fur unpressed and the thread strong enough', () => {
    const thread = (denier: string) =>
      ({
        key: 'thread',
        kind: 'thread',
        material: shippedMaterial('thread-nylon', denier),
        at: [0, 1],
      }) as const
    const hackle = (from: number) =>
      ({
        key: 'hackle',
        kind: 'hackle',
        material: shippedMaterial('hackle-cape-stiff', '14'),
        at: [from, 0.2],
      }) as const
    expect(codes(on('14', [thread('70'), hackle(0)]))).toContain('eyeCrowded')
    expect(codes(on('14', [thread('70'), hackle(0.12)]))).not.toContain('eyeCrowded')
    const rib = (turns: number) =>
      ({
        key: 'rib',
        kind: 'rib',
        material: shippedMaterial('wire-copper', '0.25'),
        at: [0.3, 1],
        turns,
      }) as const
    expect(codes(on('14', [fur(0.3), rib(14)]))).toContain('ribMats')
    expect(codes(on('14', [fur(0.3), rib(5)]))).not.toContain('ribMats')
    const strip = {
      key: 'wing',
      kind: 'strip',
      material: shippedMaterial('strip-rabbit'),
      at: [0.1, 1],
    } as const
    expect(codes(on('8', [thread('50'), strip]))).toContain('threadTooFine')
  })
})
