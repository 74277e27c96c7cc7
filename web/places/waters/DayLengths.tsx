import { epochDayOf, sunTimes } from '../../../core/index.ts'
import type { WatersView } from '../../../contract/index.ts'
import { labels } from '../../words/waters.ts'

type Water = WatersView['waters'][number]['water']

/** The earth as two degrees of it a pixel, and a line each thirty. */
const PX = { wide: 180, high: 90 }
const LINES = 30
const toX = (longitudeDeg: number) => (longitudeDeg + 180) / 2
const toY = (latitudeDeg: number) => (90 - latitudeDeg) / 2

function dayHours({ latitudeDeg, longitudeDeg }: Water, on: string): string {
  const spot = { latitudeDeg, longitudeDeg, utcOffsetMinutes: 0 }
  const { sunriseLocalMin, sunsetLocalMin } = sunTimes(spot, epochDayOf(on))
  if (sunriseLocalMin === null || sunsetLocalMin === null) return ''
  return `${((sunsetLocalMin - sunriseLocalMin) / 60).toFixed(1)} h`
}

/** Where a water lies between the poles, among the others, with what that makes of its days: so that a wrong sign is seen. */
export function DayLengths({ water, others }: { readonly water: Water; readonly others: readonly Water[] }) {
  const [june, december] = [dayHours(water, '2026-06-21'), dayHours(water, '2026-12-21')]
  const grid = (count: number) => Array.from({ length: count }, (_, i) => ((i + 1) * LINES) / 2)
  return (
    <div style={{ display: 'flex', gap: 10, alignItems: 'center' }}>
      <svg
        width={PX.wide}
        height={PX.high}
        role="img"
        aria-label={labels.whereItLies}
        style={{ background: 'var(--panel)', border: '1px solid var(--quiet)' }}
      >
        {grid(11).map((x) => (
          <line key={`x${x}`} x1={x} x2={x} y1={0} y2={PX.high} stroke="var(--rule)" />
        ))}
        {grid(5).map((y) => (
          <line
            key={`y${y}`}
            x1={0}
            x2={PX.wide}
            y1={y}
            y2={y}
            stroke={y === PX.high / 2 ? 'var(--quiet)' : 'var(--rule)'}
          />
        ))}
        {others.map(({ name, latitudeDeg, longitudeDeg }) => (
          <circle key={name} cx={toX(longitudeDeg)} cy={toY(latitudeDeg)} r={2} fill="var(--quiet)" />
        ))}
        <circle cx={toX(water.longitudeDeg)} cy={toY(water.latitudeDeg)} r={4} fill="var(--thistle)" />
      </svg>
      <span>
        Day of 21 June: {june}. Day of 21 December: {december}.
      </span>
    </div>
  )
}
