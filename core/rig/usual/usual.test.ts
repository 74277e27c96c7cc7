import { describe, expect, it } from 'vitest'
import { evaluateFly, LIST_CONDITIONS } from '../../evaluate/index.ts'
import { normal, randomFrom } from '../../uncertainty/index.ts'
import { typedFly } from '../../testing/typedFly.ts'
import { TABLE_FLIES } from '../../testing/matchTable/flies.ts'
import { flyBody } from '../body.ts'
import depths from './depths.json' with { type: 'json' }
import { usualDepthMm } from './usualDepth.ts'
import { deepestOn, sinkerBody, USUAL_RIGS } from './usualRigs.ts'
import type { Sinker, UsualRig, UsualWater } from './usualRigs.ts'
import { ENTRIES, workOutEntry } from './workOut.ts'

const RUN: UsualWater = { bedMm: 900, surfaceMmPerS: 600 }
const STILL: UsualWater = { bedMm: 4000, surfaceMmPerS: 0 }
/** A tungsten-beaded nymph on a 14, a brass one on a 16, and one without weight. */
const HEAVY: Sinker = { submergedMg: 110, fallMmPerS: 300 }
const LIGHT: Sinker = { submergedMg: 30, fallMmPerS: 140 }
const BARE: Sinker = { submergedMg: 4, fallMmPerS: 45 }

describe('the table of usual rigs', () => {
  it('is what the engine says now, at places drawn by a seed', () => {
    const random = randomFrom(19)
    for (const rig of USUAL_RIGS) {
      expect(depths[rig]).toHaveLength(ENTRIES)
      for (let i = 0; i < 4; i += 1) {
        const nth = Math.floor(random() * ENTRIES)
        expect(depths[rig][nth], `${rig} ${nth}: run npm run depths`).toBe(workOutEntry(rig, nth))
      }
    }
  })

  it('meets the engine between its places', () => {
    const random = randomFrom(5)
    const off: number[] = []
    for (const rig of USUAL_RIGS)
      for (let i = 0; i < 6; i += 1) {
        const fallMmPerS = 25 * 14 ** random()
        // heavy ones are small for their weight, but not all alike
        const submergedMg = 60 * (fallMmPerS / 180) ** 1.6 * Math.exp(0.4 * normal(random))
        const water = { bedMm: 300 * 10 ** random(), surfaceMmPerS: rig === 'counted' ? 0 : 1500 * random() }
        const fly = { submergedMg, fallMmPerS }
        const engine = deepestOn(rig, sinkerBody(fly), water) ?? NaN
        const table = usualDepthMm(rig, fly, water)
        off.push(Math.abs(Math.min(table, water.bedMm) / Math.min(engine, water.bedMm) - 1))
      }
    const sorted = off.toSorted((a, b) => a - b)
    expect(sorted[Math.floor(off.length / 2)]).toBeLessThan(0.04)
    expect(sorted.at(-1)).toBeLessThan(0.15)
  })

  it('takes a dressed fly by its weight and fall as the engine takes it whole', () => {
    const sinking = TABLE_FLIES.flatMap(({ name, hook, lines }) => {
      const report = evaluateFly(typedFly(hook, lines), { ...LIST_CONDITIONS, tippet: null })
      return report.kind === 'sinks' ? [{ name, report }] : []
    }).filter((_, i) => i % 4 === 0)
    expect(sinking.length).toBeGreaterThan(4)
    for (const { name, report } of sinking) {
      const fly = {
        submergedMg: report.submergedMg.value,
        fallMmPerS: report.free.sinkSpeedMmPerS.value,
      }
      for (const rig of ['float', 'tight'] as const) {
        const whole = Math.min(
          deepestOn(rig, flyBody({ ...report.model, tippet: null }), RUN) ?? NaN,
          RUN.bedMm,
        )
        const byTable = Math.min(usualDepthMm(rig, fly, RUN), RUN.bedMm)
        expect(Math.abs(byTable / whole - 1), `${name} ${rig} ${byTable} ${whole}`).toBeLessThan(0.12)
      }
    }
  })
})

describe('what gets how deep', () => {
  const at = (rig: UsualRig, fly: Sinker, water = RUN) => Math.min(usualDepthMm(rig, fly, water), water.bedMm)

  it('is as those who fish so say', () => {
    // tungsten on a tight line or under a float rolls over the stones of a run, without weight it does not
    expect(at('tight', HEAVY)).toBeGreaterThan(850)
    expect(at('float', HEAVY)).toBeGreaterThan(850)
    expect(at('tight', BARE)).toBeLessThan(600)
    expect(at('float', BARE)).toBeLessThan(500)
    // nobody swings a wet fly along the bottom on a floating line
    expect(at('swung', HEAVY)).toBeLessThan(250)
    expect(at('swung', BARE)).toBeLessThan(60)
    // a dropper below a dry is as long as it is
    expect(at('underDry', HEAVY, { bedMm: 2200, surfaceMmPerS: 300 })).toBeLessThan(901)
    // under a float in still water a heavy one comes down as far as a leader can be cast, a light one in its own time
    expect(at('float', HEAVY, STILL)).toBeGreaterThan(3900)
    expect(at('float', LIGHT, STILL)).toBeLessThan(3700)
    // on a floating line a count of twenty brings a light nymph to a metre and a half at most
    expect(at('counted', LIGHT, STILL)).toBeGreaterThan(600)
    expect(at('counted', LIGHT, STILL)).toBeLessThan(1500)
  })

  it('is deeper with more weight and less deep in faster water, on every rig', () => {
    for (const rig of USUAL_RIGS) {
      expect(usualDepthMm(rig, HEAVY, RUN), rig).toBeGreaterThan(usualDepthMm(rig, LIGHT, RUN))
      expect(usualDepthMm(rig, LIGHT, RUN), rig).toBeGreaterThan(usualDepthMm(rig, BARE, RUN))
      const fast = { ...RUN, surfaceMmPerS: 1200 }
      const [slow, quick] = [usualDepthMm(rig, BARE, RUN), usualDepthMm(rig, BARE, fast)]
      if (rig === 'counted') expect(quick).toBe(slow)
      else expect(quick, rig).toBeLessThan(slow)
    }
  })

  it('is nowhere for what neither weighs nor falls, and goes there evenly', () => {
    expect(usualDepthMm('float', { submergedMg: 0, fallMmPerS: 0 }, RUN)).toBe(0)
    expect(usualDepthMm('float', { submergedMg: -3, fallMmPerS: 5 }, RUN)).toBe(0)
    const [least, half] = [10, 5].map((fallMmPerS) =>
      usualDepthMm('tight', { submergedMg: 1, fallMmPerS }, RUN),
    )
    expect(half).toBeCloseTo((least ?? 0) / 2, 9)
  })
})
