/** How much of a fly is worth drawing at a scale: hairs thinner than the dots that show them only blur it. */
export interface Level {
  readonly name: 'outline' | 'row' | 'sheet'
  /** share of the hairs of fur and pile that are drawn, and of the barbs of a hackle */
  readonly hairs: number
  readonly barbs: number
  /** whether turns, pores, bars and barbules are drawn */
  readonly fine: boolean
  /** steps in which a round body goes from light to dark */
  readonly bands: number
}

const OUTLINE: Level = { name: 'outline', hairs: 0.25, barbs: 0.3, fine: false, bands: 2 }
const ROW: Level = { name: 'row', hairs: 0.35, barbs: 0.5, fine: false, bands: 4 }
const SHEET: Level = { name: 'sheet', hairs: 1, barbs: 1, fine: true, bands: 8 }

/** Level by scale: below 3 px to the mm outlines, to 8 a list's row, beyond all. */
export function levelAt(pxPerMm: number): Level {
  if (pxPerMm < 3) return OUTLINE
  return pxPerMm < 8 ? ROW : SHEET
}
