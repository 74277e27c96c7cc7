import { dateOf, epochDayOf } from '../season/index.ts'

/** A drawer as buying sees it; amounts in smallest steps. */
export interface BuyableDrawer {
  readonly key: string
  readonly onHand: number | null
  readonly minimum: number | null
  readonly pack: number | null
  readonly priceMinor: number | null
  readonly leadTimeDays: number | null
}

/** What a plan takes of a drawer, and by when. */
export interface DrawerUse {
  readonly key: string
  readonly amount: number
  /** day on which it is first needed beyond what is there, YYYY-MM-DD; null where it is only to fill up */
  readonly neededOn: string | null
}

/** A line of the buying list. */
export interface BuyLine {
  readonly key: string
  readonly amount: number
  /** whole packs; null where nobody noted how it is packed */
  readonly packs: number | null
  readonly priceMinor: number | null
  /** latest day to order, YYYY-MM-DD; null where nothing presses or nobody knows how long it takes */
  readonly orderBy: string | null
}

/** What to buy so that the plan can be tied and no drawer ends below its minimum, in whole packs, the most pressing first. */
export function buyingList(drawers: readonly BuyableDrawer[], uses: readonly DrawerUse[]): readonly BuyLine[] {
  const used = new Map(uses.map((use) => [use.key, use]))
  return drawers
    .flatMap(({ key, onHand, minimum, pack, priceMinor, leadTimeDays }): BuyLine[] => {
      if (onHand === null) return []
      const use = used.get(key)
      const short = (use?.amount ?? 0) + (minimum ?? 0) - onHand
      if (short <= 0) return []
      const packs = pack !== null && pack > 0 ? Math.ceil(short / pack) : null
      const pressing = use && use.amount > onHand ? use.neededOn : null
      return [
        {
          key,
          amount: packs !== null && pack !== null ? packs * pack : short,
          packs,
          priceMinor: packs !== null && priceMinor !== null ? packs * priceMinor : null,
          orderBy:
            pressing !== null && leadTimeDays !== null ? dateOf(epochDayOf(pressing) - leadTimeDays) : null,
        },
      ]
    })
    .sort((a, b) => (a.orderBy ?? '9').localeCompare(b.orderBy ?? '9') || a.key.localeCompare(b.key))
}
