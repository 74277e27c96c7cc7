import { clamp } from '../../number/index.ts'
/** A stillwater's parts by depth on a day. */
export interface Layers {
  readonly iced: boolean
  /** whether the wind turns it over from top to bed */
  readonly mixed: boolean
  readonly surfaceC: number
  /** just below the thermocline, or at the bed where there is none */
  readonly deepC: number
}

/** Water is densest, and lies lowest, at this temperature, °C. */
const DENSEST_C = 4
/** The wind mixes a lake whose top is no warmer than this above its depth, °C. */
const MIXES_WITHIN_C = 2.5
/** The same of a top that cools: its water sinks, and helps the wind. */
const COOLING_MIXES_WITHIN_C = 4
/** What lies below a thermocline keeps about this share of the summer's warmth. */
const DEEP_SHARE = 0.3
const ICE_BELOW_C = 0.8

/** What a stillwater's surface has been through. */
export interface SurfaceSeason {
  /** its warmest in a usual summer, °C */
  readonly warmestC: number
  /** whether it cools from day to day */
  readonly cooling: boolean
}

/**
 * The layers of a stillwater under a surface of so many degrees: ice over four degrees in winter, turned over in spring;
 * in summer warm above the thermocline and cool below it; in autumn, as the surface cools to near what lies below, it
 * turns over again and stays mixed until the ice.
 *
 * @param thermoclineMm depth of the thermocline in summer; null for water too shallow to have one
 */
export function layersOf(
  surfaceC: number,
  thermoclineMm: number | null,
  { warmestC, cooling }: SurfaceSeason,
): Layers {
  const iced = surfaceC < ICE_BELOW_C
  if (iced) return { iced, mixed: false, surfaceC: 0, deepC: DENSEST_C }
  const below = (ofC: number) => DENSEST_C + DEEP_SHARE * Math.max(ofC - DENSEST_C, 0)
  // the deep warms slowly through summer and keeps what it has until it is mixed
  const deepC = cooling ? below(Math.max(warmestC, surfaceC)) : below(surfaceC)
  const mixes = cooling
    ? surfaceC - deepC < COOLING_MIXES_WITHIN_C
    : Math.abs(surfaceC - DENSEST_C) < MIXES_WITHIN_C
  if (thermoclineMm === null || mixes) return { iced, mixed: true, surfaceC, deepC: surfaceC }
  return { iced, mixed: false, surfaceC, deepC: Math.min(deepC, surfaceC) }
}

/** Temperature at a depth: the top's above the thermocline, the deep's below it, drawn over a metre between. */
export function tempAtDepthC(layers: Layers, thermoclineMm: number | null, depthMm: number): number {
  const { iced, mixed, surfaceC, deepC } = layers
  if (mixed || (thermoclineMm === null && !iced)) return surfaceC
  const middle = iced ? 1000 : (thermoclineMm ?? 0)
  const share = clamp((depthMm - (middle - 500)) / 1000, 0, 1)
  return surfaceC + (deepC - surfaceC) * share
}
