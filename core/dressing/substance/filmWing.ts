import { valueOf } from '../../material/index.ts'
import { flank, middleOf, substance } from './substance.ts'
import type { Seat, Substance } from './substance.ts'

/** A wing cut of film is about a third as wide as long. */
const WIDTH_OF_LENGTH = 0.35

/** Wings cut of film or sheet, so many pieces: flat plates, laid back, upright or spent by their side. */
export function filmWingSubstance(seat: Seat): Substance {
  const { component } = seat
  const { material, side, strands = 1 } = component
  const lengthMm = component.lengthMm ?? 0
  const widthMm = WIDTH_OF_LENGTH * lengthMm
  const massMg =
    strands * lengthMm * widthMm * valueOf(material, 'thicknessMm') * valueOf(material, 'densityMgPerMm3')
  const root = middleOf(seat)
  const upright = side === 'above'
  const spent = side === 'both'
  const at = {
    xMm: root.xMm + (upright || spent ? 0 : lengthMm / 2),
    yMm: root.yMm + (upright ? lengthMm / 2 : 0),
  }
  return substance(seat, massMg, {
    at,
    elements: [
      {
        kind: 'strands',
        at,
        count: strands,
        diameterMm: widthMm,
        lengthMm: Math.max(lengthMm, 0.05),
        axes: upright ? [[0, 1, 0]] : spent ? [[0, 0, 1]] : [[1, 0, 0]],
        foldExponent: valueOf(material, 'foldExponent'),
        envelope: null,
      },
    ],
    film: upright ? null : flank(lengthMm * (spent ? strands : 1), widthMm),
    topMm: upright ? lengthMm : 0,
  })
}
