/** At least three: one to lose, one to lend, one to fish. */
const USUAL_PAR = 3

/** A variant that has a place in a box. */
export interface ParLine {
  readonly variantId: string
  readonly onHand: number
  /** null for the usual par */
  readonly parCount: number | null
}

/** A variant below its par. */
export interface Hole {
  readonly variantId: string
  readonly onHand: number
  readonly par: number
  readonly missing: number
}

/** What is below par, the emptiest first: by the share that is missing, then by how many are. */
export function holesOf(lines: readonly ParLine[], usualPar = USUAL_PAR): readonly Hole[] {
  return lines
    .map(({ variantId, onHand, parCount }) => {
      const par = parCount ?? usualPar
      return { variantId, onHand, par, missing: Math.max(par - onHand, 0) }
    })
    .filter(({ missing }) => missing > 0)
    .sort((a, b) => b.missing / b.par - a.missing / a.par || b.missing - a.missing)
}
