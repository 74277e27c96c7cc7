import { useEffect, useState } from 'react'
import type { FocusEvent } from 'react'
import { Button as DragButton, GridList, GridListItem } from 'react-aria-components'
import type { DragAndDropHooks } from 'react-aria-components'
import styled from 'styled-components'
import type { CompartmentLine } from '../../../contract/index.ts'
import { doInTurn } from '../../ui/inTurn.ts'
import { useRoom } from '../../ui/useRoom.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useWording } from '../../words/useWording.ts'
import { FlyInSlits, standingOf } from './FlyInSlits.tsx'
import { rowsOfSlits, SLIT_MM, slitsInARow } from './slitLayout.ts'
import { choosing, nameOf } from './usePlaceDrop.ts'
import type { Dropped, Fly } from './usePlaceDrop.ts'

/** A cut in the foam in the middle of its slit, laid side by side as a mask. */
const CUT = `data:image/svg+xml,${encodeURIComponent(
  '<svg xmlns="http://www.w3.org/2000/svg"><rect x="50%" y="21%" width="2" height="58%" rx="1"/></svg>',
)}`

const Foam = styled.div`
  position: relative;
  overflow: hidden;
  border-radius: 4px;
  background: color-mix(in srgb, var(--paper) 86%, var(--quiet));
  .cuts {
    position: absolute;
    inset: 0 auto auto 0;
    pointer-events: none;
    background: color-mix(in srgb, var(--quiet) 55%, transparent);
    mask-image: url('${CUT}');
  }
  .standing {
    position: relative;
    display: flex;
    flex-wrap: wrap;
    align-content: flex-start;
    outline-offset: -2px;
  }
  .standing[data-drop-target] {
    outline: 2px dashed var(--thistle);
  }
  .standing[data-empty] {
    font-size: 0;
  }
  .fly {
    position: relative;
    cursor: grab;
    outline-offset: -2px;
  }
  .fly > div {
    display: contents;
  }
  .fly.outside {
    opacity: 0.25;
  }
  .fly[data-dragging] {
    opacity: 0.5;
  }
  .fly[data-selected] {
    background: color-mix(in srgb, var(--thistle) 26%, transparent);
    border-radius: 4px;
  }
  .fly[data-focus-visible] {
    outline: 2px solid var(--thistle);
  }
  .grip {
    position: absolute;
    left: 0;
    top: 0;
    min-height: 20px;
    padding: 0 2px;
    color: var(--ink);
    background: none;
    border: 0;
    opacity: 0;
  }
  .grip[data-focus-visible] {
    opacity: 1;
  }
`

const Beside = styled.div`
  display: flex;
  gap: 14px;
  align-items: center;
  .names {
    flex: 1;
    min-width: 0;
    font-size: 0.8125rem;
    line-height: 1.35;
    color: var(--quiet);
  }
  .names [data-lit='true'] {
    color: var(--ink);
    font-weight: 650;
  }
`

/** Long flies take more rows than slits alone: cuts for them lie ready, and are seen where they come. */
const ROWS_TO_SPARE = 3
/** Names stand beside the slits where there is so much room for them, px. */
const ROOM_FOR_NAMES_PX = 150

const Pointed = styled.p`
  min-height: 1.3em;
  font-size: 0.8125rem;
  line-height: 1.3;
  color: var(--quiet);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
`

interface SlitRowsProps {
  readonly place: CompartmentLine
  /** px to the mm: true size or larger */
  readonly pxPerMm: number
  readonly isIn: ((fly: Fly) => boolean) | null
  readonly chosen: readonly Dropped[]
  readonly onChoose: (chosen: readonly Dropped[]) => void
  readonly dragAndDropHooks: DragAndDropHooks
}

/** What is said of a fly that is pointed at: its name, how many there are, and what it does. */
function useFlyWords() {
  const { fall } = useWording()
  return (fly: Fly) => {
    return `${nameOf(fly)} · ${fly.count}${fly.par === null ? '' : ` of ${fly.par}`} · ${fall(fly.figure)}`
  }
}

