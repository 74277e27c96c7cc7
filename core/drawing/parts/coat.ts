import { hexOf } from '../scene.ts'
import type { Painter } from '../scene.ts'
import { ribbonOutline } from '../page/point.ts'
import { mixed } from '../page/tones.ts'
import type { Body } from './body.ts'
import { coatedBody } from './wound.ts'

/** Resin is seen by its rim and its light, not by its colour: so thick at least, mm. */
const LEAST_MM = 0.08
const BEND = { hex: '#4b4338', opacity: 0.55 }
const HIGHLIGHT_AT = 0.58

const stretch = ({ stations, fromMm, toMm, on }: Body, from: number, to: number, v: number) =>
  stations
    .filter((x) => x > fromMm + (toMm - fromMm) * from && x < fromMm + (toMm - fromMm) * to)
    .map((x) => on(x, v))

/** Resin or varnish over what lies below it: a clear skin, a dark rim, one long light and a short one. */
export const paintCoat: Painter = (part, scene) => {
  const { page } = scene
  const moreMm = Math.max((part.outerMm - part.coreMm) / 2, LEAST_MM)
  const body = coatedBody(scene, part.fromMm, part.toMm, moreMm)
  const hex = hexOf(part, scene)
  page.put('hook', part.key, page.closed(body.outline()), { fill: mixed(hex, '#cdb184', 0.45), opacity: 0.55 })
  const put = (path: string, fill: string, opacity: number) => page.put('over', part.key, path, { fill, opacity })
  put(page.closed(body.outline()), hex, 0.12 + 0.7 * (1 - part.clear))
  page.put('over', part.key, page.closed(body.outline()), { stroke: BEND.hex, strokeMm: 0.045, opacity: BEND.opacity })
  put(page.closed(body.between(-1, -0.8)), '#ffffff', 0.26)
  put(page.closed(body.between(0.36, 0.84)), '#ffffff', 0.16)
  const thick = body.radiusAt((body.fromMm + body.toMm) / 2)
  const light = (share: number) => (t: number) => thick * share * Math.sin(Math.PI * Math.min(Math.max(t, 0.03), 0.97)) ** 0.6
  put(page.closed(ribbonOutline(stretch(body, 0.12, 0.68, HIGHLIGHT_AT), light(0.24))), '#ffffff', 0.92)
  put(page.closed(ribbonOutline(stretch(body, 0.76, 0.88, HIGHLIGHT_AT - 0.03), light(0.18))), '#ffffff', 0.8)
} // prettier-ignore
