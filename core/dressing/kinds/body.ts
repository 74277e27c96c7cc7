import { isPile } from '../pile.ts'
import { fillingSubstance, foamSubstance, pileSubstance, woundSubstance } from '../substance/wound.ts'
import type { FoamHeld } from '../substance/wound.ts'
import { sheetSubstance } from '../substance/metal.ts'
import type { Seat, Substance } from '../substance/substance.ts'
import { asksOfBody, bodyDiameterMm, usualOfBody, worksOutOfBody } from '../wound.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { always, dark, full, pale, shines, vivid } from './triggers.ts'

const bodySubstance = (seat: Seat): Substance => woundOf(seat, 'bound')

/** What is wound of any goods; foam as it is held. */
function woundOf(seat: Seat, held: FoamHeld): Substance {
  const goods = seat.component.material.family.kind
  if (goods === 'foam') return foamSubstance(seat, held)
  if (goods === 'sheet') return sheetSubstance(seat)
  if (isPile(seat.component.material)) return pileSubstance(seat)
  return goods === 'wire' || goods === 'thread' ? woundSubstance(seat) : fillingSubstance(seat)
}

/** What is wound or dubbed round the shank and makes the outline. */
const BODY = {
  ...PLAIN,
  asks: asksOfBody,
  usual: usualOfBody(0.3),
  worksOut: worksOutOfBody,
  layer: 'body',
  addedDiameterMm: bodyDiameterMm,
  substance: bodySubstance,
} as const satisfies Partial<KindOf>

export const body: KindOf = {
  ...BODY,
  madeOf: [
    'dubbing',
    'thread',
    'floss',
    'quill',
    'herl',
    'wire',
    'tinsel',
    'chenille',
    'yarn',
    'foam',
    'sheet',
  ],
  place: { from: 0.25, to: 1, side: 'around' },
  usual: usualOfBody(0.25),
  traits: ['boundIn', 'bulky', 'givesColour'],
  step: { verb: 'wind', order: 110, threadEndsAt: 'from' },
  shows: { gasSheen: shines, shortLegs: full },
}

export const thorax: KindOf = {
  ...BODY,
  madeOf: ['dubbing', 'herl', 'chenille'],
  place: { from: 0.15, to: 0.4, side: 'around' },
  traits: ['boundIn', 'bulky', 'givesColour', 'crowdsEye'],
  step: { verb: 'dub', order: 170, threadEndsAt: 'to' },
  shows: { paleGills: pale, gasSheen: shines, shortLegs: full, paleCollar: pale, darkHead: dark },
}

/** A ball or sac of eggs at the rear. */
export const egg: KindOf = {
  ...BODY,
  madeOf: ['yarn', 'chenille', 'bead'],
  place: { from: 0.8, to: 1, side: 'around' },
  substance: (seat) => woundOf(seat, 'atEnds'),
  step: { verb: 'dub', order: 130, threadEndsAt: 'to' },
  shows: { eggSac: always, hotSpot: vivid },
}
