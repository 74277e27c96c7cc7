import { finding, hullOf, is, KINDS } from '../dressing/index.ts'
import type { FitFinding, Fly } from '../dressing/index.ts'
import { valueOf } from '../material/index.ts'
import type { Attitude } from '../sink/index.ts'

/** A weighted fly thicker than this share of its gape hides its outline and is dragged up by its own dressing. */
const OVERDRESSED_OF_GAPE = 0.8
/** Nothing but thread belongs within this share of the shank behind the eye, or the knot has no room. */
const EYE_FREE_OF_SHANK = 0.05

function overdressed(fly: Fly): readonly FitFinding[] {
  const body = fly.components.find(({ kind }) => is(kind, 'bulky'))
  const weighted = fly.components.some(
    ({ kind, material }) => is(kind, 'weighs') && valueOf(material, 'densityMgPerMm3') > 1,
  )
  if (!body || !weighted) return []
  const found = Math.max(...hullOf(fly).map(({ diameterMm }) => diameterMm)) / fly.hook.gapeMm
  return found > OVERDRESSED_OF_GAPE
    ? [finding(body, 'caution', 'overdressed', found, OVERDRESSED_OF_GAPE)]
    : []
}

function crowdedEye(fly: Fly): readonly FitFinding[] {
  if (fly.components.some(({ kind }) => KINDS[kind].layer === 'head')) return []
  const limit = EYE_FREE_OF_SHANK * fly.hook.shankMm
  const close = fly.components.find(({ kind, fromMm }) => is(kind, 'crowdsEye') && fromMm < limit)
  return close ? [finding(close, 'caution', 'eyeCrowded', close.fromMm, limit)] : []
}

/** What a practised tier would say of a dressing that fits: cautions only. */
export const senseOf = (fly: Fly): readonly FitFinding[] => [...overdressed(fly), ...crowdedEye(fly)]

/** A falling fly that nothing holds steady is likely to roll on its side. */
export function rollOf(fly: Fly, attitude: Attitude): readonly FitFinding[] {
  const [first] = fly.components
  if (attitude.hold === 'steady' || !first) return []
  return [finding(first, 'caution', 'mayRoll', attitude.noseDownDeg, 0)]
}
