import { useState } from 'react'
import { Link } from 'react-router'
import type { MaterialLine, PurchaseView } from '../../../contract/index.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Fault, Heading, Quiet, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { drawerTitle } from '../../recipe/drawerState.ts'
import { labels } from '../../words/stores.ts'

type Line = PurchaseView['lines'][number]

function WaitedFor({ line, onArrive }: { readonly line: Line; readonly onArrive: (packs: number) => void }) {
  const waiting = line.packs - line.arrivedPacks
  const [packs, setPacks] = useState<number | null>(waiting)
  return (
    <tr>
      <td>
        <Link to={`/stores?material=${line.materialId}`}>{line.name}</Link>
      </td>
      <td className="number">
        {line.arrivedPacks} of {line.packs}
      </td>
      <td>
        {waiting > 0 ? (
          <span style={{ display: 'inline-flex', gap: 6, alignItems: 'center' }}>
            <NumberField
              label={`Packs of ${line.name} that came`}
              hideLabel
              value={packs}
              min={1}
              max={waiting}
              width="60px"
              onChange={setPacks}
              onUnclear={() => setPacks(null)}
            />
            <Button
              onPress={() => (packs ? onArrive(packs) : undefined)}
              aria-label={`Packs of ${line.name} came`}
              isDisabled={!packs}
            >
              {labels.came}
            </Button>
          </span>
        ) : (
          <Quiet>{labels.allThere}</Quiet>
        )}
      </td>
    </tr>
  )
}

function Purchase({ purchase }: { readonly purchase: PurchaseView }) {
  const command = useCommand()
  const [fault, setFault] = useState<string | null>(null)
  const { purchaseId, lines, supplier, orderedOn, version } = purchase
  const arrive = async (arrived: { lineId: Line['lineId']; packs: number }[]) => {
    const delivery = await command('purchaseArrive', { purchaseId, arrived }, { quietly: true })
    setFault(delivery.kind === 'refused' ? delivery.problem.detail : null)
  }
  const waiting = lines.filter((line) => line.packs > line.arrivedPacks)
  return (
    <Section aria-label={`Ordered ${dayName(orderedOn)}`}>
      <Heading>
        <h2>
          Ordered {dayName(orderedOn)} <Quiet>{supplier}</Quiet>
        </h2>
        <span style={{ display: 'inline-flex', gap: 6 }}>
          <Button
            look="main"
            onPress={() =>
              void arrive(
                waiting.map((line) => ({ lineId: line.lineId, packs: line.packs - line.arrivedPacks })),
              )
            }
          >
            {labels.allOfItCame}
          </Button>
          <Button look="quiet" onPress={() => void command('purchaseClose', { purchaseId, version })}>
            {labels.nothingMoreComes}
          </Button>
        </span>
      </Heading>
      <Dense aria-label={`What was ordered ${dayName(orderedOn)}`} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.material}</th>
            <th className="number">{labels.packsHere}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <WaitedFor
              key={`${line.lineId} ${line.arrivedPacks}`}
              line={line}
              onArrive={(packs) => void arrive([{ lineId: line.lineId, packs }])}
            />
          ))}
        </tbody>
      </Dense>
      {fault ? <Fault>{fault}</Fault> : null}
    </Section>
  )
}

/** What was ordered and has not all come; packs are booked into the stores as they come. */
export function Purchases({
  purchases,
  materials,
}: {
  readonly purchases: readonly PurchaseView[]
  readonly materials: readonly MaterialLine[]
}) {
  const titles = new Map(materials.map((line) => [line.id as string, drawerTitle(line)]))
  return purchases.map((purchase) => (
    <Purchase
      key={purchase.purchaseId}
      purchase={{
        ...purchase,
        lines: purchase.lines.map((line) => ({ ...line, name: titles.get(line.materialId) ?? line.name })),
      }}
    />
  ))
}
