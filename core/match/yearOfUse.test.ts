import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { monthsAt, newYearOf, throughMonths, WEEK_DAYS, WEEKS } from '../season/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { appearanceOf, yearOfUse } from './index.ts'
import type { UseInput } from './index.ts'

const stages = shippedFoods
  .filter(({ key }) => key === 'dark-olive')
  .flatMap((food) => food.stages.map((stage) => ({ ...stage, id: stage.key })))
/** A brook with the year of the olives by their months, as it is on this side of the equator or the other. */
const brookAt = (latitudeDeg: number) => ({
  key: 'brook',
  waterKind: 'freestone' as const,
  latitudeDeg,
  bedMm: 900,
  surfaceSpeedMmPerS: 700,
  about: new Map(
    stages.map((stage) => [
      stage.id,
      Array.from({ length: WEEKS }, (_, week) =>
        throughMonths(
          monthsAt(stage, latitudeDeg).map((month) => month?.likelihood ?? 0),
          newYearOf(2026) + week * WEEK_DAYS,
        ),
      ),
    ]),
  ),
})
const brook = brookAt(54)

function yearsOf(made: ReturnType<typeof jigNymph>, more: Partial<UseInput> = {}) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })
  const work = yearOfUse({
    fly: { behaviour: behaviourOf(report), look: appearanceOf(fly), ways: [] },
    stages,
    meantFor: [],
    reaches: [brook],
    year: 2026,
    school: 'sizeAndStage',
    ...more,
  })
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}

describe('yearOfUse', () => {
  it('finds a nymph of use near the bottom and a dry only while there are duns', () => {
    const [nymph] = yearsOf(jigNymph())
    expect(nymph?.serves.map(({ stageId }) => stageId)).toContain('dark-olive-nymph')
    expect(nymph?.serves.every(({ band }) => band !== 'onFilm' && band !== 'inFilm')).toBe(true)
    const [dry] = yearsOf(hackledDry())
    const duns = stages.find(({ key }) => key === 'dark-olive-dun')?.months ?? []
    for (const [i, use] of (dry?.use ?? []).entries()) {
      const month = new Date(Date.UTC(2026, 0, 1 + i * WEEK_DAYS)).getUTCMonth()
      const near = [11, 0, 1].some((away) => (duns[(month + away) % 12]?.likelihood ?? 0) > 0)
      if (!near) expect(use, `step ${i}`).toBe(0)
    }
    expect(Math.max(...(dry?.use ?? []))).toBeGreaterThan(0.1)
  })

  it('shifts half a year on the other side of the equator', () => {
    const south = brookAt(-41)
    const [north] = yearsOf(hackledDry())
    const [other] = yearsOf(hackledDry(), { reaches: [south] })
    const half = Math.round(182.5 / WEEK_DAYS)
    const apart = (shift: number) =>
      (north?.use ?? []).reduce(
        (sum, use, i) => sum + Math.abs((other?.use[(i + shift) % other.use.length] ?? 0) - use),
        0,
      )
    expect(apart(half)).toBeLessThan(apart(0) / 3)
  })

  it('says what is wrong where it is meant for a food that it does not serve', () => {
    const [deep] = yearsOf(hackledDry(), { meantFor: ['dark-olive-nymph'] })
    expect(deep?.misses).toMatchObject([{ stageId: 'dark-olive-nymph', worst: { code: 'floatsAboveIt' } }])
    expect(yearsOf(hackledDry())[0]?.misses).toEqual([])
  })
})
