import { useState } from 'react'
import styled from 'styled-components'
import { waterside } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Section } from '../../ui/layout.tsx'
import { OneOf } from '../../ui/OneOf.tsx'
import { labels, SAMPLED } from '../../words/waterside.ts'
import type { AtTheWater } from './useWaterside.ts'

const FEW = 12

const Foods = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(260px, 100%), 1fr));
  gap: 6px 12px;
  padding: 6px 0;
  > button {
    justify-content: space-between;
    white-space: normal;
    text-align: left;
    line-height: 1.2;
  }
`

/** A sample of several foods, a tap for each animal; what fish are on moves with it at once. */
export function Sample({ along, standing, note }: AtTheWater) {
  const [from, setFrom] = useState<waterside.SampledFrom>('stones')
  const [all, setAll] = useState(false)
  const countOf = (id: string) =>
    standing.counted.find((one) => one.stageId === id && one.from === from)?.count ?? 0
  return (
    <Section aria-label={labels.sample}>
      <h2>{labels.sample}</h2>
      <OneOf
        label={labels.sampledFrom}
        choices={waterside.SAMPLED_FROM.map((id) => ({ id, name: SAMPLED[id] }))}
        chosen={from}
        onChoose={setFrom}
      />
      <Foods>
        {along.stages.slice(0, all ? undefined : FEW).map(({ foodStageId, name }) => (
          <Button
            key={foodStageId}
            large
            onPress={() => note({ kind: 'counted', stageKey: foodStageId, from, count: 1 })}
          >
            {name} <span className="figures">{countOf(foodStageId) || ''}</span>
          </Button>
        ))}
        {all || along.stages.length <= FEW ? null : (
          <Button large look="quiet" onPress={() => setAll(true)}>
            {along.stages.length - FEW} {labels.moreFoods}
          </Button>
        )}
      </Foods>
      <Quiet>{labels.sampleCare}</Quiet>
    </Section>
  )
}
