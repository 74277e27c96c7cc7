import styled from 'styled-components'
import { FlyThumb } from './FlyThumb.tsx'
import type { Drawing } from './FlyDrawing.tsx'

const Foam = styled.span`
  display: inline-flex;
  flex-wrap: wrap;
  gap: 3px;
  vertical-align: middle;
`

const Slit = styled.span<{ $filled: boolean; $extra: boolean }>`
  position: relative;
  display: inline-grid;
  place-items: center;
  width: 30px;
  height: 20px;
  border: 1px ${({ $filled }) => ($filled ? 'solid var(--moss)' : 'dashed var(--madder)')};
  border-radius: 3px;
  opacity: ${({ $extra }) => ($extra ? 0.6 : 1)};
  overflow: hidden;
  &::after {
    content: '';
    position: absolute;
    left: 4px;
    right: 4px;
    bottom: 3px;
    height: 1px;
    background: var(--quiet);
    opacity: ${({ $filled }) => ($filled ? 0 : 0.8)};
  }
`

const SLIT_MM = 14
const SHOWN = 12

interface SlitsProps {
  readonly onHand: number
  readonly keep: number
  readonly drawing: Drawing | null
  /** what the slits are of, for those who hear them */
  readonly label: string
}

/** "Keep three" as three foam slits: filled with the fly's own silhouette, or empty and dashed. */
export function Slits({ onHand, keep, drawing, label }: SlitsProps) {
  const slots = Math.min(Math.max(keep, onHand, 1), SHOWN)
  const scale = 28 / Math.max(drawing?.widthMm ?? SLIT_MM, SLIT_MM)
  return (
    <Foam role="img" aria-label={`${label}: ${onHand} of ${keep}`}>
      {Array.from({ length: slots }, (_, i) => (
        <Slit key={i} $filled={i < onHand} $extra={i >= keep}>
          {i < onHand && drawing ? <FlyThumb drawing={drawing} pxPerMm={scale} /> : null}
        </Slit>
      ))}
    </Foam>
  )
}
