import { strandDiameterMm, valueOf } from '../../material/index.ts'
import type { Material, MaterialKind } from '../../material/index.ts'
import type { Amounts } from '../amount.ts'
import type { Component } from '../dressing.ts'
import type { Field } from '../fields.ts'
import { finding } from '../finding.ts'
import type { FitFinding } from '../finding.ts'
import type { Fly, FlyComponent } from '../fly.ts'
import { worksOutFoam } from '../foam.ts'
import { stripSubstance } from '../substance/fibres.ts'
import {
  coatSubstance,
  foamSubstance,
  laidBunchSubstance,
  laidSubstance,
  woundSubstance,
} from '../substance/wound.ts'
import type { Seat, Substance } from '../substance/substance.ts'
import { asksOfBody, bodyDiameterMm, bodySubstance, usualOfBody } from '../windings.ts'
import { areStrands, tiedInStrands } from '../bunch.ts'
import { turnsThatFit } from '../wraps.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { always, atRear, shines } from './triggers.ts'

/** A rib that covers more of a soft body than this presses it flat. */
const RIB_COVERS = 0.35

function ribFit(rib: FlyComponent, fly: Fly): readonly FitFinding[] {
  const { turns = 0, strands = 1, fromMm, toMm, material } = rib
  const fits = turnsThatFit(toMm - fromMm, strandDiameterMm(material))
  const tooMany = material.family.kind === 'wire' && turns * strands > fits
  const soft = fly.components.some(
    (under) =>
      under.kind === 'body' &&
      under.material.family.kind === 'dubbing' &&
      under.fromMm < toMm &&
      fromMm < under.toMm,
  )
  const covers = (turns * strands * strandDiameterMm(material)) / Math.max(toMm - fromMm, 0.1)
  return [
    ...(tooMany ? [finding(rib, 'caution', 'tooManyTurns', turns, fits)] : []),
    ...(soft && covers > RIB_COVERS ? [finding(rib, 'caution', 'ribMats', covers, RIB_COVERS)] : []),
  ]
}

/** Open turns over the body, of one strand or of several that are wound together. */
export const rib: KindOf = {
  ...PLAIN,
  madeOf: ['wire', 'tinsel', 'thread', 'floss', 'quill', 'herl', 'rubber', 'yarn', 'fibre'],
  asks: () => ['turns', 'strands'],
  place: { from: 0.25, to: 1, side: 'around' },
  over: ['body'],
  usual: () => ({ turns: 5 }),
  substance: woundSubstance,
  fit: ribFit,
  step: { verb: 'rib', order: 120, threadEndsAt: 'from' },
  otherStep: { verb: 'tieIn', order: 75, threadEndsAt: 'to' },
  drawn: 'rib',
  shows: { gasSheen: shines },
}

/** Goods of which a spot is counted in turns; of others it is wound like a body. */
const OF_TURNS: ReadonlySet<MaterialKind> = new Set(['thread', 'floss', 'tinsel', 'herl'])

/** A few turns that stand out, as a mark or a target. */
export const hotSpot: KindOf = {
  ...PLAIN,
  madeOf: ['thread', 'floss', 'dubbing', 'tinsel', 'yarn', 'herl', 'chenille'],
  asks: (goods) => (OF_TURNS.has(goods) ? ['turns'] : asksOfBody(goods)),
  place: { from: 0.15, to: 0.2, side: 'around' },
  usual: (component, material) =>
    OF_TURNS.has(material.family.kind) ? { turns: 2 } : usualOfBody(0.2)(component, material),
  addedDiameterMm: (component, material, hook) =>
    OF_TURNS.has(material.family.kind) ? 0 : bodyDiameterMm(component, material, hook),
  substance: (seat) =>
    OF_TURNS.has(seat.component.material.family.kind) ? woundSubstance(seat) : bodySubstance(seat),
  step: { verb: 'wrap', order: 220, threadEndsAt: 'to' },
  shows: { eggSac: atRear, hotSpot: always },
}

/** Resin or varnish over what lies below it. */
export const coat: KindOf = {
  ...PLAIN,
  madeOf: ['resin'],
  over: ['body'],
  asks: () => ['layers'],
  usual: () => ({ layers: 1 }),
  layer: 'body',
  traits: [],
  addedDiameterMm: ({ layers = 1 }, material) => 2 * valueOf(material, 'coatThicknessMm') * layers,
  substance: coatSubstance,
  step: { verb: 'coat', order: 230, threadEndsAt: 'to' },
  drawn: 'coat',
  shows: { gasSheen: always },
}

/** Goods that are laid as one band, as wide as the body; of others so many fibres or strands are drawn over it. */
const BANDS: ReadonlySet<MaterialKind> = new Set(['sheet', 'foam', 'strip'])

function laid(seat: Seat): Substance {
  const goods = seat.component.material.family.kind
  if (goods === 'foam') return foamSubstance(seat, 'atEnds')
  if (goods === 'strip') return stripSubstance(seat)
  return goods === 'sheet' ? laidSubstance(seat) : laidBunchSubstance(seat)
}

/** One strand, or some fibres: never all of a feather. */
function usualLaid({ fibreCount }: Component, material: Material): Amounts {
  if (BANDS.has(material.family.kind)) return {}
  return tiedInStrands(material) ? { strands: 1 } : { fibreCount: fibreCount ?? 12 }
}

/** A band or a bunch laid along the body and bound down at both ends. */
const LAID = {
  ...PLAIN,
  asks: (goods: MaterialKind): readonly Field[] =>
    goods === 'foam'
      ? ['widthMm', 'side']
      : BANDS.has(goods)
        ? ['side']
        : [areStrands(goods) ? 'strands' : 'fibreCount', 'side'],
  usual: usualLaid,
  worksOut: (_component: Component, material: Material): Amounts => worksOutFoam(material),
  substance: laid,
  drawn: 'laid',
} as const satisfies Partial<KindOf>

export const back: KindOf = {
  ...LAID,
  madeOf: [
    'sheet',
    'feather',
    'fibre',
    'quill',
    'foam',
    'hair',
    'tinsel',
    'herl',
    'yarn',
    'marabou',
    'floss',
    'strip',
  ],
  place: { from: 0.25, to: 1, side: 'above' },
  over: ['body', 'thorax'],
  step: { verb: 'tieIn', order: 100, threadEndsAt: 'to' },
  otherStep: { verb: 'pullOver', order: 190, threadEndsAt: 'from' },
  shows: { swollenWingCase: always, gasSheen: shines, foldedWings: always },
}

export const wingCase: KindOf = {
  ...LAID,
  madeOf: ['feather', 'fibre', 'sheet', 'quill', 'tinsel', 'hair', 'herl', 'foam', 'marabou', 'yarn', 'floss'],
  place: { from: 0.1, to: 0.35, side: 'above' },
  over: ['thorax'],
  step: { verb: 'tieIn', order: 165, threadEndsAt: 'to' },
  otherStep: { verb: 'pullOver', order: 195, threadEndsAt: 'from' },
  shows: { swollenWingCase: always },
}

/** A block or shell of foam. */
export const foam: KindOf = {
  ...PLAIN,
  madeOf: ['foam'],
  asks: () => ['widthMm', 'side'],
  worksOut: (_component, material) => worksOutFoam(material),
  layer: 'body',
  traits: ['floats', 'boundIn', 'givesColour'],
  addedDiameterMm: bodyDiameterMm,
  substance: (seat) => foamSubstance(seat, 'atEnds'),
  step: { verb: 'tieIn', order: 90, threadEndsAt: 'to' },
  drawn: 'foam',
}
