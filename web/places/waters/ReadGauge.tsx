import { epochDayOf } from '../../../core/index.ts'
import type { ReachSeasonView } from '../../../contract/index.ts'
import { useInstrument } from '../../wire/useInstrument.ts'
import type { TakeReadings } from '../../wire/useTakeReadings.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault } from '../../ui/layout.tsx'
import { labels } from '../../words/waters.ts'
import { USUAL_LEVEL_MM } from './gauge.ts'

interface ReadGaugeProps {
  readonly today: string
  readonly nowMin: number
  readonly level: ReachSeasonView['level']
  readonly onTake: TakeReadings
}

/** Reads the level off a gauge, now. */
export function ReadGauge({ today, nowMin, level, onTake }: ReadGaugeProps) {
  const { read, busy, fault } = useInstrument('level', (mm) => {
    void onTake('simulated', JSON.stringify([[epochDayOf(today), nowMin, null, Math.round(mm), null]]))
  })
  return (
    <>
      <Button isDisabled={busy} onPress={() => void read(level?.levelMm ?? USUAL_LEVEL_MM)}>
        {labels.readTheGauge}
      </Button>
      {fault ? <Fault>{fault}</Fault> : null}
    </>
  )
}
