import type { BillLine } from './billOfMaterials.ts'

/** How a drawer is bought; amounts in the smallest step, prices in the currency's smallest coin. */
export interface PricedDrawer {
  readonly packAmount: number | null
  readonly priceMinor: number | null
}

/** What a fly's materials cost. */
export interface FlyCost {
  /** of what has a price, in the smallest coin; a fraction where a fly takes little */
  readonly minor: number
  /** materials that nobody noted a price of */
  readonly unpriced: readonly string[]
}

/** What the materials of one fly cost at the price of their packs, waste included. */
export function costOf(
  bill: readonly BillLine[],
  drawerOf: (materialId: string) => PricedDrawer | null,
): FlyCost {
  let minor = 0
  const unpriced: string[] = []
  for (const { materialId, perFly } of bill) {
    const drawer = drawerOf(materialId)
    if (!drawer?.packAmount || drawer.priceMinor === null) unpriced.push(materialId)
    else minor += (perFly / drawer.packAmount) * drawer.priceMinor
  }
  return { minor, unpriced }
}
