import { Link } from 'react-router'
import { takesAnHour, wording } from '../../../../core/index.ts'
import type { CoverRow } from '../../../../core/index.ts'
import type { StageLine } from '../../../../contract/index.ts'
import { useOutingsQuery } from '../../../wire/answers.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { Dense, Quiet } from '../../../ui/layout.tsx'
import { labels } from '../../../words/cover.ts'

const MOST_SERVED = 2

/** The flies on hand by what they took: those that took most for sure first, with what each serves now. */
export function ByConfidence({
  rows,
  stages,
}: {
  readonly rows: readonly CoverRow[]
  readonly stages: ReadonlyMap<string, StageLine>
}) {
  const planned = usePlanned()
  const { data } = useOutingsQuery()
  if (!planned || !data) return <p aria-busy="true">{labels.holdingNow}</p>
  const fished = new Map<string, { takes: number; minutes: number }>()
  for (const { variantId, takes, minutes } of data.outings.flatMap(({ spells }) => spells)) {
    const known = fished.get(variantId) ?? { takes: 0, minutes: 0 }
    fished.set(variantId, { takes: known.takes + takes, minutes: known.minutes + minutes })
  }
  const flies = planned.variants
    .filter(({ onHand }) => onHand > 0)
    .map((variant) => {
      const spell = fished.get(variant.variantId) ?? null
      const serves = rows
        .filter(({ cells }) => cells.all.by.some(({ key }) => key === variant.variantId))
        .sort((a, b) => b.worth - a.worth)
      return { variant, spell, serves, rate: spell && takesAnHour(spell.takes, spell.minutes) }
    })
    .sort((a, b) => (b.rate?.low ?? -1) - (a.rate?.low ?? -1) || b.serves.length - a.serves.length)
  return (
    <Dense aria-label={labels.byConfidence}>
      <thead>
        <tr>
          <th>{labels.fly}</th>
          <th className="number">{labels.onHand}</th>
          <th className="number">{labels.takesAnHour}</th>
          <th className="number">{labels.hours}</th>
          <th>{labels.servesNow}</th>
        </tr>
      </thead>
      <tbody>
        {flies.map(({ variant, spell, rate, serves }) => (
          <tr key={variant.variantId}>
            <td>
              <Link to={`/patterns/${variant.patternId}?variant=${variant.variantId}`}>{variant.name}</Link>
            </td>
            <td className="number">{variant.onHand}</td>
            <td className="number">
              {rate ? (
                <>
                  {rate.value.toFixed(1)}{' '}
                  <Quiet>
                    {rate.low.toFixed(1)}–{rate.high.toFixed(1)}
                  </Quiet>
                </>
              ) : (
                <Quiet>{labels.neverFished}</Quiet>
              )}
            </td>
            <td className="number">{spell ? (spell.minutes / 60).toFixed(1) : ''}</td>
            <td>
              <Quiet>
                {serves
                  .slice(0, MOST_SERVED)
                  .map(({ stageKey, worth }) => {
                    const stage = stages.get(stageKey)
                    return stage ? `${stage.foodName}, ${stage.stageName} (${wording.fishOnIt(worth)})` : ''
                  })
                  .join('; ')}
              </Quiet>
            </td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}
