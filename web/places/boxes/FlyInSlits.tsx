import styled from 'styled-components'
import { FlyThumb } from '../../drawing/FlyThumb.tsx'
import { roomOf } from '../../../contract/drawingKey.ts'
import { useSketch } from '../../drawing/useSketch.ts'
import { SLIT_MM, slitsOf } from './slitLayout.ts'
import { nameOf } from './usePlaceDrop.ts'
import type { Fly } from './usePlaceDrop.ts'

const Group = styled.span`
  display: inline-flex;
  flex-wrap: wrap;
  max-width: 100%;
  .slit {
    display: grid;
    place-items: center;
    overflow: visible;
  }
  .slit img {
    max-width: none !important;
    background: none !important;
  }
  .gap::after {
    content: '';
    width: 62%;
    height: 55%;
    border: 1px dashed var(--madder);
    border-radius: 4px;
  }
`

/** Gaps that are shown of one fly: more say nothing more. */
const MOST_GAPS = 6

/** Flies that lie here and gaps up to what is kept, in slits. */
export const standingOf = ({ count, par }: Fly): { readonly flies: number; readonly gaps: number } => ({
  flies: count,
  gaps: Math.min(Math.max((par ?? 0) - count, 0), MOST_GAPS),
})

/** How long a fly is that is not drawn, mm. */
const UNKNOWN_MM = 14

/** A fly as it stands in its slits: each for itself, all facing one way, gaps dashed where some are missing. */
export function FlyInSlits({ fly, pxPerMm }: { readonly fly: Fly; readonly pxPerMm: number }) {
  const sketch = useSketch(fly.figure.drawingKey)
  const { flies, gaps } = standingOf(fly)
  const width = slitsOf(roomOf(fly.figure.drawingKey ?? '')?.widthMm ?? UNKNOWN_MM) * SLIT_MM.wide * pxPerMm
  const size = { width, height: SLIT_MM.high * pxPerMm }
  return (
    <Group role="img" aria-label={`${nameOf(fly)}: ${flies} of ${fly.par ?? 0}`}>
      {Array.from({ length: flies }, (_, i) => (
        <span key={i} className="slit" style={size}>
          {sketch ? (
            <FlyThumb sketch={sketch} pxPerMm={pxPerMm} />
          ) : fly.figure.drawingKey ? null : (
            <span className="figures">?</span>
          )}
        </span>
      ))}
      {Array.from({ length: gaps }, (_, i) => (
        <span key={`gap ${i}`} className="slit gap" style={{ ...size, width: SLIT_MM.wide * pxPerMm }} />
      ))}
    </Group>
  )
}
