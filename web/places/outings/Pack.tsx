import { useMemo, useState } from 'react'
import type { BoxLine, CompartmentId, CompartmentLine, OutingLine, VariantId } from '../../../contract/index.ts'
import { useBoxesQuery, useFrameQuery } from '../../wire/api.ts'
import { usePlanned } from '../../wire/planned.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, Select } from '../../ui/fields.tsx'
import { Dense, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'

type Fly = CompartmentLine['flies'][number]

/** A fly that could go along, from where it lies. */
interface Packable {
  readonly key: string
  readonly fly: Fly
  readonly place: CompartmentLine
  /** worth of the foods of that day that the pattern is meant for; nought for none */
  readonly worth: number
}

function packablesOf(
  boxes: readonly BoxLine[],
  intoId: string | null,
  worthOf: (variantId: string) => number,
): readonly Packable[] {
  return boxes
    .flatMap(({ compartments }) => compartments)
    .filter(({ id }) => id !== intoId)
    .flatMap((place) =>
      place.flies
        .filter(({ count }) => count > 0)
        .map((fly) => ({ key: `${place.id} ${fly.variantId}`, fly, place, worth: worthOf(fly.variantId) })),
    )
    .sort((a, b) => b.worth - a.worth || a.fly.patternName.localeCompare(b.fly.patternName))
}

/** What goes along: flies meant for what is likely that day are proposed first, as many of each as are kept. */
export function Pack({ outing, onDone }: { readonly outing: OutingLine; readonly onDone: () => void }) {
  const { data: boxes } = useBoxesQuery()
  const plan = usePlanned()
  const { data: frame } = useFrameQuery()
  const command = useCommand()
  const { send, refusal } = useMayOverfill()
  const [intoId, setIntoId] = useState<string | null>(null)
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>({})
  const keep = frame?.settings.parCount ?? 3
  const worth = useMemo(() => {
    const day = plan?.outings.find(({ outingId }) => outingId === outing.id)
    const foods = new Map(day?.foods.map((food) => [food.foodStageId as string, food.worth]))
    return new Map(
      plan?.variants.map(({ variantId, meantFor }) => [
        variantId as string,
        Math.max(0, ...meantFor.map((stage) => foods.get(stage) ?? 0)),
      ]),
    )
  }, [plan, outing.id])
  if (!boxes) return <p aria-busy="true">Opening the boxes …</p>
  const places = boxes.boxes.flatMap(({ name, compartments }) =>
    compartments.map(({ id, label }) => ({ id: id as string, name: `${name}: ${label}` })),
  )
  const flies = packablesOf(boxes.boxes, intoId, (id) => worth.get(id) ?? 0)
  const setCount = (key: string, count: number) => setCounts((before) => ({ ...before, [key]: count }))
  const chosen = flies.flatMap((packable) => {
    const count = Math.min(counts[packable.key] ?? 0, packable.fly.count)
    return count > 0 ? [{ ...packable, count }] : []
  })
  const total = chosen.reduce((sum, { count }) => sum + count, 0)
  const propose = () =>
    setCounts(
      Object.fromEntries(
        flies.filter((packable) => packable.worth > 0).map(({ key, fly }) => [key, Math.min(fly.count, keep)]),
      ),
    )
  const pack = async () => {
    if (!intoId) return
    const delivery = await send((anyway) =>
      command(
        'outingPack',
        {
          outingId: outing.id,
          toCompartmentId: intoId as CompartmentId,
          anyway,
          flies: chosen.map(({ fly, place, count }) => ({
            fromCompartmentId: place.id,
            variantId: fly.variantId as VariantId,
            count,
          })),
        },
        { quietly: true },
      ),
    )
    if (delivery.kind === 'done') onDone()
  }
  return (
    <>
      <Heading>
        <h1>
          Pack{' '}
          <Quiet>
            for {dayName(outing.on)}, {outing.reachName ?? outing.waterName}
          </Quiet>
        </h1>
        <Button large onPress={onDone}>
          Leave it
        </Button>
      </Heading>
      <Row
        $align="end"
        style={{ position: 'sticky', top: -14, padding: '8px 0', background: 'var(--ground)', zIndex: 2 }}
      >
        <Select label="Into" value={intoId} choices={places} onChange={setIntoId} width="240px" />
        <Button large onPress={propose}>
          What that day asks for
        </Button>
        <Button large look="main" onPress={() => void pack()} isDisabled={total === 0 || !intoId}>
          Pack {total === 1 ? 'one fly' : `${total} flies`}
        </Button>
      </Row>
      {refusal}
      <Dense aria-label="Flies that could go along" style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>fly</th>
            <th>lies in</th>
            <th className="number">on hand</th>
            <th>take</th>
          </tr>
        </thead>
        <tbody>
          {flies.map(({ key, fly, place, worth: asked }) => {
            const name = `${fly.patternName} ${fly.label}`
            const count = counts[key] ?? 0
            return (
              <tr key={key}>
                <td>
                  <Checkbox
                    isSelected={count > 0}
                    onChange={(on) => setCount(key, on ? Math.min(fly.count, keep) : 0)}
                  >
                    {name}
                  </Checkbox>
                  {asked > 0 ? <Quiet> likely that day</Quiet> : null}
                </td>
                <td>{place.label}</td>
                <td className="number">{fly.count}</td>
                <td>
                  {count > 0 ? (
                    <NumberField
                      label={`How many ${name}`}
                      hideLabel
                      value={count}
                      min={1}
                      max={fly.count}
                      width="64px"
                      onChange={(value) => (value === null ? undefined : setCount(key, value))}
                    />
                  ) : null}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
    </>
  )
}
