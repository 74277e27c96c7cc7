import { useState } from 'react'
import styled from 'styled-components'
import { within } from '../../../contract/limits.ts'
import { wording } from '../../../core/index.ts'
import type { BoxLine, CompartmentId, CompartmentLine, VariantId } from '../../../contract/index.ts'
import { usePatternsQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { ListedSlits } from '../../drawing/ListedFly.tsx'
import { placeChoices } from '../../parts/placeChoices.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Ledger } from '../../parts/Ledger.tsx'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'
import { labels } from '../../words/boxes.ts'

type Fly = CompartmentLine['flies'][number]

const Ways = styled(Row)`
  padding-top: 6px;
  .apart {
    align-self: stretch;
    border-left: 1px solid var(--rule);
    margin: 0 4px;
  }
`

interface FlyRowProps {
  readonly fly: Fly
  readonly place: CompartmentLine
  readonly places: readonly { readonly id: string; readonly name: string }[]
}

/** One fly of a compartment: count it; apart from that lose some or move some; say what to keep. */
function FlyRow({ fly, place, places }: FlyRowProps) {
  const command = useCommand()
  const [typed, setCounted] = useState<number | null | undefined>(undefined)
  const counted = typed === undefined ? fly.count : typed
  const [count, setCount] = useState<number | null>(1)
  const { send, refusal } = useMayOverfill()
  const base = { compartmentId: place.id, variantId: fly.variantId }
  const quietly = { quietly: true }
  return (
    <Section>
      <Row>
        <strong style={{ minWidth: 200 }}>
          {fly.patternName} {fly.label}
        </strong>
        <ListedSlits
          onHand={fly.count}
          keep={fly.par ?? 0}
          drawingKey={fly.figure.drawingKey}
          label={`${fly.patternName} ${fly.label}`}
        />
        <span className="figures">{fly.count} on hand</span>
        {fly.isHome ? null : <Quiet>{labels.notItsHome}</Quiet>}
      </Row>
      <Ways $align="end">
        <NumberField
          label={labels.iCount}
          value={counted}
          {...within('fliesSeen')}
          mayBeEmpty
          onChange={setCounted}
          onUnclear={() => setCounted(null)}
          width="76px"
        />
        <Button
          isDisabled={counted === null || counted === fly.count}
          onPress={() =>
            void send((anyway) => command('fliesCount', { ...base, counted: counted ?? 0, anyway }, quietly))
          }
        >
          {labels.writeDown}
          {counted === null || counted === fly.count ? '' : ` ${counted}`}
        </Button>
        <span className="apart" />
        <NumberField
          label={labels.takeOut}
          value={count}
          {...within('flies')}
          mayBeEmpty
          onChange={setCount}
          onUnclear={() => setCount(null)}
          width="76px"
        />
        <Select
          label={labels.lostTo}
          placeholder={labels.lostTo2}
          value={null}
          choices={wording.LOSS_CAUSES.map((id) => ({ id, name: id }))}
          onChange={(cause) =>
            void send(() =>
              command(
                'fliesLose',
                { outingId: null, losses: [{ ...base, count: count ?? 0, cause: cause as wording.LossCause }] },
                quietly,
              ),
            )
          }
          width="120px"
        />
        <Select
          label={labels.moveTo}
          placeholder={labels.moveTo2}
          value={null}
          choices={places}
          onChange={(to) =>
            void send((anyway) =>
              command(
                'fliesMove',
                {
                  fromCompartmentId: place.id,
                  toCompartmentId: to as CompartmentId,
                  variantId: fly.variantId,
                  count: count ?? 0,
                  anyway,
                },
                quietly,
              ),
            )
          }
          width="220px"
        />
        <NumberField
          label={labels.keep}
          placeholder={fly.par === null ? '' : String(fly.par)}
          value={fly.parCount}
          {...within('par')}
          mayBeEmpty
          whenLeft
          onChange={(parCount) =>
            void send(() =>
              command(
                'variantHome',
                {
                  variantId: fly.variantId,
                  version: fly.variantVersion,
                  parCount: parCount ?? null,
                  homeCompartmentId: place.id,
                },
                quietly,
              ),
            )
          }
          width="70px"
        />
      </Ways>
      {refusal}
    </Section>
  )
}

/** Puts flies of a variant into this compartment that were not here. */
function PutIn({ place }: { readonly place: CompartmentLine }) {
  const { data } = usePatternsQuery()
  const command = useCommand()
  const [variantId, setVariantId] = useState<string | null>(null)
  const [count, setCount] = useState<number | null>(3)
  const { send, refusal } = useMayOverfill()
  const here = new Set<string>(place.flies.map((fly) => fly.variantId))
  const choices = (data?.patterns ?? []).flatMap(({ name, variants }) =>
    variants
      .filter(({ id }) => !here.has(id))
      .map(({ id, label }) => ({ id: id as string, name: `${name} ${label}` })),
  )
  const put = async () => {
    if (!variantId || !count) return
    const delivery = await send((anyway) =>
      command(
        'fliesCount',
        { compartmentId: place.id, variantId: variantId as VariantId, counted: count, anyway },
        { quietly: true },
      ),
    )
    if (delivery.kind === 'done') setVariantId(null)
  }
  return (
    <Section>
      <Row $align="end">
        <Select
          label={labels.anotherFlyLiesHere}
          value={variantId}
          choices={choices}
          onChange={setVariantId}
          width="260px"
        />
        <NumberField
          label={labels.howMany}
          value={count}
          {...within('flies')}
          mayBeEmpty
          onChange={setCount}
          onUnclear={() => setCount(null)}
          width="76px"
        />
        <Button onPress={() => void put()} isDisabled={!variantId || !count}>
          I count {count ?? 0}
        </Button>
      </Row>
      {refusal}
    </Section>
  )
}

/** A compartment with its flies and what can be done with them. */
export function CompartmentSheet({
  place,
  boxes,
  onClose,
}: {
  readonly place: CompartmentLine
  readonly boxes: readonly BoxLine[]
  readonly onClose: () => void
}) {
  const places = placeChoices(boxes).filter(({ id }) => id !== place.id)
  const held = place.flies.reduce((sum, { count }) => sum + count, 0)
  return (
    <>
      <Heading>
        <h1>
          {place.label}{' '}
          <Quiet>
            {held}
            {place.capacity === null ? ' flies' : ` of ${place.capacity}`}
          </Quiet>
        </h1>
        <Button onPress={onClose}>{labels.allBoxes}</Button>
      </Heading>
      {place.flies.map((fly) => (
        <FlyRow key={fly.variantId} fly={fly} place={place} places={places} />
      ))}
      {place.flies.length === 0 ? <p>{labels.empty}</p> : null}
      <PutIn place={place} />
      <Ledger of={{ compartmentId: place.id }} words={String} />
    </>
  )
}
