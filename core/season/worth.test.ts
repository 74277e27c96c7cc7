import { describe, expect, it } from 'vitest'
import { shippedFoods } from './shipped/larder.ts'
import { isDated, worthOf } from './index.ts'

describe('worthOf', () => {
  const stages = shippedFoods.flatMap((food) => food.stages)

  it('is likelihood times importance, half as much again for what soon passes', () => {
    const [passing, lasting] = [true, false].map((dated) =>
      stages.find((one) => isDated(one.trigger) === dated),
    )
    expect(worthOf({ trigger: passing!.trigger, importance: 0.8 }, 0.5)).toBeCloseTo(0.6, 12)
    expect(worthOf({ trigger: lasting!.trigger, importance: 0.8 }, 0.5)).toBeCloseTo(0.4, 12)
    expect(worthOf({ trigger: passing!.trigger, importance: 1 }, 0)).toBe(0)
  })
})
