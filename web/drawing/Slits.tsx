import styled from 'styled-components'
import type { FlySketch } from '../../core/index.ts'
import { FlyThumb } from './FlyThumb.tsx'

/** Nothing in it is clipped, see-through or moved: a box shows a thousand slits, and each would be a layer to paint. */
const Foam = styled.span`
  display: inline-flex;
  flex-wrap: wrap;
  gap: 3px;
  vertical-align: middle;
  .slit {
    display: inline-grid;
    place-items: center;
    width: 30px;
    height: 20px;
    border: 1px solid var(--moss);
    border-radius: 3px;
  }
  .slit.empty {
    background: linear-gradient(var(--quiet), var(--quiet)) 50% calc(100% - 3px) / 20px 1px no-repeat;
    border: 1px dashed var(--madder);
  }
  .slit.extra {
    border-color: var(--rule);
  }
`

/** As long as a slit is a fly of this length; longer and taller ones are drawn smaller. */
const SLIT_MM = 14
const [SLIT_PX, SLIT_TALL_PX] = [28, 18]
const SHOWN = 12

function scaleOf(sketch: FlySketch): number {
  const { widthMm, heightMm } = sketch.frame
  return Math.min(SLIT_PX / Math.max(widthMm, SLIT_MM), SLIT_TALL_PX / heightMm)
}

interface SlitsProps {
  readonly onHand: number
  readonly keep: number
  readonly sketch: FlySketch | null
  /** what the slits are of, for those who hear them */
  readonly label: string
}

/** "Keep three" as three foam slits: filled with the fly's own silhouette, or empty and dashed. */
export function Slits({ onHand, keep, sketch, label }: SlitsProps) {
  const slots = Math.min(Math.max(keep, onHand, 1), SHOWN)
  const scale = sketch ? scaleOf(sketch) : 0
  return (
    <Foam role="img" aria-label={`${label}: ${onHand} of ${keep}`}>
      {Array.from({ length: slots }, (_, i) => (
        <span key={i} className={i >= onHand ? 'slit empty' : i >= keep ? 'slit extra' : 'slit'}>
          {i < onHand && sketch ? <FlyThumb sketch={sketch} pxPerMm={scale} /> : null}
        </span>
      ))}
    </Foam>
  )
}
