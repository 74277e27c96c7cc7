/** What one fly takes of a material, in smallest steps, and what there is; null for a drawer that was never counted. */
export interface MaterialNeed {
  readonly materialId: string
  readonly perFly: number
  readonly onHand: number | null
}

/** How many flies the stores still allow and which material is the limit; null where nothing that is counted limits. */
export function fliesAllowed(needs: readonly MaterialNeed[]): { count: number; limitedBy: string } | null {
  let least: { count: number; limitedBy: string } | null = null
  for (const { materialId, perFly, onHand } of needs) {
    if (onHand === null || perFly <= 0) continue
    const count = Math.max(Math.floor(onHand / perFly + 1e-9), 0)
    if (!least || count < least.count) least = { count, limitedBy: materialId }
  }
  return least
}
