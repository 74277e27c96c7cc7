import { describe, expect, it } from 'vitest'
import { evaluateFly, LIST_CONDITIONS } from '../evaluate/index.ts'
import { typedFly } from '../testing/typedFly.ts'
import { TABLE_FLIES } from '../testing/matchTable/flies.ts'
import { toEnd } from '../testing/toEnd.ts'
import { waterAt } from '../water/index.ts'
import type { RigInWater, RigPart } from './index.ts'
import { rigLies } from './inWater.ts'
import { otherFlies } from './otherFlies.ts'
import type { OtherFly } from './otherFlies.ts'

const others = TABLE_FLIES.flatMap(({ name, hook, lines }): OtherFly[] => {
  const report = evaluateFly(typedFly(hook, lines), LIST_CONDITIONS)
  if (report.kind === 'sinks')
    return [{ key: name, fly: { model: report.model, dragSdLog: 0.1, carries: null } }]
  if (report.kind !== 'floats') return []
  const carries = { massMg: report.massMg.value, spareMg: Math.max(report.ride.spareMg, 0) }
  return [{ key: name, fly: { model: null, dragSdLog: 0.1, carries } }]
})
const nymph = others.find(({ fly }) => fly.model !== null)!.fly
const dry = others.find(({ fly }) => fly.carries !== null)!.fly

const input = (parts: readonly RigPart[], more: Partial<RigInWater>): RigInWater => ({
  ...{ parts, flies: [nymph], way: 'tight', water: waterAt(10), overBedMm: 150 },
  ...{ current: { depthMm: 900, surfaceMmPerS: 700, roughnessMm: 60 }, tipHeightMm: 1700, ledMmPerS: 500 },
  ...more,
})
const tight: readonly RigPart[] = [
  { kind: 'tippet', lengthMm: 2000, diameterMm: 0.2, stuff: 'nylon' },
  { kind: 'tippet', lengthMm: 1400, diameterMm: 0.13, stuff: 'nylon' },
  { kind: 'point', fly: 'a' },
]

describe('otherFlies', () => {
  it('finds the lightest point that holds the bottom, as trying all of them does', () => {
    const found = toEnd(otherFlies(input(tight, {}), others)).point!
    const depthOf = ({ fly }: OtherFly) => {
      const lies = rigLies({ ...input(tight, {}), flies: [fly], isQuick: true }, tight)
      return 'kind' in lies ? NaN : lies.moments[0]!.flies[0]!.zMm
    }
    const sinking = others.filter(({ fly }) => fly.model !== null)
    const hold = sinking.filter((one) => depthOf(one) >= 750 && depthOf(one) <= 899)
    const lightest = Math.min(...hold.map(({ fly }) => fly.model!.submergedMg))
    const chosen = others.find(({ key }) => key === found.key)!
    expect(chosen.fly.model!.submergedMg).toBe(lightest)
    expect(found.depthMm).toBeCloseTo(depthOf(chosen), 6)
    // lighter ones there are, and they hang too high
    expect(sinking.some(({ fly }) => fly.model!.submergedMg < lightest)).toBe(true)
  })

  it('names the dry flies that bear what hangs from this one, and none for a float', () => {
    const below: readonly RigPart[] = [
      { kind: 'tippet', lengthMm: 500, diameterMm: 0.13, stuff: 'nylon' },
      { kind: 'point', fly: 'a' },
    ]
    const carried = input([{ kind: 'dry', fly: 'd' }, ...below], { way: 'carried', flies: [dry, nymph] })
    const lies = rigLies({ ...carried, isQuick: true }, carried.parts)
    if ('kind' in lies) throw new Error(lies.why)
    const load = lies.carried!.loadMg
    const { dries } = toEnd(otherFlies(carried, others))
    const bearing = others.filter(({ fly }) => (fly.carries?.spareMg ?? 0) >= load)
    expect(dries.map(({ key }) => key).sort()).toEqual(bearing.map(({ key }) => key).sort())
    expect(dries.every(({ spareMg }, i) => i === 0 || spareMg >= dries[i - 1]!.spareMg)).toBe(true)
    const float: RigPart = { kind: 'float', diameterMm: 12, massMg: 200 }
    expect(toEnd(otherFlies(input([float, ...below], { way: 'carried' }), others)).dries).toEqual([])
  })

  it('tries nothing on what is counted or swung', () => {
    const counted = input([{ kind: 'line', sort: 'floating', lengthMm: 10_000, diameterMm: 1.1, rateMmPerS: null }, ...tight], { way: 'counted' }) // prettier-ignore
    expect(toEnd(otherFlies(counted, others))).toEqual({ point: null, dries: [] })
  })
})
