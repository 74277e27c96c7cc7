import { Link } from 'react-router'
import { useMovedQuery } from '../../wire/answers.ts'
import { labels } from '../../words/patterns.ts'

/** Says on the list of patterns that some moved, and leads to which. */
export function MovedNote() {
  const { data } = useMovedQuery()
  if (!data) return null
  const { flies, told } = data
  const said = [
    ...(flies.length > 0
      ? [flies.length === 1 ? 'one fly falls or rides' : `${flies.length} flies fall or ride`]
      : []),
    ...(told && told.serving.length > 0 ? [`${told.serving.length} serve other foods`] : []),
    ...(told && told.fish.length > 0 ? [`fish are on ${told.fish.length} foods more or less`] : []),
    ...(told && told.outings.length > 0 ? [`${told.outings.length} outings are covered otherwise`] : []),
  ]
  if (said.length === 0) return null
  return (
    <p>
      Since the last version: {said.join('; ')}. <Link to="/patterns/moved">{labels.whatMoved}</Link>
    </p>
  )
}
