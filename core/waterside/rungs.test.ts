import { describe, expect, it } from 'vitest'
import { canStep, flyForStep } from './index.ts'
import type { FlyAboard, OnNow, Showing, Step } from './index.ts'

const of = (...hexes: readonly string[]) => hexes.map((hexWet) => ({ hexWet, share: 1 / hexes.length }))
const [OLIVE, GREY] = [of('#6a6d37', '#8f8a6a'), of('#9aa3ad', '#8f8a6a')]
const fly = (key: string, change: Partial<FlyAboard> = {}): FlyAboard => ({
  key, hookSize: 16, posture: 'proud', canBeCut: true, fallMmPerS: null, palette: OLIVE, ...change,
}) // prettier-ignore
const shows = (key: string, stages: Readonly<Record<string, number>>, whatever = 0.2): Showing => ({
  key, way: 'dry', stages: new Map(Object.entries(stages)), whatever,
}) // prettier-ignore

const dun = fly('dun 16')
const box: readonly FlyAboard[] = [
  dun,
  fly('dun 18', { hookSize: 18 }),
  fly('dun 20', { hookSize: 20 }),
  fly('dun 14', { hookSize: 14 }),
  fly('grey dun 16', { palette: GREY }),
  fly('emerger 16', { posture: 'hanging', canBeCut: false }),
  fly('spinner 16', { posture: 'low' }),
  fly('nymph 16', { posture: null, canBeCut: false, fallMmPerS: 120 }),
  fly('heavy nymph 16', { posture: null, canBeCut: false, fallMmPerS: 260 }),
]
const showings: readonly Showing[] = [
  ...['dun 16', 'dun 18', 'dun 20', 'dun 14', 'grey dun 16'].map((key) => shows(key, { dun: 0.8 })),
  shows('emerger 16', { emerger: 0.9, dun: 0.3 }),
  shows('spinner 16', { spinner: 0.9 }),
  shows('nymph 16', { nymph: 0.9 }),
  shows('heavy nymph 16', { nymph: 0.7 }),
]
const stage = (id: string, share: number) => ({ id, foodKey: 'olive', groupKey: 'mayfly', stage: id, share })
const shares = {
  stages: [stage('dun', 0.5), stage('emerger', 0.1), stage('spinner', 0.2), stage('nymph', 0.1)],
  whatever: 0.1,
}
const now = (change: Partial<OnNow> = {}): OnNow => ({ on: dun, stageId: 'dun', aboard: box, showings, shares, ...change }) // prettier-ignore

describe('a step from the fly that is on', () => {
  it.each<[Step, string]>([
    ['smaller', 'dun 18'],
    ['widerGape', 'dun 14'],
    ['emerger', 'emerger 16'],
    ['colour', 'grey dun 16'],
    ['stage', 'spinner 16'],
  ])('%s is %s', (step, key) => {
    expect(flyForStep(step, now())).toBe(key)
  })

  it('to the emerger is none from an emerger, and never from a floating fly to one that sinks', () => {
    const emerger = box.find(({ key }) => key === 'emerger 16')!
    expect(flyForStep('emerger', now({ on: emerger, stageId: 'emerger' }))).toBeNull()
    const sunk = [
      ...showings.filter(({ key }) => key !== 'emerger 16'),
      shows('heavy nymph 16', { emerger: 0.9 }),
    ]
    expect(flyForStep('emerger', now({ showings: sunk }))).toBeNull()
  })

  it('is one change and no other: what is smaller is neither of another colour nor lower by much', () => {
    const aboard = [
      dun,
      fly('dun 18', { hookSize: 18, palette: GREY }),
      fly('dun 20', { hookSize: 20, posture: 'awash' }),
      fly('grey dun 16', { palette: GREY, posture: 'awash' }),
      fly('dun 14', { hookSize: 14, palette: null }),
    ]
    for (const step of ['smaller', 'widerGape', 'colour'] as const)
      expect(flyForStep(step, now({ aboard })), step).toBeNull()
  })

  it('of a nymph in another colour falls alike, and a heavier one is of the same size and colour', () => {
    const [light, heavy] = [box[7]!, box[8]!]
    const greyHeavy = { ...heavy, palette: GREY }
    const larger = { ...heavy, hookSize: 14 }
    for (const other of [greyHeavy, larger])
      for (const step of ['colour', 'heavier'] as const)
        expect(flyForStep(step, now({ on: light, stageId: 'nymph', aboard: [light, other] })), step).toBeNull()
  })

  it('to a heavier one falls faster, and is for the same stage', () => {
    expect(flyForStep('heavier', now({ on: box[7]!, stageId: 'nymph' }))).toBe('heavy nymph 16')
    expect(flyForStep('heavier', now({ on: box[8]!, stageId: 'nymph' }))).toBeNull()
  })

  it('is none that the box lacks: without the fly it cannot be made', () => {
    for (const step of ['smaller', 'widerGape', 'emerger', 'colour', 'stage'] as const) {
      const alone = now({ aboard: [dun] })
      expect(flyForStep(step, alone), step).toBeNull()
      expect(canStep(step, alone), step).toBe(false)
    }
  })

  it('is none that does nothing there, as what the water’s note forbids', () => {
    const allowed = showings.filter(({ key }) => key !== 'dun 18' && key !== 'dun 20')
    expect(flyForStep('smaller', now({ showings: allowed }))).toBeNull()
  })

  it('with shears only where they have it sit lower, and in the drift always', () => {
    expect(canStep('cutLower', now())).toBe(true)
    expect(canStep('cutLower', now({ on: fly('bare', { canBeCut: false }) }))).toBe(false)
    expect(canStep('mend', now({ aboard: [dun] }))).toBe(true)
  })
})
