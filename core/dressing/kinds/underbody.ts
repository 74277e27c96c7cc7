import { sizeNumber, strandDiameterMm, valueOf } from '../../material/index.ts'
import type { Component } from '../dressing.ts'
import { finding } from '../finding.ts'
import type { FitFinding } from '../finding.ts'
import type { Fly, FlyComponent } from '../fly.ts'
import { eyesSubstance, sheetSubstance } from '../substance/metal.ts'
import { laidStrandSubstance, woundStrandMm, woundSubstance } from '../substance/wound.ts'
import { layersMm } from '../wraps.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { always } from './triggers.ts'

/** Widest head on the shank, mm; 0 for none. */
const headMm = (fly: Fly) =>
  fly.components.reduce(
    (widest, { kind, material }) =>
      kind === 'bead' || kind === 'cone' ? Math.max(widest, sizeNumber(material) ?? 0) : widest,
    0,
  )

function wireFit(component: FlyComponent, fly: Fly): readonly FitFinding[] {
  const diameterMm = strandDiameterMm(component.material)
  const needMm = isLaid(component)
    ? component.toMm - component.fromMm
    : ((component.turns ?? 0) * diameterMm) / (component.layers ?? 1)
  const { shankMm } = fly.hook
  if (needMm > shankMm) return [finding(component, 'fault', 'wireLongerThanShank', needMm, shankMm)]
  const freeMm = shankMm - headMm(fly) / 2
  return needMm > freeMm ? [finding(component, 'caution', 'beadAndWireCrowdShank', needMm, freeMm)] : []
}

const TURNS_A_LAYER = 8

/** Strips laid along the shank, not wound round it. */
const isLaid = ({ strands, turns }: Pick<Component, 'strands' | 'turns'>): boolean =>
  strands !== undefined && turns === undefined

/** Turns of wire under the body, all layers counted; or strips of it laid along both sides, as flat nymphs have it. */
export const wire: KindOf = {
  ...PLAIN,
  madeOf: ['wire'],
  asks: () => ['turns', 'layers', 'strands', 'side'],
  place: { from: 0.25, to: 0.7, side: 'around' },
  usual: ({ layers = 1, ...said }) => (isLaid(said) ? {} : { turns: TURNS_A_LAYER * layers, layers }),
  layer: 'underbody',
  traits: ['weighs', 'hidden', 'bare', 'boundIn'],
  // two strips make it wider by two of them and no higher: on the mean as thick as one
  addedDiameterMm: ({ layers = 1, ...said }, material) =>
    isLaid(said)
      ? ((said.strands ?? 0) / 2) * strandDiameterMm(material)
      : layersMm(layers, strandDiameterMm(material)),
  substance: (seat) => (isLaid(seat.component) ? laidStrandSubstance(seat) : woundSubstance(seat)),
  strandMm: ({ component }) =>
    isLaid(component)
      ? (component.strands ?? 0) * (component.toMm - component.fromMm)
      : woundStrandMm(component),
  fit: wireFit,
  step: { verb: 'wrap', order: 20, threadEndsAt: 'to' },
  doubtOf: 'wire',
}

/** Lead or tungsten sheet round the shank. */
export const sheet: KindOf = {
  ...PLAIN,
  madeOf: ['sheet'],
  asks: () => ['layers'],
  usual: () => ({ layers: 1 }),
  layer: 'underbody',
  traits: ['weighs', 'hidden', 'bare', 'boundIn'],
  addedDiameterMm: ({ layers = 1 }, material) => 2 * valueOf(material, 'thicknessMm') * layers,
  substance: sheetSubstance,
  step: { verb: 'tieIn', order: 50, threadEndsAt: 'to' },
}

/** A pair of eyes, of bead chain or barbell, on one side of the shank. */
export const eyes: KindOf = {
  ...PLAIN,
  madeOf: ['eyes'],
  asks: () => ['side'],
  place: { from: 0.1, to: 0.2, side: 'above' },
  traits: ['weighs', 'piece', 'bare', 'boundIn'],
  substance: eyesSubstance,
  step: { verb: 'tieIn', order: 40, threadEndsAt: 'to' },
  drawn: 'eyes',
  doubtOf: 'bead',
  shows: { wideEyes: always },
}
