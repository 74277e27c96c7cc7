import { asksOfBunch, usualOfBunch, worksOutOfBunch } from '../bunch.ts'
import type { FlyComponent } from '../fly.ts'
import {
  bunchSubstance, postStance, spreadStance, stripSubstance, TRAILING, wingStance,
} from '../substance/fibres.ts' // prettier-ignore
import type { Stance } from '../substance/fibres.ts'
import type { Seat, Substance } from '../substance/substance.ts'
import { filmWingSubstance } from '../substance/filmWing.ts'
import { foamSubstance } from '../substance/wound.ts'
import type { FoamHeld } from '../substance/wound.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { always, atFront, both, either, few, long, not, ofRubber, onSide, shines, waves } from './triggers.ts'

/** A bunch in its stance, or upright foam. */
const standing =
  (stanceOf: (component: FlyComponent) => Stance, held: FoamHeld) =>
  (seat: Seat): Substance => {
    const goods = seat.component.material.family.kind
    if (goods === 'foam') return foamSubstance(seat, held)
    return goods === 'sheet' ? filmWingSubstance(seat) : bunchSubstance(seat, stanceOf(seat.component))
  }

const trailing = (seat: Seat): Substance =>
  seat.component.material.family.kind === 'strip' ? stripSubstance(seat) : bunchSubstance(seat, TRAILING)

/** Fibres, strands or a feather tied in by one end. */
const BUNCH = {
  ...PLAIN,
  asks: asksOfBunch,
  usual: usualOfBunch(12),
  worksOut: worksOutOfBunch,
} as const satisfies Partial<KindOf>

export const tail: KindOf = {
  ...BUNCH,
  madeOf: [
    'fibre', 'marabou', 'hackle', 'hair', 'quill', 'rubber', 'yarn', 'feather', 'tinsel', 'floss', 'herl', 'strip', 'cdc',
    'chenille',
  ], // prettier-ignore
  place: { from: 1, to: 1, side: 'around' },
  usual: usualOfBunch(6),
  usualLength: { factor: 2 / 3, of: 'shank' },
  traits: ['boundIn', 'moves', 'trails'],
  substance: trailing,
  step: { verb: 'tieIn', order: 60, threadEndsAt: 'to' },
  drawn: 'tail',
  shows: { pulsingTail: either(waves, ofRubber), longTails: both(long(0.6), not(either(waves, ofRubber))) },
}

/** The skin that a nymph or pupa leaves behind. */
export const shuck: KindOf = {
  ...BUNCH,
  madeOf: ['yarn', 'dubbing', 'fibre', 'marabou', 'tinsel', 'cdc', 'hair', 'floss', 'feather'],
  place: { from: 1, to: 1, side: 'around' },
  usualLength: { factor: 1 / 2, of: 'shank' },
  traits: ['boundIn', 'moves', 'trails'],
  substance: trailing,
  step: { verb: 'tieIn', order: 70, threadEndsAt: 'to' },
  drawn: 'tail',
  trim: { how: 'shorten', order: 1 },
  shows: { trailingShuck: always, gasSheen: shines },
}

export const legs: KindOf = {
  ...BUNCH,
  madeOf: ['hackle', 'rubber', 'fibre', 'marabou', 'hair', 'feather', 'floss', 'herl', 'quill', 'yarn', 'cdc'],
  asks: (goods) => [...asksOfBunch(goods), 'side'],
  place: { from: 0.3, to: 0.5, side: 'below' },
  usualLength: { factor: 1.1, of: 'shank' },
  traits: ['boundIn', 'moves'],
  substance: standing(spreadStance, 'atEnds'),
  featherShare: 0.3,
  step: { verb: 'tieIn', order: 180, threadEndsAt: 'to' },
  drawn: 'legs',
  shows: {
    shortLegs: not(long(0.7)),
    oaringLegs: both(onSide('both'), long(0.7), few),
    rubberLegs: both(either(ofRubber, long(0.9)), not(both(onSide('above'), atFront))),
    longHorns: both(onSide('above'), atFront),
  },
}

export const gills: KindOf = {
  ...BUNCH,
  madeOf: ['marabou', 'yarn', 'herl', 'fibre', 'cdc', 'dubbing', 'tinsel', 'floss'],
  substance: standing(spreadStance, 'atEnds'),
  place: { from: 0.05, to: 0.15, side: 'around' },
  usualLength: { factor: 1 / 2, of: 'gape' },
  traits: ['boundIn', 'moves'],
  step: { verb: 'tieIn', order: 140, threadEndsAt: 'to' },
  drawn: 'gills',
  shows: { paleGills: always },
}

export const wing: KindOf = {
  ...BUNCH,
  madeOf: ['cdc', 'feather', 'hair', 'yarn', 'hackle', 'fibre', 'sheet', 'tinsel', 'marabou', 'herl', 'foam'],
  asks: (goods) => [...asksOfBunch(goods), 'side'],
  place: { from: 0.2, to: 0.3, side: 'above' },
  substance: standing(wingStance, 'upright'),
  usualLength: { factor: 1, of: 'shank' },
  traits: ['boundIn', 'crowdsEye', 'moves'],
  step: { verb: 'tieIn', order: 160, threadEndsAt: 'to' },
  drawn: 'wing',
  trim: { how: 'shorten', order: 0 },
  shows: { splayedWings: onSide('both'), uprightWings: onSide('above'), foldedWings: onSide('around') },
}

/** An upright bunch round which a hackle may be wound. */
export const post: KindOf = {
  ...BUNCH,
  madeOf: ['yarn', 'hair', 'cdc', 'foam', 'feather', 'fibre', 'hackle'],
  place: { from: 0.25, to: 0.3, side: 'above' },
  substance: standing(postStance, 'upright'),
  usualLength: { factor: 1.1, of: 'shank' },
  traits: ['floats', 'post', 'boundIn', 'crowdsEye'],
  step: { verb: 'tieIn', order: 150, threadEndsAt: 'to' },
  drawn: 'post',
  trim: { how: 'shorten', order: 0 },
  shows: { uprightWings: always },
}

/** A strip of skin with its fur. */
export const strip: KindOf = {
  ...PLAIN,
  madeOf: ['strip'],
  asks: () => ['length'],
  usualLength: { factor: 1.6, of: 'shank' },
  traits: ['boundIn', 'moves', 'trails'],
  substance: stripSubstance,
  step: { verb: 'tieIn', order: 80, threadEndsAt: 'to' },
  drawn: 'strip',
  shows: { pulsingTail: waves },
}
