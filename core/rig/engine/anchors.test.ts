import { describe, expect, it } from 'vitest'
import { speedAtHeight } from '../../drift/index.ts'
import { waterAt } from '../../water/index.ts'
import {
  ballBody, bestRetrieve, broadsideMmPerS, countTo, depthsAfter, hangTight, heldAtSurface, LEADER_MG_PER_MM3, sink, submergedMgPerMm,
} from '../index.ts' // prettier-ignore
import type { LinePiece, RigLine, StillCast } from '../index.ts'
import { depthOf, holdOf, laid, netOf, placeOf, pulled, settle, step } from './index.ts'
import type { Around, Motion } from './index.ts'

const water = waterAt(10)
const still: Around = { water, current: () => 0, bedMm: null, lineOff: { across: 1, along: 1 } }
const line = (lengthMm: number, diameterMm = 1, densityMgPerMm3 = 1.44): LinePiece => ({ lengthMm, diameterMm, densityMgPerMm3, group: 'line' }) // prettier-ignore
const nylon = (lengthMm: number, diameterMm: number): LinePiece => ({ lengthMm, diameterMm, densityMgPerMm3: LEADER_MG_PER_MM3.nylon, group: 'leader' }) // prettier-ignore
const FLOATING = line(12_000, 1.1, 0.86)
const withFly = (pieces: readonly LinePiece[], submergedMg: number, diameterMm: number): RigLine => ({
  pieces,
  flies: [{ body: ballBody(submergedMg, diameterMm, water), aboveMm: 0, sideMm: 0 }],
})
const current = (depthMm: number, surfaceMmPerS: number, roughnessMm: number) => (atMm: number) =>
  speedAtHeight({ depthMm, surfaceMmPerS, roughnessMm }, depthMm - Math.max(atMm, 0))
/** Within a share of what it should be. */
const near = (found: number, wanted: number, share: number) =>
  expect(Math.abs(found / wanted - 1), `${found} for ${wanted}`).toBeLessThan(share)
const pointOf = (motion: Motion) => depthOf(motion, motion.net.nodes - 1)
const run = (motion: Motion, around: Around, seconds: number) =>
  Array.from({ length: Math.round(seconds * 10) }).reduce<Motion>((now) => step(now, around, 0.1), motion)
/** By how much any segment is longer than it is, as a share. */
const stretched = ({ net, at, dims }: Motion) =>
  Math.max(
    ...net.segments.map(
      ({ a, b, restMm }) =>
        Math.hypot(...at.subarray(a * dims, (a + 1) * dims).map((value, d) => value - at[b * dims + d]!)) /
          restMm -
        1,
    ),
  )

describe('a floating line in still water', () => {
  it('laid straight swings its fly at once; in a heap it falls with the leader trailing', () => {
    const cast: StillCast = { rig: withFly([FLOATING, nylon(2700, 0.16)], 100, 2.6), water, bedMm: null }
    near(depthsAfter(cast, 5)[0]!, 820, 0.03)
    near(depthsAfter(cast, 10)[0]!, 1272, 0.03)
    near(depthsAfter(cast, 20)[0]!, 1907, 0.03)
    // the fly line drawn back so far that the leader lies slack in a heap of folds at its end
    const net = netOf(cast.rig)
    const heap = laid(net, [0, 0], [
      { lengthMm: 12_000, toward: [1, 0] },
      ...Array.from({ length: 27 }, (_, i) => ({ lengthMm: 100, toward: [i % 2 === 0 ? -1 : 1, 0.02] })),
    ]) // prettier-ignore
    near(pointOf(run(heap, still, 5)), 1909, 0.07)
  })
})

