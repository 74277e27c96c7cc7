import { radians } from '../../number/index.ts'
import type { Chance } from '../page/chance.ts'
import { alongHair } from '../page/hairs.ts'
import type { Hair } from '../page/hairs.ts'
import type { LayerName, Page } from '../page/page.ts'
import { curveThrough, ribbonOutline } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { hairsOf } from '../page/toned.ts'
import { shaded } from '../page/tones.ts'

/** Where and how a bunch is tied in by one end. */
export interface Bunch {
  readonly key: string
  readonly layer: LayerName
  readonly root: Point
  readonly angle: number
  readonly lengthMm: number
  readonly count: number
  readonly hex: string
  readonly widthMm: number
  /** from married, 12, to splayed, 26 and more */
  readonly spreadDeg: number
  readonly baseMm: number
  /** how much all of them bend together */
  readonly curl: number
  /** unevenness of the tips, as a share of the length */
  readonly uneven: number
  readonly barred: boolean
}

const LEAST = 2
const MOST = 70
const BARS = 8
const LOBES = 7
const MOST_BARBULES = 450
const THICK_MM = 0.12

function fibresOf({ root, angle, lengthMm, count, widthMm, spreadDeg, baseMm, curl, uneven }: Bunch, page: Page, chance: Chance): readonly { readonly t: number; readonly hair: Hair }[] {
  const all = Math.min(Math.max(Math.round(count), 1), MOST)
  const kept = Math.max(Math.round(all * (all > 12 ? page.level.barbs : 1)), Math.min(all, LEAST))
  return Array.from({ length: kept }, (_, i) => {
    const t = kept > 1 ? (i / (kept - 1)) * 2 - 1 : 0
    const heading = angle + t * radians(spreadDeg / 2) + chance.about() * 0.025
    const back = chance.between(-0.2, 0)
    return {
      t,
      hair: {
        root: [
          root[0] - Math.sin(angle) * t * (baseMm / 2) + Math.cos(angle) * back,
          root[1] + Math.cos(angle) * t * (baseMm / 2) + Math.sin(angle) * back,
        ] as Point,
        angle: heading,
        lengthMm: lengthMm * (1 - 0.05 * t * t) * (1 + chance.about() * uneven),
        widthMm: widthMm * Math.sqrt(all / kept),
        curl: curl + t * 0.08 + chance.about() * 0.03,
      },
    }
  })
} // prettier-ignore

/** A bunch of fibres: tail, hair wing, horns, feelers; barred ones with their bars. */
export function putBunch(page: Page, bunch: Bunch, chance: Chance): void {
  const fibres = fibresOf(bunch, page, chance)
  const hairs = hairsOf(page, bunch.hex, 0.28)
  for (const { t, hair } of fibres) hairs.add(t * 0.7 + chance.about(), hair)
  hairs.put(bunch.layer, bunch.key)
  putSheen(page, bunch, fibres.map(({ hair }) => hair))
  if (!bunch.barred || !page.level.fine) return
  const bars = hairsOf(page, shaded(bunch.hex, -0.65), 0.1)
  for (const { t, hair } of fibres)
    for (let bar = 1; bar <= BARS; bar += 1) {
      const { at, angle } = alongHair(hair, (bar + t * 0.25) / (BARS + 1))
      bars.add(0, { root: at, angle, lengthMm: hair.lengthMm * 0.045, widthMm: hair.widthMm * (1.1 - 0.05 * bar), curl: 0 })
    }
  bars.put(bunch.layer, bunch.key, 0.85)
} // prettier-ignore

/** Thick hairs would run into one plate: each shows the line along which it lies on the next. */
function putSheen(page: Page, { key, layer, widthMm, hex }: Bunch, hairs: readonly Hair[]): void {
  if (!page.level.fine || widthMm < THICK_MM) return
  const seams = hairs.map((hair) => page.open([0.02, 0.3, 0.6, 0.95].map((share) => alongHair(hair, share).at))).join('')
  page.put(layer, key, seams, { stroke: shaded(hex, -0.5), strokeMm: 0.035, opacity: 0.55 })
} // prettier-ignore

