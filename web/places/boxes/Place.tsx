import type { ReactNode } from 'react'
import type { CompartmentLine } from '../../../contract/index.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../../wire/store.ts'
import { Button } from '../../ui/Button.tsx'
import { HowMany } from './HowMany.tsx'
import { placeMark } from './census.ts'
import { NamedFlies } from './NamedFlies.tsx'
import { SlitRows } from './SlitRows.tsx'
import { usePlaceDrop } from './usePlaceDrop.ts'
import type { Dropped, Fly } from './usePlaceDrop.ts'
import { labels } from '../../words/boxes.ts'

/** What a compartment is told. */
export interface PlaceProps {
  readonly place: CompartmentLine
  /** scale at which its flies are shown in their slits; null where their names are wanted */
  readonly slitsPxPerMm: number | null
  /** whether a fly fishes at the depth that is looked at; null while all are */
  readonly isIn: ((fly: Fly) => boolean) | null
  /** flies of one compartment that were chosen to go elsewhere: a finger cannot drag everywhere */
  readonly chosen: readonly Dropped[]
  readonly onChoose: (chosen: readonly Dropped[]) => void
  readonly onOpen: () => void
}

/** What stands around a compartment: it lights up by itself, and what is in it stays as it is. */
function PlaceFrame({
  place,
  isIn,
  children,
}: Pick<PlaceProps, 'place' | 'isIn'> & { readonly children: ReactNode }) {
  const isLit = useAppSelector(
    ({ view: { lit } }) =>
      lit === placeMark(place.id) || place.flies.some(({ variantId }) => variantId === lit),
  )
  return (
    <div className="place" data-lit={isLit || (isIn !== null && place.flies.some(isIn))}>
      {children}
    </div>
  )
}

/** A compartment with its flies, which can be dragged out of it, dropped into it, or chosen and put here. */
export function Place({ place, slitsPxPerMm, isIn, chosen, onChoose, onOpen }: PlaceProps) {
  const dispatch = useAppDispatch()
  const { dropped, leave, move, take, dragAndDropHooks, refusal } = usePlaceDrop(place, onChoose)
  const shared = { place, isIn, chosen, onChoose, dragAndDropHooks }
  const held = place.flies.reduce((sum, { count }) => sum + count, 0)
  return (
    <PlaceFrame place={place} isIn={isIn}>
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
      {slitsPxPerMm === null ? <NamedFlies {...shared} /> : <SlitRows {...shared} pxPerMm={slitsPxPerMm} />}
      {chosen.length > 0 && chosen[0]?.fromCompartmentId !== place.id && !dropped ? (
        <Button look="quiet" onPress={() => take(chosen)} aria-label={`Put what is chosen into ${place.label}`}>
          {labels.putThemHere}
        </Button>
      ) : null}
      {dropped ? <HowMany dropped={dropped} onMove={(count) => move(dropped, count)} onLeave={leave} /> : null}
      {refusal}
    </PlaceFrame>
  )
}
