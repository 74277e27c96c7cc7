import { describe, expect, it } from 'vitest'
import { NO_RULES, stages, variant as planVariant } from '../testing/planInputs.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { anchorsOf, coverageOf, seasonFoods } from './index.ts'
import type { CoverageInput, ServingVariant } from './index.ts'

const RULES = { sizes: true, lightAndHeavy: true, alternatives: 2, anchors: 3 }

const variant = (key: string, made: ReturnType<typeof jigNymph>, onHand: number): ServingVariant =>
  planVariant(key, made, { patternKey: key.slice(0, 3), onHand })

function rowsOf(variants: readonly ServingVariant[], change: Partial<CoverageInput> = {}) {
  return toEnd(
    coverageOf({
      foods: [
        { stageKey: 'dark-olive-dun', worth: 0.2, lengthMmLow: 5, lengthMmHigh: 9 },
        { stageKey: 'dark-olive-nymph', worth: 0.5, lengthMmLow: 6, lengthMmHigh: 10 },
      ],
      stages,
      variants,
      waterKind: 'freestone',
      bedMm: 900,
      surfaceSpeedMmPerS: 700,
      school: 'sizeAndStage',
      keep: 3,
      asked: RULES,
      techniques: [],
      rules: NO_RULES,
      ...change,
    }),
  )
}

describe('coverageOf', () => {
  it('has the most worthwhile food first, missing where nothing serves it', () => {
    const rows = rowsOf([])
    expect(rows.map(({ stageKey }) => stageKey)).toEqual(['dark-olive-nymph', 'dark-olive-dun'])
    expect(rows[0]?.cells.all).toMatchObject({ state: 'hole', onHand: 0, wanted: 3, by: [] })
  })

  it('is thin below what is kept and covered from there on, by the flies that it names', () => {
    const state = (onHand: number) => rowsOf([variant('jig', jigNymph(), onHand)])[0]?.cells.all
    expect(state(0)).toMatchObject({ state: 'hole', by: [{ key: 'jig', onHand: 0 }] })
    expect(state(2)).toMatchObject({ state: 'short', onHand: 2 })
    expect(state(3)).toMatchObject({ state: 'covered', by: [{ key: 'jig', onHand: 3 }] })
  })

  it('counts a dry for the dun and not for the nymph, and asks no weight of what floats', () => {
    const rows = rowsOf([variant('dry', hackledDry(), 4)])
    const cells = (key: string) => rows.find(({ stageKey }) => stageKey === key)?.cells
    expect(cells('dark-olive-dun')?.all.state).toBe('covered')
    expect(cells('dark-olive-dun')?.heavy.state).toBe('notAsked')
    expect(cells('dark-olive-nymph')?.all.state).toBe('hole')
  })

  it('tells light from heavy, small from large, and how many patterns there are to change to', () => {
    const made = jigNymph()
    const bare = { ...made, variant: { ...made.variant, swaps: [{ componentKey: 'bead', omit: true }] } }
    const [row] = rowsOf([variant('jig 2.8', made, 2), variant('bare', bare, 1)], { bedMm: 400 })
    expect(row?.cells.heavy).toMatchObject({ onHand: 2, state: 'covered' })
    expect(row?.cells.light.by.every(({ key }) => key === 'bare')).toBe(true)
    expect((row?.cells.small.onHand ?? 0) + (row?.cells.large.onHand ?? 0)).toBe(row?.cells.all.onHand)
    // below the film one pattern is enough
    expect(row?.alternatives).toEqual({ patterns: 2, wanted: 0, state: 'notAsked' })
  })

  it('names the natural’s colours with the flies that come near them', () => {
    const [row] = rowsOf([variant('jig', jigNymph(), 3)])
    expect(row?.colours.map(({ name }) => name)).toEqual(
      stages.find(({ key }) => key === 'dark-olive-nymph')?.colours.map(({ name }) => name),
    )
    expect(row?.colours.some(({ onHand }) => onHand === 3)).toBe(true)
    const jig = variant('red', jigNymph(), 3)
    const red = {
      ...jig,
      look: { ...jig.look!, palette: [{ hexWet: '#b02020', share: 1 }] },
      meantFor: ['dark-olive-nymph'],
    }
    expect(rowsOf([red])[0]?.colours.map(({ onHand }) => onHand)).toEqual([0, 0, 0])
  })
})

describe('rules of cover', () => {
  const dun = (variants: readonly ServingVariant[], asked = RULES) =>
    rowsOf(variants, { asked }).find(({ stageKey }) => stageKey === 'dark-olive-dun')

  it('asks for several patterns on the film, where fish get choosy', () => {
    const one = variant('dry', hackledDry(), 4)
    expect(dun([one])?.alternatives).toMatchObject({ patterns: 1, state: 'short' })
    expect(dun([one, { ...one, key: 'another', patternKey: 'another' }])?.alternatives.state).toBe('covered')
    expect(dun([one], { ...RULES, alternatives: 0 })?.alternatives.state).toBe('notAsked')
  })

  it('asks for no sizes and no weights where the tier does not', () => {
    const [row] = rowsOf([variant('jig', jigNymph(), 3)], {
      asked: { ...RULES, sizes: false, lightAndHeavy: false },
    })
    expect([row?.cells.small.state, row?.cells.heavy.state]).toEqual(['notAsked', 'notAsked'])
    expect(row?.cells.all.state).toBe('covered')
  })

  it('counts what takes a team down: a tungsten jig does, a dry does not', () => {
    const flies = [variant('jig', jigNymph(), 2), variant('dry', hackledDry(), 9)]
    const place = {
      waterKind: 'freestone',
      bedMm: 900,
      surfaceSpeedMmPerS: 700,
      techniques: [],
      rules: NO_RULES,
      school: 'sizeAndStage',
    } as const
    expect(anchorsOf(flies, RULES, place)).toEqual({ onHand: 2, wanted: 3, state: 'short' })
    expect(anchorsOf(flies.slice(1), RULES, place).state).toBe('none')
    const ofLakes = flies.map((fly) => ({ ...fly, waters: ['reservoir' as const] }))
    expect(anchorsOf(ofLakes, RULES, place).state).toBe('none')
  })
})

describe('seasonFoods', () => {
  const place = { waterKind: 'freestone' as const, latitudeDeg: 54 }
  const year = {
    whatever: [0.5, 0.3],
    stages: [
      { stageId: 'dark-olive-dun', onIt: [0.1, 0.3] },
      { stageId: 'dark-olive-nymph', onIt: [0.4, 0.35] },
      { stageId: 'dark-olive-spinner', onIt: [0, 0.05] },
    ],
  }

  it('has a stage as long as it gets in any month, worth the fish that are on it in its best week', () => {
    const foods = seasonFoods(stages, year, place, 0.1)
    expect(foods.map(({ stageKey, worth }) => [stageKey, worth])).toEqual([
      ['dark-olive-nymph', 0.4],
      ['dark-olive-dun', 0.3],
    ])
    expect(foods[0]).toMatchObject({ lengthMmLow: 3, lengthMmHigh: 10 })
  })

  it('leaves out what does not live there', () => {
    expect(seasonFoods(stages, year, { ...place, waterKind: 'reservoir' }, 0)).toEqual([])
  })
})
