import { hookTopMm } from './head.ts'
import { bodyAlong, putBody, putTurns } from './body.ts'
import type { Body } from './body.ts'
import { hazeOn } from './haze.ts'
import { paintBead } from './bead.ts'
import { profileOf, windingOf } from './winding.ts'
import { chanceFor, hexOf } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { LayerName } from '../page/page.ts'
import { shaded } from '../page/tones.ts'
import type { SketchPart } from '../sketch.ts'

/** What is tied in after the rib lies over it. */
const RIB_ORDER = 120
export const layerOf = ({ order }: SketchPart): LayerName => (order > RIB_ORDER ? 'over' : 'body')

/** Far hairs are few and in the shade. */
const FAR = { share: 0.3, shade: -0.22 }
const IN_THE_FUR = -0.2

/** Thread, floss, fur, herl, pile: all that makes the outline. */
export const paintWound: Painter = (part, scene) => {
  if (part.goods === 'bead') return paintBead(part, scene)
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const { gloss, turns, haze, tones } = windingOf(part, hex)
  const layer = layerOf(part)
  const fromMm = Math.max(part.fromMm, hookTopMm(scene))
  const body = bodyAlong(line, fromMm, part.toMm, profileOf(part, part.solidMm))
  if (haze) {
    const behind = { ...haze, perMm: haze.perMm * FAR.share, spikes: haze.spikes * FAR.share }
    const far = hazeOn(page, body, line, behind, tones.map((tone) => shaded(tone, FAR.shade)), chanceFor(part, 'far'))
    far.short.put('far', part.key, 0.9)
    far.long.put('far', part.key, 0.9)
  }
  // fur is darker between its hairs
  const ground = haze ? shaded(hex, IN_THE_FUR) : hex
  putBody(page, layer, part.key, body, { hex: ground, gloss, opacity: 1 - 0.5 * part.clear * (part.goods === 'rubber' ? 1 : 0) })
  if (turns) putTurns(page, layer, part.key, body, { ...turns, hex: shaded(hex, turns.by) })
  if (haze) {
    const near = hazeOn(page, body, line, haze, tones, chanceFor(part, 'near'))
    near.short.put(layer, part.key, 0.92)
    near.long.put(layer === 'body' ? 'longHairs' : layer, part.key, 0.92)
  }
  scene.bodies.push(body)
  return undefined
} // prettier-ignore

/** The body that all of these make together, a little thicker: what a coat follows. */
export function coatedBody(
  { bodies, line, sketch }: Scene,
  fromMm: number,
  toMm: number,
  moreMm: number,
): Body {
  const steps = 40
  const raw = (i: number) => {
    const x = fromMm + ((toMm - fromMm) * Math.min(Math.max(i, 0.6), steps - 0.6)) / steps
    return bodies.reduce(
      (most, body) => (x >= body.fromMm && x <= body.toMm ? Math.max(most, body.radiusAt(x)) : most),
      sketch.hook.wireMm / 2,
    )
  }
  const profile = Array.from({ length: steps + 1 }, (_, i) => {
    const smooth = [-3, -2, -1, 0, 1, 2, 3].reduce((sum, j) => sum + raw(i + j), 0) / 7
    return [i / steps, Math.max(smooth, raw(i)) + moreMm] as const
  })
  return bodyAlong(line, fromMm - moreMm, toMm + moreMm, profile, { front: 0.9, rear: 0.9 })
}
