import type { ReachId, ReachSeasonView, ReachWarmth } from '../../../contract/index.ts'
import { useTakeReadings } from '../../wire/useTakeReadings.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { gauge } from './gauge.ts'
import { OneReading } from './OneReading.tsx'
import { ReadGauge } from './ReadGauge.tsx'
import { TableOfReadings } from './TableOfReadings.tsx'
import { labels } from '../../words/waters.ts'

interface TakeReadingsProps {
  readonly reachId: ReachId
  readonly isDemo: boolean
  readonly today: string
  /** minute of the day that it is now */
  readonly nowMin: number
  readonly warmth: ReachWarmth
  readonly level: ReachSeasonView['level']
}

/** One reading by hand; or a table, pasted or from a file, with what it says before it is taken in. */
export function TakeReadings({ reachId, isDemo, today, nowMin, warmth, level }: TakeReadingsProps) {
  const { take, refused } = useTakeReadings(reachId)
  return (
    <>
      <OneReading today={today} nowMin={nowMin} onTake={(rows) => take('entered', JSON.stringify(rows))} />
      <TableOfReadings onTake={take} />
      {isDemo ? (
        <Row style={{ paddingTop: 10 }}>
          <Button onPress={() => void take('simulated', JSON.stringify(gauge(warmth, today)))}>
            {labels.takeTwoDaysFrom}
          </Button>
          <ReadGauge today={today} nowMin={nowMin} level={level} onTake={take} />
          <Quiet>{labels.madeUpNoGauge}</Quiet>
        </Row>
      ) : null}
      {refused ? <Fault>{refused}</Fault> : null}
    </>
  )
}
