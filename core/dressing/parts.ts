import { valueOf } from '../material/index.ts'
import type { Material, MaterialKind } from '../material/index.ts'
import type { Fly, FlyComponent } from './fly.ts'
import { hookPart } from './hookPart.ts'
import type { Part } from './part.ts'
import { is, KINDS } from './kinds/index.ts'
import type { Seat } from './substance/substance.ts'

const FILM_SHARE_LIMIT = 0.6
/** What floatant does, as geared to the shipped gels and powders: to the film's grip, and to the time until wet. */
const FLOATANT = { film: 1.6, wetting: 4 }

/** Pile, skin with its fur and marabou, and yarn that is loose enough: wet through within a minute. */
const DRINKING: ReadonlySet<MaterialKind> = new Set(['chenille', 'strip', 'marabou'])
const DRINKS_WITHIN_S = 60

const drinksAtOnce = (material: Material): boolean =>
  DRINKING.has(material.family.kind) ||
  (material.family.kind === 'yarn' && valueOf(material, 'wettingTimeS') <= DRINKS_WITHIN_S)

/** Stuff that keeps its air, and from what hollow share on a hair does. */
const AIRY: ReadonlySet<MaterialKind> = new Set(['cdc', 'foam'])
const HOLLOW_HAIR = 0.35

const boundInto = (fly: Fly) => fly.components.filter(({ kind }) => is(kind, 'boundIn'))

/** A component in its place, with all that the tying thread binds in. */
export const seatOf = (component: FlyComponent, fly: Fly, boundIn = boundInto(fly)): Seat => ({
  component,
  boundIn,
  post:
    fly.components.find(
      (other) =>
        other !== component &&
        is(other.kind, 'post') &&
        other.fromMm < component.toMm &&
        component.fromMm < other.toMm,
    ) ?? null,
  hook: fly.hook,
})

/** All parts of a fly, the hook first, then in tying order. */
export function partsOf(fly: Fly): readonly Part[] {
  const boundIn = boundInto(fly)
  return [
    hookPart(fly.hook, fly.hookMaterial),
    ...fly.components.map((component): Part => {
      const { key, kind, material, treatment } = component
      const treated = treatment === 'floatant'
      const airy = AIRY.has(material.family.kind) || valueOf(material, 'hollowShare') >= HOLLOW_HAIR
      return {
        key,
        kind,
        material,
        ...KINDS[kind].substance(seatOf(component, fly, boundIn)),
        wettingStrokes: valueOf(material, 'wettingStrokes') * (treated ? FLOATANT.wetting : 1),
        wettingTimeS: valueOf(material, 'wettingTimeS') * (treated ? FLOATANT.wetting : 1),
        filmSupportShare: Math.min(
          valueOf(material, 'filmSupportShare') * (treated ? FLOATANT.film : 1),
          FILM_SHARE_LIMIT,
        ),
        drinks: !treated && drinksAtOnce(material),
        holdsUp: treated || airy || is(kind, 'floats'),
      }
    }),
  ]
}

/** The parts of a fly on which floatant was rubbed: all but hook, bead and what else is bare metal. */
export const withFloatant = (parts: readonly Part[]): readonly Part[] =>
  parts.map((part) =>
    part.kind === 'hook' || is(part.kind, 'bare')
      ? part
      : {
          ...part,
          wettingStrokes: part.wettingStrokes * FLOATANT.wetting,
          wettingTimeS: part.wettingTimeS * FLOATANT.wetting,
          filmSupportShare: Math.min(part.filmSupportShare * FLOATANT.film, FILM_SHARE_LIMIT),
          drinks: false,
          holdsUp: true,
        },
  )
