import { describe, expect, it } from 'vitest'
import { randomFrom } from '../uncertainty/index.ts'
import { CRUISES_MM_PER_S, leadOf, speedByMarks } from './index.ts'
import type { CruisingFish } from './index.ts'

const fish: CruisingFish = {
  speedMmPerS: 350,
  depthMm: 800,
  heading: 'across',
  fallMmPerS: 100,
  leaderMm: 4000,
}

describe('a fish that cruises', () => {
  it('has the fly at its depth a second before it is there, reckoned by hand', () => {
    // 0.8 m at 10 cm/s is 8 s; with the second 9 s, in which it swims 3.15 m; it is 0.6 m away after 7.3 s, but not yet down
    expect(leadOf(fish)).toEqual({ aheadMm: 3150, moveAfterS: 8, linesIt: false })
    // a buzzer at 4 cm/s at half a metre: 13.5 s, 4.7 m ahead
    expect(leadOf({ ...fish, depthMm: 500, fallMmPerS: 40 }).aheadMm).toBeCloseTo(4725, 0)
  })

  it('is never startled by a fly that lands on its nose, and a floating one is there at once', () => {
    const dry = leadOf({ ...fish, depthMm: 0, fallMmPerS: null })
    expect(dry.aheadMm).toBe(1500)
    expect(dry.moveAfterS).toBeCloseTo(900 / 350, 6)
  })

  it('is led further the faster it swims and the slower the fly falls, and the fly is never moved before it is down', () => {
    const random = randomFrom(7)
    for (let n = 0; n < 500; n += 1) {
      const one: CruisingFish = {
        ...fish,
        speedMmPerS: 100 + 600 * random(),
        depthMm: 3000 * random(),
        fallMmPerS: 20 + 400 * random(),
      }
      const lead = leadOf(one)
      expect(lead.aheadMm).toBeGreaterThanOrEqual(1500)
      expect(leadOf({ ...one, speedMmPerS: 1.2 * one.speedMmPerS }).aheadMm).toBeGreaterThanOrEqual(
        lead.aheadMm,
      )
      expect(leadOf({ ...one, fallMmPerS: 1.2 * one.fallMmPerS! }).aheadMm).toBeLessThanOrEqual(lead.aheadMm)
      expect(lead.moveAfterS).toBeGreaterThanOrEqual(one.depthMm / one.fallMmPerS! - 1e-9)
      // it has not passed the fly by then
      expect(lead.moveAfterS * one.speedMmPerS).toBeLessThan(lead.aheadMm)
    }
  })

  it('that swims away is lined where the lead is longer than the leader', () => {
    expect(leadOf({ ...fish, heading: 'away' }).linesIt).toBe(false)
    expect(leadOf({ ...fish, heading: 'away', leaderMm: 3500 }).linesIt).toBe(true)
    expect(leadOf({ ...fish, heading: 'towards', leaderMm: 2000 }).linesIt).toBe(false)
  })

  it('is timed by three marks', () => {
    expect(speedByMarks([10, 13, 16], 1000)).toBeCloseTo(333.3, 1)
    expect(speedByMarks([10, 13], 1000)).toBeNull()
    expect(speedByMarks([10, 10, 10], 1000)).toBeNull()
    expect(CRUISES_MM_PER_S.usual).toBe(350)
  })
})
