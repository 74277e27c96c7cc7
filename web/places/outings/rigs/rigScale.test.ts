import { describe, expect, it } from 'vitest'
import type { RigPart } from '../../../../core/index.ts'
import { laidOut } from './rigScale.ts'

const line: RigPart = { kind: 'line', sort: 'floating', lengthMm: 9000, diameterMm: 1.1, rateMmPerS: null }
const leader: RigPart = { kind: 'leader', lengthMm: 2700, buttMm: 0.5, tipMm: 0.2, stuff: 'nylon' }
const tippet = (lengthMm: number, diameterMm: number): RigPart => ({
  kind: 'tippet',
  lengthMm,
  diameterMm,
  stuff: 'fluorocarbon',
})

describe('a rig laid out straight', () => {
  const rig = laidOut([
    line,
    leader,
    { kind: 'ring', massMg: 15 },
    tippet(600, 0.15),
    { kind: 'dropper', lengthMm: 150, fly: 'a' },
    tippet(450, 0.13),
    { kind: 'shot', massMg: 40 },
    { kind: 'point', fly: 'b' },
  ])

  it('begins at the end of the fly line, and its pieces follow one another without a gap', () => {
    expect(rig.pieces.map(({ index, fromMm, toMm }) => [index, fromMm, toMm])).toEqual([
      [1, 0, 2700],
      [3, 2700, 3300],
      [5, 3300, 3750],
    ])
    expect(rig.wholeMm).toBe(3750)
  })

  it('tapers its leader and keeps tippet level', () => {
    expect(rig.pieces.map(({ topMm, endMm }) => [topMm, endMm])).toEqual([
      [0.5, 0.2],
      [0.15, 0.15],
      [0.13, 0.13],
    ])
  })

  it('has what is tied in or pinched on at the end of the piece above it', () => {
    expect(rig.on.map(({ index, atMm, part }) => [index, part.kind, atMm])).toEqual([
      [2, 'ring', 2700],
      [4, 'dropper', 3300],
      [6, 'shot', 3750],
      [7, 'point', 3750],
    ])
  })

  it('has a knot where pieces meet and at the point, and the one that is said otherwise', () => {
    expect(rig.knots.map(({ knot, atMm }) => [knot, atMm])).toEqual([
      ['surgeon', 2700],
      ['surgeon', 3300],
      ['clinch', 3750],
    ])
    const said = laidOut([leader, { kind: 'knot', knot: 'blood' }, tippet(500, 0.15), { kind: 'point', fly: null }])
    expect(said.knots.map(({ knot, atMm }) => [knot, atMm])).toEqual([['blood', 2700], ['clinch', 3200]])
    expect(said.on.map(({ part }) => part.kind)).toEqual(['point'])
  }) // prettier-ignore

  it('is nothing while nothing is below the fly line', () => {
    expect(laidOut([])).toEqual({ pieces: [], on: [], knots: [], wholeMm: 0 })
    expect(laidOut([line])).toEqual({ pieces: [], on: [], knots: [], wholeMm: 0 })
  })
})
