import { Link } from 'react-router'
import styled from 'styled-components'
import { wording } from '../../../core/index.ts'
import type { StandingsView } from '../../../contract/index.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useStandings } from '../../wire/useStandings.ts'
import { dayName } from '../../words/words.ts'
import { Quiet, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/boxes.ts'

const List = styled.ul`
  li {
    padding: 4px 0;
    border-bottom: 1px solid var(--rule);
  }
  .hole {
    color: var(--madder);
  }
  .thin {
    color: var(--brass);
  }
`

type Stage = StandingsView['stages'][number]

/** How many there are of it and how long they last; for a hole, what would serve. */
function Flies({ stage }: { readonly stage: Stage }) {
  const { standing, best, flies, lasts } = stage
  if (standing === 'hole' && !best)
    return <Link to={`/patterns/new?serves=${stage.foodStageId}`}>{labels.designOne}</Link>
  const fly = best ? (
    <Link to={`/patterns/${best.patternId}?variant=${best.variantId}`}>{best.name}</Link>
  ) : null
  if (standing === 'hole') return <>would be served by {fly}</>
  const count = Math.max(Math.round(flies), 1)
  return (
    <>
      {count} for it, {fly} first; {labels.oneLasts} {wording.inTen(lasts)}
    </>
  )
}

/** Holes, and what is thin, at the outings to come. */
export function Lacking() {
  const data = useStandings(true)
  const dispatch = useAppDispatch()
  if (!data) return null
  const lacking = data.stages.filter(({ standing }) => standing !== 'covered')
  if (lacking.length === 0) return data.stages.length > 0 ? <p>{labels.noHole}</p> : null
  const head = (['hole', 'thin'] as const).flatMap((standing) => {
    const count = standing === 'hole' ? data.holes : data.thin
    const word = standing === 'hole' && count !== 1 ? 'holes' : standing
    return count > 0 ? [`${count} ${word}`] : []
  })
  return (
    <Section aria-label={labels.holesAndThin}>
      <h2>{head.join(', ')}</h2>
      <List>
        {lacking.map((stage) => (
          <li
            key={stage.foodStageId}
            onMouseEnter={() => dispatch(light(stage.foodStageId))}
            onMouseLeave={() => dispatch(light(null))}
          >
            <span className={stage.standing}>{stage.standing}</span>{' '}
            <Link to={`/larder?stage=${stage.foodStageId}`}>{stage.name}</Link>{' '}
            <Quiet>
              {dayName(stage.on)} {stage.hours}, {stage.reachName}, up to {stage.onIt} ·
            </Quiet>{' '}
            <Flies stage={stage} />
          </li>
        ))}
      </List>
      <p>
        <Quiet>
          {data.holes > 0 ? `Hole: ${labels.holeIs} ` : ''}
          {data.thin > 0 ? `Thin: ${labels.thinIs}` : ''}
        </Quiet>
      </p>
    </Section>
  )
}
