import { useState } from 'react'
import {
  Button as DragButton,
  GridList,
  GridListItem,
  isTextDropItem,
  useDragAndDrop,
} from 'react-aria-components'
import styled from 'styled-components'
import type { BoxLine, CompartmentId, CompartmentLine, VariantId } from '../../../contract/index.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../../wire/store.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { ListedSlits } from '../../drawing/ListedFly.tsx'
import { Button } from '../../ui/Button.tsx'
import { Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NearView } from '../../ui/NearView.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { placeMark } from './useCensus.ts'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'

const Foam = styled.div<{ $columns: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $columns }) => $columns}, minmax(0, 1fr));
  gap: 1px;
  background: var(--rule);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  overflow: hidden;
  .place {
    padding: 5px 9px 7px;
    background: var(--panel);
    min-height: 44px;
    contain: layout paint style;
  }
  .place[data-lit='true'] {
    box-shadow: inset 0 0 0 2px var(--thistle);
  }
  .label {
    display: flex;
    justify-content: space-between;
    width: 100%;
    padding: 0;
    min-height: 32px;
    align-items: center;
    font: 0.8125rem/1.2 var(--text);
    color: var(--quiet);
    background: none;
    border: 0;
    text-align: left;
    cursor: pointer;
  }
  .label:hover {
    text-decoration: underline;
  }
  .flies {
    min-height: 24px;
    outline-offset: 2px;
  }
  .flies[data-drop-target] {
    outline: 2px dashed var(--thistle);
  }
  .flies[data-empty] {
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .fly {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 6px;
    align-items: center;
    min-height: 32px;
    font-size: 0.875rem;
    cursor: grab;
  }
  .fly > div {
    display: contents;
  }
  .fly.outside .name {
    color: var(--quiet);
  }
  .fly.outside [role='img'] {
    visibility: hidden;
  }
  .fly[data-dragging] {
    opacity: 0.5;
  }
  .fly[data-selected] {
    background: color-mix(in srgb, var(--thistle) 14%, transparent);
    border-radius: 4px;
  }
  .fly[data-focus-visible] {
    outline: 2px solid var(--thistle);
  }
  .fly .name {
    flex: 1 0 auto;
    max-width: calc(100% - 32px);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .grip {
    min-height: 32px;
    padding: 0;
    color: var(--quiet);
    background: none;
    border: 0;
    cursor: grab;
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

const FLY_PX = 32
const LABEL_PX = 46

const FLY = 'application/x-heavy-thistle-fly'
type Fly = CompartmentLine['flies'][number]

/** Flies of a variant that are on their way to another compartment. */
export interface Dropped {
  readonly fromCompartmentId: CompartmentId
  readonly variantId: VariantId
  readonly name: string
  readonly count: number
}

const nameOf = ({ patternName, label }: Fly) => `${patternName} ${label}`

/** How many of the flies that were dropped are moved: all of them unless told otherwise. */
function HowMany({
  dropped,
  onMove,
  onLeave,
}: {
  readonly dropped: Dropped
  readonly onMove: (count: number) => void
  readonly onLeave: () => void
}) {
  const [count, setCount] = useState<number | null>(dropped.count)
  return (
    <form
      aria-label={`Move ${dropped.name}`}
      onSubmit={(event) => {
        event.preventDefault()
        if (count) onMove(count)
      }}
      onKeyDown={({ key }) => (key === 'Escape' ? onLeave() : undefined)}
    >
      <Row $align="end" $gap={6}>
        <NumberField
          label={`How many of ${dropped.count}`}
          value={count}
          min={1}
          max={dropped.count}
          onChange={setCount}
          autoFocus
        />
        <Button type="submit" look="main" isDisabled={!count}>
          Move
        </Button>
        <Button look="quiet" onPress={onLeave}>
          Leave them
        </Button>
      </Row>
    </form>
  )
}

interface PlaceProps {
  readonly place: CompartmentLine
  /** whether a fly fishes at the depth that is looked at; null while all are */
  readonly isIn: ((fly: Fly) => boolean) | null
  /** flies of one compartment that were chosen to go elsewhere: a finger cannot drag everywhere */
  readonly chosen: readonly Dropped[]
  readonly onChoose: (chosen: readonly Dropped[]) => void
  readonly onOpen: () => void
}

const droppedOf = (place: CompartmentLine, fly: Fly): Dropped => ({
  fromCompartmentId: place.id,
  variantId: fly.variantId,
  count: fly.count,
  name: nameOf(fly),
})

function Place({ place, isIn, chosen, onChoose, onOpen }: PlaceProps) {
  const lit = useAppSelector((state) => state.view.lit)
  const dispatch = useAppDispatch()
  const command = useCommand()
  const { send, refusal } = useMayOverfill()
  const [dropped, setDropped] = useState<Dropped | null>(null)
  const held = place.flies.reduce((sum, { count }) => sum + count, 0)
  const move = (
    { fromCompartmentId, variantId }: Dropped,
    count: number,
    also: readonly Pick<Dropped, 'variantId' | 'count'>[] = [],
  ) => {
    setDropped(null)
    onChoose([])
    void send((anyway) =>
      command(
        'fliesMove',
        { fromCompartmentId, toCompartmentId: place.id, variantId, count, also: [...also], anyway },
        { quietly: true },
      ),
    )
  }
  /** several that were chosen go as they are; of one it is asked how many */
  const take = ([fly, ...others]: readonly Dropped[]) => {
    if (!fly || fly.fromCompartmentId === place.id) return
    if (others.length === 0 && fly.count > 1) setDropped(fly)
    else
      move(
        fly,
        fly.count,
        others.map(({ variantId, count }) => ({ variantId, count })),
      )
  }
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) =>
      place.flies
        .filter(({ variantId, count }) => keys.has(variantId) && count > 0)
        .map((fly) => ({ [FLY]: JSON.stringify(droppedOf(place, fly)), 'text/plain': nameOf(fly) })),
    acceptedDragTypes: [FLY],
    getDropOperation: () => 'move',
    onRootDrop: ({ items }) => {
      void Promise.all(items.filter(isTextDropItem).map((item) => item.getText(FLY))).then((texts) =>
        take(texts.map((text) => JSON.parse(text) as Dropped)),
      )
    },
  })
  return (
    <div
      className="place"
      data-lit={
        lit === placeMark(place.id) ||
        place.flies.some((fly) => fly.variantId === lit || (isIn?.(fly) ?? false))
      }
    >
      <button
        type="button"
        className="label"
        onClick={onOpen}
        onMouseEnter={() => dispatch(light(placeMark(place.id)))}
        onMouseLeave={() => dispatch(light(null))}
      >
        <span>{place.label}</span>
        <span className="figures">
          {held}
          {place.capacity === null ? '' : ` of ${place.capacity}`}
        </span>
      </button>
      <GridList
        className="flies"
        aria-label={`Flies in ${place.label}`}
        items={place.flies}
        dependencies={[isIn]}
        selectionMode="multiple"
        selectedKeys={chosen.flatMap((fly) => (fly.fromCompartmentId === place.id ? [fly.variantId] : []))}
        onSelectionChange={(keys) =>
          onChoose(
            place.flies
              .filter(({ variantId, count }) => count > 0 && (keys === 'all' || keys.has(variantId)))
              .map((fly) => droppedOf(place, fly)),
          )
        }
        dragAndDropHooks={dragAndDropHooks}
        renderEmptyState={() => 'empty'}
      >
        {(fly) => (
          <GridListItem
            id={fly.variantId}
            textValue={nameOf(fly)}
            className={isIn && !isIn(fly) ? 'fly outside' : 'fly'}
          >
            <DragButton slot="drag" className="grip">
              ⠿
            </DragButton>
            <span
              className="name"
              onMouseEnter={() => dispatch(light(fly.variantId))}
              onMouseLeave={() => dispatch(light(null))}
            >
              {nameOf(fly)}
            </span>
            <ListedSlits
              onHand={fly.count}
              keep={fly.par ?? 0}
              drawingKey={fly.drawingKey}
              label={nameOf(fly)}
            />
          </GridListItem>
        )}
      </GridList>
      {chosen.length > 0 && chosen[0]?.fromCompartmentId !== place.id && !dropped ? (
        <Button look="quiet" onPress={() => take(chosen)} aria-label={`Put what is chosen into ${place.label}`}>
          put them here
        </Button>
      ) : null}
      {dropped ? (
        <HowMany dropped={dropped} onMove={(count) => move(dropped, count)} onLeave={() => setDropped(null)} />
      ) : null}
      {refusal}
    </div>
  )
}

