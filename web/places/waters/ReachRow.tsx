import { Link } from 'react-router'
import { within } from '../../../contract/limits.ts'
import { wording } from '../../../core/index.ts'
import type { WatersView } from '../../../contract/index.ts'
import { chooseMoment } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { refusalOf } from '../../wire/refusal.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet } from '../../ui/layout.tsx'
import { InPlace } from './InPlace.tsx'
import { labels } from '../../words/waters.ts'

type ReachLine = WatersView['waters'][number]['reaches'][number]

const HEIGHT = 26
const HEIGHT_LIMITS = within('elevationM')

/** The year in water warmth: a bar a month, the month of the moment marked. */
function WarmthStrip({ temps, month }: { readonly temps: readonly number[]; readonly month: number }) {
  const { wholeTemperature } = useWording()
  return (
    <svg
      width={12 * 13}
      height={HEIGHT + 10}
      role="img"
      aria-label={`Water by month: ${temps.map(wholeTemperature).join(', ')}`}
    >
      {temps.map((tempC, i) => {
        const tall = Math.max((tempC / 22) * HEIGHT, 1)
        return (
          <g key={i}>
            <rect
              x={i * 13 + 1}
              y={HEIGHT - tall}
              width={11}
              height={tall}
              fill="var(--waterDeep)"
              stroke={i === month ? 'var(--thistle)' : 'var(--quiet)'}
              strokeWidth={i === month ? 2 : 0.5}
            />
            <text x={i * 13 + 6.5} y={HEIGHT + 9} fontSize={8} textAnchor="middle" fill="var(--quiet)">
              {'JFMAMJJASOND'[i]}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

/** Shallower water is turned over by any wind. */
const DEEP_ENOUGH_MM = 3000

/** A reach: its height, depth and speed, edited in place, and its year. */
export function ReachRow({
  line,
  isChosen,
  isOnly,
}: {
  readonly line: ReachLine
  readonly isChosen: boolean
  /** a water keeps its last */
  readonly isOnly: boolean
}) {
  const { reach } = line
  const command = useCommand()
  const dispatch = useAppDispatch()
  const moment = useMoment()
  const { units, depth, temperature } = useWording()
  const save = (change: Partial<ReachLine['reach']>) =>
    command('reachSave', { reachId: line.id, change }, { quietly: true }).then(refusalOf)
  const month = moment ? Number(moment.on.slice(5, 7)) - 1 : -1
  return (
    <tr>
      <td>
        <Link to={`/waters?reach=${line.id}`}>{reach.name}</Link>
      </td>
      <td>
        <InPlace
          label={`Height of ${reach.name} above the sea`}
          shown={wording.height(reach.elevationM, units)}
          quantity="length"
          unit={units.depth}
          min={HEIGHT_LIMITS.min * 1000}
          max={HEIGHT_LIMITS.max * 1000}
          onSave={(heightMm) => save({ elevationM: Math.round(heightMm / 1000) })}
        />
      </td>
      <td>
        <InPlace
          label={`Usual depth of ${reach.name}`}
          shown={depth(reach.typicalDepthMm)}
          quantity="length"
          unit={units.depth}
          {...within('waterDepthMm')}
          onSave={(typicalDepthMm) => save({ typicalDepthMm })}
        />
      </td>
      {reach.kind === 'reach' ? (
        <td>
          <InPlace
            label={`Surface speed of ${reach.name}`}
            shown={wording.current(reach.surfaceSpeedMmPerS, units)}
            quantity="speed"
            unit={`${units.depth}/s`}
            {...within('surfaceSpeed')}
            onSave={(surfaceSpeedMmPerS) => save({ surfaceSpeedMmPerS })}
          />
        </td>
      ) : (
        <td>
          {reach.typicalDepthMm > DEEP_ENOUGH_MM ? (
            <InPlace
              label={`Thermocline of ${reach.name}`}
              shown={reach.thermoclineMm === null ? 'none' : depth(reach.thermoclineMm)}
              quantity="length"
              unit={units.depth}
              min={500}
              max={reach.typicalDepthMm - 500}
              onSave={(thermoclineMm) => save({ thermoclineMm })}
            />
          ) : (
            <Quiet>{labels.tooShallow}</Quiet>
          )}
        </td>
      )}
      <td>
        <WarmthStrip temps={reach.defaultTempC} month={month} />
      </td>
      <td>
        {isChosen ? (
          <span className="figures">{moment ? temperature(moment.waterTempC) : ''}</span>
        ) : (
          <Button
            look="quiet"
            onPress={() =>
              moment
                ? dispatch(chooseMoment({ reachId: line.id, on: moment.on, localMin: moment.localMin }))
                : undefined
            }
            aria-label={`Look at ${reach.name}`}
          >
            {labels.lookHere}
          </Button>
        )}
        {isOnly ? null : (
          <Button
            look="quiet"
            aria-label={`Put ${reach.name} away`}
            onPress={() => {
              void command('reachArchive', { reachId: line.id, version: line.version })
              if (isChosen) dispatch(chooseMoment(null))
            }}
          >
            {labels.putAway}
          </Button>
        )}
      </td>
    </tr>
  )
}
