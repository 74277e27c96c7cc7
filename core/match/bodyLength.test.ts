import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { bodyLengthMm } from './index.ts'

function flyOf(made: ReturnType<typeof recipe>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  return fly
}

describe('bodyLengthMm', () => {
  it('counts bead and body, not tail, bend or eye', () => {
    const fly = flyOf(jigNymph())
    expect(bodyLengthMm(fly)).toBeGreaterThan(fly.hook.shankMm)
    expect(bodyLengthMm(fly)).toBeLessThan(fly.hook.hookLengthMm)
  })

  it('is shorter where the body is, and the shank where there is none', () => {
    const thread = shippedMaterial('thread-nylon', '70')
    const hook = shippedMaterial('hook-straight', '14')
    const half = flyOf(recipe(hook, [{ key: 'body', kind: 'body', material: thread, at: [0.5, 1] }]))
    const bare = flyOf(recipe(hook, []))
    expect(bodyLengthMm(half)).toBeCloseTo(half.hook.shankMm / 2, 9)
    expect(bodyLengthMm(bare)).toBe(bare.hook.shankMm)
  })
})
