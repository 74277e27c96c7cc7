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
    <Dense aria-label={label}>
      <thead>
        <tr>
          <th>{first}</th>
          <th colSpan={2}>{labels.shown}</th>
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
            <td>
              <Bar aria-hidden="true">
                <i style={{ left: 0, width: percent(cover.shown) }} />
                <i className="passing" style={{ left: percent(cover.shown), width: percent(cover.passing) }} />
              </Bar>
            </td>
            <td style={{ whiteSpace: 'nowrap' }}>
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
    </Dense>
  )
}
