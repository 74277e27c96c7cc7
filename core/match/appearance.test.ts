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
    expect(shows).toContain('longTails')
    expect(shows).not.toContain('trailingShuck')
    expect(shows).not.toContain('pulsingTail')
    expect(soft).toBe(false)
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
    expect(tail('marabou-plume').shows).toContain('pulsingTail')
    expect(tail('marabou-plume').soft).toBe(true)
    expect(tail('fibre-cock-stiff').shows).not.toContain('pulsingTail')
    expect(tail('fibre-cock-stiff').soft).toBe(false)
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
      ).shows
    expect(wing('both')).toContain('splayedWings')
    expect(wing('above')).toContain('uprightWings')
    expect(wing('around')).toContain('foldedWings')
    expect(wing('both')).not.toContain('uprightWings')
  })

  it('is stouter the more fur is on it', () => {
    const dubbed = (bulk: number) =>
      lookOf(recipe(hook, [{ ...body, material: shippedMaterial('dubbing-hare'), bulk }])).slenderness
    expect(dubbed(0.9)).toBeLessThan(dubbed(0.1))
    expect(lookOf(hackledDry()).slenderness).toBeGreaterThan(2)
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