describe('a sinking line in still water', () => {
  const cast = (tip: number, end: number, nodes = 40): StillCast => ({
    rig: withFly(
      [line(11_000, 1.05, 1.45), line(1500, 0.9, tip), line(1500, 0.75, end), nylon(1500, 0.2)],
      20,
      2.4,
    ),
    water,
    bedMm: null,
    nodes,
  })
  const pull = { mmPerS: 200, stripMm: 0, pauseS: 0 }

  it('bellies where its tip is thin, and is drawn down and up along its own path', () => {
    const frames = [...sink(cast(1.45, 1.45), { countS: 25, retrieve: pull, untilS: 60 })]
    const at = (second: number) => frames[second]!
    near(at(25).bellyMm + at(25).lineEnd.zMm, 1674, 0.03)
    near(at(25).lineEnd.zMm, 1276, 0.03)
    near(at(25).flies[0]!.zMm, 833, 0.03)
    near(at(30).flies[0]!.zMm, 1047, 0.03)
    near(at(40).flies[0]!.zMm, 2047, 0.03)
    near(at(60).flies[0]!.zMm, 3548, 0.03)
  })

  it('with a compensated tip goes down straighter', () => {
    const frames = [...sink(cast(1.542, 1.678), { countS: 25, retrieve: pull, untilS: 60 })]
    near(frames[25]!.lineEnd.zMm, 1603, 0.03)
    near(frames[25]!.flies[0]!.zMm, 974, 0.03)
    near(frames[30]!.flies[0]!.zMm, 1292, 0.03)
    near(frames[40]!.flies[0]!.zMm, 2296, 0.03)
    near(frames[60]!.flies[0]!.zMm, 3683, 0.03)
  })

  it('is as deep on forty nodes as on a hundred and sixty', () => {
    near(depthsAfter(cast(1.542, 1.678, 40), 25)[0]!, depthsAfter(cast(1.542, 1.678, 160), 25)[0]!, 0.01)
  })

  it('is counted down to a depth as looking at every second finds it', () => {
    const frames = [...sink(cast(1.45, 1.45), { countS: 60, retrieve: null, untilS: 60 })]
    const seconds = countTo(cast(1.45, 1.45), 0, 1500)!
    expect(frames[Math.floor(seconds)]!.flies[0]!.zMm).toBeLessThan(1500)
    expect(frames[Math.ceil(seconds)]!.flies[0]!.zMm).toBeGreaterThanOrEqual(1500)
    expect(countTo({ ...cast(1.45, 1.45), rig: withFly([FLOATING], -0.5, 3) }, 0, 500)).toBeNull()
  })

  it('is counted and retrieved as trying every pair finds best', () => {
    const counts = [4, 10, 18]
    const retrieves = [pull, { mmPerS: 80, stripMm: 0, pauseS: 0 }]
    const shares: number[] = []
    const search = bestRetrieve(cast(1.45, 1.45, 20), 0, { fromMm: 900, toMm: 1500 }, counts, retrieves)
    let next = search.next()
    for (; !next.done; next = search.next()) {
      const { best } = next.value
      shares.push(best ? best.inBandS / best.wholeS : 0)
    }
    const best = next.value!
    expect(shares).toHaveLength(counts.length * retrieves.length)
    const alone = counts.flatMap((countS) =>
      retrieves.map((retrieve) => {
        const frames = [...sink(cast(1.45, 1.45, 20), { countS, retrieve, untilS: 60 })].filter(
          ({ timeS }) => timeS >= countS && retrieve.mmPerS * (timeS - countS) < 12_500 && timeS - countS <= 40,
        )
        const inBand = frames.filter(({ flies }) => flies[0]!.zMm >= 900 && flies[0]!.zMm <= 1500)
        return { countS, retrieve, share: inBand.length / (countS + frames.length) }
      }),
    )
    const first = alone.reduce((a, b) => (b.share > a.share ? b : a))
    expect(best).toMatchObject({ countS: first.countS, retrieve: first.retrieve })
    near(best.inBandS / best.wholeS, first.share, 0.1)
  })

  it('as heavy as the water stays where it is laid', () => {
    const neutral = line(8000, 1, water.densityMgPerMm3)
    const laidDeep = laid(netOf({ pieces: [neutral], flies: [] }), [0, 500], [{ lengthMm: 1, toward: [1, 0] }])
    const after = run(laidDeep, still, 10)
    expect(Math.abs(pointOf(after) - 500)).toBeLessThan(0.01)
  })

  it('hung over nine metres sags and pulls as a chain does', () => {
    const net = netOf({ pieces: [line(10_000)], flies: [] })
    const drop = Math.sqrt(5000 ** 2 - 4500 ** 2)
    const start = laid(net, [0, 0], [{ lengthMm: 5000, toward: [4500, drop] }, { lengthMm: 5000, toward: [4500, -drop] }]) // prettier-ignore
    const hung = settle({ ...start, held: new Set([0, net.nodes - 1]) }, still)!
    near(Math.max(...net.along.map((node) => depthOf(hung, node))), 1907, 0.01)
    near(holdOf(hung, still), 2596, 0.01)
    expect(stretched(hung)).toBeLessThan(1e-4)
  })

  it('sinks level at the rate that its drag says', () => {
    const net = netOf({ pieces: [line(20_000)], flies: [] })
    const loose = { ...laid(net, [0, 10], [{ lengthMm: 1, toward: [1, 0] }]), held: new Set<number>() }
    near(run(loose, still, 20).speed[1]!, broadsideMmPerS(line(1), water), 0.005)
  })
})