/**
 * Whether its flies can be dragged and chosen yet: they are seen first, and made to answer one compartment a frame
 * after that, or at once where a pointer comes.
 */
function useAnswers() {
  const [answers, setAnswers] = useState(false)
  useEffect(() => (answers ? undefined : doInTurn(() => setAnswers(true), 'later')), [answers])
  return { answers, answerNow: () => setAnswers(true) }
}

/** A compartment as it looks: its slits, the flies in them facing one way, and the gaps. */
export function SlitRows({ place, pxPerMm, isIn, chosen, onChoose, dragAndDropHooks }: SlitRowsProps) {
  const dispatch = useAppDispatch()
  const wordsOf = useFlyWords()
  const [pointed, setPointed] = useState<Fly | null>(null)
  const { ref, widthPx } = useRoom()
  const { answers, answerNow } = useAnswers()
  const cell = { width: SLIT_MM.wide * pxPerMm, height: SLIT_MM.high * pxPerMm }
  const perRow = slitsInARow(widthPx, cell.width, place.capacity)
  const namesBeside = widthPx - perRow * cell.width > ROOM_FOR_NAMES_PX
  const groups = place.flies.map((fly) => {
    const { flies, gaps } = standingOf(fly)
    return { each: 1, count: flies + gaps }
  })
  const rows = rowsOfSlits(groups, perRow, place.capacity)
  const pointAt = (fly: Fly | null) => {
    setPointed(fly)
    dispatch(light(fly?.variantId ?? null))
  }
  const pointAtFocus = ({ target }: FocusEvent<HTMLElement>) => {
    const key = target.closest('[data-key]')?.getAttribute('data-key')
    setPointed(place.flies.find(({ variantId }) => variantId === key) ?? null)
  }
  const classOf = (fly: Fly) => (isIn && !isIn(fly) ? 'fly outside' : 'fly')
  const size = { minHeight: rows * cell.height }
  return (
    <div ref={ref} onFocusCapture={pointAtFocus} onPointerEnter={answerNow}>
      <Beside>
        <Foam style={{ width: perRow * cell.width }}>
          <div
            className="cuts"
            aria-hidden="true"
            style={{
              width: perRow * cell.width,
              height: (rows + ROWS_TO_SPARE) * cell.height,
              maskSize: `${cell.width}px ${cell.height}px`,
            }}
          />
          {answers ? null : (
            <div className="standing" style={size}>
              {place.flies.map((fly) => (
                <div key={fly.variantId} className={classOf(fly)}>
                  <FlyInSlits fly={fly} pxPerMm={pxPerMm} />
                </div>
              ))}
            </div>
          )}
          {answers ? (
            <GridList
              className="standing"
              layout="grid"
              aria-label={`Flies in ${place.label}`}
              items={place.flies}
              dependencies={[isIn, pxPerMm]}
              style={size}
              selectionMode="multiple"
              {...choosing(place, chosen, onChoose)}
              dragAndDropHooks={dragAndDropHooks}
              renderEmptyState={() => 'empty'}
            >
              {(fly) => (
                <GridListItem
                  id={fly.variantId}
                  textValue={nameOf(fly)}
                  className={classOf(fly)}
                  onHoverStart={() => pointAt(fly)}
                  onHoverEnd={() => pointAt(null)}
                >
                  <DragButton slot="drag" className="grip">
                    ⠿
                  </DragButton>
                  <FlyInSlits fly={fly} pxPerMm={pxPerMm} />
                </GridListItem>
              )}
            </GridList>
          ) : null}
        </Foam>
        {namesBeside ? (
          <p className="names" aria-hidden="true">
            {place.flies.map((fly, i) => (
              <span key={fly.variantId} data-lit={fly.variantId === pointed?.variantId}>
                {i > 0 ? ', ' : ''}
                {nameOf(fly)} × {fly.count}
              </span>
            ))}
          </p>
        ) : null}
      </Beside>
      <Pointed aria-live="polite">{pointed ? wordsOf(pointed) : ''}</Pointed>
    </div>
  )
}
