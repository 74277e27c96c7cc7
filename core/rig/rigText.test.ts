import { describe, expect, it } from 'vitest'
import { randomFrom } from '../uncertainty/index.ts'
import { rigForbids, KNOTS, knotsOf, LINE_SORTS, readTypedRig, STUFFS, weakestOf, writtenRig } from './index.ts'
import type { RigPart } from './index.ts'
import { leastSetting, settingOf, withPoint, withSetting } from './parts.ts'

const FLIES = [
  { id: 'a', name: 'Wet Slate #14' },
  { id: 'b', name: 'Wet Slate #18' },
  { id: 'c', name: 'Third Button #16 W 2.8' },
]
const partsOf = (text: string) => readTypedRig(text, FLIES).map(({ part }) => part)
const readWhole = (text: string): readonly RigPart[] => {
  const phrases = readTypedRig(text, FLIES)
  expect(phrases.every(({ part }) => part !== null)).toBe(true)
  return phrases.flatMap(({ part }) => part ?? [])
}

describe('a rig typed in one line', () => {
  it('is read from the rod to the point, and says what it guessed', () => {
    const phrases = readTypedRig('2.7 m leader, 60 cm 0.14, dropper 15 cm, 50 cm 0.12, point', FLIES)
    expect(phrases.map(({ part }) => part)).toEqual([
      { kind: 'leader', lengthMm: 2700, buttMm: 0.5, tipMm: 0.2, stuff: 'nylon' },
      { kind: 'tippet', lengthMm: 600, diameterMm: 0.14, stuff: 'nylon' },
      { kind: 'dropper', lengthMm: 150, fly: null },
      { kind: 'tippet', lengthMm: 500, diameterMm: 0.12, stuff: 'nylon' },
      { kind: 'point', fly: null },
    ])
    expect(phrases.map((phrase) => (phrase.part ? phrase.assumed : null))).toEqual([
      ['butt', 'tip', 'stuff'],
      ['stuff'],
      [],
      ['stuff'],
      [],
    ])
  })

  it('takes X numbers, feet and inches, decimal commas, what it is drawn of, knots and flies by name', () => {
    expect(partsOf('9 ft leader 4X fluorocarbon; blood knot; 18 in 5X, point Third Button')).toEqual([
      {
        kind: 'leader',
        lengthMm: expect.closeTo(2743.2, 6),
        buttMm: 0.5,
        tipMm: expect.closeTo(0.1778, 6),
        stuff: 'fluorocarbon',
      },
      { kind: 'knot', knot: 'blood' },
      {
        kind: 'tippet',
        lengthMm: expect.closeTo(457.2, 6),
        diameterMm: expect.closeTo(0.1524, 6),
        stuff: 'nylon',
      },
      { kind: 'point', fly: 'c' },
    ])
    expect(partsOf('2,7 m leader 0,45 to 0,18 copolymer, dropper Wet Slate #18, point Wet Slate #14')).toEqual([
      { kind: 'leader', lengthMm: 2700, buttMm: 0.45, tipMm: 0.18, stuff: 'copolymer' },
      { kind: 'dropper', lengthMm: 150, fly: 'b' },
      { kind: 'point', fly: 'a' },
    ])
  })

  it('takes fly lines, floats, shot and swivels', () => {
    expect(
      partsOf('12 m sinking line 1.0 mm at 7.5 cm/s, 3 m floating 1.1, float 12 mm, float 9 mm 80 mg'),
    ).toEqual([
      { kind: 'line', sort: 'sinking', lengthMm: 12_000, diameterMm: 1, rateMmPerS: 75 },
      { kind: 'line', sort: 'floating', lengthMm: 3000, diameterMm: 1.1, rateMmPerS: null },
      { kind: 'float', diameterMm: 12, massMg: 200 },
      { kind: 'float', diameterMm: 9, massMg: 80 },
    ])
    expect(partsOf('shot 0.2 g, swivel, ring, dry Wet Slate #18')).toEqual([
      { kind: 'shot', massMg: 200 },
      { kind: 'swivel', massMg: 120 },
      { kind: 'ring', massMg: 15 },
      { kind: 'dry', fly: 'b' },
    ])
  })

  it('asks where it does not understand, and never guesses a length or a fly', () => {
    const [length, thick, fly, shot, nothing] = readTypedRig(
      '2.7 leader, 60 cm, point Wet Slate, shot, something else',
      FLIES,
    )
    expect(length).toMatchObject({ part: null, unread: 'length' })
    expect(thick).toMatchObject({ part: null, unread: 'diameter' })
    expect(fly).toMatchObject({ part: null, unread: 'fly', near: ['Wet Slate #14', 'Wet Slate #18'] })
    expect(shot).toMatchObject({ part: null, unread: 'mass' })
    expect(nothing).toMatchObject({ part: null, unread: 'nothing' })
  })

  it('is written as it is read back, whatever it is made of', () => {
    const random = randomFrom(11)
    const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!
    const between = (low: number, high: number, step: number) =>
      Math.round((low + random() * (high - low)) / step) * step
    const any = (): RigPart =>
      pick<() => RigPart>([
        () => ({ kind: 'line', sort: pick(LINE_SORTS), lengthMm: between(1000, 30_000, 10), diameterMm: between(0.5, 1.8, 0.01), rateMmPerS: random() < 0.5 ? null : between(10, 200, 1) }),
        () => ({ kind: 'leader', lengthMm: between(500, 6000, 1), buttMm: between(0.3, 0.6, 0.01), tipMm: between(0.1, 0.25, 0.001), stuff: pick(STUFFS) }),
        () => ({ kind: 'tippet', lengthMm: between(100, 3000, 1), diameterMm: between(0.08, 0.4, 0.001), stuff: pick(STUFFS) }),
        () => ({ kind: 'dropper', lengthMm: between(20, 300, 1), fly: pick(['a', 'b', 'c', null]) }),
        () => ({ kind: 'float', diameterMm: between(5, 25, 0.1), massMg: between(20, 900, 1) }),
        () => ({ kind: 'dry', fly: pick(['a', null]) }),
        () => ({ kind: pick(['shot', 'swivel', 'ring'] as const), massMg: between(5, 900, 1) }),
        () => ({ kind: 'knot', knot: pick(KNOTS) }),
        () => ({ kind: 'point', fly: pick(['c', null]) }),
      ])() // prettier-ignore
    const nameOf = (id: string) => FLIES.find((fly) => fly.id === id)!.name
    for (let i = 0; i < 400; i += 1) {
      const part = any()
      // an intermediate or floating line with a rate stays what it is called; a sinking one without has the usual
      if (part.kind === 'line' && part.sort === 'sinking' && part.rateMmPerS === null) continue
      const [again] = readWhole(writtenRig([part], nameOf))
      for (const [key, value] of Object.entries(part))
        expect(again?.[key as keyof RigPart], writtenRig([part], nameOf)).toEqual(
          typeof value === 'number' ? expect.closeTo(value, 3) : value,
        )
    }
  })
})

