import type { Profile, Surface } from './body.ts'
import type { Haze } from './haze.ts'
import type { MaterialKind } from '../../material/index.ts'
import type { SketchPart } from '../sketch.ts'
import { mixed, shaded, tonesOf } from '../page/tones.ts'

/** What goods look like once they are wound: their surface, their turns, and the hairs that stand out of them. */
export interface Winding {
  readonly gloss: number
  readonly turns: { readonly pitchMm: number; readonly by: number; readonly widthShare: number; readonly opacity: number } | null
  readonly haze: Haze | null
  /** tones of the hairs, dark to light */
  readonly tones: readonly string[]
} // prettier-ignore

const NO_SPIKES = { spikes: 0, spikeMm: 0 }

const turns = (pitchMm: number, by: number, widthShare: number, opacity: number) => ({ pitchMm: Math.max(pitchMm, 0.1), by, widthShare, opacity }) // prettier-ignore

const standOut = ({ outerMm, solidMm }: SketchPart) => Math.max((outerMm - solidMm) / 2, 0.12)
const spikesOf = ({ hairsPerMm2, outerMm, fromMm, toMm }: SketchPart) =>
  Math.min(hairsPerMm2 * Math.PI * outerMm * (toMm - fromMm), 170)

type Look = (part: SketchPart, hex: string) => Omit<Winding, 'tones'> & { readonly tones?: readonly string[] }

/** Mixed fur is of five real colours, not of five lights on one. */
const furTones = (hex: string) => [
  shaded(hex, -0.68), shaded(hex, -0.4), shaded(hex, -0.08), mixed(hex, '#c8ad82', 0.4), shaded(hex, 0.45),
] // prettier-ignore

const plain = (gloss: number, pitchMm: number): Look => () => ({ gloss, turns: turns(pitchMm, -0.6, 0.22, 0.38), haze: null }) // prettier-ignore

const pile: Look = (part) => ({
  gloss: 0.1,
  turns: null,
  haze: { perMm: 75, shortMm: standOut(part) * 1.15, ...NO_SPIKES, sweptDeg: 12, widthMm: 0.09, curl: 0.5 },
})

