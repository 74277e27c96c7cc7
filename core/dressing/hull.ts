import { shankHeightMm } from '../hook/index.ts'
import type { DragElement } from '../sink/index.ts'
import type { Fly } from './fly.ts'
import { KINDS } from './kinds/index.ts'
import type { Layer } from './kinds/index.ts'

/** A stretch of the body of one thickness, from the eye backwards. */
export interface HullSection {
  readonly fromMm: number
  readonly toMm: number
  readonly diameterMm: number
}

const SLICES = 16
const WOUND: ReadonlySet<Layer> = new Set(['underbody', 'body', 'collar'])

/** The outline of all that is wound on the shank, as sections of equal thickness. */
export function hullOf(fly: Fly): readonly HullSection[] {
  const wound = fly.components.filter(({ kind }) => WOUND.has(KINDS[kind].layer))
  const sections: HullSection[] = []
  for (let i = 0; i < SLICES; i += 1) {
    const fromMm = (fly.hook.shankMm * i) / SLICES
    const toMm = (fly.hook.shankMm * (i + 1)) / SLICES
    const middle = (fromMm + toMm) / 2
    let diameterMm = fly.hook.wireMm
    for (const component of wound) {
      if (component.fromMm <= middle && middle <= component.toMm && component.outerMm > diameterMm) {
        diameterMm = component.outerMm
      }
    }
    const last = sections[sections.length - 1]
    if (last && Math.abs(last.diameterMm - diameterMm) < 1e-9) sections[sections.length - 1] = { ...last, toMm }
    else sections.push({ fromMm, toMm, diameterMm })
  }
  return sections
}

/** The hull as drag elements, each in the lee of the widest that goes before it when the fly falls eye first. */
export function hullElements(fly: Fly, beadMm: number): readonly DragElement[] {
  let widestAhead = beadMm
  return hullOf(fly).map(({ fromMm, toMm, diameterMm }) => {
    const shelteredShare = Math.min((widestAhead / diameterMm) ** 2, 1)
    widestAhead = Math.max(widestAhead, diameterMm)
    const xMm = (fromMm + toMm) / 2
    return {
      kind: 'body',
      at: { xMm, yMm: shankHeightMm(fly.hook, xMm) },
      diameterMm,
      lengthMm: toMm - fromMm,
      shelteredShare,
    }
  })
}
