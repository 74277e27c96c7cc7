import { bodyAlong, putBody, putTurns } from './body.ts'
import { hexOf } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import { ribbonOutline } from '../page/point.ts'
import { shaded } from '../page/tones.ts'

/** A head of thread is so long, in shanks, and so thick over the wire. */
const HEAD = { ofShank: 0.1, overWireMm: 0.3 }
const PITCH_MM = 0.12

const isMetal = (shape: string) => shape === 'bead' || shape === 'cone'

/** Where the shank is free behind a bead or cone that sits on it, mm. */
export function hookTopMm({ sketch }: Scene): number {
  const heads = sketch.parts.filter(({ shape, pinned }) => isMetal(shape) && !pinned)
  return Math.max(0, ...heads.map(({ centreMm, sizeMm }) => centreMm + sizeMm * 0.36))
}

const isHeadTaken = ({ sketch }: Scene) =>
  sketch.parts.some(
    ({ shape, pinned, fromMm, toMm }) =>
      (isMetal(shape) && !pinned) || (shape === 'wound' && fromMm < 0.04 * sketch.hook.shankMm && toMm < 0.2 * sketch.hook.shankMm),
  ) // prettier-ignore

/** The tying thread: close turns along the shank, and the head where no bead is. */
export const paintThread: Painter = (part, scene) => {
  const { page, line, sketch } = scene
  const hex = hexOf(part, scene)
  const fromMm = Math.max(part.fromMm, hookTopMm(scene))
  const body = bodyAlong(line, fromMm, part.toMm, [[0, part.outerMm / 2], [1, part.outerMm / 2]]) // prettier-ignore
  putBody(page, 'body', part.key, body, { hex, gloss: 0.3 })
  putTurns(page, 'body', part.key, body, { pitchMm: 0.16, hex: shaded(hex, -0.6), widthShare: 0.22, opacity: 0.38 })
  scene.bodies.push(body)
  if (isHeadTaken(scene)) return
  const radius = sketch.hook.wireMm / 2 + HEAD.overWireMm * Math.min(sketch.hook.gapeMm / 4, 1.4)
  const end = HEAD.ofShank * sketch.hook.shankMm
  const head = bodyAlong(line, 0.08, Math.max(end, 0.5), [[0, radius * 0.62], [0.6, radius], [1, radius * 0.86]], { front: 0.9, rear: 0.3 }) // prettier-ignore
  putBody(page, 'head', part.key, head, { hex, gloss: 0.8 })
  putTurns(page, 'head', part.key, head, { pitchMm: PITCH_MM, hex: shaded(hex, -0.6), widthShare: 0.22, opacity: 0.38 })
  const glint = [0.3, 0.5, 0.72].map((share) => head.on(head.fromMm + share * (head.toMm - head.fromMm), 0.52))
  page.put('head', part.key, page.closed(ribbonOutline(glint, (t) => radius * 0.3 * Math.sin(Math.PI * t))), { fill: '#ffffff', opacity: 0.75 })
} // prettier-ignore
