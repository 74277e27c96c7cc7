import { describe, expect, it } from 'vitest'
import { hullOf } from '../dressing/index.ts'
import { hookCurve, makeHook } from '../hook/index.ts'
import { sixteenFlies } from '../testing/sixteenFlies.ts'
import { drawSketch, sketchOf } from './index.ts'
import type { FlyDrawing } from './index.ts'
import { hookLine } from './hook/hookLine.ts'
import { placesIn } from './testing/placesIn.ts'

const flies = sixteenFlies().map(({ name, fly }) => ({ name, fly, sketch: sketchOf(fly) }))
const flyOf = (name: string) => flies.find((one) => one.name === name)!

/** All places of a drawing's paths of one component, in mm, y up; hairs by root, bend and tip. */
const placesOf = ({ shapes, pxPerMm }: FlyDrawing, key: string): readonly (readonly [number, number])[] =>
  shapes
    .filter((shape) => shape.key === key)
    .flatMap(({ path }) => placesIn(path))
    .map(([x, y]) => [x / pxPerMm, -y / pxPerMm] as const)
/** Area within a line of path data, dots², by the shoelace formula. */
function areaIn(path: string): number {
  const places = placesIn(path)
  const twice = places.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = places[(i + 1) % places.length]!
    return sum + x * nextY - nextX * y
  }, 0)
  return Math.abs(twice) / 2
}
/** What is wound is drawn from where a bead on the shank ends. */
const coveredByBead = ({ parts }: { readonly parts: (typeof flies)[number]['sketch']['parts'] }) =>
  Math.max(
    0,
    ...parts
      .filter(({ shape, pinned }) => shape === 'bead' && !pinned)
      .map(({ centreMm, sizeMm }) => centreMm + sizeMm * 0.36),
  )

const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity)
const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity)

describe('a fly drawn', () => {
  it.each(flies)('$name shows each of its parts, in figures, and stays in its frame', ({ fly, sketch }) => {
    for (const pxPerMm of [2, 4, 20]) {
      const drawing = drawSketch(sketch, { pxPerMm })
      const drawn = new Set(drawing.shapes.map(({ key }) => key))
      for (const { key } of fly.components) expect(drawn, `${key} at ${pxPerMm}`).toContain(key)
      for (const { path } of drawing.shapes) expect(path).toMatch(/^M[ -][\d.]+[ -][\d.]+[lq]/)
      for (const { path } of drawing.shapes) expect(path).not.toMatch(/NaN|Infinity|undefined/)
      for (const key of drawn) {
        const places = placesOf(drawing, key)
        const [across, down] = [places.map(([x]) => x * pxPerMm), places.map(([, y]) => -y * pxPerMm)]
        expect(least(across), key).toBeGreaterThanOrEqual(drawing.leftPx)
        expect(most(across), key).toBeLessThanOrEqual(drawing.leftPx + drawing.widthPx)
        expect(least(down), key).toBeGreaterThanOrEqual(drawing.topPx)
        expect(most(down), key).toBeLessThanOrEqual(drawing.topPx + drawing.heightPx)
      }
    }
  })

  it('is the same for ever, and an edit of one part moves no hair of another', () => {
    const { sketch } = flyOf('Spiky nymph')
    const drawing = drawSketch(sketch, { pxPerMm: 20 })
    expect(drawSketch(structuredClone(sketch), { pxPerMm: 20 })).toEqual(drawing)
    const tail = sketch.parts.find(({ shape }) => shape === 'tail')!
    const longer = {
      ...sketch,
      parts: sketch.parts.map((part) => (part === tail ? { ...part, lengthMm: tail.lengthMm! * 1.5 } : part)),
    }
    const changed = drawSketch(longer, { pxPerMm: 20 })
    const others = (of: FlyDrawing) => of.shapes.filter(({ key }) => key !== tail.key)
    expect(others(changed)).toEqual(others(drawing))
    expect(changed).not.toEqual(drawing)
  })

  it.each(flies)('$name weighs little: few nodes, and fewer yet in a row', ({ sketch }) => {
    const weight = (pxPerMm: number) => {
      const { shapes } = drawSketch(sketch, { pxPerMm })
      return { nodes: shapes.length, bytes: shapes.reduce((sum, { path }) => sum + path.length, 0) }
    }
    expect(weight(16).nodes).toBeLessThan(160)
    expect(weight(16).bytes).toBeLessThan(150_000)
    expect(weight(3.8).nodes).toBeLessThan(weight(16).nodes)
    expect(weight(3.8).bytes).toBeLessThan(65_000)
    expect(weight(2).bytes).toBeLessThan(45_000)
    expect(JSON.stringify(sketch).length).toBeLessThan(4000)
  })

  it('is to scale at every scale, wet or dry', () => {
    for (const { sketch } of flies) {
      const { widthMm, heightMm } = sketch.frame
      const large = drawSketch(sketch, { pxPerMm: 20, wetness: 'wet' })
      expect(large.widthPx / 20 / widthMm).toBeGreaterThan(0.85)
      expect(large.widthPx / 20 / widthMm).toBeLessThan(1.15)
      expect(large.heightPx / 20 / heightMm).toBeGreaterThan(0.8)
      expect(large.heightPx / 20 / heightMm).toBeLessThan(1.2)
    }
    const { sketch } = flyOf('Soft hackle')
    const fills = (wetness: 'dry' | 'wet') =>
      drawSketch(sketch, { pxPerMm: 4, wetness }).shapes.map(({ fill }) => fill)
    expect(fills('wet')).not.toEqual(fills('dry'))
  })
})

