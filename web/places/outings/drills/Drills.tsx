import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { drill, waterside, wording } from '../../../../core/index.ts'
import { NARROW, useColumn } from '../../../column/marks.ts'
import { useTrueSize } from '../../../drawing/trueSize.ts'
import { halfOf, Waterside } from '../../../parts/waterside/answer.ts'
import { Button } from '../../../ui/Button.tsx'
import { Dense, Heading, Quiet } from '../../../ui/layout.tsx'
import { useAlongQuery, useDrillsQuery, useFrameQuery, useOutingsQuery } from '../../../wire/answers.ts'
import { drillTitle, labels, NEEDS, standingSentence } from '../../../words/drills.ts'
import { useWording } from '../../../words/useWording.ts'
import { DRILL_OF } from './asked.tsx'
import type { DrilledFrom } from './asked.tsx'
import { Run } from './Run.tsx'

/** The middle of the next outing: what fish may be on then, and what does for it; undefined while it is read. */
function useDay(): DrilledFrom['day'] | undefined {
  const { data: frame } = useFrameQuery()
  const { data, isError } = useOutingsQuery()
  const coming = (data?.outings ?? [])
    .filter(({ on, status }) => status === 'planned' && on >= (frame?.today ?? ''))
    .toSorted((a, b) => a.on.localeCompare(b.on))
  const id = coming[0]?.id ?? data?.outings[0]?.id
  const { data: along, isError: isUnread } = useAlongQuery(id ?? '', { skip: !id })
  const day = useMemo(() => {
    if (!along) return null
    const { fromLocalMin, toLocalMin } = along.outing
    const half = halfOf(along, (fromLocalMin + toLocalMin) / 2)
    const names = new Map<string, string>([
      ...along.flies.map(({ variantId, name }) => [variantId, name] as const),
      ...along.stages.map(({ foodStageId, name }) => [foodStageId, name] as const),
    ])
    const day = new Waterside(along).dayAt(half, waterside.standingAfter([]))
    return { ...day, nameOf: (key: string) => names.get(key) ?? key }
  }, [along])
  const isComing = id ? !isUnread : !data && !isError
  return day ?? (isComing ? undefined : null)
}

/** Drills for evenings without an outing: what each asks, how it stands, and its three minutes. */
export default function Drills() {
  useColumn(NARROW)
  const { data: view } = useDrillsQuery()
  const day = useDay()
  const { units } = useWording()
  const pxPerMm = useTrueSize()
  const [running, setRunning] = useState<drill.Drill | null>(null)
  const [nowMs] = useState(() => Date.now())
  if (!view) return <p aria-busy="true">{labels.turningThePages}</p>
  const from: DrilledFrom = { view, day: day ?? null, units, pxPerMm }
  return (
    <>
      <Heading>
        <h1>{labels.drills}</h1>
        <Link to="/outings">{labels.backToOutings}</Link>
      </Heading>
      {running ? (
        <Run key={running} drillKey={running} from={from} onDone={() => setRunning(null)} />
      ) : (
        <>
          <p>{labels.about}</p>
          <Dense aria-label={labels.drills} style={{ width: '100%', maxWidth: 720 }}>
            <tbody>
              {drill.DRILLS.map((key) => {
                const canBe = DRILL_OF[key].subjects(from).length > 0
                const lacks = key === 'flyForSigns' && day === undefined ? labels.reading : NEEDS[key]
                return (
                  <tr key={key}>
                    <td>{drillTitle(key)}</td>
                    <td>
                      <Quiet>{canBe ? standingSentence(view.standings[key] ?? [], nowMs) : lacks}</Quiet>
                    </td>
                    <td style={{ width: 84 }}>
                      <Button
                        isDisabled={!canBe}
                        onPress={() => setRunning(key)}
                        aria-label={`${labels.start}: ${wording.drillName[key]}`}
                      >
                        {labels.start}
                      </Button>
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </Dense>
        </>
      )}
    </>
  )
}