describe('the knots of a rig', () => {
  it('are a surgeon’s between pieces and a clinch at the point, or as they are said, and hold what the thinner piece does', () => {
    const knots = knotsOf(readWhole('2.7 m leader to 0.20, 60 cm 0.14, overhand knot, 50 cm 0.12, point'))
    expect(knots.map(({ knot }) => knot)).toEqual(['surgeon', 'overhand', 'clinch'])
    // 750 MPa · π/4 · 0.12² mm² · 0.88 · 0.85 = 6.34 N
    expect(knots[2]!.holdsKg).toBeCloseTo(6.345 / 9.80665, 2)
    expect(weakestOf(readWhole('2.7 m leader, 60 cm 0.14, overhand knot, 50 cm 0.12, point'))?.knot).toBe(
      'overhand',
    )
    expect(weakestOf([])).toBeNull()
  })
})

describe('what a rig is set to', () => {
  const rig = readWhole('1 m 0.20, float 12 mm, 80 cm 0.16, dropper 15 cm, 40 cm 0.14, point')
  it('is the way from the float to the point, and is changed in the piece below it', () => {
    expect(settingOf(rig)).toBe(1200)
    const deeper = withSetting(rig, 1500)!
    expect(settingOf(deeper)).toBe(1500)
    expect(deeper[2]).toMatchObject({ lengthMm: 1100 })
    expect(withSetting(rig, leastSetting(rig))).not.toBeNull()
    expect(withSetting(rig, leastSetting(rig) - 1)).toBeNull()
    expect(settingOf(readWhole('2 m leader, point'))).toBeNull()
    expect(withPoint(rig, 'other')!.at(-1)).toEqual({ kind: 'point', fly: 'other' })
    expect(withPoint(rig, 'other')!.slice(0, -1)).toEqual(rig.slice(0, -1))
    expect(withPoint(readWhole('2 m leader, dry'), 'other')).toBeNull()
  })
})

describe('what a water forbids of a rig', () => {
  const free = { dryOnly: null, maxFlies: null, noAddedWeight: null, noIndicator: null, maxLeaderMm: null }
  const rig = readWhole(
    'float 12 mm, 80 cm 0.16, shot 0.2 g, dropper 15 cm Wet Slate #18, 40 cm 0.14, point Third Button',
  )
  const sinks = () => true
  it('is told by each line of its note, and nothing where it does not say', () => {
    expect(rigForbids(rig, free, sinks)).toEqual([])
    expect(rigForbids(rig, { ...free, maxFlies: 2 }, sinks)).toEqual([])
    expect(rigForbids(rig, { ...free, maxFlies: 1, noIndicator: true }, sinks)).toEqual([
      'noIndicator',
      'maxFlies',
    ])
    expect(rigForbids(rig, { ...free, noAddedWeight: true }, sinks)).toEqual(['noAddedWeight'])
  })
  it('counts the leader with its tippet, from the line to the point, and not what hangs on a dropper', () => {
    const whole = readWhole('9 m floating line, 2.7 m leader, 60 cm 0.14, dropper 15 cm Wet Slate #18, point')
    expect(rigForbids(whole, { ...free, maxLeaderMm: 3300 }, sinks)).toEqual([])
    expect(rigForbids(whole, { ...free, maxLeaderMm: 3299 }, sinks)).toEqual(['maxLeader'])
  })
  it('forbids whatever sinks where dry fly alone is allowed', () => {
    const single = readWhole('2.7 m leader, 60 cm 0.14, point Third Button')
    const dryOnly = { ...free, dryOnly: true }
    expect(rigForbids(single, dryOnly, sinks)).toEqual(['dryOnly'])
    expect(rigForbids(single, dryOnly, () => false)).toEqual([])
  })
})
