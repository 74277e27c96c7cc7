import type { MaterialKind } from '../../material/index.ts'
import { foamSubstance } from '../substance/wound.ts'
import { asksOfBody, bodyDiameterMm, bodySubstance, usualOfBody, worksOutOfBody } from '../windings.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { always, dark, full, pale, shines, vivid } from './triggers.ts'

/** All that is wound or dubbed as a body, the usual goods first. */
const WOUND: readonly [MaterialKind, ...MaterialKind[]] = [
  'dubbing', 'thread', 'floss', 'quill', 'herl', 'fibre', 'wire', 'tinsel', 'chenille', 'yarn', 'rubber', 'feather',
  'marabou', 'cdc', 'hair', 'strip', 'foam', 'sheet',
] // prettier-ignore

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
  madeOf: WOUND,
  place: { from: 0.25, to: 1, side: 'around' },
  behind: ['thorax'],
  usual: usualOfBody(0.25),
  traits: ['boundIn', 'bulky', 'givesColour'],
  step: { verb: 'wind', order: 110, threadEndsAt: 'from' },
  shows: { gasSheen: shines, shortLegs: full },
}

export const thorax: KindOf = {
  ...BODY,
  madeOf: WOUND,
  place: { from: 0.1, to: 0.35, side: 'around' },
  traits: ['boundIn', 'bulky', 'givesColour', 'crowdsEye'],
  step: { verb: 'dub', order: 170, threadEndsAt: 'to' },
  shows: { paleGills: pale, gasSheen: shines, shortLegs: full, paleCollar: pale, darkHead: dark },
}

/** A ball or sac of eggs at the rear. */
export const egg: KindOf = {
  ...BODY,
  madeOf: ['yarn', 'chenille', 'dubbing', 'bead', 'floss', 'thread', 'herl', 'marabou', 'cdc'],
  place: { from: 0.8, to: 1, side: 'around' },
  step: { verb: 'dub', order: 130, threadEndsAt: 'to' },
  shows: { eggSac: always, hotSpot: vivid },
}

/** What is wound before the body and behind the eye, where no bead is: thread, fur, herl, spun hair. */
export const head: KindOf = {
  ...BODY,
  madeOf: ['thread', 'dubbing', 'herl', 'hair', 'yarn', 'fibre', 'chenille', 'foam', 'feather'],
  place: { from: 0, to: 0.12, side: 'around' },
  substance: (seat) =>
    seat.component.material.family.kind === 'foam' ? foamSubstance(seat, 'atEnds') : bodySubstance(seat),
  traits: ['boundIn', 'bulky'],
  step: { verb: 'wind', order: 225, threadEndsAt: 'from' },
  shows: { darkHead: dark, hotSpot: vivid },
}
