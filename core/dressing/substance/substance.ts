import { shankHeightMm } from '../../hook/index.ts'
import type { Hook } from '../../hook/index.ts'
import { propertyOf, valueOf } from '../../material/index.ts'
import type { DragElement, FlySpot } from '../../sink/index.ts'
import type { FlyComponent } from '../fly.ts'
import type { FilmContact } from '../part.ts'
import { Z_80 } from '../../number/index.ts'

/** What a component weighs, displaces, holds and shows to the water; the rest of a part follows from it. */
export interface Substance {
  readonly massMg: number
  /** standard deviation of ln(mass) */
  readonly massSdLog: number
  readonly volumeMm3: number
  readonly airMm3: number
  readonly at: FlySpot
  readonly elements: readonly DragElement[]
  readonly film: FilmContact | null
  /** how far it stands above the shank, mm */
  readonly topMm: number
}

/** A component in its place on the hook, with what the tying thread binds in on it. */
export interface Seat {
  readonly component: FlyComponent
  readonly boundIn: readonly FlyComponent[]
  /** the upright post that stands in its place; null for none */
  readonly post: FlyComponent | null
  readonly hook: Hook
}

/** Amounts of soft material spread by ±30 % (80 %), as standard deviation of the logarithm. */
const AMOUNT_SD_LOG = Math.log(1.3) / Z_80

/** How far a component sits above the middle of the shank by its side, mm. */
function sideOffsetMm({ side, outerMm, coreMm }: FlyComponent): number {
  const offset = Math.max(outerMm, coreMm) / 2
  return side === 'above' ? offset : side === 'below' ? -offset : 0
}

/** The place on the shank this far from the eye, on the component's side of it. */
export const spotAt = ({ component, hook }: Seat, xMm: number): FlySpot => ({
  xMm,
  yMm: shankHeightMm(hook, xMm) + sideOffsetMm(component),
})

/** Middle of a component's place. */
export const middleOf = (seat: Seat): FlySpot => spotAt(seat, (seat.component.fromMm + seat.component.toMm) / 2)

/** Length of a component's place along the shank, mm. */
export const placeMm = ({ fromMm, toMm }: FlyComponent) => Math.max(toMm - fromMm, 0)

/** A substance from its mass; what is not said follows from the material, lies in its place and drags nothing. */
export function substance(seat: Seat, massMg: number, more: Partial<Substance> = {}): Substance {
  const density = propertyOf(seat.component.material, 'densityMgPerMm3').value
  return {
    massMg,
    massSdLog: AMOUNT_SD_LOG,
    volumeMm3: massMg / density,
    airMm3: 0,
    at: middleOf(seat),
    elements: [],
    film: null,
    topMm: 0,
    ...more,
  }
}

/** Film along which a body of this length and width can lie. */
export const flank = (lengthMm: number, widthMm: number): FilmContact => ({
  kind: 'flank',
  lineMm: 2 * lengthMm,
  aroundMm: 2 * (lengthMm + widthMm),
  areaMm2: lengthMm * widthMm,
  barbs: null,
})

/** The share of air among its fibres that a material holds when it is dry. */
export const airShare = ({ material }: FlyComponent) => valueOf(material, 'airShareDry')
