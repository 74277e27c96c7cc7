/**
 * Length of wire in close turns round a core, mm: each turn is √((π(core + d))² + pitch²) on the middle of the wire.
 *
 * @param coreMm  diameter below the first layer
 * @param pitchMm advance of one turn, d for close turns
 */
export function wrapLengthMm(turns: number, coreMm: number, diameterMm: number, pitchMm: number): number {
  return turns * Math.hypot(Math.PI * (coreMm + diameterMm), pitchMm)
}

/** Length of wire in turns spread over a length: the slope of the whole winding, finite for any part of a turn. */
export const spreadWrapLengthMm = (turns: number, coreMm: number, diameterMm: number, overMm: number) =>
  turns > 0 ? Math.hypot(turns * Math.PI * (coreMm + diameterMm), overMm) : 0

/** Turns that lie side by side in a length, at least one. */
export const turnsThatFit = (lengthMm: number, diameterMm: number) =>
  Math.max(Math.floor(lengthMm / diameterMm + 1e-9), 1)
