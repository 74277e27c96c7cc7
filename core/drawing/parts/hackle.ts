import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Scene } from '../scene.ts'
import { bodyAlong, putBody, putTurns } from './body.ts'
import { alongHair } from '../page/hairs.ts'
import type { Hair } from '../page/hairs.ts'
import { hairsOf } from '../page/toned.ts'
import type { TonedHairs } from '../page/toned.ts'
import { shaded } from '../page/tones.ts'
import type { SketchPart } from '../sketch.ts'
import { radians } from '../../number/index.ts'

/** No half of a hackle is drawn with more barbs: beyond it they only cover each other. */
const MOST_BARBS = 110
/** Fibres that fold back so much lie back of themselves. */
const SOFT_FROM = 0.12
const GOLDEN = 0.618034
const WIDTH_MM = 0.055
const BARS_AT = [0.22, 0.42, 0.62, 0.8] as const
/** Barbs within 60° of straight up or down are those that shears take. */
const TRIMMED_FROM = 0.5
/** A hackle no longer than this on the shank is wound round a post that stands there. */
const ROUND_A_POST_OF_SHANK = 0.3

/** How barbs stand: leaning back from square by so many degrees. */
export interface Standing {
  readonly tiltDeg: number
}

export const isSoft = ({ soft }: SketchPart): boolean => soft > SOFT_FROM

/** How much of a barb that points this way shears have left; up is 1, down −1. */
export function leftOf({ clipped, side }: SketchPart, up: number): number {
  if (up < -TRIMMED_FROM) return clipped ?? (side === 'above' || side === 'both' ? 0 : 1)
  return up > TRIMMED_FROM && side === 'both' ? 0.25 : 1
}

/** The post that a hackle is wound round; none for one that is wound along the shank. */
export const postOf = ({ fromMm, toMm }: SketchPart, { sketch }: Scene) =>
  toMm - fromMm > ROUND_A_POST_OF_SHANK * sketch.hook.shankMm
    ? undefined
    : sketch.parts.find(({ shape }) => shape === 'post')

/** Barbs of each half, as many as are wound. */
export const drawnBarbs = ({ barbs = 0 }: SketchPart, { page }: Scene): number =>
  Math.round(Math.min(barbs / 2, MOST_BARBS) * page.level.barbs)

/** Barbs of a wound feather stand out all round; the far half is darker and behind the body. */
function putBarbs(part: SketchPart, scene: Scene, { tiltDeg }: Standing, half: 'far' | 'near'): void {
  const { page, line } = scene
  const chance = chanceFor(part, half)
  const soft = isSoft(part)
  const hex = hexOf(part, scene)
  const hairs = hairsOf(page, half === 'far' ? shaded(hex, -0.2) : hex)
  const bars = hairsOf(page, shaded(hex, -0.7), 0.1)
  const turns = Math.max(part.turns ?? 3, 1)
  const count = drawnBarbs(part, scene)
  const lengthMm = part.lengthMm ?? 4
  for (let i = 0; i < count; i += 1) {
    const turn = i % Math.ceil(turns)
    const around = Math.PI * ((i * GOLDEN + chance.between(-0.02, 0.02) + 1) % 1)
    // soft barbs of the near half lay themselves over the body
    const phi = around + (soft && half === 'near' ? 0.42 * Math.sin(2 * around) : 0)
    const [up, towards] = [Math.cos(phi), Math.sin(phi)]
    const share = (turn + 0.5 + chance.between(-0.35, 0.35)) / Math.ceil(turns)
    const x = part.fromMm + (part.toMm - part.fromMm) * share
    const tilt = radians(tiltDeg + (share - 0.5) * (soft ? 14 : 35) + chance.about() * 11)
    const length = lengthMm * leftOf(part, up) * (1 + chance.about() * 0.07)
    if (length < 0.1) continue
    const along = Math.sin(tilt) * length + chance.about() * 0.12 * length * towards
    const across = Math.cos(tilt) * up * length
    const curl = -Math.sign(up) * (0.3 + 0.7 * Math.abs(up)) * ((soft ? 0.45 : 0.1) + chance.about() * 0.1)
    const hair: Hair = {
      root: line.off(x, up * radiusUnder(scene, x)),
      angle: Math.atan2(across, along) + line.at(x).heading,
      lengthMm: Math.max(Math.hypot(along, across), length * 0.22),
      widthMm: (soft ? WIDTH_MM * 1.2 : WIDTH_MM) / Math.sqrt(page.level.barbs),
      curl,
    }
    hairs.add(up * 0.9 + (half === 'near' ? 0.4 * towards : -0.3) + chance.about() * 0.8, hair)
    if (part.barred && page.level.fine) addBars(bars, hair)
  }
  hairs.put(half, part.key)
  bars.put(half, part.key, 0.7)
}

