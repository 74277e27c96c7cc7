import { useRef } from 'react'
import type { SaidOfHour } from '../wire/state.ts'
import { useInstrument } from '../wire/useInstrument.ts'
import { Button } from '../ui/Button.tsx'
import { labels } from '../words/moment.ts'

/** Wind that makes a day windy, and below which it is calm, m/s. */
const WINDY_MS = 7
const CALM_MS = 2
/** What a stand-in has about it: air a little warmer than the water, and some wind. */
const STAND_IN = { warmerC: 4, windMs: 3 }

const weatherOf = (windMs: number): SaidOfHour['weather'] | undefined =>
  windMs >= WINDY_MS ? 'windy' : windMs < CALM_MS ? 'calm' : undefined

interface AskTheStationProps {
  readonly waterTempC: number
  readonly onSay: (said: {
    readonly airTempC: number
    readonly weather: SaidOfHour['weather'] | undefined
  }) => void
}

/** Takes air and wind of the hour from a weather station. */
export function AskTheStation({ waterTempC, onSay }: AskTheStationProps) {
  const airTempC = useRef(0)
  const wind = useInstrument('wind', (windMs) =>
    onSay({ airTempC: airTempC.current, weather: weatherOf(windMs) }),
  )
  const air = useInstrument('air', (tempC) => {
    airTempC.current = Math.round(tempC * 10) / 10
    void wind.read(STAND_IN.windMs)
  })
  const fault = air.fault ?? wind.fault
  return (
    <div>
      <Button isDisabled={air.busy || wind.busy} onPress={() => void air.read(waterTempC + STAND_IN.warmerC)}>
        {labels.askTheStation}
      </Button>
      {fault ? <p role="alert">{fault}</p> : null}
    </div>
  )
}
