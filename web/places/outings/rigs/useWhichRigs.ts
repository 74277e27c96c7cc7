import { useMemo } from 'react'
import { fliesOnRig } from '../../../../core/index.ts'
import type { BringTo, RigInWater } from '../../../../core/index.ts'
import type { RigLine } from '../../../../contract/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { inReach, USUAL_TIP_MM, usualLead } from '../../../parts/rigs/inReach.ts'
import { fliesFrom, useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import { useJob } from '../../../parts/useJob.ts'
import type { Worked } from '../../../parts/useJob.ts'
import type { JobProgress } from '../../../workers/jobs.ts'

/** Two depths between which flies are wanted, mm. */
export interface Wanted {
  readonly fromMm: number
  readonly toMm: number
}

/** How each rig is brought between two depths, by the ids of the rigs: none that is not reckoned yet. */
export interface WhichRigs extends Pick<Worked<unknown>, 'isBroken' | 'again'> {
  readonly brought: ReadonlyMap<string, BringTo>
}

const soFarOf = ({ soFar }: JobProgress<'bringAllTo'>) => soFar

/** How each rig is brought between two depths, in a worker, told one by one. */
export function useWhichRigs(
  rigs: readonly RigLine[],
  moment: Moment | null,
  wanted: Wanted | null,
  /** the fly that is to be there; null where any of a rig will do */
  fly: string | null,
): WhichRigs {
  const ids = useMemo(
    () => rigs.flatMap(({ parts }) => parts.flatMap((part) => ('fly' in part ? (part.fly ?? []) : []))),
    [rigs],
  )
  const book = useFlyBook(ids, moment?.waterTempC ?? null)
  const asked = useMemo(() => {
    if (!book || !moment || !wanted || wanted.fromMm >= wanted.toMm) return null
    const inputs = rigs.map(({ parts, way }): RigInWater => ({
      ...inReach(moment, way, moment.reach.typicalDepthMm),
      parts,
      ...(fly === null ? {} : { askedFly: fliesOnRig(parts).lastIndexOf(fly) }),
      flies: fliesFrom(book, parts),
      tipHeightMm: USUAL_TIP_MM,
      ledMmPerS: usualLead(moment),
    }))
    return { inputs, between: wanted }
  }, [rigs, book, moment, wanted, fly])
  const { found, isOfThis, isBroken, again } = useJob('bringAllTo', asked, { key: 'whichRigs', soFar: soFarOf })
  const told = isOfThis ? found : null
  const brought = useMemo(
    () => new Map((told ?? []).flatMap((one, i) => (rigs[i] ? [[rigs[i].id, one] as const] : []))),
    [told, rigs],
  )
  return { brought, isBroken, again }
}
