import { depthAtTime, timeToDepth, wording } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Dense, Row } from '../../ui/layout.tsx'
import { depthGone, downwards } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { labels } from '../../words/tank.ts'

const DEPTHS_MM = [500, 1000, 1500, 2000, 3000, 4000, 5000, 6000]
const SECONDS = [1, 2, 3, 4, 5, 6, 8, 10, 15, 20]

interface FallTablesProps {
  readonly flies: readonly InTank[]
  readonly depthMm: number
}

function Names({ of, flies }: { readonly of: string; readonly flies: readonly InTank[] }) {
  return (
    <thead>
      <tr>
        <th>{of}</th>
        {flies.map(({ id, name }) => (
          <th key={id} className="number" style={{ whiteSpace: 'normal', maxWidth: 120 }}>
            {name}
          </th>
        ))}
      </tr>
    </thead>
  )
}

/** The fall in figures: seconds to each depth, and the depth at each second of a count. */
export function FallTables({ flies, depthMm }: FallTablesProps) {
  const { depth } = useWording()
  const latest = Math.max(0, ...flies.map(({ descent }) => descent?.points.at(-1)?.timeS ?? 0))
  return (
    <Row $align="start" $gap={32}>
      <Dense style={{ width: 'auto' }} aria-label={labels.secondsToADepth}>
        <Names of="down to" flies={flies} />
        <tbody>
          {DEPTHS_MM.filter((deep) => deep <= depthMm).map((deep) => (
            <tr key={deep}>
              <td className="number">{depth(deep)}</td>
              {flies.map((fly) => {
                const descent = downwards(fly)
                const timeS = descent ? timeToDepth(descent, deep) : null
                return (
                  <td key={fly.id} className="number">
                    {timeS === null ? '–' : wording.seconds(timeS)}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </Dense>
      <Dense style={{ width: 'auto' }} aria-label={labels.countdownBySecond}>
        <Names of="count" flies={flies} />
        <tbody>
          {SECONDS.filter((timeS, i) => i < 3 || timeS <= latest + 1).map((timeS) => (
            <tr key={timeS}>
              <td className="number">{timeS} s</td>
              {flies.map((fly) => (
                <td key={fly.id} className="number">
                  {countedDepth(fly, timeS, depth)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Dense>
    </Row>
  )
}

function countedDepth(fly: InTank, timeS: number, depth: (mm: number) => string): string {
  const { descent, risesFromMm } = fly
  const last = descent?.points.at(-1)
  if (!descent || !last || last.depthMm <= 0) return '–'
  if (timeS <= last.timeS) return depth(depthGone(fly, depthAtTime(descent, timeS)))
  if (risesFromMm !== null) return 'up'
  return descent.stretchedAtMm === null ? `below ${depth(last.depthMm)}` : `swings at ${depth(last.depthMm)}`
}
