const ascending = (values: readonly number[]) => [...values].sort((a, b) => a - b)

/**
 * The value below which a share of a sorted row lies, straight between neighbours (type 7 of Hyndman & Fan 1996).
 *
 * @param sorted ascending; nought stands for an empty row
 * @param share  0 to 1
 */
export function quantile(sorted: ArrayLike<number>, share: number): number {
  const at = share * (sorted.length - 1)
  const below = Math.floor(at)
  const low = sorted[below] ?? 0
  return low + ((sorted[below + 1] ?? low) - low) * (at - below)
}

/** The middle of a row, between the two middle ones where they are even; nought for an empty one. */
export const median = (values: readonly number[]): number => quantile(ascending(values), 0.5)

/** That one of the values which stands in the middle, the upper of two; nought for an empty row. */
export const middleOf = (values: readonly number[]): number =>
  ascending(values)[Math.floor(values.length / 2)] ?? 0
