import { strandDiameterMm, valueOf } from '../../material/index.ts'
import { finding } from '../finding.ts'
import type { FitFinding } from '../finding.ts'
import type { Fly, FlyComponent } from '../fly.ts'
import { coatSubstance, foamSubstance, laidSubstance, woundSubstance } from '../substance/wound.ts'
import type { Seat } from '../substance/substance.ts'
import { bodyDiameterMm } from '../wound.ts'
import { turnsThatFit } from '../wraps.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { always, atRear, shines } from './triggers.ts'

/** A rib that covers more of a soft body than this presses it flat. */
const RIB_COVERS = 0.35

function ribFit(rib: FlyComponent, fly: Fly): readonly FitFinding[] {
  const { turns = 0, fromMm, toMm, material } = rib
  const fits = turnsThatFit(toMm - fromMm, strandDiameterMm(material))
  const tooMany = material.family.kind === 'wire' && turns > fits
  const soft = fly.components.some(
    (under) =>
      under.kind === 'body' &&
      under.material.family.kind === 'dubbing' &&
      under.fromMm < toMm &&
      fromMm < under.toMm,
  )
  const covers = (turns * strandDiameterMm(material)) / Math.max(toMm - fromMm, 0.1)
  return [
    ...(tooMany ? [finding(rib, 'caution', 'tooManyTurns', turns, fits)] : []),
    ...(soft && covers > RIB_COVERS ? [finding(rib, 'caution', 'ribMats', covers, RIB_COVERS)] : []),
  ]
}

/** Open turns over the body. */
export const rib: KindOf = {
  ...PLAIN,
  madeOf: ['wire', 'tinsel', 'thread', 'floss'],
  asks: () => ['turns'],
  place: { from: 0.25, to: 1, side: 'around' },
  usual: () => ({ turns: 5 }),
  substance: woundSubstance,
  fit: ribFit,
  step: { verb: 'rib', order: 120, threadEndsAt: 'from' },
  drawn: { shape: 'rib', reaches: [], behindHook: false },
  shows: { gasSheen: shines },
}

/** A few turns that stand out, as a mark or a target. */
export const hotSpot: KindOf = {
  ...PLAIN,
  madeOf: ['thread', 'floss', 'dubbing'],
  asks: () => ['turns'],
  place: { from: 0.15, to: 0.25, side: 'around' },
  usual: () => ({ turns: 5 }),
  substance: woundSubstance,
  step: { verb: 'wrap', order: 220, threadEndsAt: 'to' },
  shows: { eggSac: atRear, hotSpot: always },
}

/** Resin or varnish over what lies below it. */
export const coat: KindOf = {
  ...PLAIN,
  madeOf: ['resin'],
  asks: () => ['layers'],
  usual: () => ({ layers: 1 }),
  layer: 'body',
  traits: [],
  addedDiameterMm: ({ layers = 1 }, material) => 2 * valueOf(material, 'coatThicknessMm') * layers,
  substance: coatSubstance,
  step: { verb: 'coat', order: 230, threadEndsAt: 'to' },
  drawn: { shape: 'coat', reaches: [], behindHook: false },
  shows: { gasSheen: always },
}

/** A strip laid along the body. */
const LAID = {
  ...PLAIN,
  asks: () => ['side'],
  substance: (seat: Seat) =>
    seat.component.material.family.kind === 'foam' ? foamSubstance(seat, 'atEnds') : laidSubstance(seat),
  drawn: { shape: 'laid', reaches: [], behindHook: false },
} as const satisfies Partial<KindOf>

export const back: KindOf = {
  ...LAID,
  madeOf: ['sheet', 'quill', 'feather', 'foam'],
  step: { verb: 'tieIn', order: 100, threadEndsAt: 'to' },
  shows: { swollenWingCase: always, gasSheen: shines, foldedWings: always },
}

export const wingCase: KindOf = {
  ...LAID,
  madeOf: ['feather', 'sheet', 'quill', 'tinsel'],
  place: { from: 0.15, to: 0.4, side: 'above' },
  step: { verb: 'tieIn', order: 190, threadEndsAt: 'to' },
  shows: { swollenWingCase: always },
}

/** A block or shell of foam. */
export const foam: KindOf = {
  ...PLAIN,
  madeOf: ['foam'],
  asks: () => ['side'],
  layer: 'body',
  traits: ['floats', 'boundIn', 'givesColour'],
  addedDiameterMm: bodyDiameterMm,
  substance: (seat) => foamSubstance(seat, 'atEnds'),
  step: { verb: 'tieIn', order: 90, threadEndsAt: 'to' },
}
