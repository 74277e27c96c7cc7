import { lengthOf } from '../../../../core/index.ts'
import type { RigPart } from '../../../../core/index.ts'

/** No piece is made shorter by sliding, mm. */
const LEAST_MM = 40

/** A rig with a piece's lower end moved along it: what is above grows by what the piece below loses, or the other way. */
export function slidden(parts: readonly RigPart[], upper: number, byMm: number): readonly RigPart[] {
  const lower = parts.findIndex((part, i) => i > upper && lengthOf(part) > 0)
  const [above, below] = [parts[upper], parts[lower]]
  if (!above || !('lengthMm' in above)) return parts
  const least = LEAST_MM - above.lengthMm
  const most = below && 'lengthMm' in below ? below.lengthMm - LEAST_MM : Infinity
  const by = Math.round(Math.min(Math.max(byMm, least), most))
  return parts.map((part, i) => {
    if (i === upper) return { ...above, lengthMm: above.lengthMm + by }
    return i === lower && below && 'lengthMm' in below ? { ...below, lengthMm: below.lengthMm - by } : part
  })
}
