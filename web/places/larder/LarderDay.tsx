import { useMemo } from 'react'
import { epochDayOf, stageLikelihood, isSought } from '../../../core/index.ts'
import type { ReachState, Weather } from '../../../core/index.ts'
import type { StageLine } from '../../../contract/index.ts'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { labels } from '../../words/larder.ts'

const FROM_MIN = 4 * 60
const TO_MIN = 23 * 60
const STEP_MIN = 30
const CELL = 13
const HIGH_PX = 22
const MOST_ROWS = 40
const LEAST = 0.05

const HOURS = Array.from({ length: (TO_MIN - FROM_MIN) / STEP_MIN + 1 }, (_, i) => FROM_MIN + i * STEP_MIN)
const clock = (localMin: number) =>
  `${String(Math.floor(localMin / 60)).padStart(2, '0')}:${String(localMin % 60).padStart(2, '0')}`

interface LarderDayProps {
  readonly stages: readonly StageLine[]
  readonly reach: ReachState
  readonly on: string
  readonly localMin: number
  readonly weather: Weather
  readonly sought: string
  readonly onOpen: (stageId: string) => void
  readonly onHour: (localMin: number) => void
}

/** A day hour by hour: a bar for each half hour, as high as a food is likely then. */
export function LarderDay({ stages, reach, on, localMin, weather, sought, onOpen, onHour }: LarderDayProps) {
  const rows = useMemo(() => {
    const day = epochDayOf(on)
    return stages
      .filter((stage) => isSought(stage, sought))
      .map((stage) => {
        const values = HOURS.map(
          (minute) => stageLikelihood(stage, reach, day, minute, weather).likelihood.value,
        )
        const best = Math.max(...values)
        return { stage, values, best, at: HOURS[values.indexOf(best)] ?? 0 }
      })
      .filter(({ best }) => best >= LEAST)
      .sort((a, b) => b.best * b.stage.importance - a.best * a.stage.importance)
      .slice(0, MOST_ROWS)
  }, [stages, reach, on, weather, sought])
  return (
    <Dense aria-label={labels.foodsByTheHour}>
      <thead>
        <tr>
          <th>{labels.foodStage}</th>
          <th className="number">{labels.atItsBest}</th>
          <th>
            {clock(FROM_MIN)} to {clock(TO_MIN)}, by half hours
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ stage, values, best, at }) => (
          <tr key={stage.id}>
            <td>
              <button
                type="button"
                onClick={() => onOpen(stage.id)}
                style={{
                  minHeight: 32,
                  padding: 0,
                  font: 'inherit',
                  textAlign: 'left',
                  color: 'var(--thistle)',
                  background: 'none',
                  border: 0,
                  cursor: 'pointer',
                }}
              >
                {stage.foodName}, {stage.stageName}
              </button>
            </td>
            <td className="number">
              {Math.max(Math.round(best * 10), 1)} in 10 <Quiet>{clock(at)}</Quiet>
            </td>
            <td>
              <svg
                width={HOURS.length * CELL}
                height={HIGH_PX}
                role="img"
                aria-label={`By half hours from ${clock(FROM_MIN)}, in tenths: ${values.map((value) => Math.round(value * 10)).join(' ')}`}
                onClick={(event) => {
                  const box = event.currentTarget.getBoundingClientRect()
                  const i = Math.floor(((event.clientX - box.left) / box.width) * HOURS.length)
                  onHour(HOURS[i] ?? localMin)
                }}
              >
                {values.map((value, i) => {
                  const minute = HOURS[i] ?? 0
                  const now = Math.abs(minute - localMin) < STEP_MIN / 2 + 1
                  return (
                    <rect
                      key={minute}
                      x={i * CELL + 1}
                      y={HIGH_PX - Math.max(value * HIGH_PX, 1)}
                      width={CELL - 2}
                      height={Math.max(value * HIGH_PX, 1)}
                      fill={now ? 'var(--madder)' : 'var(--thistle)'}
                      opacity={0.7}
                    />
                  )
                })}
              </svg>
            </td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}
