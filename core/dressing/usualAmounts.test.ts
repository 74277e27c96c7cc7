import { describe, expect, it } from 'vitest'
import { emerger, jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { partsOf, resolveDressing, turnsThatFit } from './index.ts'
import type { ComponentKind } from './index.ts'

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
  it('are the turns of wire that lie side by side', () => {
    const { fly, of } = alone('wire', 'wire-tin', '0.38')
    expect(of('it')).toMatchObject({ turns: turnsThatFit(0.6 * fly.hook.shankMm, 0.38), layers: 1 })
    expect(of('it')?.derived).toEqual(['turns', 'layers'])
  })

  it('are all fibres of a feather, and the usual dozen where fibres are counted one by one', () => {
    const tuft = componentsOf(emerger(1)).of('tuft')
    expect(tuft?.strands).toBe(2)
    expect(tuft?.derived).toEqual(['fibreCount'])
    expect(tuft?.fibreCount).toBeGreaterThan(20)
    expect(alone('tail', 'fibre-cock-stiff', '', [1, 1]).of('it')).toMatchObject({ fibreCount: 12 })
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
    expect(layered(4) / layered(2)).toBeCloseTo(2, 1)
  })

  it('leave a wound collar of fur without a free length', () => {
    expect(alone('collar', 'dubbing-hare', '', [0.1, 0.3]).of('it')?.derived).toEqual(['bulk'])
    expect(alone('collar', 'hackle-hen-speckled', '14', [0.1, 0.3]).of('it')?.derived).toEqual([
      'turns',
      'length',
    ])
  })
})
