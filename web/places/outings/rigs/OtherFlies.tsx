import { useMemo } from 'react'
import { forbiddenAt, wording } from '../../../../core/index.ts'
import type { RigInWater } from '../../../../core/index.ts'
import { toServing } from '../../../../contract/planned.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'
import { useJob } from '../../../parts/useJob.ts'
import { Working } from '../../../parts/Working.tsx'
import { usePlanned } from '../../../wire/planned.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'

interface OtherFliesProps {
  readonly rig: RigInWater
  readonly flies: readonly FlyChoice[]
  readonly moment: Moment
}

/** Flies on hand that may be fished at a moment's water, by its note. */
function useAllowedFlies({ reach }: Moment): readonly string[] | null {
  const plan = usePlanned()
  return useMemo(
    () =>
      plan?.variants
        .filter((variant) => variant.onHand > 0 && forbiddenAt(reach.rules, toServing(variant)) === null)
        .map(({ variantId }) => variantId) ?? null,
    [plan, reach.rules],
  )
}

/** Which flies on hand would do what this rig is meant to: the lightest point that holds the bottom, dries that bear what hangs. */
export default function OtherFlies({ rig, flies, moment }: OtherFliesProps) {
  const { units } = useWording()
  const allowed = useAllowedFlies(moment)
  const book = useFlyBook(allowed ?? [], moment.waterTempC)
  const input = useMemo(() => {
    if (!book || !allowed) return null
    const others = allowed.flatMap((key) => {
      const fly = book.get(key)
      return fly ? [{ key, fly }] : []
    })
    return { rig, others }
  }, [rig, book, allowed])
  const worked = useJob('otherFlies', input, { key: 'otherFlies' })
  const nameOf = (key: string) => flies.find(({ id }) => id === key)?.name ?? ''
  if (!worked.isOfThis || !worked.found) return <Working of={worked} label={labels.reckons} />
  return (
    <p role="status" aria-label={labels.whichWouldDo}>
      {wording.otherFliesSentences(worked.found, rig, nameOf, units).join(' ')}
    </p>
  )
}
