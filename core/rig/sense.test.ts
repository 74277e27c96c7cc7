import { describe, expect, it } from 'vitest'
import { readTypedRig } from './index.ts'
import { rigSense } from './sense.ts'
import type { FlyOnRig } from './sense.ts'

const parts = (text: string) => readTypedRig(text, []).flatMap(({ part }) => part ?? [])
const kinds = (text: string, flies: readonly (FlyOnRig | null)[]) =>
  rigSense(parts(text), flies).map(({ kind }) => kind)
const nymph = (submergedMg: number, hookSize = 14): FlyOnRig => ({ submergedMg, hookSize, floats: false })
const dry = (hookSize: number): FlyOnRig => ({ submergedMg: 12, hookSize, floats: true })

describe('what of a rig does not do what it is meant to', () => {
  it('is nothing of a leader that steps down to a hook that it fits', () => {
    expect(kinds('2.7 m leader 0.45 to 0.20, 60 cm 0.16, point', [nymph(60)])).toEqual([])
    expect(
      kinds('2.7 m leader 0.45 to 0.20, 60 cm 0.15, dropper 15 cm, 50 cm 0.14, point', [
        nymph(8, 16),
        nymph(70, 16),
      ]),
    ).toEqual([])
  })

  it('is a dropper heavier than the point, and not one that is hardly so', () => {
    const team = '2 m 0.20, 60 cm 0.16, dropper 15 cm, 50 cm 0.15, point'
    expect(rigSense(parts(team), [nymph(80), nymph(20)])).toContainEqual({
      kind: 'heavyDropper',
      dropper: 0,
      point: 1,
    })
    expect(kinds(team, [nymph(22), nymph(20)])).toEqual([])
    expect(kinds(team, [{ ...nymph(80), floats: true }, nymph(20)])).toEqual([])
    expect(kinds(team, [nymph(22), null])).toEqual([])
  })

  it('is tippet too fine or too stout for the hook, by a third of its number', () => {
    // #6 asks for 2X, 0.23 mm; 6X is 0.127
    const [fine] = rigSense(parts('60 cm 6X, point'), [nymph(60, 6)])
    expect(fine).toMatchObject({ kind: 'tooFine', fly: 0 })
    expect(fine && 'aboutX' in fine ? [fine.x, fine.aboutX] : []).toEqual([expect.closeTo(6, 6), 2])
    expect(kinds('60 cm 3X, point', [nymph(4, 20)])).toEqual(['tooStout'])
    expect(kinds('60 cm 3X, point', [{ submergedMg: 4, hookSize: null, floats: false }])).toEqual([])
  })

  it('is fluorocarbon at a dry, with what it pulls', () => {
    // 0.78 mg/mm³ · π/4 · 0.13² mm² · 600 mm
    expect(rigSense(parts('60 cm 0.13 fluorocarbon, dry'), [dry(16)])).toEqual([
      { kind: 'sinksUnderDry', fly: 0, pullsMg: expect.closeTo(6.21, 2) },
    ])
    expect(kinds('60 cm 0.13 copolymer, dry', [dry(16)])).toEqual([])
    expect(kinds('60 cm 0.13 fluorocarbon, point', [nymph(60, 16)])).toEqual([])
  })

  it('is a step that a knot does not take, and an end without a fly', () => {
    expect(kinds('2 m 0.30, 60 cm 0.14, point', [nymph(60, 16)])).toEqual(['step'])
    expect(kinds('2 m 0.20, 60 cm 0.14', [])).toEqual(['noPoint'])
  })
})
