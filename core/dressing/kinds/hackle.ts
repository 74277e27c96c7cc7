import type { MaterialKind } from '../../material/index.ts'
import { asksOfBunch, usualOfBunch, worksOutOfBunch } from '../bunch.ts'
import { hackleSubstance, hairCollarSubstance } from '../substance/fibres.ts'
import type { Seat, Substance } from '../substance/substance.ts'
import { asksOfBody, bodyDiameterMm, bodySubstance, usualOfBody, worksOutOfBody } from '../windings.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { dark, long, nearly, not, pale } from './triggers.ts'

/** How far barbs stand from the shank: upright in a hackle that floats, swept back in a soft collar. */
const LEAN_DEG = { hackle: 85, collar: 50 }
const FEATHERS: ReadonlySet<MaterialKind> = new Set(['hackle', 'feather', 'cdc', 'marabou'])
const BUNCHES: ReadonlySet<MaterialKind> = new Set(['hair', 'fibre', 'rubber'])

/** A feather wound on edge, whose barbs stand out all round. */
export const hackle: KindOf = {
  ...PLAIN,
  madeOf: ['hackle', 'cdc', 'feather'],
  asks: () => ['turns', 'length', 'clipped', 'side'],
  place: { from: 0.1, to: 0.3, side: 'around' },
  usual: () => ({ turns: 4 }),
  usualLength: { factor: 1.5, of: 'gape' },
  traits: ['floats', 'boundIn', 'crowdsEye', 'moves'],
  substance: (seat) => hackleSubstance(seat, LEAN_DEG.hackle),
  step: { verb: 'wind', order: 210, threadEndsAt: 'to' },
  drawn: 'hackle',
  trim: { how: 'clipBelow', order: 0 },
  shows: { shortLegs: not(long(0.7)), uprightWings: nearly },
}

function collarSubstance(seat: Seat): Substance {
  const goods = seat.component.material.family.kind
  if (BUNCHES.has(goods)) return hairCollarSubstance(seat)
  return FEATHERS.has(goods) ? hackleSubstance(seat, LEAN_DEG.collar) : bodySubstance(seat)
}

/** Soft feather, flared hair or fur behind the head. */
export const collar: KindOf = {
  ...PLAIN,
  madeOf: [
    'dubbing', 'hackle', 'cdc', 'feather', 'marabou', 'hair', 'fibre', 'thread', 'herl', 'chenille', 'yarn', 'floss',
    'tinsel', 'strip', 'rubber',
  ], // prettier-ignore
  asks: (goods) => {
    if (FEATHERS.has(goods)) return ['turns', 'length']
    return BUNCHES.has(goods) ? asksOfBunch(goods) : asksOfBody(goods)
  },
  place: { from: 0.12, to: 0.3, side: 'around' },
  usual: (component, material) => {
    const goods = material.family.kind
    if (FEATHERS.has(goods)) return { turns: 2 }
    return BUNCHES.has(goods) ? usualOfBunch(12)(component, material) : usualOfBody(0.3)(component, material)
  },
  usualLength: { factor: 1, of: 'gape' },
  worksOut: (component, material, placeMm) => {
    const goods = material.family.kind
    if (FEATHERS.has(goods)) return {}
    return BUNCHES.has(goods)
      ? worksOutOfBunch(component, material)
      : worksOutOfBody(component, material, placeMm)
  },
  layer: 'collar',
  traits: ['boundIn', 'crowdsEye', 'bulky', 'moves'],
  // feathers and hair stand out of the body; everything else makes it thicker
  addedDiameterMm: (component, material, hook) =>
    FEATHERS.has(material.family.kind) || BUNCHES.has(material.family.kind)
      ? 0
      : bodyDiameterMm(component, material, hook),
  substance: collarSubstance,
  step: { verb: 'wind', order: 200, threadEndsAt: 'to' },
  drawn: 'collar',
  shows: { paleGills: pale, shortLegs: not(long(0.7)), paleCollar: pale, darkHead: dark },
}
