import type { HookLine } from '../hook/hookLine.ts'
import type { LayerName, Page } from '../page/page.ts'
import { smoothly } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { edgeOf, shaded } from '../page/tones.ts'

/** Radius along a place: at shares of its length, mm. */
export type Profile = readonly (readonly [share: number, radiusMm: number])[]

/** Something wound on the shank, rounded at both ends; `v` goes from −1 at its lower edge to 1 at its upper one. */
export interface Body {
  readonly fromMm: number
  readonly toMm: number
  readonly radiusAt: (xMm: number) => number
  readonly on: (xMm: number, v: number) => Point
  /** places at which its outline is taken, closer together near the ends */
  readonly stations: readonly number[]
  /** the stretch between two heights of it */
  readonly between: (low: number, high: number) => readonly Point[]
  /** its outline, thicker by so much */
  readonly outline: (moreMm?: number) => readonly Point[]
}

/** Ends are round over so much of their radius. */
export interface Caps {
  readonly front: number
  readonly rear: number
}
/** Both ends of something short leave a middle between them. */
const MOST_CAP = 0.4
const ROUND: Caps = { front: 0.8, rear: 0.8 }

function profiled(profile: Profile, share: number): number {
  for (let i = 1; i < profile.length; i += 1) {
    const [from, to] = [profile[i - 1], profile[i]]
    if (from && to && share <= to[0])
      return from[1] + (to[1] - from[1]) * smoothly((share - from[0]) / (to[0] - from[0] || 1))
  }
  return profile[profile.length - 1]?.[1] ?? 0
}

const cap = (gone: number, over: number) =>
  over <= 0 || gone >= over ? 1 : Math.sqrt(Math.max(1 - (1 - gone / over) ** 2, 0))

/** A body along a stretch of the hook, by its radii. */
export function bodyAlong(line: HookLine, fromMm: number, toMm: number, profile: Profile, caps = ROUND): Body {
  const lengthMm = Math.max(toMm - fromMm, 0.05)
  const most = lengthMm * MOST_CAP
  const front = Math.min(profiled(profile, 0) * caps.front, most)
  const rear = Math.min(profiled(profile, 1) * caps.rear, most)
  const radiusAt = (xMm: number) =>
    profiled(profile, (xMm - fromMm) / lengthMm) * Math.min(cap(xMm - fromMm, front), cap(toMm - xMm, rear))
  const steps = Math.round(Math.min(Math.max(lengthMm * 3, 20), 40))
  const stations = Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps
    return fromMm + lengthMm * (t - (Math.sin(2 * Math.PI * t) / (2 * Math.PI)) * 0.85)
  })
  const on = (xMm: number, v: number) => line.off(xMm, v * radiusAt(xMm))
  const slices = stations.map((xMm) => {
    const { at, heading } = line.at(xMm)
    return { at, radius: radiusAt(xMm), back: -Math.sin(heading), up: Math.cos(heading) }
  })
  const edge = (offMm: (radius: number) => number) =>
    slices.map(({ at: [x, y], radius, back, up }): Point => {
      const off = offMm(radius)
      return [x + back * off, y + up * off]
    })
  const round = (upper: (radius: number) => number, lower: (radius: number) => number) =>
    edge(upper).concat(edge(lower).reverse())
  return {
    fromMm,
    toMm,
    radiusAt,
    on,
    stations,
    between: (low, high) => round((radius) => high * radius, (radius) => low * radius),
    outline: (moreMm = 0) => round((radius) => radius + moreMm, (radius) => -radius - moreMm),
  } // prettier-ignore
}

/** How a body's surface takes the light. */
export interface Surface {
  readonly hex: string
  /** 0 matt to 1 as varnish */
  readonly gloss: number
  readonly opacity?: number
}

const DARK_BELOW = 0.62
const LIGHT_ABOVE = 0.22

/** Puts a body down: its colour, dark below and light above in translucent bands. */
export function putBody(page: Page, layer: LayerName, key: string, body: Body, { hex, gloss, opacity = 1 }: Surface): void {
  const { bands } = page.level
  page.put(layer, key, page.closed(body.outline()), { fill: hex, stroke: edgeOf(hex), strokeMm: 0.035, opacity })
  for (let i = 0; i < bands; i += 1) {
    const t = (i + 0.5) / bands
    page.put(layer, key, page.closed(body.between(-1, -0.05 - 0.87 * t)), {
      fill: shaded(hex, -0.7),
      opacity: (DARK_BELOW / bands) * (0.7 + 0.6 * t) * opacity,
    })
    page.put(layer, key, page.closed(body.between(0.05 + 0.41 * t, 0.95 - 0.31 * t)), {
      fill: '#fffaf0',
      opacity: ((LIGHT_ABOVE + gloss / 2) / bands) * (0.6 + 0.8 * t) * opacity,
    })
  }
} // prettier-ignore

const ACROSS = [-1, -0.5, 0, 0.5, 1] as const

/** Close turns over a body, leaning as they were wound. */
export function putTurns(
  page: Page,
  layer: LayerName,
  key: string,
  body: Body,
  turns: {
    readonly pitchMm: number
    readonly hex: string
    readonly widthShare: number
    readonly opacity: number
  },
): void {
  if (!page.level.fine) return
  const { pitchMm, hex, widthShare, opacity } = turns
  const count = Math.min(Math.floor((body.toMm - body.fromMm) / pitchMm), 90)
  const path = Array.from({ length: Math.max(count - 1, 0) }, (_, i) => {
    const x = body.fromMm + pitchMm * (i + 1)
    return page.open(ACROSS.map((v) => body.on(x + pitchMm * 0.35 * v, v * 0.97)))
  }).join('')
  page.put(layer, key, path, { stroke: hex, strokeMm: pitchMm * widthShare, opacity })
}
