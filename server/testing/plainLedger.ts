/** What one command did to one fly of one compartment. */
interface Change {
  readonly place: string
  readonly variant: string
  readonly delta: number
}

/** The ledger of flies as plainly as it can be kept: a map of counts, and what each action changed. */
export function makePlainLedger() {
  const counts = new Map<string, number>()
  const done = new Map<string, readonly Change[]>()
  const key = (place: string, variant: string) => `${place} ${variant}`
  const at = (place: string, variant: string) => counts.get(key(place, variant)) ?? 0
  function apply(actionId: string, changes: readonly Change[]): void {
    if (done.has(actionId)) return
    for (const { place, variant, delta } of changes) counts.set(key(place, variant), at(place, variant) + delta)
    done.set(actionId, changes)
  }
  return {
    apply,
    at,
    /** the action that takes another back, once and for all */
    undo: (actionId: string, undone: string) =>
      apply(
        actionId,
        (done.get(undone) ?? []).map((change) => ({ ...change, delta: -change.delta })),
      ),
    counts: () => new Map([...counts].filter(([, count]) => count !== 0)),
  }
}
