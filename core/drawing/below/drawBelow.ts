import type { DrawnAs } from '../../dressing/index.ts'
import { radians } from '../../number/index.ts'
import type { FlyDrawing } from '../flyDrawing.ts'
import { emptyPage } from '../page/page.ts'
import { ellipse, onCircle, ribbonOutline } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { mixed, shaded } from '../page/tones.ts'
import { putBall } from '../parts/bead.ts'
import { bodyAlong, putBody } from '../parts/body.ts'
import { FEATHERS } from '../parts/collar.ts'
import { paintCoat } from '../parts/coat.ts'
import { paintThread } from '../parts/head.ts'
import { paintRib } from '../parts/rib.ts'
import { putFur } from '../parts/strip.ts'
import { paintTail, putGoods } from '../parts/trailing.ts'
import { paintWound } from '../parts/wound.ts'
import { hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { BareSketch, SketchPart } from '../sketch.ts'
import { feetOf, paintBarbsBelow } from './barbsBelow.ts'
import { flatLine } from './flatLine.ts'

/** Against the sky all colours are dark: what is left of them. */
const NIGHT = '#17120e'
const IN_SHADE = 0.62
const FOOT_MM = 0.22
const FOOT = onCircle(10)
/** An upright wing is seen along its length: so much of it. */
const UPRIGHT_SEEN = 0.3

const middleOf = ({ fromMm, toMm }: SketchPart) => (fromMm + toMm) / 2
const BOTH_SIDES = [-1, 1] as const

/** Foam covers what lies above it, as wide as it was cut. */
const paintFoamBelow: Painter = (part, scene) => {
  const half = Math.max(part.widthMm, part.outerMm, part.sizeMm) / 2
  const body = bodyAlong(scene.line, part.fromMm, part.toMm, [[0, half * 0.85], [0.5, half], [1, half * 0.8]]) // prettier-ignore
  putBody(scene.page, 'far', part.key, body, { hex: hexOf(part, scene), gloss: 0 })
}

/** Wings to both sides, in a tent over the body, or upright and hardly seen. */
const paintWingBelow: Painter = (part, scene) => {
  const root: Point = [middleOf(part), 0]
  const lengthMm = part.lengthMm ?? 4
  const put = (deg: number, spreadDeg: number, seen = 1) =>
    putGoods(part, scene, { layer: 'far', root, angle: radians(deg), spreadDeg, lengthMm: lengthMm * seen })
  if (part.side === 'around') return put(0, 44)
  for (const side of BOTH_SIDES) put(side * 82, 34, part.side === 'both' ? 1 : UPRIGHT_SEEN)
  return undefined
}

const paintPostBelow: Painter = (part, scene) => {
  const radius = Math.max(part.outerMm / 2, 0.4)
  const dot = ellipse([middleOf(part), 0], radius, radius)
  scene.page.put('far', part.key, scene.page.closed(dot), { fill: hexOf(part, scene) })
}

const paintLegsBelow: Painter = (part, scene) => {
  const x = middleOf(part)
  const half = (count: number | undefined) => count && Math.ceil(count / 2)
  const ofSide = { ...part, strands: half(part.strands), fibreCount: half(part.fibreCount) }
  for (const side of BOTH_SIDES)
    putGoods(ofSide, scene, {
      layer: 'near',
      root: [x, side * radiusUnder(scene, x) * 0.8],
      angle: radians(side * 62),
      spreadDeg: 62,
    })
}

const paintBallBelow: Painter = (part, scene) =>
  putBall(scene, 'head', part, [part.centreMm, 0], part.sizeMm / 2, hexOf(part, scene))

const paintEyesBelow: Painter = (part, scene) => {
  const x = middleOf(part)
  const radius = part.sizeMm / 2
  for (const side of BOTH_SIDES)
    putBall(scene, 'head', part, [x, side * (radiusUnder(scene, x) + radius)], radius, hexOf(part, scene))
}

const paintStripBelow: Painter = (part, scene) => {
  const lengthMm = part.lengthMm ?? part.toMm - part.fromMm
  putFur(part, scene, [0, 0.4, 0.7, 1].map((share): Point => [part.fromMm + lengthMm * share, 0])) // prettier-ignore
}

/** Laid over the back, it is hidden by the body. */
const paintNothing: Painter = () => undefined

const PAINTERS: Readonly<Record<DrawnAs, Painter>> = {
  bead: paintBallBelow,
  cone: paintBallBelow,
  eyes: paintEyesBelow,
  thread: paintThread,
  wound: paintWound,
  rib: paintRib,
  coat: paintCoat,
  laid: paintNothing,
  foam: paintFoamBelow,
  tail: paintTail,
  strip: paintStripBelow,
  wing: paintWingBelow,
  post: paintPostBelow,
  hackle: paintBarbsBelow,
  collar: (part, scene) => (FEATHERS.has(part.goods) ? paintBarbsBelow : paintWound)(part, scene),
  legs: paintLegsBelow,
  gills: paintLegsBelow,
}

function drawHookBelow({ page, line, sketch }: Scene): void {
  const { hex, wireMm } = sketch.hook
  page.put('near', 'hook', page.closed(ribbonOutline(line.wire, () => wireMm)), { fill: hex })
  const radius = (sketch.hook.eyeOuterMm - wireMm) / 2
  const eye = ellipse(line.eye.at, radius, radius)
  page.put('near', 'hook', page.closed(eye), { stroke: hex, strokeMm: wireMm })
}

/**
 * Draws a fly that floats as a fish sees it from right below: dark against the light, with its feet, the dimples
 * where its barbs meet the film. It reckons no refraction: what lies outside the fish's window shows by its feet alone.
 *
 * @param shankMm how high the shank rides above the film
 */
export function drawBelow(
  { hook, parts }: BareSketch,
  { pxPerMm, shankMm }: { readonly pxPerMm: number; readonly shankMm: number },
): FlyDrawing {
  const page = emptyPage(pxPerMm)
  const dark = parts.map((part) => {
    const hex = mixed(part.wetHex, NIGHT, IN_SHADE)
    return { ...part, dryHex: hex, wetHex: hex }
  })
  const sketch = { hook: { ...hook, hex: mixed(hook.hex, NIGHT, IN_SHADE) }, parts: dark }
  const scene: Scene = { page, sketch, line: flatLine(hook), wetness: 'wet', bodies: [] }
  for (const part of dark.toSorted((a, b) => a.order - b.order)) PAINTERS[part.shape](part, scene)
  drawHookBelow(scene)
  const feet = feetOf(scene, shankMm).map((at) => page.closed(ellipse(at, FOOT_MM, FOOT_MM, 0, FOOT)))
  page.put('eye', 'feet', feet.join(''), {
    fill: '#ffffff',
    stroke: shaded('#5d6672', -0.2),
    strokeMm: 0.05,
    opacity: 0.75,
  })
  return page.finished()
}