describe('what is drawn is what physics reckons with', () => {
  it.each(['straight', 'curved', 'slowCurve', 'jig60', 'wideGape'])('a %s hook: gape, wire and how far back it goes', (style) => {
    const hook = makeHook(12, { style, xLong: 0, xHeavy: 0, steps: 'evenSizes' })
    const round = hookCurve(hook)
    const { wire } = hookLine(hook)
    expect(least(wire.map(([, y]) => y))).toBeCloseTo(least(round.map(({ yMm }) => yMm)), 0)
    const [back, roundBack] = [most(wire.map(([x]) => x)), most(round.map(({ xMm }) => xMm))]
    expect(Math.abs(back - roundBack)).toBeLessThan(0.08 * hook.hookLengthMm)
  }) // prettier-ignore

  it.each(flies)('$name: what is wound is as thick and as long as the hull that drags', ({ fly, sketch }) => {
    const drawing = drawSketch(sketch, { pxPerMm: 20 })
    const hull = hullOf(fly)
    const line = hookLine(sketch.hook)
    for (const part of sketch.parts.filter(({ shape }) => shape === 'wound')) {
      const places = placesOf(drawing, part.key)
      const middle = (part.fromMm + part.toMm) / 2
      const near = places.filter(([x]) => Math.abs(x - middle) < 0.15 * (part.toMm - part.fromMm) + 0.1)
      const centre = line.at(middle).at[1]
      const high = most(near.map(([, y]) => y)) - centre
      // hairs stand out beyond what drags as a body
      expect(high, part.key).toBeGreaterThan(0.4 * part.outerMm)
      expect(high, part.key).toBeLessThan(0.75 * part.outerMm + 2.2 * part.hairMm + 0.3)
    }
    const [front, rear] = [hull[0], hull.at(-1)]
    expect(front!.fromMm).toBe(0)
    expect(rear!.toMm).toBeCloseTo(fly.hook.shankMm, 6)
  })

  it.each(flies)('$name: what is wound, and a bead, cover the area that meets the water from the side', ({ sketch }) => {
    const drawing = drawSketch(sketch, { pxPerMm: 20 })
    for (const part of sketch.parts) {
      const isBall = part.shape === 'bead'
      if (!isBall && (part.shape !== 'wound' || part.goods === 'bead')) continue
      // its outline is the first shape that is filled; what stands out of it comes before or after in strokes and hairs
      const largest = most(
        drawing.shapes.filter(({ key, path }) => key === part.key && /^M[^q]*z$/.test(path)).map(({ path }) => areaIn(path) / 400),
      )
      const reckoned = isBall
        ? (Math.PI / 4) * part.sizeMm ** 2
        : part.solidMm * (part.toMm - Math.max(part.fromMm, coveredByBead(sketch)))
      expect(largest / reckoned, part.key).toBeGreaterThan(isBall ? 0.97 : 0.7)
      expect(largest / reckoned, part.key).toBeLessThan(isBall ? 1.03 : 1.2)
    }
  }) // prettier-ignore

  it('tails, wings and hackles are as long as they are said to be', () => {
    const reach = (name: string, key: string) => placesOf(drawSketch(flyOf(name).sketch, { pxPerMm: 20 }), key)
    const part = (name: string, key: string) => flyOf(name).sketch.parts.find((one) => one.key === key)!
    const tail = part('Hackled dry', 'tail')
    const shank = flyOf('Hackled dry').sketch.hook.shankMm
    expect(most(reach('Hackled dry', 'tail').map(([x]) => x)) - shank).toBeGreaterThan(0.9 * tail.lengthMm!)
    expect(most(reach('Hackled dry', 'tail').map(([x]) => x)) - shank).toBeLessThan(1.12 * tail.lengthMm!)
    const hackle = part('Hackled dry', 'hackle')
    const high = most(reach('Hackled dry', 'hackle').map(([, y]) => y))
    expect(high / hackle.lengthMm!).toBeGreaterThan(0.9)
    expect(high / hackle.lengthMm!).toBeLessThan(1.25)
    const wing = part('Hackled dry', 'wing')
    expect(most(reach('Hackled dry', 'wing').map(([, y]) => y)) / wing.lengthMm!).toBeGreaterThan(0.85)
  })

  it('shears leave what they leave: a hackle clipped below has no barbs below', () => {
    const { sketch } = flyOf('Hair-wing sedge')
    const hackle = sketch.parts.find(({ shape }) => shape === 'hackle')!
    const places = placesOf(drawSketch(sketch, { pxPerMm: 20 }), hackle.key)
    const [up, down] = [most(places.map(([, y]) => y)), -least(places.map(([, y]) => y))]
    expect(up).toBeGreaterThan(0.85 * hackle.lengthMm!)
    expect(down).toBeLessThan(0.75 * hackle.lengthMm!)
  })

  it('a rib has as many turns as it was wound in', () => {
    for (const turns of [3, 7]) {
      const { sketch } = flyOf('Slim jig nymph')
      const parts = sketch.parts.map((part) => (part.shape === 'rib' ? { ...part, turns } : part))
      const rib = drawSketch({ ...sketch, parts }, { pxPerMm: 20 }).shapes.find(({ key }) => key === 'rib')
      expect(rib?.path.match(/z/g)).toHaveLength(turns)
    }
  })

  it('a bead is as large as it was chosen, before the eye on a pin', () => {
    const ball = placesOf(drawSketch(flyOf('Balanced fly').sketch, { pxPerMm: 20 }), 'bead')
    const bead = flyOf('Balanced fly').sketch.parts.find(({ key }) => key === 'bead')!
    expect(least(ball.map(([x]) => x))).toBeCloseTo(bead.centreMm - bead.sizeMm / 2, 1)
    expect(bead.centreMm).toBeCloseTo(-4, 6)
  })
})
