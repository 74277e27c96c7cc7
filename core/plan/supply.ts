import { dateOf, epochDayOf } from '../season/index.ts'
import type { EveningShare } from './batches.ts'
import type { DrawerUse } from './buying.ts'

/** A drawer as far as it bears on when something can be tied. */
export interface SupplyDrawer {
  readonly key: string
  /** in smallest steps; null where nobody counted it, and then it never holds anything up */
  readonly onHand: number | null
  readonly leadTimeDays: number | null
}

/** What one fly takes of drawers. */
type Bill = readonly { readonly materialId: string; readonly perFly: number }[]

/**
 * Day on which all that each batch needs is there, as far as stores and deliveries are known, in the order in which the
 * batches take from the stores; null where the stores suffice.
 *
 * @param today YYYY-MM-DD, on which what is missing would be ordered
 */
export function readyDays(
  batches: readonly { readonly bill: Bill; readonly count: number }[],
  drawers: readonly SupplyDrawer[],
  today: string,
): readonly (string | null)[] {
  const byKey = new Map(drawers.map((drawer) => [drawer.key, drawer]))
  const taken = new Map<string, number>()
  return batches.map(({ bill, count }) => {
    let latest: string | null = null
    for (const { materialId, perFly } of bill) {
      const drawer = byKey.get(materialId)
      const used = (taken.get(materialId) ?? 0) + perFly * count
      taken.set(materialId, used)
      if (!drawer || drawer.onHand === null || used <= drawer.onHand || drawer.leadTimeDays === null) continue
      const comes = dateOf(epochDayOf(today) + drawer.leadTimeDays)
      if (latest === null || comes > latest) latest = comes
    }
    return latest
  })
}

/** What evenings take of each drawer, and the evening on which it is first needed beyond what is there. */
export function drawerUses<Batch extends { readonly bill: Bill }>(
  evenings: readonly EveningShare<Batch>[],
  drawers: readonly SupplyDrawer[],
): readonly DrawerUse[] {
  const onHand = new Map(drawers.map((drawer) => [drawer.key, drawer.onHand]))
  const uses = new Map<string, { amount: number; neededOn: string | null }>()
  for (const { on, batch, count } of evenings) {
    for (const { materialId, perFly } of batch.bill) {
      const use = uses.get(materialId) ?? { amount: 0, neededOn: null }
      use.amount += perFly * count
      if (use.neededOn === null && use.amount > (onHand.get(materialId) ?? Infinity)) use.neededOn = on
      uses.set(materialId, use)
    }
  }
  return [...uses].map(([key, use]) => ({ key, ...use }))
}
