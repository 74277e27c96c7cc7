import { describe, expect, it } from 'vitest'
import { emerger, jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { partsOf, resolveDressing, turnsThatFit, withUsualAmounts } from './index.ts'
import type { Component, ComponentKind } from './index.ts'

function componentsOf(made: ReturnType<typeof recipe>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return { fly, of: (key: string) => fly.components.find((component) => component.key === key) }
}

const alone = (kind: ComponentKind, family: string, size = '', at: readonly [number, number] = [0.2, 0.8]) =>
  componentsOf(
    recipe(shippedMaterial('hook-straight', '14', 'bronze'), [
      { key: 'it', kind, material: shippedMaterial(family, size), at },
    ]),
  )

describe('amounts that a recipe leaves out', () => {
  it('are the turns that a body of wire or thread takes side by side, whatever the hook', () => {
    const { fly, of } = alone('body', 'wire-copper-rib', '0.12')
    expect(of('it')).toMatchObject({ turns: turnsThatFit(0.6 * fly.hook.shankMm, 0.12), derived: ['turns'] })
    expect(alone('wire', 'wire-tin', '0.38').of('it')).toMatchObject({ turns: 8, layers: 1 })
  })

  it('are all fibres of a feather, and half a dozen in a tail whose fibres are counted one by one', () => {
    const tuft = componentsOf(emerger(1)).of('tuft')
    expect(tuft?.strands).toBe(2)
    expect(tuft?.derived).toEqual(['fibreCount'])
    expect(tuft?.fibreCount).toBeGreaterThan(20)
    expect(alone('tail', 'fibre-cock-stiff', '', [1, 1]).of('it')).toMatchObject({ fibreCount: 6 })
  })

  it('name what was worked out and leave alone what was said', () => {
    const { of } = componentsOf(jigNymph())
    expect(of('rib')).toMatchObject({ turns: 5, derived: [] })
    expect(of('tail')).toMatchObject({ fibreCount: 6, derived: [] })
    expect(of('thread')?.derived).toEqual(['layers'])
  })

  it('give a body of thread as much thread as its layers need', () => {
    const layered = (layers: number) => {
      const { fly } = componentsOf(
        recipe(shippedMaterial('hook-straight', '14', 'bronze'), [
          { key: 'it', kind: 'body', material: shippedMaterial('thread-nylon', '70'), at: [0.1, 1], layers },
        ]),
      )
      return partsOf(fly).find(({ key }) => key === 'it')?.massMg ?? 0
    }
    // each layer lies on those below it, so that twice the layers take more than twice the thread
    expect(layered(4) / layered(2)).toBeGreaterThan(2)
    expect(layered(4) / layered(2)).toBeLessThan(2.4)
  })

  it('leave a wound collar of fur without a free length', () => {
    expect(alone('collar', 'dubbing-hare', '', [0.1, 0.3]).of('it')?.derived).toEqual(['bulk'])
    expect(alone('collar', 'hackle-hen-speckled', '14', [0.1, 0.3]).of('it')?.derived).toEqual([
      'turns',
      'length',
    ])
  })
})

describe('usual amounts written into a recipe', () => {
  const hackle = shippedMaterial('hackle-cape-stiff', '14')
  const thread = shippedMaterial('thread-nylon', '70')
  const fur = shippedMaterial('dubbing-hare')
  const made = recipe(shippedMaterial('hook-dry-fine', '14'), [
    { key: 'thread', kind: 'thread', material: thread, at: [0, 1] },
    { key: 'body', kind: 'body', material: thread, at: [0.3, 1] },
    { key: 'hackle', kind: 'hackle', material: hackle, at: [0.1, 0.3], turns: 6 },
  ])
  const materials = new Map(made.materials).set(fur.id, fur)
  const furred = {
    ...made.variant,
    swaps: [
      { componentKey: 'body', materialId: fur.id },
      { componentKey: 'hackle', omit: true },
    ],
  }
  const { dressing, variants } = withUsualAmounts(made.dressing, [made.variant, furred], materials)
  const of = (key: string): Component | undefined => dressing.components.find((one) => one.key === key)

  it('keep what was said and add what was not, lengths among it', () => {
    expect(of('thread')).toMatchObject({ layers: 2 })
    expect(of('body')).toMatchObject({ layers: 3 })
    expect(of('body')?.turns, 'side by side on whatever hook').toBeUndefined()
    expect(of('hackle')).toMatchObject({ turns: 6, length: { factor: 1.5, of: 'gape' } })
  })

  it('give a swap for other goods theirs, and nothing to what is left off', () => {
    expect(variants[0]?.swaps).toEqual([])
    expect(variants[1]?.swaps).toEqual([
      { componentKey: 'body', materialId: fur.id, bulk: 0.25 },
      { componentKey: 'hackle', omit: true },
    ])
  })

  it('leave nothing to be written a second time, and the fly as it was', () => {
    expect(withUsualAmounts(dressing, variants, materials)).toEqual({ dressing, variants })
    for (const [i, variant] of [made.variant, furred].entries()) {
      const [before, after] = [
        resolveDressing(made.dressing, variant, materials),
        resolveDressing(dressing, variants[i] ?? variant, materials),
      ]
      if (before.kind !== 'fly' || after.kind !== 'fly') throw new Error('a fly was wanted')
      expect(partsOf(after).map(({ massMg }) => massMg)).toEqual(partsOf(before).map(({ massMg }) => massMg))
    }
  })
})