describe('a line held in a current', () => {
  it('lies as deep as shooting has it: a sinking one, and a floating one whose stiffness holds it up a little', () => {
    const sinking = withFly([line(12_000), nylon(1500, 0.2)], 40, 4)
    const deep = settle(laid(netOf(sinking), [0, 0], [{ lengthMm: 1, toward: [1, 0] }]), { ...still, current: current(2000, 500, 60) })! // prettier-ignore
    near(pointOf(deep), 1777, 0.04)
    const shot = heldAtSurface({
      fly: sinking.flies[0]!.body,
      pieces: [...sinking.pieces].reverse(),
      flow: current(2000, 500, 60),
      water,
    })
    near(pointOf(deep), shot.points[0]!.zMm, 0.01)
    const floating = withFly([FLOATING, nylon(3000, 0.2)], 50, 2.2)
    const dangling = settle(laid(netOf(floating), [0, 0], [{ lengthMm: 1, toward: [1, 0] }]), { ...still, current: current(1500, 500, 60) })! // prettier-ignore
    near(pointOf(dangling), 77, 0.04)
  })

  it('cast across swings down to it by time', () => {
    const rig = withFly([line(12_000), nylon(1500, 0.2)], 40, 4)
    const deg = (70 * Math.PI) / 180
    const start = laid(netOf(rig), [0, 0, 0], [{ lengthMm: 1, toward: [Math.cos(deg), Math.sin(deg), 0] }])
    const around = { ...still, current: current(2000, 500, 60) }
    const after10 = run(start, around, 10)
    near(pointOf(after10), 474, 0.03)
    const after20 = run(after10, around, 10)
    near(pointOf(after20), 1112, 0.03)
    expect(placeOf(after20, after20.net.nodes - 1)[1]!).toBeLessThan(
      placeOf(after10, after10.net.nodes - 1)[1]!,
    )
    expect(stretched(after20)).toBeLessThan(1e-4)
  })
})

describe('a tight line', () => {
  const tight = (ledMmPerS: number, nodes = 40) => ({
    rig: withFly([nylon(2000, 0.2), nylon(1400, 0.13)], 100, 2.6),
    tipHeightMm: 1700,
    depthMm: 900,
    current: current(900, 600, 60),
    ledMmPerS,
    water,
    nodes,
  })

  it('hangs as deep as it is led slower or faster than the water', () => {
    const hung = hangTight(tight(540))!
    near(hung.fliesMm[0]!, 883, 0.02)
    near(hung.inWaterMm, 1324, 0.02)
    expect(Math.abs(hung.surfaceDeg - 45)).toBeLessThan(1.5)
    near(hung.sagMm, 83, 0.06)
    expect(hung.onBed).toBe(false)
    near(hangTight(tight(600))!.fliesMm[0]!, 783, 0.02)
    near(hung.fliesMm[0]!, hangTight(tight(540, 160))!.fliesMm[0]!, 0.01)
  })

  it('gains in pull, above the water, what it weighs a millimetre for each it rises', () => {
    // all of it in the air and at rest: a chain
    const rig = withFly([nylon(3000, 0.2)], 100, 2.6)
    const hung = hangTight({ ...tight(0), rig, tipHeightMm: 1700, depthMm: 2000, current: () => 0 })!
    const perMm = (Math.PI / 4) * 0.2 ** 2 * LEADER_MG_PER_MM3.nylon
    near(hung.tipMg, 100 + 1300 * submergedMgPerMm(nylon(1, 0.2), water) + 1700 * perMm, 0.01)
    near(hung.fliesMm[0]!, 1300, 0.001)
  })

  it('says where its fly is on the bed instead of a depth', () => {
    const hung = hangTight({ ...tight(540), rig: withFly([nylon(2000, 0.2), nylon(2400, 0.13)], 400, 3.6) })!
    expect(hung.onBed).toBe(true)
    expect(hung.fliesMm[0]!).toBeLessThanOrEqual(900)
  })
})

describe('flies on droppers', () => {
  it('add to what the tip holds, and hang at their knots', () => {
    const rig: RigLine = {
      pieces: [nylon(2500, 0.18)],
      flies: [
        { body: ballBody(80, 2.4, water), aboveMm: 0, sideMm: 0 },
        { body: ballBody(30, 1.8, water), aboveMm: 600, sideMm: 150 },
      ],
    }
    const start = laid(netOf(rig), [0, 0], [{ lengthMm: 1, toward: [0, 1] }])
    const hung = settle(start, still)!
    const ofLine = submergedMgPerMm(nylon(1, 0.18), water)
    near(holdOf(hung, still), 110 + 2500 * ofLine + 150 * ofLine, 0.005)
    const [point, dropper] = [0, 1].map((fly) =>
      depthOf(hung, hung.net.bodies.find((one) => one.fly === fly)!.node),
    )
    near(point!, 2500, 0.001)
    near(dropper!, 1900 + 150, 0.001)
  })

  it('and line that is pulled in stays as long as it is', () => {
    const rig = withFly([line(8000, 0.9, 1.3), nylon(2000, 0.2)], 30, 2)
    let motion = laid(netOf(rig), [0, 0], [{ lengthMm: 1, toward: [1, 0] }])
    const whole = () => motion.net.segments.reduce((sum, { restMm }) => sum + restMm, 0)
    for (let i = 0; i < 150; i += 1) motion = pulled(motion, still, 0.1, 300)
    near(whole(), 10_000 - 4500, 1e-9)
    expect(stretched(motion)).toBeLessThan(1e-4)
  })
})