const LOOKS: Readonly<Partial<Record<MaterialKind, Look>>> = {
  thread: plain(0.3, 0.14),
  floss: () => ({ gloss: 0.6, turns: turns(0.4, -0.4, 0.1, 0.2), haze: null }),
  wire: ({ strandMm }) => ({ gloss: 0.8, turns: turns(strandMm, -0.75, 0.3, 0.75), haze: null }),
  tinsel: ({ widthMm }) => ({ gloss: 0.95, turns: turns(Math.min(widthMm, 1), -0.6, 0.08, 0.6), haze: null }),
  quill: ({ widthMm }) => ({ gloss: 0.55, turns: turns(Math.min(Math.max(widthMm, 0.3), 0.6), -0.72, 0.42, 0.8), haze: null }),
  rubber: ({ strandMm }) => ({ gloss: 0.8, turns: turns(strandMm, -0.55, 0.16, 0.55), haze: null }),
  sheet: () => ({ gloss: 0.55, turns: turns(0.7, -0.5, 0.1, 0.5), haze: null }),
  herl: (part) => ({
    gloss: 0.1,
    turns: turns(0.3, -0.5, 0.3, 0.4),
    haze: { perMm: 120, shortMm: standOut(part) * 1.2, ...NO_SPIKES, sweptDeg: 8, widthMm: 0.035, curl: 0.4 },
  }),
  fibre: ({ fibreMm }) => ({
    gloss: 0.15,
    turns: turns(Math.max(fibreMm * 3, 0.2), -0.6, 0.3, 0.45),
    haze: { perMm: 26, shortMm: 0.28, ...NO_SPIKES, sweptDeg: 20, widthMm: 0.03, curl: 0.5 },
  }),
  feather: ({ fibreMm }) => ({
    gloss: 0.15,
    turns: turns(Math.max(fibreMm * 3, 0.2), -0.6, 0.3, 0.45),
    haze: { perMm: 30, shortMm: 0.3, ...NO_SPIKES, sweptDeg: 20, widthMm: 0.03, curl: 0.5 },
  }),
  hair: (part, hex) => ({
    gloss: 0.05,
    turns: null,
    haze: { perMm: 150, shortMm: Math.max(part.outerMm * 0.12, 0.25), ...NO_SPIKES, sweptDeg: 4, widthMm: 0.11, curl: 0.1 },
    tones: [shaded(hex, -0.5), shaded(hex, -0.25), hex, shaded(hex, 0.25), shaded(hex, 0.5)],
  }),
  strip: (part, hex) => ({
    gloss: 0.05,
    turns: null,
    haze: { perMm: 90, shortMm: Math.max(part.hairMm * 0.25, 1.2), spikes: 60, spikeMm: part.hairMm * 0.4, sweptDeg: 62, widthMm: 0.05, curl: 0.7 },
    tones: furTones(hex),
  }),
  chenille: pile,
  yarn: (part) => ({
    gloss: 0.1,
    turns: turns(Math.max(part.strandMm, 0.5), -0.4, 0.16, 0.4),
    haze: { perMm: 55, shortMm: 0.4, ...NO_SPIKES, sweptDeg: 20, widthMm: 0.04, curl: 0.6 },
  }),
  marabou: () => ({
    gloss: 0.05,
    turns: null,
    haze: { perMm: 80, shortMm: 1.4, ...NO_SPIKES, sweptDeg: 50, widthMm: 0.03, curl: 0.9 },
  }),
  cdc: () => ({
    gloss: 0.05,
    turns: null,
    haze: { perMm: 60, shortMm: 1.2, ...NO_SPIKES, sweptDeg: 45, widthMm: 0.03, curl: 0.8 },
  }),
} // prettier-ignore

/** Fur spun on the thread: a core in a haze, as hairy as its goods are. */
const dubbed: Look = (part, hex) => ({
  gloss: 0.05,
  turns: turns(0.55, -0.5, 0.18, 0.22),
  haze: {
    perMm: 70 + 30 * Math.min(part.hairsPerMm2, 2.5),
    shortMm: Math.max(0.42, Math.min(0.75 * part.hairMm, 0.36 * part.outerMm + 0.3)),
    spikes: spikesOf(part),
    spikeMm: part.hairMm * 1.35,
    sweptDeg: 36,
    widthMm: 0.045,
    curl: 1,
  },
  tones: part.hairsPerMm2 > 1.2 ? furTones(hex) : tonesOf(hex, 0.34),
})

/** How a part looks that is wound or dubbed. */
export function windingOf(part: SketchPart, hex: string): Winding {
  const look = (LOOKS[part.goods] ?? dubbed)(part, hex)
  return { ...look, tones: look.tones ?? tonesOf(hex, 0.34) }
}

/** A body is slimmest at the bend; on the whole as thick as physics has it. */
export const slimToTheRear = (radiusMm: number): Profile => [
  [0, radiusMm * 1.08],
  [0.35, radiusMm * 1.1],
  [1, radiusMm * 0.82],
]

/** A thorax, ball or collar swells in its middle. */
export const swollen = (radiusMm: number): Profile => [
  [0, radiusMm * 0.7],
  [0.5, radiusMm * 1.16],
  [1, radiusMm * 0.86],
]

/** Beyond this length, in its own thicknesses, a body is drawn slim, not swollen. */
const SLIM_FROM = 1.9

/** The profile of something wound, over what lies below it. */
export function profileOf(part: SketchPart, diameterMm: number): Profile {
  const radius = diameterMm / 2
  return part.toMm - part.fromMm > SLIM_FROM * part.outerMm ? slimToTheRear(radius) : swollen(radius)
}

export type { Surface }
