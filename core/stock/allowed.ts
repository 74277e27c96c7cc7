/** What one fly takes of a material, in smallest steps, and what there is; null for a drawer that was never counted. */
export interface MaterialNeed<Id extends string = string> {
  readonly materialId: Id
  readonly perFly: number
  readonly onHand: number | null
}

/** How many flies the stores still allow and which material is the limit; null where nothing that is counted limits. */
export function fliesAllowed<Id extends string>(
  needs: readonly MaterialNeed<Id>[],
): { count: number; limitedBy: Id } | null {
  let least: { count: number; limitedBy: Id } | null = null
  for (const { materialId, perFly, onHand } of needs) {
    if (onHand === null || perFly <= 0) continue
    const count = Math.max(Math.floor(onHand / perFly + 1e-9), 0)
    if (!least || count < least.count) least = { count, limitedBy: materialId }
  }
  return least
}
