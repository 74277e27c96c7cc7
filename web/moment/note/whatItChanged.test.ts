import { describe, expect, it } from 'vitest'
import type { StageLine } from '../../../contract/index.ts'
import { whatItChanged } from './whatItChanged.ts'
import type { Known } from './whatItChanged.ts'

const stage = (id: string, stageName: string, foodId = 'mayfly') =>
  ({ id, foodId, foodName: 'Large mayfly', stageName }) as unknown as StageLine
const STAGES = [
  stage('dun', 'dun'),
  stage('spinner', 'spinner'),
  stage('emerger', 'emerger'),
  stage('midge', 'adult', 'midge'),
]

/** First days of stages, and shares of the fish. */
const known = (firsts: Readonly<Record<string, number>>, shares: Readonly<Record<string, number>> = {}): Known => ({
  season: {
    windows: Object.entries(firsts).map(([stageKey, day]) => {
      const window = { stageKey, brood: 0, onset: Array.from({ length: 11 }, () => day), last: Array.from({ length: 11 }, () => day + 20), noneShare: 0 }
      return { before: window, after: window, shiftDays: 0, notes: 0 }
    }),
  } as unknown as Known['season'],
  moment: { foods: Object.entries(shares).map(([foodStageId, onIt]) => ({ foodStageId, onIt })) } as unknown as Known['moment'],
}) // prettier-ignore

describe('whatItChanged', () => {
  it('says by how many days it comes earlier here, and which stages of the food go with it', () => {
    const before = known({ dun: 150, spinner: 152, emerger: 150, midge: 100 })
    const after = known({ dun: 139, spinner: 141, emerger: 150, midge: 100 })
    expect(whatItChanged(before, after, ['dun'], STAGES)).toEqual([
      'Large mayfly, dun: 11 days earlier here; also the spinner.',
    ])
  })

  it('says what it did to the fish of the moment', () => {
    const [before, after] = [known({}, { midge: 0.05 }), known({}, { midge: 0.31 })]
    expect(whatItChanged(before, after, ['midge'], STAGES)).toEqual([
      'Large mayfly, adult: fish on it at this moment: 5 of 100 before, 31 now.',
    ])
  })

  it('says so where it moved nothing, and says each food once', () => {
    const same = known({ dun: 150 }, { dun: 0.2 })
    expect(whatItChanged(same, same, ['dun', 'dun'], STAGES)).toEqual([
      'Large mayfly, dun: it says what was expected, and moves nothing.',
    ])
  })
})
