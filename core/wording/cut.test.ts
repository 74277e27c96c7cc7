import { expect, it } from 'vitest'
import type { Ride } from '../float/index.ts'
import { cutWords } from './cut.ts'

const ride = (freeHeightMm: number, posture: Ride['posture']): Ride => ({
  ...{ posture, freeHeightMm, shankMm: 1, spareMg: 40, reserve: 2, bears: 'ripple' },
  ...{ drowningsUntilSunk: 4, soakS: 90 },
})
const UNITS = { smallLength: 'mm', mass: 'mg' } as Parameters<typeof cutWords>[3]

it('a cut is said against the fly as it is', () => {
  const cut = { componentKey: 'tuft', how: 'shorten', left: 0.625 } as const
  expect(cutWords('wing', cut, { from: ride(6, 'low'), to: ride(3.2, 'low') }, UNITS)).toMatch(
    /^wing cut to 63 %: 3\.2 mm clear where it is 6\.0 mm, .* as now, bears a ripple and 40 mg more$/,
  )
  expect(
    cutWords(
      'hackle',
      { ...cut, how: 'clipBelow', left: 0 },
      { from: ride(6, 'proud'), to: ride(6, 'low') },
      UNITS,
    ),
  ).toMatch(/^hackle clipped below to 0 %: .*(?<!as now), bears/)
})
