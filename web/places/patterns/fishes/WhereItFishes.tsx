import { lazy, Suspense, useMemo, useState } from 'react'
import { isStillwater } from '../../../../core/index.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { OneOf } from '../../../ui/OneOf.tsx'
import { labels } from '../../../words/fishes.ts'
import type { WorkedOut } from '../useFlyReport.ts'

const UnderFloat = lazy(() => import('./UnderFloat.tsx'))
const OnTightLine = lazy(() => import('./OnTightLine.tsx'))
const CountedDown = lazy(() => import('./CountedDown.tsx'))

type How = 'float' | 'tight' | 'count'

/** Where a fly that sinks really fishes: on the rig that it is fished with, in the water of the moment. */
export default function WhereItFishes({ worked }: { readonly worked: WorkedOut }) {
  const moment = useMoment()
  const reach = moment?.reach
  const isStill = reach ? isStillwater(reach.waterKind) : false
  const [chosen, setChosen] = useState<How | null>(null)
  const { report, calibration } = worked
  const model = useMemo(() => (report.kind === 'sinks' ? { ...report.model, tippet: null } : null), [report])
  if (!model || !reach) return null
  const how = chosen ?? (isStill ? 'count' : 'float')
  const asked = { model, dragSdLog: calibration.dragSdLog, reach, key: reach.reachId }
  const choices = [
    { id: 'float', name: labels.underAFloat },
    ...(isStill ? [] : [{ id: 'tight', name: labels.onATightLine } as const]),
    { id: 'count', name: labels.countedDown },
  ] as const
  return (
    <section aria-label={labels.whereItFishes} style={{ paddingTop: 10 }}>
      <OneOf label={labels.fishedHow} choices={choices} chosen={how} onChoose={setChosen} />
      <Suspense fallback={<p aria-busy="true">{labels.reckons}</p>}>
        {how === 'float' ? <UnderFloat {...asked} /> : null}
        {how === 'tight' ? <OnTightLine {...asked} /> : null}
        {how === 'count' ? <CountedDown {...asked} /> : null}
      </Suspense>
    </section>
  )
}
