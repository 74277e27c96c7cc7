import { describe, expect, it } from 'vitest'
import { speedAtHeight } from '../drift/index.ts'
import { waterAt } from '../water/index.ts'
import { ballBody } from './body.ts'
import { drifts } from './carried.ts'
import { laid, netOf, placeOf, step } from './engine/index.ts'
import type { Motion, RigLine } from './engine/index.ts'
import type { LinePiece } from './line.ts'
import { depthsAfter } from './sinking.ts'
import { hangTight } from './tightLine.ts'

const water = waterAt(12)
const line = (lengthMm: number, diameterMm: number, densityMgPerMm3: number): LinePiece => ({
  ...{ lengthMm, diameterMm, densityMgPerMm3, group: 'line' },
})
const leader = (lengthMm: number, diameterMm: number, densityMgPerMm3 = 1.14): LinePiece => ({
  ...{ lengthMm, diameterMm, densityMgPerMm3, group: 'leader' },
})
const fly = (submergedMg: number, diameterMm: number, aboveMm = 0, sideMm = 0) => ({
  ...{ body: ballBody(submergedMg, diameterMm, water), aboveMm, sideMm },
})
const RUN = { depthMm: 1000, surfaceMmPerS: 650, roughnessMm: 50 }
const current = (depthMm: number) => speedAtHeight(RUN, RUN.depthMm - Math.max(depthMm, 0))

/** A rig, and the depth of each of its flies on so many nodes. */
type Case = readonly [name: string, within: number, depths: (nodes: number) => readonly number[]]

const still =
  (rig: RigLine, countS: number) =>
  (nodes: number): readonly number[] =>
    depthsAfter({ rig, water, bedMm: null, nodes }, countS)
const tight =
  (rig: RigLine, ledMmPerS: number) =>
  (nodes: number): readonly number[] =>
    hangTight({ rig, tipHeightMm: 1500, current, depthMm: RUN.depthMm, ledMmPerS, water, nodes })!.fliesMm
const carried =
  (rig: RigLine) =>
  (nodes: number): readonly number[] =>
    drifts({
      assembled: {
        rig,
        flies: rig.flies.map((_, i) => i),
        carrier: { diameterMm: 14, massMg: 300, bearsMg: 1100 },
      },
      current,
      depthMm: RUN.depthMm,
      water,
      nodes,
    })!.flies.map(({ zMm }) => zMm)

const CASES: readonly Case[] = [
  ['a slow sinker, one fly', 0.01, still({ pieces: [line(12_000, 1.05, 1.2), leader(2000, 0.2)], flies: [fly(30, 2.5)] }, 10)],
  ['a fast sinker, a light fly', 0.01, still({ pieces: [line(12_000, 0.95, 2), leader(1200, 0.22, 1.78)], flies: [fly(5, 3)] }, 12)],
  ['an intermediate, two flies', 0.01, still({ pieces: [line(12_000, 1, 1.05), leader(2400, 0.2, 1.78)], flies: [fly(40, 3), fly(10, 2, 1200, 150)] }, 12)],
  ['a floating line, a heavy nymph', 0.01, still({ pieces: [line(10_000, 1.1, 0.86), leader(2700, 0.16)], flies: [fly(120, 3)] }, 15)],
  ['a sink tip, over its hinge', 0.03, still({ pieces: [line(9000, 1.2, 0.86), line(3000, 1.1, 1.9), leader(1500, 0.22)], flies: [fly(20, 3)] }, 15)],
  ['a buoyant fly behind a sinking line', 0.01, still({ pieces: [line(12_000, 1, 1.6), leader(900, 0.24)], flies: [fly(-20, 5)] }, 15)],
  ['a tight line, one nymph', 0.01, tight({ pieces: [leader(2000, 0.22), leader(1300, 0.13)], flies: [fly(80, 2.5)] }, 590)],
  ['a tight line, a team', 0.01, tight({ pieces: [leader(2000, 0.25), leader(1300, 0.14)], flies: [fly(70, 2.6), fly(8, 2.2, 500, 150)] }, 600)],
  ['a float, one nymph', 0.01, carried({ pieces: [leader(1000, 0.15)], flies: [fly(40, 2.2)] })],
  ['a float, two flies', 0.01, carried({ pieces: [leader(1000, 0.18, 1.78)], flies: [fly(30, 2.2), fly(8, 2, 450, 150)] })],
] // prettier-ignore

describe('forty nodes against a hundred and sixty', () => {
  it.each(CASES)('%s: within its share', (_name, within, depths) => {
    const [usual, fine] = [depths(40), depths(160)]
    fine.forEach((mm, i) => expect(Math.abs(usual[i]! / mm - 1)).toBeLessThan(within))
  })
})

describe('the step', () => {
  const rig: RigLine = { pieces: [line(12_000, 1, 1.5), leader(1500, 0.2)], flies: [fly(30, 2.5)] }
  const after = (h: number, seconds: number): Motion => {
    let motion = laid(netOf(rig, 40), [0, 0], [{ lengthMm: 1, toward: [1, 0] }])
    const around = { water, current: () => 0, bedMm: null, lineOff: { across: 1, along: 1 } }
    for (let i = 0; i < Math.round(seconds / h); i += 1) motion = step(motion, around, h)
    return motion
  }
  it('halved moves nothing by more than three millimetres', () => {
    const [usual, half] = [after(0.1, 15), after(0.05, 15)]
    for (const node of usual.net.along) {
      const [a, b] = [placeOf(usual, node), placeOf(half, node)]
      expect(Math.hypot(...a.map((mm, i) => mm - b[i]!))).toBeLessThan(3)
    }
  })
})