/** Bars across a barb of a grizzled or speckled feather, at the same distances from the stem. */
function addBars(bars: TonedHairs, hair: Hair): void {
  for (const share of BARS_AT) {
    const { at, angle } = alongHair(hair, share)
    bars.add(0, { root: at, angle, lengthMm: hair.lengthMm * 0.07, widthMm: hair.widthMm * 1.15, curl: 0 })
  }
}

/** Barbs flat round the foot of a post, seen edge-on. */
function putDisc(part: SketchPart, scene: Scene, post: SketchPart): void {
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const x = (post.fromMm + post.toMm) / 2
  const turns = Math.max(part.turns ?? 3, 1)
  const lengthMm = part.lengthMm ?? 4
  for (const half of ['far', 'near'] as const) {
    const chance = chanceFor(part, half)
    const hairs = hairsOf(page, half === 'far' ? shaded(hex, -0.2) : hex)
    const count = drawnBarbs(part, scene)
    for (let i = 0; i < count; i += 1) {
      const theta = Math.PI * ((i * GOLDEN + chance.between(-0.02, 0.02) + 1) % 1)
      const [along, towards] = [Math.cos(theta), Math.sin(theta) * (half === 'near' ? 1 : -1)]
      const rise = chance.about() * 0.16 - towards * 0.1 + 0.05
      hairs.add(0.5 * towards + chance.about() * 0.9, {
        root: line.off(x + along * 0.2, radiusUnder(scene, x) + 0.12 + (0.28 * (i % Math.ceil(turns))) / turns),
        angle: Math.atan2(rise, along),
        lengthMm: Math.max(Math.abs(along), 0.14) * lengthMm * (1 + chance.about() * 0.06),
        widthMm: WIDTH_MM / Math.sqrt(page.level.barbs),
        curl: -0.12 * Math.sign(along) + chance.about() * 0.1,
      })
    }
    hairs.put(half === 'far' ? 'far' : 'near', part.key)
  }
}

/** A feather wound on edge, or flat about a post. */
export function putHackle(part: SketchPart, scene: Scene, standing: Standing): void {
  const post = postOf(part, scene)
  if (post) return putDisc(part, scene, post)
  const { page, line } = scene
  putBarbs(part, scene, standing, 'far')
  // the stem and the thread under it: no bare wire shows between the barbs
  const hex = shaded(hexOf(part, scene), -0.35)
  const middle = (part.fromMm + part.toMm) / 2
  const radius = Math.max(radiusUnder(scene, middle), part.coreMm / 2) + 0.06
  const base = bodyAlong(line, part.fromMm, Math.max(part.toMm, part.fromMm + 0.3), [[0, radius], [1, radius]]) // prettier-ignore
  putBody(page, 'over', part.key, base, { hex, gloss: 0.1 })
  putTurns(page, 'over', part.key, base, {
    pitchMm: 0.24,
    hex: shaded(hex, -0.5),
    widthShare: 0.3,
    opacity: 0.5,
  })
  return putBarbs(part, scene, standing, 'near')
}
