import { describe, expect, it } from 'vitest'
import { shippedFoods } from '../season/shipped/larder.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { evidenceFor, notForecast, reckon } from './reckon.ts'
import type { Looked, Shares } from './reckon.ts'
import { whatSettles } from './settle.ts'
import { seenOn, SIGN_GROUPS, SIGNS, weightFor } from './signs.ts'
import type { Sign } from './signs.ts'

const signOf = (key: string): Sign => {
  const found = SIGNS.find((sign) => sign.key === key)
  if (!found) throw new RangeError(`no sign ${key}`)
  return found
}
const seen = (...keys: readonly string[]): readonly Looked[] =>
  keys.map((key) => ({ sign: signOf(key), seen: true }))
const notSeen = (...keys: readonly string[]): readonly Looked[] =>
  keys.map((key) => ({ sign: signOf(key), seen: false }))

const every = shippedFoods.flatMap(({ key: foodKey, groupKey, stages }) =>
  stages.map(({ key, stage }) => ({ id: key, foodKey, groupKey, stage })),
)
const on = (shares: Readonly<Record<string, number>>, whatever = 0.2): Shares => ({
  stages: Object.entries(shares).map(([id, share]) => ({ ...every.find((stage) => stage.id === id)!, share })),
  whatever,
})
const shareOf = ({ stages }: Shares, id: string) => stages.find((stage) => stage.id === id)!.share
/** An afternoon in June: duns hatch, spinners wait, nymphs drift. */
const JUNE = on({
  'dark-olive-dun': 0.3,
  'dark-olive-emerger': 0.2,
  'dark-olive-spinner': 0.1,
  'dark-olive-nymph': 0.2,
})

describe('signs', () => {
  it('speak of stages that there are, are seen now and then on any day, and say where to look', () => {
    expect(new Set(SIGNS.map(({ key }) => key)).size).toBe(SIGNS.length)
    for (const sign of SIGNS) {
      expect(SIGN_GROUPS, sign.key).toContain(sign.group)
      expect(sign.background, sign.key).toBeGreaterThan(0)
      expect(sign.background, sign.key).toBeLessThan(0.8)
      expect(sign.where.length, sign.key).toBeGreaterThan(10)
      for (const other of sign.confusedWith) expect(SIGNS.map(({ key }) => key)).toContain(other)
      for (const one of sign.suggests) {
        const meant = every.filter((stage) => stage.stage === one.stage && (stage.foodKey === one.foodKey || stage.groupKey === one.groupKey)) // prettier-ignore
        expect(meant.length, `${sign.key}: ${JSON.stringify(one)}`).toBeGreaterThan(0)
      }
      // what a sign suggests most is likelier with it than on any day
      const most = Math.max(...sign.suggests.map(({ weight }) => weight))
      expect(0.05 + 0.75 * most, sign.key).toBeGreaterThan(sign.background)
    }
  })
})

