import { sizeNumber, valueOf } from '../../material/index.ts'
import { beadSubstance, coneSubstance } from '../substance/metal.ts'
import { boredBead, boredCone, headFit } from './headFit.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'
import { dark, shines, vivid } from './triggers.ts'

/** What is slid on before the thread is started, and lies before everything that is wound. */
const HEAD = {
  ...PLAIN,
  place: { from: 0, to: 0.2, side: 'around' },
  behind: ['bead', 'cone'],
  layer: 'head',
  traits: ['weighs', 'piece', 'bare'],
  addedDiameterMm: (_component, material, hook) =>
    Math.max((sizeNumber(material) ?? valueOf(material, 'diameterMm')) - hook.wireMm, 0),
  doubtOf: 'bead',
} as const satisfies Partial<KindOf>

/** A bead behind the eye, or before it on the pin of a balanced fly. */
export const bead: KindOf = {
  ...HEAD,
  madeOf: ['bead'],
  asks: () => ['pin'],
  substance: beadSubstance,
  fit: headFit(boredBead),
  step: { verb: 'bead', order: 0, threadEndsAt: 'to' },
  drawn: 'bead',
  shows: { gasSheen: shines, darkHead: dark, hotSpot: vivid },
}

export const cone: KindOf = {
  ...HEAD,
  madeOf: ['cone'],
  substance: coneSubstance,
  fit: headFit(boredCone),
  step: { verb: 'bead', order: 10, threadEndsAt: 'to' },
  drawn: 'cone',
  shows: { darkHead: dark, hotSpot: vivid },
}
