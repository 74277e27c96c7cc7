import type { Chance } from '../page/chance.ts'
import type { HookLine } from '../hook/hookLine.ts'
import type { Page } from '../page/page.ts'
import { hairsIn } from '../page/toned.ts'
import type { TonedHairs } from '../page/toned.ts'
import type { Body } from './body.ts'

/** Hairs that stand out of something wound. */
export interface Haze {
  /** short hairs to a mm of its length, and how long the longest of them is */
  readonly perMm: number
  readonly shortMm: number
  /** long ones on the whole of it, and their length */
  readonly spikes: number
  readonly spikeMm: number
  /** from square, 0, to lying back along the body, 90 */
  readonly sweptDeg: number
  readonly widthMm: number
  /** how much they bend back */
  readonly curl: number
}

const MOST_HAIRS = 500

function hairFrom(body: Body, line: HookLine, haze: Haze, chance: Chance, lengthMm: number, long: boolean) {
  const x = chance.between(body.fromMm + 0.04, Math.max(body.toMm - 0.04, body.fromMm + 0.05))
  const v = Math.sin((Math.PI / 2) * chance.between(-1, 1))
  const outward = Math.asin(v) * chance.between(0.55, 1) * ((90 - haze.sweptDeg) / 90)
  const angle = line.at(x).heading + outward + chance.about() * 0.3
  const curl = -v * chance.between(0.1, 0.5) * haze.curl + chance.about() * 0.35 * haze.curl
  return {
    v,
    hair: { root: body.on(x, v * 0.93), angle, lengthMm, widthMm: haze.widthMm * (long ? 1.15 : 1), curl },
  }
}

/**
 * Hairs all over a body: many short ones and few long ones, lighter above. With fewer drawn than there are, each is
 * wider, so that the haze is as dense to the eye.
 */
export function hazeOn(page: Page, body: Body, line: HookLine, haze: Haze, tones: readonly string[], chance: Chance): { readonly short: TonedHairs; readonly long: TonedHairs } {
  const lengthMm = body.toMm - body.fromMm
  const kept = page.level.hairs
  const wanted = Math.max(haze.perMm * lengthMm, 0)
  const count = Math.round(Math.min(wanted * kept, MOST_HAIRS))
  const wide = { ...haze, widthMm: haze.widthMm * Math.sqrt(wanted / Math.max(count, 1)) }
  const [short, long] = [hairsIn(page, tones), hairsIn(page, tones)]
  for (let i = 0; i < count; i += 1) {
    const mm = haze.shortMm * (0.35 + 0.65 * chance.share() ** 2)
    const { v, hair } = hairFrom(body, line, wide, chance, mm, false)
    short.add(v * 1.1 + chance.about() * 1.1, hair)
  }
  const spikes = Math.round(haze.spikes * (kept < 1 ? Math.sqrt(kept) : 1))
  for (let i = 0; i < spikes; i += 1) {
    const { v, hair } = hairFrom(body, line, wide, chance, haze.spikeMm * chance.between(0.6, 1), true)
    long.add(v * 1.1 + chance.about() * 1.4, hair)
  }
  return { short, long }
} // prettier-ignore
