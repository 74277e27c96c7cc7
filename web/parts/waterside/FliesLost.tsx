import { useState } from 'react'
import { waterside } from '../../../core/index.ts'
import type { FlyAlong } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Section } from '../../ui/layout.tsx'
import { labels, LEFT } from '../../words/waterside.ts'
import { aboardNow } from './answer.ts'
import { Taps } from './Taps.tsx'
import type { AtTheWater } from './useWaterside.ts'

const FEW = 6

/** Where a fly was left, in one tap; a second fly of the rig is said once, and goes with it. */
export function FliesLost({ along, standing, note, fly }: AtTheWater & { readonly fly: FlyAlong }) {
  const [other, setOther] = useState<FlyAlong | null>(null)
  const [isChoosing, setChoosing] = useState(false)
  const [all, setAll] = useState(false)
  const fished = new Set(standing.fished.map(({ variantKey }) => variantKey))
  const spare = (one: FlyAlong) => aboardNow(one, standing, along.booked) - (one === fly ? 1 : 0)
  const aboard = along.flies
    .filter((one) => spare(one) > 0)
    .toSorted((a, b) => Number(fished.has(b.variantId)) - Number(fished.has(a.variantId)))
  const choose = (one: FlyAlong | null) => {
    setOther(one)
    setChoosing(false)
  }
  const both = other && spare(other) > 0 ? [fly, other] : [fly]
  const lose = (leftIn: waterside.LeftIn) => {
    note({ kind: 'lost', variantKeys: both.map(({ variantId }) => variantId), leftIn })
    setOther(null)
  }
  return (
    <Section aria-label={labels.flyLost}>
      <h2>{labels.flyLost}</h2>
      <Quiet>{both.map(({ name }) => name).join(` ${labels.andWithIt} `)}</Quiet>
      <Taps>
        {waterside.LEFT_IN.map((leftIn) => (
          <Button key={leftIn} large onPress={() => lose(leftIn)}>
            {LEFT[leftIn]}
          </Button>
        ))}
        <Button
          large
          look="quiet"
          onPress={() => (other ? choose(null) : setChoosing(!isChoosing))}
          aria-expanded={isChoosing}
        >
          {other ? labels.onlyThisOne : labels.twoFlies}
        </Button>
      </Taps>
      {isChoosing ? (
        <div role="group" aria-label={labels.twoFlies}>
          <Taps>
            {aboard.slice(0, all ? undefined : FEW).map((one) => (
              <Button key={one.variantId} large onPress={() => choose(one)}>
                {one.name}
              </Button>
            ))}
            {all || aboard.length <= FEW ? null : (
              <Button large look="quiet" onPress={() => setAll(true)}>
                {aboard.length - FEW} {labels.moreFlies}
              </Button>
            )}
          </Taps>
        </div>
      ) : null}
    </Section>
  )
}
