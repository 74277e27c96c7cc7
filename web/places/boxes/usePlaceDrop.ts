import { useState } from 'react'
import { isTextDropItem, useDragAndDrop } from 'react-aria-components'
import type { Selection } from 'react-aria-components'
import type { CompartmentId, CompartmentLine, VariantId } from '../../../contract/index.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'

const FLY = 'application/x-heavy-thistle-fly'
export type Fly = CompartmentLine['flies'][number]

/** Flies of a variant that are on their way to another compartment. */
export interface Dropped {
  readonly fromCompartmentId: CompartmentId
  readonly variantId: VariantId
  readonly name: string
  readonly count: number
}

/** What a fly is called in a list. */
export const nameOf = ({ patternName, label }: Fly) => `${patternName} ${label}`

/** A fly of a compartment with all of its count. */
const droppedOf = (place: CompartmentLine, fly: Fly): Dropped => ({
  fromCompartmentId: place.id,
  variantId: fly.variantId,
  count: fly.count,
  name: nameOf(fly),
})

/** Which flies of a compartment are chosen, and what choosing others does: as lists of it are told. */
export const choosing = (
  place: CompartmentLine,
  chosen: readonly Dropped[],
  onChoose: (chosen: readonly Dropped[]) => void,
) => ({
  selectedKeys: chosen.flatMap((fly) => (fly.fromCompartmentId === place.id ? [fly.variantId] : [])),
  onSelectionChange: (keys: Selection) =>
    onChoose(
      place.flies
        .filter(({ variantId, count }) => count > 0 && (keys === 'all' || keys.has(variantId)))
        .map((fly) => droppedOf(place, fly)),
    ),
})

/** Flies that are dropped on a compartment or put there: of one that lies there more than once it is asked how many. */
export function usePlaceDrop(place: CompartmentLine, onChoose: (chosen: readonly Dropped[]) => void) {
  const command = useCommand()
  const { send, refusal } = useMayOverfill()
  const [dropped, setDropped] = useState<Dropped | null>(null)
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
  return { dropped, leave: () => setDropped(null), move, take, dragAndDropHooks, refusal }
}
