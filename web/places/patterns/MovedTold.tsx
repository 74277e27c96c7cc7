import { Link } from 'react-router'
import type { MovedView } from '../../../contract/index.ts'
import { wording } from '../../../core/index.ts'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import { clockTime, dayName } from '../../words/words.ts'
import { labels } from '../../words/moved.ts'

type Told = NonNullable<MovedView['told']>

function Fish({ fish }: Pick<Told, 'fish'>) {
  return (
    <Section aria-label={labels.foods}>
      <h2>{labels.foods}</h2>
      {fish.length === 0 ? (
        <Quiet>{labels.noFoodMoved}</Quiet>
      ) : (
        <Dense aria-label={labels.foods} style={{ width: 'auto' }}>
          <thead>
            <tr>
              <th>{labels.food}</th>
              <th>{labels.whereAndWhen}</th>
              <th className="number">{labels.fishBefore}</th>
              <th className="number">{labels.fishNow}</th>
            </tr>
          </thead>
          <tbody>
            {fish.map(({ foodStageId, name, reachName, on, localMin, before, now }) => (
              <tr key={foodStageId}>
                <td>
                  <Link to={`/larder?stage=${foodStageId}`}>{name}</Link>
                </td>
                <td>
                  {reachName}, {dayName(on)}, {clockTime(localMin)}
                </td>
                <td className="number">{wording.ofHundred(before)}</td>
                <td className="number">{wording.ofHundred(now)}</td>
              </tr>
            ))}
          </tbody>
        </Dense>
      )}
    </Section>
  )
}

function Serving({ serving }: Pick<Told, 'serving'>) {
  return (
    <Section aria-label={labels.whatServes}>
      <h2>{labels.whatServes}</h2>
      {serving.length === 0 ? (
        <Quiet>{labels.noServingMoved}</Quiet>
      ) : (
        <Dense aria-label={labels.whatServes}>
          <thead>
            <tr>
              <th>{labels.fly}</th>
              <th>{labels.servesNow}</th>
              <th>{labels.servesNoMore}</th>
            </tr>
          </thead>
          <tbody>
            {serving.map(({ variantId, patternId, flyName, gained, lost }) => (
              <tr key={variantId}>
                <td>
                  <Link to={`/patterns/${patternId}?variant=${variantId}`}>{flyName}</Link>
                </td>
                <td>{gained.join('; ')}</td>
                <td>{lost.join('; ')}</td>
              </tr>
            ))}
          </tbody>
        </Dense>
      )}
    </Section>
  )
}

function Outings({ outings }: Pick<Told, 'outings'>) {
  return (
    <Section aria-label={labels.outings}>
      <h2>{labels.outings}</h2>
      {outings.length === 0 ? (
        <Quiet>{labels.noOutingMoved}</Quiet>
      ) : (
        <ul>
          {outings.map(({ outingId, on, before, now, ofHours }) => (
            <li key={outingId}>
              <Link to="/ahead">{dayName(on)}</Link>: covered {wording.shortHours(before)} before,{' '}
              {wording.shortHours(now)} now, of {wording.shortHours(ofHours)}
            </li>
          ))}
        </ul>
      )}
    </Section>
  )
}

/** What the version before said of foods, serving and outings, where this one says otherwise. */
export function MovedTold({ told }: Pick<MovedView, 'told'>) {
  if (!told) return <Quiet>{labels.nothingKeptYet}</Quiet>
  const { on, actionsBetween } = told
  return (
    <>
      <p>
        {labels.foodsServingAndOutings} {dayName(on)}.
        {actionsBetween > 0
          ? ` ${actionsBetween === 1 ? 'One thing was' : `${actionsBetween} things were`} done since then: that may have moved something, too.`
          : ''}
      </p>
      <Fish fish={told.fish} />
      <Serving serving={told.serving} />
      <Outings outings={told.outings} />
    </>
  )
}
