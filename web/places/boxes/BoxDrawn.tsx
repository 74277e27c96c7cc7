import styled from 'styled-components'
import type { BoxLine } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Heading, Quiet, Section } from '../../ui/layout.tsx'
import { NearView } from '../../ui/NearView.tsx'
import { Place } from './Place.tsx'
import type { PlaceProps } from './Place.tsx'
import { labels } from '../../words/boxes.ts'

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
  /* one leaf: label, slits and names side by side */
  &[data-long='true'] .place {
    display: grid;
    grid-template-columns: 128px minmax(0, 1fr);
    gap: 0 12px;
    align-items: center;
  }
  &[data-long='true'] .label {
    display: block;
  }
  &[data-long='true'] .label .figures {
    display: block;
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

/** Compartments of the first box that are drawn with the sheet: as many as a large window shows. */
const DRAWN_AT_ONCE = 8
/** Boxes that are drawn right after it, a compartment a frame; those below them when the sheet comes near. */
export const DRAWN_SOON = 6
const FLY_PX = 32
const LABEL_PX = 46
const SLITS_PX = 100

/** A box as it is: rows and columns of compartments, between which flies are dragged. */
export function BoxDrawn({
  box,
  order,
  onOpen,
  ...shared
}: Pick<PlaceProps, 'isIn' | 'chosen' | 'onChoose' | 'slitsPxPerMm'> & {
  readonly box: BoxLine
  /** how many boxes stand above it */
  readonly order: number
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
          {labels.labelsToPrint}
        </Button>
      </Heading>
      <Foam $columns={columns} data-long={columns === 1 && shared.slitsPxPerMm !== null}>
        {box.compartments.map((place, i) => (
          <NearView
            key={place.id}
            when={order >= DRAWN_SOON ? 'near' : order === 0 && i < DRAWN_AT_ONCE ? 'atOnce' : 'soon'}
            estimatePx={
              LABEL_PX + (shared.slitsPxPerMm === null ? Math.max(place.flies.length, 1) * FLY_PX : SLITS_PX)
            }
          >
            <Place place={place} {...shared} onOpen={() => onOpen(place.id)} />
          </NearView>
        ))}
      </Foam>
    </Section>
  )
}