/** How fluffy a soft bunch is. */
export interface Fluff {
  /** barbules to a fibre, and their length as a share of it */
  readonly barbules: number
  readonly longest: number
  readonly cloud: number
}

/** A soft tuft: a pale cloud, fibres, and barbules on the curve of each of them. */
export function putTuft(page: Page, bunch: Bunch, fluff: Fluff, chance: Chance): void {
  for (let i = 0; i < LOBES; i += 1) {
    const t = (i / (LOBES - 1)) * 2 - 1
    const angle = bunch.angle + t * radians(bunch.spreadDeg * 0.42)
    const lobe: Hair = { root: bunch.root, angle, lengthMm: bunch.lengthMm * (0.74 + 0.14 * chance.share()), widthMm: 0, curl: bunch.curl }
    const spine = Array.from({ length: 15 }, (_, j) => alongHair(lobe, j / 14).at)
    const wide = bunch.lengthMm * 0.16
    const swell = (share: number) => wide * Math.sin(Math.PI * (0.06 + 0.94 * share) ** 1.4) ** 0.8
    page.put(bunch.layer, bunch.key, page.closed(ribbonOutline(spine, swell)), { fill: bunch.hex, opacity: fluff.cloud })
  }
  const fibres = fibresOf(bunch, page, chance)
  const hairs = hairsOf(page, bunch.hex, 0.3)
  for (const { t, hair } of fibres) hairs.add(t * 0.5 + chance.about(), hair)
  if (page.level.fine) {
    const barbules = hairsOf(page, bunch.hex, 0.26)
    const each = Math.min(fluff.barbules, MOST_BARBULES / fibres.length)
    for (const { hair } of fibres)
      for (let i = 0; i < each; i += 1) {
        const share = chance.between(0.06, 0.9)
        const { at, angle } = alongHair(hair, share)
        const side = chance.share() < 0.5 ? -1 : 1
        const lengthMm = hair.lengthMm * fluff.longest * (0.4 + 0.6 * chance.share()) * (1 - 0.45 * share)
        barbules.add(side * 0.4 + chance.about() * 1.1, { root: at, angle: angle + side * radians(chance.between(20, 55)), lengthMm, widthMm: 0.02, curl: -side * 0.3 })
      }
    barbules.put(bunch.layer, bunch.key, 0.62)
  }
  hairs.put(bunch.layer, bunch.key, page.level.fine ? 0.85 : 1)
} // prettier-ignore

/** Strands thicker than this are tubes, not legs: as thick at the end as at the root. */
const TUBE_FROM_MM = 1

/** A leg, feeler or strand of rubber through its knees: tapered, with a light along its top. */
export function putLeg(page: Page, layer: LayerName, key: string, knees: readonly Point[], widthMm: number, hex: string): void {
  const points = curveThrough(knees)
  const tube = widthMm >= TUBE_FROM_MM
  const taper = (t: number) => widthMm * (1 - (tube ? 0.06 : 0.4) * t) * Math.sqrt(Math.min((1 - t) * (tube ? 20 : 14) + 0.04, 1))
  const beside = (by: number) => points.slice(1, -1).map(([x, y]): Point => [x - widthMm * by * 0.35, y + widthMm * by])
  page.put(layer, key, page.closed(ribbonOutline(points, taper)), { fill: hex, stroke: shaded(hex, -0.5), strokeMm: 0.03 })
  if (!page.level.fine) return
  if (tube)
    for (const by of [-0.34, -0.26, -0.18]) page.put(layer, key, page.open(beside(by)), { stroke: shaded(hex, -0.6), strokeMm: widthMm * 0.24, opacity: 0.16 })
  page.put(layer, key, page.open(beside(0.18)), { stroke: shaded(hex, 0.5), strokeMm: widthMm * 0.18, opacity: 0.7 })
} // prettier-ignore
