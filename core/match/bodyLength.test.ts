import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { makeHook } from '../hook/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { bodyLengthMm } from './index.ts'
import { sizeAspect, standsForMm } from './likeness.ts'

function flyOf(made: ReturnType<typeof recipe>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  return fly
}

describe('bodyLengthMm', () => {
  const thread = shippedMaterial('thread-nylon', '70')
  const hook = shippedMaterial('hook-straight', '14')

  it('goes from the eye to the bend, and from the front of a bead that lies before the eye', () => {
    const fly = flyOf(jigNymph())
    expect(bodyLengthMm(fly)).toBeGreaterThan(fly.hook.shankMm)
    expect(bodyLengthMm(fly)).toBeLessThan(fly.hook.hookLengthMm)
    const bare = flyOf(recipe(hook, []))
    // shank 8.5 mm and half an eye of 1.7
    expect(bodyLengthMm(bare)).toBeCloseTo(9.35, 1)
  })

  it('ends with the body where that is tied short', () => {
    const body = (to: number) =>
      flyOf(recipe(hook, [{ key: 'body', kind: 'body', material: thread, at: [0, to] }]))
    const { shankMm } = body(1).hook
    expect(bodyLengthMm(body(1)) - bodyLengthMm(body(0.5))).toBeCloseTo(shankMm / 2, 6)
    expect(bodyLengthMm(body(0.9))).toBeCloseTo(bodyLengthMm(body(1)), 6)
  })
})

describe('the right size', () => {
  const X_LONG: Readonly<Record<string, number>> = { standard: 0, '1xl': 1, '2xl': 2, '3xl': 3 }

  it('is a standard dressing on each of the hook sizes of each of all stages', () => {
    let tried = 0
    for (const shipped of shippedFoods.flatMap((food) => food.stages)) {
      const { byLength } = shipped.more.hookSizes as {
        byLength: Readonly<Record<string, readonly [number, number]>>
      }
      for (const [size, [lengthMmLow, lengthMmHigh]] of Object.entries(byLength)) {
        const { shankMm, eyeOuterMm } = makeHook(Number(size), {
          style: 'straight', xLong: X_LONG[shipped.shank] ?? 0, xHeavy: 0, steps: 'wholeSizes',
        }) // prettier-ignore
        const onHookMm = shankMm + eyeOuterMm / 2
        // where a tail or strip carries the length, a standard dressing has one
        const look = { bodyLengthMm: onHookMm, wholeLengthMm: onHookMm * Math.max(shipped.bodyOverHook, 1) }
        const { code } = sizeAspect(look as never, shipped as never, { lengthMmLow, lengthMmHigh } as never)
        expect(code, `${shipped.key} #${size}`).toBe('sizeRight')
        tried += 1
      }
    }
    expect(tried).toBeGreaterThan(400)
  })

  it('is not two hook sizes larger or smaller', () => {
    const dun = shippedFoods.flatMap((food) => food.stages).find(({ key }) => key === 'dark-olive-dun')!
    const codeOn = (size: number) => {
      const { shankMm, eyeOuterMm } = makeHook(size, {
        style: 'straight',
        xLong: 0,
        xHeavy: 0,
        steps: 'wholeSizes',
      })
      const mm = shankMm + eyeOuterMm / 2
      const place = { lengthMmLow: 9.4 * dun.bodyOverHook, lengthMmHigh: 9.4 * dun.bodyOverHook }
      return sizeAspect({ bodyLengthMm: mm, wholeLengthMm: mm } as never, dun as never, place as never).code
    }
    expect([10, 14, 18].map(codeOn)).toEqual(['tooLarge', 'sizeRight', 'tooSmall'])
  })

  it('is that of a whole fish with its tail', () => {
    const minnow = shippedFoods.flatMap((food) => food.stages).find(({ key }) => key === 'minnow-adult')!
    expect(standsForMm({ bodyLengthMm: 20, wholeLengthMm: 55 }, minnow)).toBe(55)
    expect(standsForMm({ bodyLengthMm: 20, wholeLengthMm: 20 }, minnow)).toBeCloseTo(32, 6)
  })
})
