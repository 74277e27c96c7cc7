import { describe, expect, it } from 'vitest'
import type { StageLine } from '../../../contract/index.ts'
import { larderText, readLarder } from './larderFile.ts'
import { stagesLike } from './newFood.ts'

const month = { lengthMmLow: 8, lengthMmHigh: 10, likelihood: 0.5 }
const months = (...of: readonly number[]) =>
  Array.from({ length: 12 }, (_, i) => (of.includes(i) ? month : null))
const stage = (id: string, change: Partial<StageLine> = {}) =>
  ({
    id, foodId: 'olive', foodName: 'Olive', groupKey: 'upwing', stage: 'dun', stageName: 'dun', months: months(2, 3, 4), shiftsWith: null, hookRanges: [{ size: '14', fromMm: 8, toMm: 10 }],
    trigger: { kind: 'waterTemp', direction: 'rising', thresholdC: 8, lowC: 6, highC: 14, notBefore: '03-20', spreadDays: 7, durationDays: 30, latest: '12-31' },
    broods: [{ name: 'spring', months: [3, 4], trigger: { kind: 'allYear' } }],
    colours: [], hours: [], movements: [], triggers: [], waterKinds: {}, noteForTier: '', howFished: '', ...change,
  }) as unknown as StageLine // prettier-ignore

let made = 0
const newId = <Id extends string>() => `new-${(made += 1)}` as Id
const like = (change: object = {}) =>
  stagesLike(
    { name: 'Late olive', stages: [stage('nymph', { shiftsWith: 'dun' as never }), stage('dun')], times: 1, monthsLater: 0, ...change },
    newId,
  ) // prettier-ignore

describe('stagesLike', () => {
  it('is one new food whose stages move with one another, not with those that they are like', () => {
    const [nymph, dun] = like()
    expect(nymph?.food).toEqual(dun?.food)
    expect(nymph?.food.name).toBe('Late olive')
    expect(nymph?.stage.shiftsWith).toBe(dun?.foodStageId)
    expect([nymph?.foodStageId, dun?.foodStageId]).not.toContain('dun')
    // the stage that it moved with was left out: it goes by itself
    const [alone] = like({ stages: [stage('nymph', { shiftsWith: 'dun' as never })] })
    expect(alone?.stage.shiftsWith).toBeNull()
  })

  it('is so much longer, and comes so many months later with what starts it and its broods', () => {
    const [, dun] = like({ times: 1.5, monthsLater: 2 })
    expect(dun?.stage.months.map((one) => one?.lengthMmHigh ?? 0)).toEqual([
      0, 0, 0, 0, 15, 15, 15, 0, 0, 0, 0, 0,
    ])
    expect(dun?.stage.hookRanges).toEqual([{ size: '14', fromMm: 12, toMm: 15 }])
    expect(dun?.stage.trigger).toMatchObject({ notBefore: '05-20', latest: '12-31', thresholdC: 8 })
    expect(dun?.stage.broods[0]?.months).toEqual([5, 6])
  })

  it('comes round the end of the year', () => {
    const [, dun] = like({ monthsLater: -4 })
    expect(dun?.stage.months.flatMap((one, i) => (one ? [i] : []))).toEqual([0, 10, 11])
    expect(dun?.stage.broods[0]?.months).toEqual([11, 12])
  })
})

describe('a file of a larder', () => {
  it('says again what was kept', () => {
    const read = readLarder(larderText([stage('dun')]))
    if (typeof read === 'string') throw new Error(read)
    expect(read[0]).toMatchObject({
      foodStageId: 'dun',
      food: { id: 'olive', name: 'Olive' },
      stage: { stageName: 'dun' },
    })
  })

  it.each([
    ['{', /signs/],
    ['null', /no larder/],
    ['{"format":"something else","version":1,"stages":[]}', /no larder/],
    ['{"format":"heavy-thistle larder","version":2,"stages":[]}', /later version/],
  ])('that is none is told: %s', (text, why) => {
    expect(readLarder(text)).toMatch(why)
  })
})
