import { useMemo, useState } from 'react'
import type { CompartmentId, OutingLine } from '../../../contract/index.ts'
import { useBoxesQuery, useFrameQuery } from '../../wire/answers.ts'
import { usePlanned } from '../../wire/planned.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { ListedFly } from '../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { placeChoices } from '../../parts/placeChoices.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Caution, Dense, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Working } from '../../parts/Working.tsx'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'
import { useOutingNeeds } from '../../parts/cover/useOutingNeeds.ts'
import { coverWith, forbiddenOn, packablesOf, proposed, takenOf, worthOnDay } from './packables.ts'
import type { Packable, Taken } from './packables.ts'
import { wording } from '../../../core/index.ts'
import type { Forbidden } from '../../../core/index.ts'
import { FORBIDDEN, labels } from '../../words/outings.ts'

/** Hours that are not worth a word. */
const LEAST_TOLD = 0.05

/** What goes along: flies that would be something to show that day come first; what is proposed covers most of it. */
export function Pack({ outing, onDone }: { readonly outing: OutingLine; readonly onDone: () => void }) {
  const { data: boxes } = useBoxesQuery()
  const plan = usePlanned()
  const { data: frame } = useFrameQuery()
  const command = useCommand()
  const { send, refusal } = useMayOverfill()
  const [intoId, setIntoId] = useState<string | null>(null)
  const [counts, setCounts] = useState<Taken>({})
  const keep = frame?.settings.parCount ?? 3
  const asks = useOutingNeeds(plan, outing.id)
  const needs = asks.found
  const worth = useMemo(() => worthOnDay(needs ?? []), [needs])
  const forbidden = useMemo(
    () => (plan ? forbiddenOn(plan, outing.id) : new Map<string, Forbidden>()),
    [plan, outing.id],
  )
  if (!boxes) return <p aria-busy="true">{labels.openingTheBoxes}</p>
  const places = placeChoices(boxes.boxes)
  const flies = packablesOf(boxes.boxes, intoId, worth, forbidden)
  const lying = boxes.boxes
    .flatMap(({ compartments }) => compartments)
    .filter(({ id }) => id === intoId)
    .flatMap(({ flies: there }) => there)
  const rules = plan?.outings.find(({ outingId }) => outingId === outing.id)?.rules
  const cover = needs && coverWith(needs, flies, counts, lying)
  const setCount = (key: string, count: number) => setCounts((before) => ({ ...before, [key]: count }))
  const chosen = takenOf(flies, counts)
  const barbOf = new Map(plan?.variants.map(({ variantId, barb }) => [variantId as string, barb]))
  const unsaid = [
    ...new Set(
      flies
        .filter(({ key, fly }) => (counts[key] ?? 0) > 0 && (barbOf.get(fly.variantId) ?? null) === null)
        .map(({ fly }) => `${fly.patternName} ${fly.label}`),
    ),
  ]
  const total = chosen.reduce((sum, { count }) => sum + count, 0)
  const pack = async () => {
    if (!intoId) return
    const delivery = await send((anyway) =>
      command(
        'outingPack',
        {
          outingId: outing.id,
          toCompartmentId: intoId as CompartmentId,
          anyway,
          flies: chosen,
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
          {labels.leaveIt}
        </Button>
      </Heading>
      <Row
        $align="end"
        style={{ position: 'sticky', top: -14, padding: '8px 0', background: 'var(--ground)', zIndex: 2 }}
      >
        <Select label={labels.into} value={intoId} choices={places} onChange={setIntoId} width="240px" />
        <Button large isDisabled={!needs} onPress={() => needs && setCounts(proposed(needs, flies, keep))}>
          {labels.whatThatDayAsks}
        </Button>
        <Button large look="main" onPress={() => void pack()} isDisabled={total === 0 || !intoId}>
          Pack {total === 1 ? 'one fly' : `${total} flies`}
        </Button>
        {cover && cover.hours > 0 ? (
          <span role="status">{wording.coveredHours(cover.shown, cover.hours)}</span>
        ) : null}
      </Row>
      {rules?.barbless && unsaid.length > 0 ? (
        <Caution>
          {labels.crushBarbs} {unsaid.join(', ')}.
        </Caution>
      ) : null}
      {refusal}
      <Working of={asks} />
      <CouldGoAlong flies={flies} keep={keep} taken={counts} onTake={setCount} />
    </>
  )
}

/** Flies that could go along, each with how many are taken. */
function CouldGoAlong({
  flies,
  keep,
  taken,
  onTake,
}: {
  readonly flies: readonly Packable[]
  readonly keep: number
  readonly taken: Taken
  readonly onTake: (key: string, count: number) => void
}) {
  const pxPerMm = useTrueSize()
  return (
    <Dense aria-label={labels.fliesThatCouldGo} style={{ width: 'auto' }}>
      <thead>
        <tr>
          <th>{labels.fly2}</th>
          <th>{labels.liesIn}</th>
          <th className="number">{labels.onHand}</th>
          <th>{labels.take}</th>
        </tr>
      </thead>
      <tbody>
        {flies.map(({ key, fly, place, worth: asked, forbidden }) => {
          const name = `${fly.patternName} ${fly.label}`
          const count = taken[key] ?? 0
          return (
            <tr key={key}>
              <td>
                <Row $gap={6}>
                  <Checkbox
                    isSelected={count > 0}
                    onChange={(on) => onTake(key, on ? Math.min(fly.count, keep) : 0)}
                  >
                    {name}
                  </Checkbox>
                  <ListedFly drawingKey={fly.figure.drawingKey} pxPerMm={pxPerMm} />
                  {!forbidden && asked >= LEAST_TOLD ? <Quiet>{wording.hoursShown(asked)}</Quiet> : null}
                </Row>
                {forbidden ? <Caution>{FORBIDDEN[forbidden]}</Caution> : null}
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
                    onChange={(value) => (value === null ? undefined : onTake(key, value))}
                  />
                ) : null}
              </td>
            </tr>
          )
        })}
      </tbody>
    </Dense>
  )
}
