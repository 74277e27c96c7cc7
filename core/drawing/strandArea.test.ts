import { describe, expect, it } from 'vitest'
import { partsOf } from '../dressing/index.ts'
import { sixteenFlies } from '../testing/sixteenFlies.ts'
import { drawSketch, sketchOf } from './index.ts'
import type { FlyDrawing } from './index.ts'
import type { SketchPart } from './sketch.ts'
import { placesIn } from './testing/placesIn.ts'

const PX_PER_MM = 40
type Spot = readonly [number, number]

const twiceWithin = (line: readonly Spot[]) =>
  Math.abs(
    line.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = line[(i + 1) % line.length]!
      return sum + x * nextY - nextX * y
    }, 0),
  )

/** What is inked of a part, mm²: the hairs themselves, without haze, gloss and shade. */
const inkedMm2 = ({ shapes }: FlyDrawing, key: string) =>
  shapes
    .filter((shape) => shape.key === key && shape.fill !== undefined && (shape.opacity ?? 1) > 0.84)
    .flatMap(({ path }) => path.split(/(?=M)/))
    .reduce((sum, path) => sum + twiceWithin(placesIn(path)) / 2, 0) /
  PX_PER_MM ** 2

/** Area within the tightest line round all of a part, mm², by Andrew's chain. */
function outlineMm2({ shapes }: FlyDrawing, key: string): number {
  const spots = shapes
    .filter((shape) => shape.key === key)
    .flatMap(({ path }) => placesIn(path))
    .sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const turns = (a: Spot, b: Spot, c: Spot) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])
  const chain = (along: readonly Spot[]) => {
    const kept: Spot[] = []
    for (const spot of along) {
      while (kept.length > 1 && turns(kept.at(-2)!, kept.at(-1)!, spot) <= 0) kept.pop()
      kept.push(spot)
    }
    return kept.slice(0, -1)
  }
  return twiceWithin([...chain(spots), ...chain([...spots].reverse())]) / 2 / PX_PER_MM ** 2
}

/** Parts of the sixteen flies that drag as strands, with what is drawn of them. */
const strands = sixteenFlies().flatMap(({ name, fly }) => {
  const sketch = sketchOf(fly)
  const drawing = drawSketch(sketch, { pxPerMm: PX_PER_MM })
  return partsOf(fly).flatMap(({ key, elements }) => {
    const part = sketch.parts.find((one) => one.key === key)
    return elements.flatMap((element) =>
      part && element.kind === 'strands' && element.envelope?.kind === 'bundle'
        ? [{ name: `${name}: ${key}`, part, element, envelope: element.envelope, drawing }]
        : [],
    )
  })
})
const those = (is: (part: SketchPart) => boolean) => strands.filter(({ part }) => is(part))
const HAIRS = ['fibre', 'hair', 'rubber']

describe('strands are drawn with the area that the water meets', () => {
  it.each(those(({ goods, shape }) => HAIRS.includes(goods) && shape !== 'strip'))(
    '$name: as many, as long and as thick as they drag, but for their taper',
    ({ part, element, drawing }) => {
      const share = inkedMm2(drawing, part.key) / (element.count * element.diameterMm * element.lengthMm)
      expect(share).toBeGreaterThan(0.55)
      expect(share).toBeLessThan(1)
    },
  )

  it.each(those(({ goods, shape }) => goods === 'hackle' && shape !== 'tail'))(
    '$name: barbs of a ring, seen from the side: two thirds of the length where they stand, nearly all where they lie back',
    ({ part, element, drawing }) => {
      const share = inkedMm2(drawing, part.key) / (element.count * element.diameterMm * element.lengthMm)
      expect(share).toBeGreaterThan(0.25)
      expect(share).toBeLessThan(part.shape === 'collar' ? 1.1 : 0.65)
    },
  )

  it.each(those(({ goods }) => ['yarn', 'cdc', 'marabou', 'feather', 'strip'].includes(goods)))(
    '$name: a tuft, a slip or a strip fills about the outline that it drags in at most',
    ({ part, envelope, drawing }) => {
      const share = outlineMm2(drawing, part.key) / envelope.acrossMm2
      expect(share).toBeGreaterThan(0.3)
      expect(share).toBeLessThan(1.8)
    },
  )

  it('foam is as thick as its sheet over all its length', () => {
    const { fly } = sixteenFlies().find(({ name }) => name === 'Foam beetle')!
    const sketch = sketchOf(fly)
    const { shapes } = drawSketch(sketch, { pxPerMm: PX_PER_MM })
    const foam = sketch.parts.find(({ shape }) => shape === 'foam')!
    const sheets = shapes.filter(
      ({ key, fill, opacity }) => key === 'foam' && fill !== undefined && (opacity ?? 1) === 1,
    )
    const largestMm2 = Math.max(...sheets.map(({ path }) => twiceWithin(placesIn(path)) / 2 / PX_PER_MM ** 2))
    const share = largestMm2 / (foam.sizeMm * (foam.toMm - foam.fromMm))
    expect(share).toBeGreaterThan(0.8)
    expect(share).toBeLessThan(1.1)
  })
})
