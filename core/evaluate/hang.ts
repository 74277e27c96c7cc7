import { pinMm } from '../dressing/index.ts'
import type { Fly, Part } from '../dressing/index.ts'
import { eyeCentre } from '../hook/index.ts'
import { sizeNumber } from '../material/index.ts'
import { hungNoseDownDeg } from '../sink/index.ts'
import { waterAt } from '../water/index.ts'
import type { Calibration } from './calibration.ts'
import type { Conditions } from './conditions.ts'
import { loadsOf } from './fallOfParts.ts'
import { preparedParts } from './preparedParts.ts'
import type { Hang } from './report.ts'

const LONGEST_PIN_MM = 30
const ANSWER_MM = 0.2

const withPin = (fly: Fly, lengthMm: number): Fly => ({
  ...fly,
  components: fly.components.map((component) =>
    pinMm(component) === null ? component : { ...component, lengthMm },
  ),
})

/** Tilt from level, degrees: above nought with the nose down. */
export function tiltFromLevelDeg(noseDownDeg: number): number {
  if (noseDownDeg > 90) return 180 - noseDownDeg
  return noseDownDeg < -90 ? -180 - noseDownDeg : noseDownDeg
}

/**
 * How a fly hangs from its eye, and for a balanced one how long its pin must be to hang level.
 *
 * @param parts of the fly as measured and treated, where they are known
 */
export function hangOf(
  fly: Fly,
  conditions: Conditions,
  calibration: Calibration,
  parts = preparedParts(fly, conditions, calibration),
): Hang {
  const water = waterAt(conditions.waterTempC)
  const eye = eyeCentre(fly.hook)
  const hungAt = (tried: readonly Part[]) => hungNoseDownDeg(loadsOf(tried, conditions.wet, water), eye)
  const noseDownDeg = hungAt(parts)
  const bead = fly.components.find((component) => pinMm(component) !== null)
  const pointUp = Math.abs(noseDownDeg) > 90
  if (!bead?.lengthMm) return { noseDownDeg, pointUp, pin: null }
  const tilt = (lengthMm: number) =>
    tiltFromLevelDeg(hungAt(preparedParts(withPin(fly, lengthMm), conditions, calibration)))
  const levelAtMm = levelLength(tilt)
  return {
    noseDownDeg,
    pointUp,
    pin: {
      lengthMm: bead.lengthMm,
      levelAtMm,
      degreesPerFifthMm: Math.abs(tilt(bead.lengthMm + ANSWER_MM) - tilt(bead.lengthMm)),
      clearsEye: (levelAtMm ?? bead.lengthMm) - (sizeNumber(bead.material) ?? 0) / 2 > fly.hook.eyeOuterMm,
    },
  }
}

/** Pin length at which the tilt passes nought, by bisection; a longer pin brings the nose down. */
function levelLength(tilt: (lengthMm: number) => number): number | null {
  let [short, long] = [0.1, LONGEST_PIN_MM]
  if (tilt(short) > 0 || tilt(long) < 0) return null
  while (long - short > 0.01) {
    const middle = (short + long) / 2
    if (tilt(middle) > 0) long = middle
    else short = middle
  }
  return (short + long) / 2
}
