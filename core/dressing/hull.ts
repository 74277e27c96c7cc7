import { shankHeightMm } from '../hook/index.ts'
import { wholeBody } from '../sink/index.ts'
import type { DragElement } from '../sink/index.ts'
import type { Fly, FlyComponent } from './fly.ts'
import { KINDS } from './kinds/index.ts'
import type { Layer } from './kinds/index.ts'
import { solidOuterMm } from './pile.ts'

/** A stretch of the body of one thickness, from the eye backwards. */
export interface HullSection {
  readonly fromMm: number
  readonly toMm: number
  readonly diameterMm: number
}

const SLICES = 16
const WOUND: ReadonlySet<Layer> = new Set(['underbody', 'body', 'collar'])

/** The outline of all that is wound on the shank, pile and all, as sections of equal thickness. */
export const hullOf = (fly: Fly): readonly HullSection[] => hullAs(fly, ({ outerMm }) => outerMm)

/** The same outline, each component as thick as is said of it. */
export function hullAs(fly: Fly, outerOf: (component: FlyComponent) => number): readonly HullSection[] {
  const wound = fly.components
    .filter(({ kind }) => WOUND.has(KINDS[kind].layer))
    .map((component) => ({
      fromMm: component.fromMm,
      toMm: component.toMm,
      outerMm: outerOf(component),
    }))
  const sections: { fromMm: number; toMm: number; diameterMm: number }[] = []
  for (let i = 0; i < SLICES; i += 1) {
    const fromMm = (fly.hook.shankMm * i) / SLICES
    const toMm = (fly.hook.shankMm * (i + 1)) / SLICES
    const middle = (fromMm + toMm) / 2
    let diameterMm = fly.hook.wireMm
    for (const stretch of wound)
      if (stretch.fromMm <= middle && middle <= stretch.toMm) diameterMm = Math.max(diameterMm, stretch.outerMm)
    const last = sections[sections.length - 1]
    if (last && Math.abs(last.diameterMm - diameterMm) < 1e-9) last.toMm = toMm
    else sections.push({ fromMm, toMm, diameterMm })
  }
  return sections
}

/** Section of each of these in turn that none before it covers, mm². */
function frontsOf(sections: readonly HullSection[]): readonly number[] {
  let widest = 0
  return sections.map(({ diameterMm }) => {
    const front = (Math.PI / 4) * Math.max(diameterMm ** 2 - widest ** 2, 0)
    widest = Math.max(widest, diameterMm)
    return front
  })
}

/** The hull, without what water passes through, as slices of one body, each in the lee of the bead when the fly falls eye first. */
export function hullElements(fly: Fly, beadMm: number): readonly DragElement[] {
  const sections = hullAs(fly, solidOuterMm)
  const [eyeFirst, bendFirst] = [frontsOf(sections), frontsOf(sections.toReversed()).toReversed()]
  const total = (of: (diameterMm: number) => number) =>
    sections.reduce((sum, { fromMm, toMm, diameterMm }) => sum + of(diameterMm) * (toMm - fromMm), 0)
  const profileMm2 = total((diameterMm) => diameterMm)
  const sectionMm2 = (Math.PI / 4) * Math.max(...sections.map(({ diameterMm }) => diameterMm)) ** 2
  const of = wholeBody({
    volumeMm3: total((diameterMm) => (Math.PI / 4) * diameterMm ** 2),
    surfaceMm2: Math.PI * profileMm2 + 2 * sectionMm2,
    sectionMm2,
    profileMm2,
  })
  return sections.map(({ fromMm, toMm, diameterMm }, i) => {
    const xMm = (fromMm + toMm) / 2
    return {
      kind: 'body',
      at: { xMm, yMm: shankHeightMm(fly.hook, xMm) },
      diameterMm,
      lengthMm: toMm - fromMm,
      shelteredShare: Math.min((beadMm / diameterMm) ** 2, 1),
      of,
      frontMm2: { eyeFirst: eyeFirst[i] ?? 0, bendFirst: bendFirst[i] ?? 0 },
    }
  })
}
