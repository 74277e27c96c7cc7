import { expect, it } from 'vitest'
import { tryAnyRig } from '../../testing/anyRig.ts'
import { randomFrom } from '../../uncertainty/index.ts'

it('reckons any rig that can be written down, with no segment longer than it is', () => {
  const random = randomFrom(18)
  for (let i = 0; i < 60; i += 1) {
    const fared = tryAnyRig(random)
    expect(fared.isFinite).toBe(true)
    expect(fared.stretched).toBeLessThan(1e-4)
  }
})
