import { describe, expect, it } from 'vitest'
import { resolveDressing, TRIGGER_KEYS } from '../dressing/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { hackledDry, jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { appearanceOf, MOVEMENTS, SILHOUETTES, TRIGGER_LOOKS } from './index.ts'

function lookOf(made: ReturnType<typeof recipe>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  return appearanceOf(fly)
}
const hook = shippedMaterial('hook-straight', '10')
const thread = shippedMaterial('thread-nylon', '70')
const body = { key: 'body', kind: 'body', material: thread, at: [0.2, 1] } as const

describe('appearanceOf', () => {
  it('finds what a jig nymph shows, and nothing that it has not', () => {
    const { shows, soft } = lookOf(jigNymph())
    expect(shows.longTails).toBe(1)
    expect(shows.trailingShuck).toBeUndefined()
    expect(shows.pulsingTail).toBeUndefined()
    expect(soft).toBe(0)
  })

  it('sees a tail of marabou pulse and a tail of stiff fibres not', () => {
    const tail = (family: string) =>
      lookOf(
        recipe(hook, [
          body,
          {
            key: 'tail',
            kind: 'tail',
            material: shippedMaterial(family),
            at: [1, 1],
            length: { factor: 1, of: 'shank' },
          },
        ]),
      )
    expect(tail('marabou-plume').shows.pulsingTail).toBe(1)
    expect(tail('marabou-plume').soft).toBeGreaterThan(0.4)
    expect(tail('fibre-cock-stiff').shows.pulsingTail).toBeUndefined()
    expect(tail('fibre-cock-stiff').soft).toBe(0)
  })

  it('tells wings apart by how they are set', () => {
    const wing = (side: 'both' | 'above' | 'around') =>
      lookOf(
        recipe(hook, [
          body,
          {
            key: 'wing',
            kind: 'wing',
            material: shippedMaterial('yarn-poly'),
            at: [0.2, 0.3],
            length: { factor: 1, of: 'shank' },
            side,
          },
        ]),
      )
    expect(wing('both').shows).toMatchObject({ splayedWings: 1 })
    expect(wing('above').shows).toMatchObject({ uprightWings: 1 })
    expect(wing('around').shows).toMatchObject({ foldedWings: 1 })
    expect(wing('both').shows.uprightWings).toBeUndefined()
    expect((['both', 'above', 'around'] as const).map((side) => wing(side).outline.wing)).toEqual([
      'spent',
      'upright',
      'folded',
    ])
  })

  it('is stouter the more fur is on it', () => {
    const dubbed = (bulk: number) =>
      lookOf(recipe(hook, [{ ...body, material: shippedMaterial('dubbing-hare'), bulk }])).outline.slenderness
    expect(dubbed(0.9)).toBeLessThan(dubbed(0.1))
    expect(lookOf(hackledDry()).outline.slenderness).toBeGreaterThan(2)
  })
})

describe('the palette', () => {
  it('is of all that is seen, in shares, and not of what is covered', () => {
    const { palette } = lookOf(jigNymph())
    expect(palette.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
    expect(palette[0]?.hexWet).toBe(shippedMaterial('thread-nylon', '50', 'olive-brown').colourWetHex)
    const wire = { key: 'wire', kind: 'wire', material: shippedMaterial('wire-lead', '0.38'), at: [0.2, 0.8], turns: 8 } as const
    expect(lookOf(recipe(hook, [wire, body])).palette).toEqual(lookOf(recipe(hook, [body])).palette)
  }) // prettier-ignore

  it('has one bright spot where a fly is of a strong colour all over', () => {
    const egg = (colour: string) =>
      lookOf(recipe(hook, [{ ...body, material: shippedMaterial('dubbing-rabbit', '', colour) }])).shows.hotSpot
    expect(egg('hot orange')).toBe(1)
    expect(egg('grey')).toBeUndefined()
  })
})

describe('the looks that ship', () => {
  it('explain every word that the larder uses', () => {
    const stages = shippedFoods.flatMap(({ stages: all }) => all)
    const keys = (rows: readonly { key: string }[]) => new Set(rows.map(({ key }) => key))
    const [outlines, ways, triggers] = [keys(SILHOUETTES), keys(MOVEMENTS), keys(TRIGGER_LOOKS)]
    for (const stage of stages) {
      expect(outlines.has(stage.silhouette), stage.silhouette).toBe(true)
      for (const way of stage.movements) expect(ways.has(way), way).toBe(true)
      for (const trigger of stage.triggers) expect(triggers.has(trigger), trigger).toBe(true)
    }
    expect(new Set(TRIGGER_KEYS)).toEqual(triggers)
  })
})
