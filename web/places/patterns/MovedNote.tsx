import { Link } from 'react-router'
import { useMovedQuery } from '../../wire/api.ts'
import { labels } from '../../words/patterns.ts'

/** Says on the list of patterns that some moved, and leads to which. */
export function MovedNote() {
  const { data } = useMovedQuery()
  const count = data?.flies.length ?? 0
  if (count === 0) return null
  return (
    <p>
      {count === 1 ? 'One fly is' : `${count} flies are`} reckoned otherwise since the last version.{' '}
      <Link to="/patterns/moved">{labels.whatMoved}</Link>
    </p>
  )
}
