/** At least three: one to lose, one to lend, one to fish. */
const USUAL_PAR = 3

/** How many of a variant are kept: its own par, else the usual one where it has a home, else none. */
export const parOf = (
  { parCount, hasHome }: { readonly parCount: number | null; readonly hasHome: boolean },
  usualPar = USUAL_PAR,
): number => parCount ?? (hasHome ? usualPar : 0)

/** A variant that has a home in a box. */
export interface ParLine<Id extends string = string> {
  readonly variantId: Id
  readonly onHand: number
  /** null for the usual par */
  readonly parCount: number | null
}

/** A variant below its par. */
export interface BelowPar<Id extends string = string> {
  readonly variantId: Id
  readonly onHand: number
  readonly par: number
  readonly missing: number
}

/** What is below par, the emptiest first: by the share that is missing, then by how many are. */
export function belowPar<Id extends string>(
  lines: readonly ParLine<Id>[],
  usualPar = USUAL_PAR,
): readonly BelowPar<Id>[] {
  return lines
    .map(({ variantId, onHand, parCount }) => {
      const par = parOf({ parCount, hasHome: true }, usualPar)
      return { variantId, onHand, par, missing: Math.max(par - onHand, 0) }
    })
    .filter(({ missing }) => missing > 0)
    .sort((a, b) => b.missing / b.par - a.missing / a.par || b.missing - a.missing)
}

/** Urgencies that differ by less are equal: the sums behind them differ by their last digits. */
const TOLD_APART = 1e-6

/**
 * How urgent it is to tie what is missing: what the foods ahead that it serves are worth, all of it for an empty place
 * and three tenths for one that is nearly full.
 */
export const urgencyOf = ({ missing, par }: Pick<BelowPar, 'missing' | 'par'>, worth: number): number =>
  Math.round((worth * (0.3 + (0.7 * missing) / par)) / TOLD_APART) * TOLD_APART
