/** Flies of a variant that are gone from a compartment. */
export interface Gone {
  readonly compartmentId: string
  readonly variantId: string
  readonly count: number
}

const isOf = (compartmentId: string, variantId: string) => (entry: Gone) =>
  entry.compartmentId === compartmentId && entry.variantId === variantId

/** How many of a variant are marked as gone from a compartment. */
export const goneOf = (gone: readonly Gone[], compartmentId: string, variantId: string): number =>
  gone.find(isOf(compartmentId, variantId))?.count ?? 0

/** One more marked as gone, or one fewer; none is no mark. */
export function marked(
  gone: readonly Gone[],
  compartmentId: string,
  variantId: string,
  by: 1 | -1,
): readonly Gone[] {
  const count = goneOf(gone, compartmentId, variantId) + by
  const others = gone.filter((entry) => !isOf(compartmentId, variantId)(entry))
  return count > 0 ? [...others, { compartmentId, variantId, count }] : others
}