describe('what fish are on after signs', () => {
  it('is as multiplying out by hand has it, for signs of different groups', () => {
    const looked = [...seen('back-and-tail', 'drifting-shucks'), ...notSeen('males-dancing')]
    const product = (stage: Parameters<typeof seenOn>[1]) =>
      looked.reduce(
        (all, { sign, seen: was }) => all * (was ? seenOn(sign, stage) : 1 - seenOn(sign, stage)),
        1,
      )
    const raw = JUNE.stages.map((stage) => stage.share * product(stage))
    const all = raw.reduce((sum, one) => sum + one, JUNE.whatever * product(null))
    const after = reckon(JUNE, looked)
    after.stages.forEach(({ share }, i) => expect(share).toBeCloseTo(raw[i]! / all, 12))
    expect(after.whatever).toBeCloseTo((JUNE.whatever * product(null)) / all, 12)
    expect(after.stages.reduce((sum, { share }) => sum + share, after.whatever)).toBeCloseTo(1, 12)
  })

  it('follows what is seen of the rise: noses without a snout are emergers, bubbles are duns, sipping at dusk spinners', () => {
    const best = (...keys: readonly string[]) =>
      reckon(JUNE, seen(...keys)).stages.reduce((a, b) => (b.share > a.share ? b : a)).id
    expect(best('back-and-tail')).toBe('dark-olive-emerger')
    expect(best('snout-and-bubble', 'duns-upright')).toBe('dark-olive-dun')
    expect(best('dusk-sipping', 'spent-flat')).toBe('dark-olive-spinner')
    expect(best('flash-near-bottom', 'stone-turned')).toBe('dark-olive-nymph')
  })

  it('has more for a stage with each sign that speaks for it, alone or with any others', () => {
    const random = randomFrom(11)
    const oneOf = <One>(list: readonly One[]) => list[Math.floor(random() * list.length)]!
    let tried = 0
    for (let round = 0; round < 4000; round += 1) {
      const others = Array.from({ length: Math.floor(random() * 5) }, (): Looked => ({ sign: oneOf(SIGNS), seen: random() < 0.7 })) // prettier-ignore
      const [sign, stage] = [oneOf(SIGNS), oneOf(every)]
      const weight = weightFor(sign, stage)
      if (weight === null || seenOn(sign, stage) <= sign.background) continue
      if (others.some((one) => one.sign === sign)) continue
      tried += 1
      const [before, after] = [others, [...others, { sign, seen: true }]].map((looked) =>
        evidenceFor(looked, stage),
      )
      expect(after! - before!).toBeGreaterThanOrEqual(-1e-12)
      // alone it lifts the stage that it suggests most above what it was, whatever else may be on
      const strongest = Math.max(...sign.suggests.map((one) => one.weight))
      if (weight < strongest) continue
      const prior = on({ [stage.id]: 0.05 + 0.5 * random(), 'dark-olive-nymph': 0.1 + 0.2 * random() })
      expect(shareOf(reckon(prior, [{ sign, seen: true }]), stage.id)).toBeGreaterThanOrEqual(
        shareOf(reckon(prior, []), stage.id) - 1e-12,
      )
    }
    expect(tried).toBeGreaterThan(80)
  })

  it('counts signs of one group as little more than one, and looking in vain as its opposite', () => {
    const stage = JUNE.stages[1]!
    const rises = evidenceFor(seen('back-and-tail'), stage)
    const more = evidenceFor(seen('back-and-tail', 'tiny-rings', 'bulge-below-film', 'dusk-sipping'), stage)
    expect(more).toBeLessThanOrEqual(1.5 * rises + 1e-12)
    expect(evidenceFor(notSeen('back-and-tail'), stage)).toBeLessThan(0)
    expect(shareOf(reckon(JUNE, notSeen('back-and-tail')), stage.id)).toBeLessThan(stage.share)
    expect(reckon(JUNE, []).stages.map(({ share }) => share)).toEqual(JUNE.stages.map(({ share }) => share))
  })

  it('does not count a state of the water twice that the forecast was told of', () => {
    const looked = seen('coloured-rising-water', 'back-and-tail')
    expect(notForecast(looked, new Set(['coloured-rising-water'])).map(({ sign }) => sign.key)).toEqual(['back-and-tail']) // prettier-ignore
    expect(notForecast(looked, new Set())).toHaveLength(2)
  })
})

describe('what would settle it', () => {
  const openness = (a: number, b: number) =>
    [a, b].map((x) => x / (a + b)).reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)

  it('is the sign that going through every answer finds best to part the first two', () => {
    const [first, second] = [JUNE.stages[0]!, JUNE.stages[1]!]
    const byHand = SIGNS.map((sign) => {
      const parts = [true, false].map((was) => {
        const times = (stage: typeof first) => (was ? seenOn(sign, stage) : 1 - seenOn(sign, stage))
        const [a, b] = [first.share * times(first), second.share * times(second)]
        return (a + b) * openness(a, b)
      })
      return { key: sign.key, open: (parts[0]! + parts[1]!) / (first.share + second.share) }
    }).sort((a, b) => a.open - b.open)
    const found = whatSettles(JUNE, [], SIGNS)
    expect(found[0]!.sign.key).toBe(byHand[0]!.key)
    expect(found[0]!.openAfter).toBeCloseTo(byHand[0]!.open, 9)
    expect(found.length).toBe(
      byHand.filter(({ open }) => open < openness(first.share, second.share) - 1e-9).length,
    )
  })

  it('asks for nothing twice, for nothing that parts nothing, and for nothing where one alone is on', () => {
    const [best] = whatSettles(JUNE, [], SIGNS)
    const then = whatSettles(JUNE, [{ sign: best!.sign, seen: true }], SIGNS)
    expect(then.map(({ sign }) => sign.key)).not.toContain(best!.sign.key)
    expect(whatSettles(JUNE, [], SIGNS).map(({ sign }) => sign.key)).not.toContain('fry-scattering')
    expect(whatSettles(on({ 'dark-olive-dun': 0.8 }), [], SIGNS)).toEqual([])
  })
})
