/** At least three: one to lose, one to lend, one to fish. */
const USUAL_PAR = 3

/** A variant that has a place in a box. */
export interface ParLine<Id extends string = string> {
  readonly variantId: Id
  readonly onHand: number
  /** null for the usual par */
  readonly parCount: number | null
}

/** A variant below its par. */
export interface Hole<Id extends string = string> {
  readonly variantId: Id
  readonly onHand: number
  readonly par: number
  readonly missing: number
}

/** What is below par, the emptiest first: by the share that is missing, then by how many are. */
export function holesOf<Id extends string>(
  lines: readonly ParLine<Id>[],
  usualPar = USUAL_PAR,
): readonly Hole<Id>[] {
  return lines
    .map(({ variantId, onHand, parCount }) => {
      const par = parCount ?? usualPar
      return { variantId, onHand, par, missing: Math.max(par - onHand, 0) }
    })
    .filter(({ missing }) => missing > 0)
    .sort((a, b) => b.missing / b.par - a.missing / a.par || b.missing - a.missing)
}
