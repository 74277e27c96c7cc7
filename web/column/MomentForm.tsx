import { useState } from 'react'
import type { RefObject } from 'react'
import { Dialog, Popover } from 'react-aria-components'
import styled from 'styled-components'
import { CLARITIES, epochDayOf } from '../../core/index.ts'
import type { FrameView } from '../../contract/index.ts'
import { chooseMoment, sayOfHour } from '../wire/state.ts'
import type { ChosenMoment, SaidNow, SaidOfHour } from '../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import type { Moment } from '../moment/useMoment.ts'
import { clockTime, parseClock } from '../words/words.ts'
import { Button } from '../ui/Button.tsx'
import { TextField } from '../ui/fields.tsx'
import { Select } from '../ui/Select.tsx'
import { useTakeReadings } from '../wire/useTakeReadings.ts'
import { AskTheStation } from './AskTheStation.tsx'
import { SaidTemperature } from './SaidTemperature.tsx'
import { labels } from '../words/moment.ts'

const Panel = styled(Popover)`
  font-size: 0.875rem;
  width: min(340px, calc(100vw - 16px));
  padding: 12px;
  overflow-y: auto;
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  .form,
  .pair {
    display: grid;
    gap: 8px;
    outline: 0;
  }
  .pair {
    grid-template-columns: 1fr 1fr;
  }
`

const NOT_SAID = { id: '', name: 'not said' }
const LEVELS = [NOT_SAID, ...['falling', 'steady', 'rising'].map((id) => ({ id, name: id }))]
const WEATHERS = [NOT_SAID, ...['bright', 'dull', 'windy', 'calm', 'rain'].map((id) => ({ id, name: id }))]
const CLARITY_CHOICES = [NOT_SAID, ...CLARITIES.map((id) => ({ id, name: id }))]
const AIR = { min: -40, max: 50 }
const WATER = { min: 0, max: 30 }

interface MomentFormProps {
  readonly frame: FrameView
  readonly moment: Moment
  /** what it hangs from */
  readonly head: RefObject<HTMLElement | null>
  readonly onDone: () => void
}

/** Reach, day and hour, and what is known of the hour: level, weather, air. Each figure follows at once. */
export default function MomentForm({ frame, moment, head, onDone }: MomentFormProps) {
  const { units } = frame.settings
  const { reachId, on, localMin, said = {} } = moment
  const chosen = useAppSelector((state) => state.view.moment)
  const dispatch = useAppDispatch()
  const [hour, setHour] = useState(clockTime(localMin))
  /** how often the station has written over what was typed */
  const [stationAsked, setStationAsked] = useState(0)
  const { take, refused } = useTakeReadings(reachId)
  const choose = (change: Partial<ChosenMoment>) =>
    dispatch(chooseMoment({ reachId, on, localMin, said, ...change }))
  const say = (change: SaidNow) => dispatch(sayOfHour({ of: { reachId, on, localMin, said }, said: change }))
  const told = (by: SaidNow) => {
    say(by)
    setStationAsked((times) => times + 1)
  }
  // a reading that is kept speaks for this hour and for the days after it: nothing is left to say
  const keep = async (tempC: number) => {
    const row = [epochDayOf(on), localMin, Math.round(tempC * 100), null, null]
    if (await take('entered', JSON.stringify([row]))) say({ waterTempC: undefined })
  }
  return (
    <Panel
      triggerRef={head}
      isOpen
      isNonModal
      placement="bottom end"
      offset={4}
      onOpenChange={(open) => (open ? undefined : onDone())}
    >
      <Dialog className="form" aria-label={labels.theMoment}>
        <Select
          label={labels.reach}
          value={reachId}
          choices={frame.reaches.map((reach) => ({
            id: reach.reachId,
            name:
              reach.waterName === reach.reachName ? reach.reachName : `${reach.waterName}, ${reach.reachName}`,
          }))}
          onChange={(id) => choose({ reachId: id })}
        />
        <div className="pair">
          <TextField
            label={labels.day}
            type="date"
            value={on}
            onChange={(day) => (day.length === 10 ? choose({ on: day }) : undefined)}
          />
          <TextField
            label={labels.hour}
            value={hour}
            onChange={(text) => {
              setHour(text)
              const minute = parseClock(text)
              if (minute !== null) choose({ localMin: minute })
            }}
            fault={parseClock(hour) === null ? 'Write it as 13:00.' : undefined}
          />
          <Select
            label={labels.level}
            value={said.level ?? ''}
            choices={LEVELS}
            onChange={(id) => say({ level: (id || undefined) as SaidOfHour['level'] })}
          />
          <Select
            label={labels.weather}
            value={said.weather ?? ''}
            choices={WEATHERS}
            onChange={(id) => say({ weather: (id || undefined) as SaidOfHour['weather'] })}
          />
          <Select
            label={labels.clarity}
            value={said.clarity ?? ''}
            choices={CLARITY_CHOICES}
            onChange={(id) => say({ clarity: (id || undefined) as SaidOfHour['clarity'] })}
          />
          <SaidTemperature
            key={stationAsked}
            label={labels.air}
            units={units}
            limits={AIR}
            saidC={said.airTempC}
            onSay={(airTempC) => say({ airTempC })}
          />
          <SaidTemperature
            label={labels.waterByYourOwn}
            units={units}
            limits={WATER}
            saidC={said.waterTempC}
            onSay={(waterTempC) => say({ waterTempC })}
          />
        </div>
        {frame.isDemo ? <AskTheStation waterTempC={moment.waterTempC} onSay={told} /> : null}
        {said.waterTempC === undefined ? (
          <p style={{ color: 'var(--quiet)' }}>{labels.waterByThisReachs}</p>
        ) : (
          <div style={{ display: 'flex', gap: 8, alignItems: 'center' }}>
            <Button onPress={() => void keep(said.waterTempC ?? 0)}>{labels.keepAsAReading}</Button>
            <span style={{ color: 'var(--quiet)' }}>{labels.andTheSeasonFollows}</span>
          </div>
        )}
        {refused ? <p role="alert">{refused}</p> : null}
        <div style={{ display: 'flex', gap: 6 }}>
          <Button onPress={onDone}>{labels.done}</Button>
          {chosen ? (
            <Button look="quiet" onPress={() => dispatch(chooseMoment(null))}>
              {labels.nextOuting}
            </Button>
          ) : null}
        </div>
      </Dialog>
    </Panel>
  )
}
