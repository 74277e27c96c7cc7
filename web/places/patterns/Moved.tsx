import { Link } from 'react-router'
import type { MovedView } from '../../../contract/index.ts'
import { wording } from '../../../core/index.ts'
import { useMovedQuery } from '../../wire/answers.ts'
import { useWording } from '../../words/useWording.ts'
import { Dense, Heading, Quiet } from '../../ui/layout.tsx'
import { labels } from '../../words/moved.ts'
import { labels as ofPatterns } from '../../words/patterns.ts'
import { MovedTold } from './MovedTold.tsx'

type Figure = MovedView['flies'][number]['now']

/** What a figure says of a fly, as lists do. */
function Said({ figure }: { readonly figure: Figure }) {
  const { fall, speedBand } = useWording()
  const { kind, sinkSpeedMmPerS: value, low, high } = figure
  return (
    <>
      {fall(figure)}{' '}
      {kind === 'sinks' && value !== null && low !== null && high !== null ? (
        <Quiet>likely {speedBand({ low, high })}</Quiet>
      ) : null}
    </>
  )
}

/** Flies that the last version reckons otherwise, by more than their band, with what they were, what they are and why. */
export default function Moved() {
  const { data } = useMovedQuery()
  if (!data) return <p aria-busy="true">{ofPatterns.layingOutTheFlies}</p>
  return (
    <>
      <Heading>
        <h1>{labels.whatMoved}</h1>
      </Heading>
      <MovedTold told={data.told} />
      <h2>{labels.fallsAndPostures}</h2>
      <p>{labels.whatMovedMeans}</p>
      {data.flies.length === 0 ? (
        <Quiet>{labels.nothingMoved}</Quiet>
      ) : (
        <Dense aria-label={labels.fallsAndPostures}>
          <thead>
            <tr>
              <th>{labels.fly}</th>
              <th>{labels.before}</th>
              <th>{labels.now}</th>
              <th>{labels.because}</th>
            </tr>
          </thead>
          <tbody>
            {data.flies.map(({ variantId, patternId, flyName, before, now, causes }) => (
              <tr key={variantId}>
                <td>
                  <Link to={`/patterns/${patternId}?variant=${variantId}`}>{flyName}</Link>
                </td>
                <td>
                  <Said figure={before} />
                </td>
                <td>
                  <Said figure={now} />
                </td>
                <td>
                  <Quiet>{causes.map((cause) => wording.moveCause[cause]).join('; ')}</Quiet>
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      )}
    </>
  )
}
