import { Label, Slider, SliderThumb, SliderTrack, SliderOutput } from 'react-aria-components'
import styled from 'styled-components'
import { Button } from '../../ui/Button.tsx'
import { Row } from '../../ui/layout.tsx'
import { labels } from '../../words/boxes.ts'

const Size = styled(Slider)`
  display: grid;
  grid-template-columns: auto 110px auto;
  /* the thumb reaches over both ends */
  gap: 16px;
  align-items: center;
  font-size: 0.8125rem;
  color: var(--quiet);
  .track {
    height: 32px;
    background: linear-gradient(var(--quiet), var(--quiet)) 0 50% / 100% 2px no-repeat;
  }
  .thumb {
    top: 50%;
    width: 16px;
    height: 24px;
    border: 1px solid var(--quiet);
    border-radius: 6px;
    background: var(--panel);
  }
  .thumb[data-focus-visible] {
    outline: 2px solid var(--thistle);
  }
`

interface HowTheyLookProps {
  readonly look: 'slits' | 'names'
  readonly onLook: (look: 'slits' | 'names') => void
  /** 1 is true size */
  readonly zoom: number
  readonly onZoom: (zoom: number) => void
}

/** Boxes as they look, at true size or larger, or by the names of what is in them. */
export function HowTheyLook({ look, onLook, zoom, onZoom }: HowTheyLookProps) {
  return (
    <Row $gap={10}>
      {look === 'slits' ? (
        <Size minValue={1} maxValue={3} step={0.25} value={zoom} onChange={(value) => onZoom(Number(value))}>
          <Label>{labels.howLarge}</Label>
          <SliderTrack className="track">
            <SliderThumb className="thumb" />
          </SliderTrack>
          <SliderOutput>{zoom === 1 ? labels.trueSize : `${zoom} ×`}</SliderOutput>
        </Size>
      ) : null}
      <Button look="quiet" onPress={() => onLook(look === 'slits' ? 'names' : 'slits')}>
        {look === 'slits' ? labels.byName : labels.asTheyLook}
      </Button>
    </Row>
  )
}
