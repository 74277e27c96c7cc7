import { describe, expect, it } from 'vitest'
import { sum } from '../number/index.ts'
import type { DepthBand } from '../season/index.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { afterSamples, SAMPLED_FROM } from './index.ts'
import type { Counted, Shares } from './index.ts'

const BANDS: Readonly<Record<string, DepthBand>> = { nymph: 'bottom', scud: 'bottom', rising: 'topHalfMetre', dun: 'onFilm', adult: 'onFilm' } // prettier-ignore
const bandOf = (id: string) => BANDS[id] ?? 'bottom'
const stage = (id: string, share: number) => ({ id, foodKey: id, groupKey: 'mayfly', stage: id, share })
const shares: Shares = {
  stages: [stage('nymph', 0.3), stage('scud', 0.1), stage('rising', 0.2), stage('dun', 0.2), stage('adult', 0)],
  whatever: 0.2,
}
const of = ({ stages }: Shares, id: string) => stages.find((one) => one.id === id)!.share
const counted = (from: Counted['from'], counts: Readonly<Record<string, number>>): readonly Counted[] =>
  Object.entries(counts).map(([stageId, count]) => ({ stageId, from, count }))

describe('a sample', () => {
  it('from stones moves what lives there among itself, reckoned by hand', () => {
    const after = afterSamples(shares, counted('stones', { scud: 12 }), bandOf)
    // twelve of the season's own, three scuds among them, and twelve scuds: 15 of 24 of the 0.4 at the bottom
    expect(of(after, 'scud')).toBeCloseTo(0.25, 10)
    expect(of(after, 'nymph')).toBeCloseTo(0.15, 10)
    expect(of(after, 'dun')).toBe(0.2)
    expect(after.whatever).toBe(0.2)
  })

  it('from a stomach weighs more than the same from a bush', () => {
    const [stomach, bush] = (['stomach', 'bush'] as const).map((from) =>
      of(afterSamples(shares, counted(from, { dun: 3, adult: 1 }), bandOf), 'adult'),
    )
    expect(stomach).toBeGreaterThan(bush!)
    expect(bush).toBeGreaterThan(0)
  })

  it('never makes fish of nothing, raises what is more of it than the season has, and nothing counted changes nothing', () => {
    const random = randomFrom(11)
    for (let n = 0; n < 500; n += 1) {
      const from = SAMPLED_FROM[Math.floor(random() * SAMPLED_FROM.length)]!
      const one = counted(
        from,
        Object.fromEntries(shares.stages.map(({ id }) => [id, Math.floor(4 * random())])),
      )
      const after = afterSamples(shares, one, bandOf)
      expect(sum(after.stages.map(({ share }) => share)) + after.whatever).toBeCloseTo(1, 10)
    }
    expect(afterSamples(shares, [], bandOf)).toEqual(shares)
    expect(of(afterSamples(shares, counted('net', { rising: 5 }), bandOf), 'rising')).toBeGreaterThan(0.2)
  })
})
