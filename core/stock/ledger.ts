/** One entry of a ledger: what came or went at one place. */
export interface Entry<Subject extends string = string> {
  readonly subject: Subject
  readonly delta: number
}

/** Sum of entries by subject: what is on hand. */
export function balances(entries: readonly Entry[]): ReadonlyMap<string, number> {
  const sums = new Map<string, number>()
  for (const { subject, delta } of entries) sums.set(subject, (sums.get(subject) ?? 0) + delta)
  return sums
}

/** How a loss is shared over the recipes that lie in a compartment: the oldest first. */
export interface Lot<Subject extends string = string> {
  readonly subject: Subject
  readonly onHand: number
  readonly tiedAtMs: number
}

/** What to take from which lot; `kind: 'tooFew'` with what there is where the lots do not suffice. */
export type Taking<Subject extends string = string> =
  | { readonly kind: 'taken'; readonly entries: readonly Entry<Subject>[] }
  | { readonly kind: 'tooFew'; readonly onHand: number }

/**
 * Takes a number of flies, the oldest recipe first.
 *
 * @throws RangeError for a count that is no whole number above nought
 */
export function takeOldest<Subject extends string>(
  lots: readonly Lot<Subject>[],
  count: number,
): Taking<Subject> {
  if (!Number.isInteger(count) || count <= 0) throw new RangeError(`cannot take ${count} flies`)
  const onHand = lots.reduce((sum, lot) => sum + lot.onHand, 0)
  if (onHand < count) return { kind: 'tooFew', onHand }
  let left = count
  const entries: Entry<Subject>[] = []
  for (const lot of [...lots].sort((a, b) => a.tiedAtMs - b.tiedAtMs)) {
    const taken = Math.min(lot.onHand, left)
    if (taken > 0) entries.push({ subject: lot.subject, delta: -taken })
    left -= taken
  }
  return { kind: 'taken', entries }
}
