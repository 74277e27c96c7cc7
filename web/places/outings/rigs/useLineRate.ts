import { useMemo } from 'react'
import type { LineRate, RigInWater } from '../../../../core/index.ts'
import type { RigLine } from '../../../../contract/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { inReach, USUAL_TIP_MM } from '../../../parts/rigs/inReach.ts'
import { fliesFrom, useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import { useJob } from '../../../parts/useJob.ts'

/** What the counts that were made with a rig say of its line; null without any, or while it is not known. */
export function useLineRate(rig: RigLine | null, moment: Moment | null): LineRate | null {
  const sinks = rig?.parts.some((part) => part.kind === 'line' && part.rateMmPerS !== null) ?? false
  const counts = rig && sinks && rig.counts.length > 0 ? rig.counts : null
  const book = useFlyBook(
    counts ? (rig?.parts ?? []).flatMap((part) => ('fly' in part ? (part.fly ?? []) : [])) : [],
    moment?.waterTempC ?? null,
  )
  const asked = useMemo(() => {
    if (!rig || !counts || !book || !moment) return null
    const input: RigInWater = {
      ...inReach(moment, 'counted', moment.reach.typicalDepthMm),
      ...{ parts: rig.parts, flies: fliesFrom(book, rig.parts), tipHeightMm: USUAL_TIP_MM, ledMmPerS: 0 },
    }
    return { input, counts }
  }, [rig, counts, book, moment])
  const { found, isOfThis } = useJob('lineRate', asked, { key: 'lineRate' })
  return isOfThis ? found : null
}
