import { Activity, useState } from 'react'
import type { ReactNode } from 'react'
import styled from 'styled-components'
import { Button } from '../../ui/Button.tsx'
import { Checkbox } from '../../ui/fields.tsx'
import { OneOf } from '../../ui/OneOf.tsx'
import { Caution, Quiet, Row } from '../../ui/layout.tsx'
import { asCss } from '../../ui/tokens.ts'
import { minuteOfDay } from '../../words/instants.ts'
import { labels, readAgainst } from '../../words/waterside.ts'
import { clockTime, shortTemp } from '../../words/words.ts'
import { halfOf } from './answer.ts'
import { Fish } from './Fish.tsx'
import { Look } from './Look.tsx'
import { useMeans } from './means.ts'
import { PutOn } from './PutOn.tsx'
import { Rise } from './Rise.tsx'
import { useClock, useWaterside } from './useWaterside.ts'
import type { AtTheWater, TapLog } from './useWaterside.ts'
import type { AlongView, AlongWarmth } from '../../../contract/index.ts'

const STEPS = ['look', 'putOn', 'fish', 'rise'] as const
type StepName = (typeof STEPS)[number]

const Page = styled.div<{ $sun: boolean }>`
  ${({ $sun }) => ($sun ? asCss('sun') : '')}
  background: var(--ground);
  color: var(--ink);
  max-width: 1120px;
  display: flex;
  flex-direction: column;
  @media (max-width: 700px) {
    min-height: calc(100dvh - 220px);
    /* for a wet thumb, whatever a button is elsewhere */
    button {
      min-height: 48px;
      min-width: 48px;
    }
  }
`
/** On a phone the steps lie under the thumb. */
const Steps = styled.div`
  position: sticky;
  top: -14px;
  z-index: 2;
  padding: 6px 0;
  background: var(--ground);
  border-bottom: 1px solid var(--rule);
  > div {
    flex-wrap: nowrap;
  }
  button {
    min-height: 48px;
    flex: 1;
  }
  @media (max-width: 700px) {
    order: 1;
    margin-top: auto;
    top: auto;
    bottom: 0;
    /* what scrolls below it is not read through the sheet's own edge */
    box-shadow: 0 40px 0 var(--ground);
    border-top: 1px solid var(--rule);
    border-bottom: 0;
  }
`

/** What is known of the hour: which one it is, and what was read off. */
function Hour({ localMin, at }: { readonly localMin: number; readonly at: AtTheWater }) {
  const { units } = useMeans()
  const { along, standing, warmth } = at
  const { waterTempC } = standing
  const mostC = warmth?.rows.map(({ warmerC }) => warmerC) ?? []
  const from = along.fromLocalMin + 30 * halfOf(along, localMin)
  return (
    <Quiet>
      {labels.asAt} {clockTime(from)}–{clockTime(from + 30)}
      {waterTempC === null
        ? ''
        : `; ${labels.water} ${shortTemp(waterTempC, units)}, ${readAgainst(at.warmerC, mostC, units)}`}
    </Quiet>
  )
}

/** From here on trout do not recover well, °C. */
const TOO_WARM_C = 19

/** At the water: look, put on, fish, and listen to one fish; a thumb is enough. */
export function There({
  along,
  warmth,
  log,
  today,
}: {
  readonly along: AlongView
  /** what fish would be on were the water warmer or colder; null while that is not known */
  readonly warmth: AlongWarmth | null
  readonly log: TapLog
  /** whether it is the day of the outing: else its middle stands for the hour */
  readonly today: boolean
}) {
  const at = useWaterside(along, warmth, log)
  const [step, setStep] = useState<StepName>(at.standing.fished.length > 0 ? 'fish' : 'look')
  const [sun, setSun] = useState(false)
  const nowMs = useClock(20_000)
  const { fromLocalMin, toLocalMin } = along.outing
  const localMin = today ? minuteOfDay(nowMs, along.timeZone) : (fromLocalMin + toLocalMin) / 2
  const half = halfOf(along, localMin)
  const { waterTempC } = at.standing
  // what is not looked at is brought up to date after what is, and stands ready for the next tap
  const faces: Readonly<Record<StepName, ReactNode>> = {
    look: <Look at={at} half={half} />,
    putOn: <PutOn at={at} half={half} onTied={() => setStep('fish')} />,
    fish: <Fish at={at} half={half} onPutOn={() => setStep('putOn')} onRise={() => setStep('rise')} />,
    rise: <Rise {...at} />,
  }
  return (
    <Page $sun={sun}>
      <Row>
        <Hour localMin={localMin} at={at} />
        <Checkbox isSelected={sun} onChange={setSun}>
          {labels.sun}
        </Checkbox>
        {at.undo ? (
          <Button onPress={at.undo} look="quiet">
            {labels.undo}
          </Button>
        ) : null}
      </Row>
      {waterTempC !== null && waterTempC >= TOO_WARM_C ? <Caution>{labels.tooWarm}</Caution> : null}
      <Steps>
        <OneOf
          label={labels.steps}
          choices={STEPS.map((id) => ({ id, name: labels[id] }))}
          chosen={step}
          onChoose={setStep}
        />
      </Steps>
      {STEPS.map((id) => (
        <Activity key={id} mode={id === step ? 'visible' : 'hidden'}>
          {faces[id]}
        </Activity>
      ))}
    </Page>
  )
}
