import { expect, it } from 'vitest'
import type { DropTestLine } from '../../../contract/index.ts'
import { comparable } from './Gauge.tsx'

const test = (change: Partial<DropTestLine>, seenMmPerS = 400) =>
  ({
    ...{ variantId: 'own', wet: 'fresh', tippetDiameterMm: null, olderRecipe: false, reading: { seenMmPerS } },
    ...change,
  }) as DropTestLine

it('sets beside the band only drops that are of the same fall: this fly and recipe, free, dipped', () => {
  const tests = [
    test({}, 410),
    test({ variantId: 'sister' as never }, 500),
    test({ wet: 'dry' }, 300),
    test({ tippetDiameterMm: 0.13 }, 320),
    test({ olderRecipe: true }, 450),
    test({ reading: null }),
    test({}, 430),
  ]
  expect(comparable(tests, 'own')).toEqual([410, 430])
})
