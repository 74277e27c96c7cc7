import { describe, expect, it } from 'vitest'
import { shippedFoods } from './shipped/larder.ts'
import { YEAR_STEP_DAYS, yearOfStages } from './index.ts'
import { stepsOf } from '../testing/steps.ts'

const stages = shippedFoods.flatMap((food) => food.stages.map((stage) => ({ ...stage, id: stage.key })))
const river = { waterKind: 'freestone' as const, latitudeDeg: 54, longitudeDeg: 0, utcOffsetMinutes: 0 }

function yearOn(reach: typeof river) {
  const work = yearOfStages({ stages, reach, year: 2026 })
  let step = work.next()
  let last = 0
  while (!step.done) {
    expect(step.value.done).toBeGreaterThanOrEqual(last)
    last = step.value.done
    step = work.next()
  }
  return step.value
}

describe('yearOfStages', () => {
  it('goes from the early to the late, with what is there all year at the end', () => {
    const found = yearOn(river).map(({ risesAt }) => risesAt)
    const rises = found.flatMap((at) => at ?? [])
    expect(Math.min(...stepsOf(rises))).toBeGreaterThanOrEqual(0)
    expect(new Set(rises).size).toBeGreaterThan(10)
    expect(found.slice(rises.length).every((at) => at === null)).toBe(true)
    expect(found.at(-1)).toBeNull()
    expect(rises[0]).toBeLessThan(60 / YEAR_STEP_DAYS)
  })

  it('leaves out what does not live in the water, and never draws doubt below the likelihood', () => {
    const found = yearOn(river)
    const keys = new Set(found.map(({ stageId }) => stageId))
    for (const stage of stages)
      if (stage.depthBandRiver === null) expect(keys.has(stage.key), stage.key).toBe(false)
    for (const { values, highs } of found) {
      expect(highs.every((high, i) => high >= (values[i] ?? 0) - 1e-12)).toBe(true)
    }
  })
})
