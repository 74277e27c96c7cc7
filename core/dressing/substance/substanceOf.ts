import type { FlyComponent } from '../fly.ts'
import { bunchSubstance, hackleSubstance, hairCollarSubstance, stripSubstance } from './fibres.ts'
import { beadSubstance, coneSubstance, eyesSubstance, sheetSubstance } from './metal.ts'
import type { Seat, Substance } from './substance.ts'
import {
  coatSubstance, fillingSubstance, foamSubstance, laidSubstance, threadSubstance, woundSubstance,
} from './wound.ts' // prettier-ignore

const HACKLE_LEAN_DEG = 85
const SOFT_COLLAR_LEAN_DEG = 50

const familyKind = ({ material }: FlyComponent) => material.family.kind

function bodySubstance(seat: Seat): Substance {
  const kind = familyKind(seat.component)
  if (kind === 'foam') return foamSubstance(seat)
  if (kind === 'sheet') return sheetSubstance(seat)
  return kind === 'wire' || kind === 'thread' ? woundSubstance(seat) : fillingSubstance(seat)
}

function collarSubstance(seat: Seat): Substance {
  const kind = familyKind(seat.component)
  if (kind === 'hair' || kind === 'fibre') return hairCollarSubstance(seat)
  const feather = kind === 'hackle' || kind === 'feather' || kind === 'cdc' || kind === 'marabou'
  return feather ? hackleSubstance(seat, SOFT_COLLAR_LEAN_DEG) : fillingSubstance(seat)
}

const standingSubstance = (seat: Seat) =>
  familyKind(seat.component) === 'foam' ? foamSubstance(seat) : bunchSubstance(seat)

/** What a component amounts to on the hook at hand. */
export function substanceOf(seat: Seat): Substance {
  switch (seat.component.kind) {
    case 'bead':
      return beadSubstance(seat)
    case 'cone':
      return coneSubstance(seat)
    case 'eyes':
      return eyesSubstance(seat)
    case 'sheet':
      return sheetSubstance(seat)
    case 'wire':
    case 'rib':
    case 'hotSpot':
      return woundSubstance(seat)
    case 'thread':
      return threadSubstance(seat)
    case 'body':
    case 'thorax':
    case 'egg':
      return bodySubstance(seat)
    case 'collar':
      return collarSubstance(seat)
    case 'hackle':
      return hackleSubstance(seat, HACKLE_LEAN_DEG)
    case 'tail':
    case 'shuck':
      return familyKind(seat.component) === 'strip' ? stripSubstance(seat) : bunchSubstance(seat)
    case 'legs':
    case 'gills':
    case 'wing':
    case 'post':
      return standingSubstance(seat)
    case 'coat':
      return coatSubstance(seat)
    case 'back':
    case 'wingCase':
      return familyKind(seat.component) === 'foam' ? foamSubstance(seat) : laidSubstance(seat)
    case 'strip':
      return stripSubstance(seat)
    case 'foam':
      return foamSubstance(seat)
  }
}
