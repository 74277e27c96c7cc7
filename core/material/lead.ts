/** Lead lies between 11.0 and 11.6 mg/mm³ (pure 11.34, with a little antimony less); no other goods of tiers do. */
export const isLeadDensity = (densityMgPerMm3: number): boolean =>
  densityMgPerMm3 >= 11 && densityMgPerMm3 <= 11.6

/** What is tied in for its weight: metal or glass that is no thin rib. */
const HEAVY_MG_PER_MM3 = 2
const RIB_MM = 0.2
const WEIGHING: ReadonlySet<string> = new Set(['bead', 'cone', 'eyes', 'sheet'])

/** Whether goods of a kind, density and thickness count as added weight. */
export const isAddedWeight = (kind: string, densityMgPerMm3: number, thicknessMm: number): boolean =>
  densityMgPerMm3 >= HEAVY_MG_PER_MM3 && (WEIGHING.has(kind) || (kind === 'wire' && thicknessMm >= RIB_MM))

/** Goods of a fly as rules ask after them. */
interface RuledGoods {
  readonly kind: string
  readonly densityMgPerMm3: number
  /** size as a number, mm for wires; null where they have none */
  readonly size: number | null
}

/** Whether lead, and whether any weight is among what a fly is made of. */
export const weightAmong = (
  goods: readonly RuledGoods[],
): { readonly lead: boolean; readonly weighted: boolean } => ({
  lead: goods.some(({ densityMgPerMm3 }) => isLeadDensity(densityMgPerMm3)),
  weighted: goods.some(({ kind, densityMgPerMm3, size }) => isAddedWeight(kind, densityMgPerMm3, size ?? 0)),
})
