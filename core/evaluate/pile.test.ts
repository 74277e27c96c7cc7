import { describe, expect, it } from 'vitest'
import { partsOf, resolveDressing } from '../dressing/index.ts'
import { linearMassMgPerMm } from '../material/index.ts'
import { recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { stepsOf } from '../testing/steps.ts'
import { evaluateFly, LIST_CONDITIONS } from './index.ts'

type Lines = Parameters<typeof recipe>[1]
const bead: Lines[number] = {
  key: 'bead',
  kind: 'bead',
  material: shippedMaterial('bead-tungsten-drilled', '3.3'),
  at: [0, 0.15],
}

function tied(lines: Lines) {
  const made = recipe(shippedMaterial('hook-heavy-2xl', '10'), [
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0, 1] },
    ...lines,
  ])
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return fly
}
const body = (family: string, size: string) =>
  tied([bead, { key: 'it', kind: 'body', material: shippedMaterial(family, size), at: [0.15, 1] }])
const strip = (size: string) =>
  tied([bead, { key: 'it', kind: 'strip', material: shippedMaterial('strip-rabbit', size), at: [0.2, 0.9] }])

function falling(fly: ReturnType<typeof tied>, wet: 'fresh' | 'soaked' = 'fresh') {
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, wet })
  if (report.kind !== 'sinks') throw new Error(report.kind)
  return {
    massMg: report.massMg.value,
    inWaterMg: report.submergedMg.value,
    speed: report.free.sinkSpeedMmPerS.value,
  }
}

describe('pile and strips', () => {
  it.each([
    ['chenille-rayon', ['2', '3', '4', '6']],
    ['fritz-plain', ['10', '15', '20']],
    ['chenille-mop', ['6', '8', '10']],
  ])('%s of each size weighs more and falls slower than the one before', (family, sizes) => {
    const falls = sizes.map((size) => falling(body(family, size)))
    expect(Math.min(...stepsOf(falls.map(({ massMg }) => massMg)))).toBeGreaterThan(3)
    expect(Math.max(...stepsOf(falls.map(({ speed }) => speed)))).toBeLessThan(-5)
  })

  it('of skin go by the width of their cut', () => {
    const falls = ['2', '3', '4', '5'].map((size) => falling(strip(size)))
    expect(Math.min(...stepsOf(falls.map(({ massMg }) => massMg)))).toBeGreaterThan(3)
    expect(Math.max(...stepsOf(falls.map(({ speed }) => speed)))).toBeLessThan(-3)
    const [two, four] = ['2', '4'].map((size) => linearMassMgPerMm(shippedMaterial('strip-rabbit', size)))
    expect(four! / two!).toBeCloseTo(2, 9)
  })

  it('weigh by their strand: 4 mm of rayon chenille as its family says, on its own length', () => {
    const part = partsOf(body('chenille-rayon', '4')).find(({ key }) => key === 'it')!
    // by hand: 0.85 × 11 mm of shank at a turn each 1.6 mm, round 0.8 mm of shank and 0.8 mm of core: some 30 mm
    const strandMm = part.massMg / 1.18
    expect(strandMm).toBeGreaterThan(20)
    expect(strandMm).toBeLessThan(45)
  })

  it('drink: two casts wet them through, so that the standard figure is the soaked one', () => {
    for (const fly of [
      body('chenille-rayon', '4'),
      body('fritz-plain', '15'),
      body('chenille-mop', '8'),
      strip('3'),
    ]) {
      expect(falling(fly).speed).toBe(falling(fly, 'soaked').speed)
    }
  })

  it('weigh in water what their stuff does, not what their outline displaces', () => {
    const { massMg, inWaterMg } = falling(body('fritz-plain', '15'))
    expect(inWaterMg / massMg).toBeGreaterThan(0.6)
  })

  it('drag less than a solid of their outline, and fold back', () => {
    const fly = body('fritz-plain', '15')
    const [pile] = partsOf(fly).find(({ key }) => key === 'it')!.elements
    expect(pile).toMatchObject({ kind: 'strands', envelope: { kind: 'coat' } })
    expect(pile?.kind === 'strands' && pile.foldExponent).toBeGreaterThan(0.3)
  })

  it('hang behind a bead as a blunt finger that slows it by size', () => {
    const finger = (size: string) =>
      tied([
        bead,
        {
          key: 'it',
          kind: 'tail',
          material: shippedMaterial('chenille-mop', size),
          at: [1, 1],
          strands: 1,
          length: { mm: 18 },
        },
      ])
    const speeds = ['6', '8', '10'].map((size) => falling(finger(size)).speed)
    expect(Math.max(...stepsOf(speeds))).toBeLessThan(-20)
  })
})
