import { hullOf } from '../dressing/index.ts'
import type { FitFinding, Fly, FlyComponent } from '../dressing/index.ts'
import { sizeNumber, strandDiameterMm } from '../material/index.ts'
import type { Attitude } from '../sink/index.ts'

/** A weighted fly thicker than this share of its gape hides its outline and is dragged up by its own dressing. */
const OVERDRESSED_OF_GAPE = 0.8
/** Nothing but thread belongs within this share of the shank behind the eye, or the knot has no room. */
const EYE_FREE_OF_SHANK = 0.05
/** Thread, in denier, that holds soft fur and that holds flared hair or a strip of skin. */
const THREAD_FOR = { fur: 40, hair: 100 }
/** A rib that covers more of a soft body than this presses it flat. */
const RIB_COVERS = 0.35

const caution = (
  code: FitFinding['code'],
  component: FlyComponent,
  found: number,
  limit: number,
): FitFinding => ({ severity: 'caution', code, componentKey: component.key, found, limit })

function overdressed(fly: Fly): readonly FitFinding[] {
  const body = fly.components.find(({ kind }) => kind === 'body' || kind === 'collar' || kind === 'thorax')
  const weighted = fly.components.some(({ kind }) => kind === 'bead' || kind === 'wire' || kind === 'cone')
  if (!body || !weighted) return []
  const found = Math.max(...hullOf(fly).map(({ diameterMm }) => diameterMm)) / fly.hook.gapeMm
  return found > OVERDRESSED_OF_GAPE ? [caution('overdressed', body, found, OVERDRESSED_OF_GAPE)] : []
}

function crowdedEye(fly: Fly): readonly FitFinding[] {
  if (fly.components.some(({ kind }) => kind === 'bead' || kind === 'cone')) return []
  const limit = EYE_FREE_OF_SHANK * fly.hook.shankMm
  const close = fly.components.find(
    ({ kind, fromMm }) => ['hackle', 'collar', 'wing', 'thorax', 'post'].includes(kind) && fromMm < limit,
  )
  return close ? [caution('eyeCrowded', close, close.fromMm, limit)] : []
}

function fineThread(fly: Fly): readonly FitFinding[] {
  const thread = fly.components.find(({ kind }) => kind === 'thread')
  const denier = thread ? sizeNumber(thread.material) : null
  if (!thread || denier === null) return []
  const kinds = fly.components.map(({ material }) => material.family.kind)
  const limit = kinds.includes('hair') || kinds.includes('strip') ? THREAD_FOR.hair : THREAD_FOR.fur
  return denier < limit * 0.7 ? [caution('threadTooFine', thread, denier, limit)] : []
}

function mattingRib(fly: Fly): readonly FitFinding[] {
  return fly.components.flatMap((rib) => {
    if (rib.kind !== 'rib' || !rib.turns) return []
    const soft = fly.components.some(
      ({ kind, material, fromMm, toMm }) =>
        kind === 'body' && material.family.kind === 'dubbing' && fromMm < rib.toMm && rib.fromMm < toMm,
    )
    const covers = (rib.turns * strandDiameterMm(rib.material)) / Math.max(rib.toMm - rib.fromMm, 0.1)
    return soft && covers > RIB_COVERS ? [caution('ribMats', rib, covers, RIB_COVERS)] : []
  })
}

/** What a practised tier would say of a dressing that fits: cautions only. */
export const senseOf = (fly: Fly): readonly FitFinding[] => [
  ...overdressed(fly),
  ...crowdedEye(fly),
  ...fineThread(fly),
  ...mattingRib(fly),
]

/** A falling fly that nothing holds steady is likely to roll on its side. */
export function rollOf(fly: Fly, attitude: Attitude): readonly FitFinding[] {
  const [first] = fly.components
  if (attitude.hold === 'steady' || !first) return []
  return [caution('mayRoll', first, attitude.noseDownDeg, 0)]
}
