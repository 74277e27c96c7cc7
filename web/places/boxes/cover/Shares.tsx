import styled from 'styled-components'
import { wording } from '../../../../core/index.ts'
import type { LookCover } from '../../../../core/index.ts'
import type { StageLine } from '../../../../contract/index.ts'
import { Dense, Quiet } from '../../../ui/layout.tsx'
import { labels } from '../../../words/cover.ts'

/** A bar of ten: what is shown, and pale what could pass. */
const Bar = styled.span`
  position: relative;
  display: inline-block;
  width: 160px;
  height: 14px;
  vertical-align: middle;
  background: var(--ground);
  border: 1px solid var(--rule);
  i {
    position: absolute;
    top: 0;
    bottom: 0;
    background: var(--thistle);
  }
  i.passing {
    opacity: 0.3;
  }
`

/** On a phone the words are enough, and what lacks stands below them. */
const Table = styled(Dense)`
  @media (max-width: 700px) {
    thead,
    .number,
    .bar {
      display: none;
    }
    tr {
      display: flex;
      flex-wrap: wrap;
    }
    td {
      flex: 1 1 40%;
      border: 0;
    }
    td:last-child {
      flex-basis: 100%;
    }
  }
`

const MOST_LACKING = 3
const percent = (share: number) => `${(100 * share).toFixed(1)}%`

interface Shared {
  readonly cover: LookCover
  readonly name: string
  readonly more: string
}

/** Some looks one below the other: of ten fish how many have something to show, and what nothing is there for. */
export function Shares({
  label,
  first,
  rows,
  stages,
}: {
  readonly label: string
  readonly first: string
  readonly rows: readonly Shared[]
  readonly stages: ReadonlyMap<string, StageLine>
}) {
  const nameOf = (stageKey: string | null) => {
    const stage = stages.get(stageKey ?? '')
    return stage ? `${stage.foodName}, ${stage.stageName}` : labels.whatever
  }
  return (
    <Table aria-label={label}>
      <thead>
        <tr>
          <th>{first}</th>
          <th className="bar" aria-hidden="true" />
          <th>{labels.shown}</th>
          <th className="number">{labels.flies}</th>
          <th>{labels.lacking}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ cover, name, more }) => (
          <tr key={cover.key}>
            <td>
              {name}
              {more ? (
                <div>
                  <Quiet>{more}</Quiet>
                </div>
              ) : null}
            </td>
            <td className="bar" aria-hidden="true">
              <Bar>
                <i style={{ left: 0, width: percent(cover.shown) }} />
                <i className="passing" style={{ left: percent(cover.shown), width: percent(cover.passing) }} />
              </Bar>
            </td>
            <td>
              {cover.asked > 0 ? wording.fishOnIt(cover.shown) : labels.none}
              {cover.passing >= 0.05 ? (
                <Quiet>
                  {' '}
                  · {labels.couldPass} {wording.fishOnIt(cover.passing)}
                </Quiet>
              ) : null}
            </td>
            <td className="number">{cover.flies}</td>
            <td>
              <Quiet>
                {cover.lacking
                  .slice(0, MOST_LACKING)
                  .map(({ stageKey, share }) => `${nameOf(stageKey)} (${wording.fishOnIt(share)})`)
                  .join('; ')}
              </Quiet>
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}
