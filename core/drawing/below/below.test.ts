import { describe, expect, it } from 'vitest'
import { sixteenFlies } from '../../testing/sixteenFlies.ts'
import { drawBelow, sketchOf } from '../index.ts'
import type { FlyDrawing } from '../index.ts'
import { placesIn } from '../testing/placesIn.ts'

const sketchNamed = (name: string) => sketchOf(sixteenFlies().find((one) => one.name === name)!.fly)
const PX_PER_MM = 20
/** Places of one part, mm: along the shank and to its side. */
const placesOf = ({ shapes }: FlyDrawing, key: string) =>
  shapes
    .filter((shape) => shape.key === key)
    .flatMap(({ path }) => placesIn(path))
    .map(([x, y]) => ({ alongMm: x / PX_PER_MM, asideMm: -y / PX_PER_MM }))
const below = (name: string, shankMm = 2) => drawBelow(sketchNamed(name), { pxPerMm: PX_PER_MM, shankMm })
const asides = (drawing: FlyDrawing, key: string) => placesOf(drawing, key).map(({ asideMm }) => asideMm)

describe('a fly from below', () => {
  it('has barbs as long to both sides, and all round a post', () => {
    const dry = asides(below('Hackled dry'), 'hackle')
    const { lengthMm } = sketchNamed('Hackled dry').parts.find(({ shape }) => shape === 'hackle')!
    for (const most of [Math.max(...dry), -Math.min(...dry)]) {
      expect(most).toBeGreaterThan(0.85 * lengthMm!)
      expect(most).toBeLessThan(1.15 * lengthMm!)
    }
    const disc = placesOf(below('Parachute'), 'hackle')
    const reach =
      Math.max(...disc.map(({ alongMm }) => alongMm)) - Math.min(...disc.map(({ alongMm }) => alongMm))
    expect(reach / (Math.max(...disc.map(({ asideMm }) => asideMm)) * 2)).toBeGreaterThan(0.8)
  })

  it('spreads spent wings at full length, and upright ones hardly', () => {
    const lengthOf = (name: string) => sketchNamed(name).parts.find(({ shape }) => shape === 'wing')!.lengthMm!
    expect(Math.max(...asides(below('Spent spinner'), 'wing')) / lengthOf('Spent spinner')).toBeGreaterThan(
      0.85,
    )
    expect(Math.max(...asides(below('Hackled dry'), 'wing')) / lengthOf('Hackled dry')).toBeLessThan(0.45)
  })

  it('stands on the film by the barbs that reach down to it: the higher, the fewer and the nearer', () => {
    const feet = (shankMm: number) => asides(below('Hackled dry', shankMm), 'feet').map(Math.abs)
    const { lengthMm } = sketchNamed('Hackled dry').parts.find(({ shape }) => shape === 'hackle')!
    expect(Math.max(...feet(1))).toBeLessThan(Math.sqrt(lengthMm! ** 2 - 1) + 1)
    expect(feet(0.9 * lengthMm!).length).toBeLessThan(feet(2).length)
    expect(Math.max(...feet(0.9 * lengthMm!))).toBeLessThan(Math.max(...feet(1)))
    expect(feet(1.3 * lengthMm!)).toEqual([])
  })
})
