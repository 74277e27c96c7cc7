import { Button as DragButton, GridList, GridListItem } from 'react-aria-components'
import type { DragAndDropHooks } from 'react-aria-components'
import { ListedSlits } from '../../drawing/ListedFly.tsx'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import type { PlaceProps } from './Place.tsx'
import { choosing, nameOf } from './usePlaceDrop.ts'

/** A compartment's flies by their names, a line each. */
export function NamedFlies({
  place,
  isIn,
  chosen,
  onChoose,
  dragAndDropHooks,
}: Pick<PlaceProps, 'place' | 'isIn' | 'chosen' | 'onChoose'> & {
  readonly dragAndDropHooks: DragAndDropHooks
}) {
  const dispatch = useAppDispatch()
  return (
    <GridList
      className="flies"
      aria-label={`Flies in ${place.label}`}
      items={place.flies}
      dependencies={[isIn]}
      selectionMode="multiple"
      {...choosing(place, chosen, onChoose)}
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
            drawingKey={fly.figure.drawingKey}
            label={nameOf(fly)}
          />
        </GridListItem>
      )}
    </GridList>
  )
}