/** A box as it is: rows and columns of compartments, between which flies are dragged. */
export function BoxDrawn({
  box,
  atOnce,
  onOpen,
  ...shared
}: Pick<PlaceProps, 'isIn' | 'chosen' | 'onChoose'> & {
  readonly box: BoxLine
  /** whether its flies are drawn before the sheet comes near */
  readonly atOnce: boolean
  readonly onOpen: (id: string) => void
}) {
  const columns = Math.max(1, ...box.compartments.map(({ column }) => column))
  return (
    <Section aria-label={box.name}>
      <Heading>
        <h2>
          {box.name} <Quiet>{box.note}</Quiet>
        </h2>
        <Button
          look="quiet"
          aria-label={`Labels of ${box.name} to print`}
          onPress={() => void import('./boxLabels.ts').then(({ saveBoxLabels }) => saveBoxLabels(box))}
        >
          Labels to print
        </Button>
      </Heading>
      <Foam $columns={Math.max(columns, box.compartments.length > 4 ? 2 : 1)}>
        {box.compartments.map((place) => (
          <NearView
            key={place.id}
            always={atOnce}
            estimatePx={LABEL_PX + Math.max(place.flies.length, 1) * FLY_PX}
          >
            <Place place={place} {...shared} onOpen={() => onOpen(place.id)} />
          </NearView>
        ))}
      </Foam>
    </Section>
  )
}
