import { useState } from 'react'
import type { ReachId, ReachWarmth } from '../../../contract/index.ts'
import { toFailure, useTakeReadingsMutation } from '../../wire/api.ts'
import { newId } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { gauge } from './gauge.ts'
import { OneReading } from './OneReading.tsx'
import { TableOfReadings } from './TableOfReadings.tsx'
import type { Source } from './TableOfReadings.tsx'
import { labels } from '../../words/waters.ts'

const UNDER_THE_SURFACE_MM = 300

interface TakeReadingsProps {
  readonly reachId: ReachId
  readonly isDemo: boolean
  readonly today: string
  readonly warmth: ReachWarmth
}

/** One reading by hand; or a table, pasted or from a file, with what it says before it is taken in. */
export function TakeReadings({ reachId, isDemo, today, warmth }: TakeReadingsProps) {
  const [send] = useTakeReadingsMutation()
  const [refused, setRefused] = useState<string | null>(null)
  const take = async (source: Source, rowsJson: string) => {
    const { error } = await send({
      id: newId(),
      importId: newId(),
      reachId,
      depthMm: UNDER_THE_SURFACE_MM,
      source,
      rowsJson,
    })
    if (!error) {
      setRefused(null)
      return true
    }
    const failure = toFailure(error)
    setRefused(
      failure.kind === 'problem'
        ? failure.problem.detail
        : 'The server does not answer. Nothing was taken in; try again when it does.',
    )
    return false
  }
  return (
    <>
      <OneReading today={today} onTake={(rows) => take('entered', JSON.stringify(rows))} />
      <TableOfReadings onTake={take} />
      {isDemo ? (
        <Row style={{ paddingTop: 10 }}>
          <Button onPress={() => void take('simulated', JSON.stringify(gauge(warmth, today)))}>
            {labels.takeTwoDaysFrom}
          </Button>
          <Quiet>{labels.madeUpNoGauge}</Quiet>
        </Row>
      ) : null}
      {refused ? <Fault>{refused}</Fault> : null}
    </>
  )
}
