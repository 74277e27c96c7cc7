import styled from 'styled-components'
import { wording } from '../../core/index.ts'
import { askedOf } from '../moment/useNow.ts'
import { useMoment } from '../moment/useMoment.ts'
import { chooseMoment } from '../wire/state.ts'
import { useAppDispatch } from '../wire/store.ts'
import { useReachDayQuery } from '../wire/answers.ts'
import { clockTime } from '../words/words.ts'
import { labels } from '../words/frame.ts'

const Hours = styled.div`
  display: flex;
  align-items: flex-end;
  gap: 1px;
  padding: 6px 8px 0;
  button {
    position: static;
    flex: 1;
    min-width: 0;
    min-height: 44px;
    padding: 0;
    display: flex;
    flex-direction: column;
    justify-content: flex-end;
    align-items: stretch;
    background: none;
    border: 0;
    border-bottom: 2px solid var(--rule);
    border-radius: 0;
    font: 0.6875rem/1.2 var(--figures);
    text-align: center;
    color: var(--quiet);
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-bottom-color: var(--thistle);
    color: var(--ink);
  }
  .share {
    background: var(--thistle);
    opacity: 0.55;
  }
  button[aria-pressed='true'] .share {
    opacity: 1;
  }
`

const FIRST_HOUR = 4
const LAST_HOUR = 23
const HALVES_PER_HOUR = 2
const MOST_PX = 26
/** Every third hour is written out. */
const WRITTEN = 3

/** The hours of the moment's day, each as high as fish are on some food of their own then; a press turns the clock there. */
export default function DayHours() {
  const moment = useMoment()
  const dispatch = useAppDispatch()
  const { localMin: _hour, ...asked } = askedOf(moment)
  const { data } = useReachDayQuery(asked, { skip: !moment })
  if (!moment || !data) return null
  return (
    <Hours role="group" aria-label={labels.hoursOfTheDay}>
      {Array.from({ length: LAST_HOUR - FIRST_HOUR + 1 }, (_, i) => FIRST_HOUR + i).map((hour) => {
        const onFood = 1 - (data.whatever[hour * HALVES_PER_HOUR] ?? 1)
        return (
          <button
            key={hour}
            type="button"
            aria-pressed={Math.floor(moment.localMin / 60) === hour}
            aria-label={`${clockTime(hour * 60)}, ${wording.fishOnIt(onFood)} on some food`}
            onClick={() =>
              dispatch(
                chooseMoment({
                  reachId: moment.reachId,
                  on: moment.on,
                  localMin: hour * 60,
                  ...(moment.said ? { said: moment.said } : {}),
                }),
              )
            }
          >
            <span className="share" style={{ height: Math.round(onFood * MOST_PX) }} />
            <span>{hour % WRITTEN === 0 ? hour : '\u00a0'}</span>
          </button>
        )
      })}
    </Hours>
  )
}
