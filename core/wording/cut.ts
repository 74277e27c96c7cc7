import type { Cut, Ride } from '../float/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import { mass, smallLength } from './figures.ts'
import { bearsWord, postureWord } from './names.ts'

/** A cut itself: `wing cut to 60 %`. */
export const cutDone = (part: string, { how, left }: Cut): string =>
  `${part} ${how === 'clipBelow' ? 'clipped below' : 'cut'} to ${Math.round(left * 100)} %`

/** What a cut makes of a fly that floats: `wing cut to 60 %: 3.2 mm clear where it was 6.0, low on the film as now, bears waves`. */
export function cutWords(
  part: string,
  cut: Cut,
  { from, to }: { readonly from: Ride; readonly to: Ride },
  units: DisplayUnits,
): string {
  const posture = postureWord[to.posture] + (to.posture === from.posture ? ' as now' : '')
  const clear = `${smallLength(to.freeHeightMm, units)} clear where it is ${smallLength(from.freeHeightMm, units)}`
  return `${cutDone(part, cut)}: ${clear}, ${posture}, bears ${bearsWord[to.bears]} and ${mass(to.spareMg, units)} more`
}
