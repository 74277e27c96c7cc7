import type { BareSketch } from '../sketch.ts'
import type { Page } from '../page/page.ts'
import { ellipse, ribbonOutline } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { shaded } from '../page/tones.ts'
import type { HookLine } from './hookLine.ts'

/** The point tapers over so many wires. */
const TAPER_OF_WIRE = 5
/** Light from the upper left, as a direction. */
const LIGHT: Point = [-0.45, 0.9]
const SHADOW_AT = -0.33
const GLEAM_AT = 0.26
/** A barb starts and ends so many wires behind the point, and stands up so many. */
const BARB = { fromWires: 3, toWires: 5.5, highWires: 0.72 }

const lengths = (points: readonly Point[]) => {
  const along = [0]
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point]
    along.push((along[i - 1] ?? 0) + Math.hypot(b[0] - a[0], b[1] - a[1]))
  }
  return along
}

/** How much of a line's upper side looks into the light at each of its points, −1 to 1, with the normal. */
function lit(points: readonly Point[]) {
  return points.map((_, i) => {
    const [a, b] = [points[Math.max(i - 1, 0)] as Point, points[Math.min(i + 1, points.length - 1)] as Point]
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    const normal: Point = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length]
    return { normal, light: normal[0] * LIGHT[0] + normal[1] * LIGHT[1] }
  })
}

function barb(page: Page, wire: readonly Point[], { hook }: BareSketch): string {
  if (hook.barb !== 'barbed' && hook.barb !== 'crushed') return ''
  const high = hook.barb === 'barbed' ? BARB.highWires : BARB.highWires / 3
  const [before, tip] = [wire[wire.length - 2] as Point, wire[wire.length - 1] as Point]
  const length = Math.hypot(tip[0] - before[0], tip[1] - before[1]) || 1
  const [ux, uy] = [(tip[0] - before[0]) / length, (tip[1] - before[1]) / length]
  // the inner side of the bend: left of the way to the point, as the point runs back below the shank
  const at = (behind: number, in_: number): Point => [
    tip[0] - (ux * behind + uy * -in_) * hook.wireMm,
    tip[1] - (uy * behind + ux * in_) * hook.wireMm,
  ]
  return page.closed([at(BARB.fromWires, 0.2), at(BARB.toWires, 0.45 + high), at(BARB.toWires - 0.6, 0.3)])
}

function eye(page: Page, line: HookLine, { hook }: BareSketch): void {
  const { at, heading } = line.eye
  const { wireMm, hex, eyeOuterMm } = hook
  const shift = (along: number, across: number): Point => [
    at[0] + Math.cos(heading) * along - Math.sin(heading) * across,
    at[1] + Math.sin(heading) * along + Math.cos(heading) * across,
  ]
  const half = eyeOuterMm / 2
  const up = Math.cos(heading) < 0 ? -1 : 1
  page.put('eye', 'hook', page.closed(ellipse(at, half, wireMm * 0.64, heading)), { fill: hex, stroke: shaded(hex, -0.5), strokeMm: 0.03 })
  page.put('eye', 'hook', page.closed(ellipse(shift(0, up * wireMm * 0.27), half * 0.82, wireMm * 0.25, heading)), { fill: shaded(hex, 0.4), opacity: 0.8 })
  page.put('eye', 'hook', page.closed(ellipse(shift(0, -up * wireMm * 0.06), half * 0.55, wireMm * 0.16, heading)), { fill: '#15110e', opacity: 0.95 })
  if (page.level.fine)
    page.put('eye', 'hook', page.closed(ellipse(shift(-half * 0.2, up * wireMm * 0.4), half * 0.4, wireMm * 0.07, heading)), { fill: '#ffffff', opacity: 0.8 })
} // prettier-ignore

/** Bent wire of its true thickness, tapered to the point, lit from the upper left, and its eye seen edge-on. */
export function drawHook(page: Page, sketch: BareSketch, line: HookLine): void {
  const { hex, wireMm } = sketch.hook
  const { wire } = line
  const along = lengths(wire)
  const total = along[along.length - 1] ?? 1
  const last = wire.length - 1
  const widthAt = (share: number) => {
    const left = (total - (along[Math.round(share * last)] ?? 0)) / wireMm
    return wireMm * (left >= TAPER_OF_WIRE ? 1 : Math.max(1 - (1 - left / TAPER_OF_WIRE) ** 1.35, 0.03))
  }
  page.put('hook', 'hook', barb(page, wire, sketch), { fill: hex })
  page.put('hook', 'hook', page.closed(ribbonOutline(wire, widthAt)), { fill: hex })
  const light = lit(wire)
  const beside = (share: number) =>
    wire.slice(0, -2).map(([x, y], i): Point => {
      const { normal, light: into } = light[i] as (typeof light)[number]
      const off = share * into * widthAt(i / last)
      return [x + normal[0] * off, y + normal[1] * off]
    })
  page.put('hook', 'hook', page.open(beside(SHADOW_AT)), { stroke: shaded(hex, -0.55), strokeMm: wireMm * 0.22, opacity: 0.7 })
  page.put('hook', 'hook', page.open(beside(GLEAM_AT)), { stroke: shaded(hex, 0.55), strokeMm: wireMm * 0.2, opacity: 0.95 })
  if (page.level.fine) {
    const gleam = beside(GLEAM_AT)
    page.put('hook', 'hook', page.open(gleam.slice(Math.round(last * 0.5), Math.round(last * 0.72))), { stroke: '#ffffff', strokeMm: wireMm * 0.1, opacity: 0.8 })
  }
  eye(page, line, sketch)
} // prettier-ignore
