/**
 * Length of wire in close turns round a core, mm: each turn is √((π(core + d))² + pitch²) on the middle of the wire.
 *
 * @param coreMm  diameter below the first layer
 * @param pitchMm advance of one turn, d for close turns
 */
export function wrapLengthMm(turns: number, coreMm: number, diameterMm: number, pitchMm: number): number {
  return turns * Math.hypot(Math.PI * (coreMm + diameterMm), pitchMm)
}

/**
 * What a second layer of round wire adds to the radius, in diameters: √3/2 where it lies in the grooves of the first
 * and 1 where it rides on it. It is wound back the other way, so that each turn does some of both.
 */
const LAYER_OF_DIAMETER = (Math.sqrt(3) / 2 + 1) / 2

/** A winding: turns shared out over layers, each spread over the same length. */
export interface Winding {
  readonly turns: number
  readonly layers: number
  /** diameter below the first layer, mm */
  readonly coreMm: number
  readonly diameterMm: number
  /** length along the shank, mm */
  readonly overMm: number
  /** what one more layer adds to the radius, mm; that of round wire unless given */
  readonly layerMm?: number
}

/**
 * Length of strand in a winding, mm: in each layer the slope of the whole winding, finite for any part of a turn, on
 * the middle of the strand; a layer lies on those below it.
 */
export function windingLengthMm(winding: Winding): number {
  const { turns, layers, coreMm, diameterMm, overMm, layerMm = LAYER_OF_DIAMETER * diameterMm } = winding
  if (turns <= 0) return 0
  let lengthMm = 0
  for (let layer = 0; layer < layers; layer += 1) {
    const middleMm = coreMm + diameterMm + 2 * layer * layerMm
    lengthMm += Math.hypot((turns / layers) * Math.PI * middleMm, overMm)
  }
  return lengthMm
}

/** What layers of round wire add to the diameter of what lies below them, mm. */
export const layersMm = (layers: number, diameterMm: number): number =>
  2 * diameterMm * (1 + (layers - 1) * LAYER_OF_DIAMETER)

/** Turns that lie side by side in a length, at least one. */
export const turnsThatFit = (lengthMm: number, diameterMm: number) =>
  Math.max(Math.floor(lengthMm / diameterMm + 1e-9), 1)
