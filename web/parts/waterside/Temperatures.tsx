import { limitOf } from '../../../contract/limits.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/waterside.ts'
import { shortTemp } from '../../words/words.ts'
import { useMeans } from './means.ts'
import type { AtTheWater } from './useWaterside.ts'

const STEP_C = 0.5
/** Where a reading starts from, before there is one, and where nothing is reckoned. */
const USUAL_C = { waterTemp: 10, airTemp: 14 }

/** Water and air, read off by two taps: up or down by half a degree, the water from what is reckoned of it. */
export function Temperatures({ at, half }: { readonly at: AtTheWater; readonly half: number }) {
  const { standing, note, warmth } = at
  const reckonedC = warmth?.reckonedC[half]
  const usualC = {
    ...USUAL_C,
    ...(reckonedC === undefined ? {} : { waterTemp: Math.round(reckonedC / STEP_C) * STEP_C }),
  }
  const { units } = useMeans()
  const one = (kind: 'waterTemp' | 'airTemp', name: string, tempC: number | null) => {
    const { min, max } = limitOf(kind === 'waterTemp' ? 'waterTempC' : 'airTempC')
    const move = (by: number) =>
      note({ kind, tempC: Math.min(Math.max((tempC ?? usualC[kind]) + by, min), max) })
    return (
      <Row $gap={4} role="group" aria-label={name}>
        <Button large aria-label={`${name}: colder`} onPress={() => move(-STEP_C)}>
          −
        </Button>
        <span>
          {name} {tempC === null ? <Quiet>?</Quiet> : shortTemp(tempC, units)}
        </span>
        <Button large aria-label={`${name}: warmer`} onPress={() => move(STEP_C)}>
          +
        </Button>
      </Row>
    )
  }
  return (
    <>
      {one('waterTemp', labels.water, standing.waterTempC)}
      {one('airTemp', labels.air, standing.airTempC)}
    </>
  )
}
