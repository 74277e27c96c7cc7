import { useMemo } from 'react'
import type { BenchView } from '../../../contract/index.ts'
import { FlyDrawing } from '../../drawing/FlyDrawing.tsx'
import { useSketch } from '../../drawing/useSketch.ts'
import { useRoom } from '../../ui/useRoom.ts'
import { ShankRule } from './ShankRule.tsx'
import { tiedSoFar } from './tiedSoFar.ts'

type OnVise = NonNullable<BenchView['onVise']>

/** Room that the rule beneath takes, px, and the largest scale at which a fly is of any use. */
const RULE_PX = 44
const MOST_PX_PER_MM = 60

/** The fly as it is to be, over a rule of its shank: solid what is tied, lit this step's part, pale what comes. */
export function FlyPicture({ vise, now }: { readonly vise: OnVise; readonly now: number }) {
  const { figure, shankMm, steps } = vise
  const sketch = useSketch(figure.drawingKey)
  const { ref, widthPx, heightPx } = useRoom()
  const step = steps[now]
  const { tied, begun } = useMemo(() => tiedSoFar(steps, now), [steps, now])
  const frame = sketch?.frame
  const pxPerMm = frame
    ? Math.min(widthPx / frame.widthMm, (heightPx - RULE_PX) / frame.heightMm, MOST_PX_PER_MM)
    : 0
  return (
    <div className="picture" ref={ref}>
      {sketch && frame && step && pxPerMm > 1 ? (
        <>
          <FlyDrawing
            sketch={sketch}
            pxPerMm={pxPerMm}
            highlight={step.componentKey}
            tied={tied}
            begun={begun}
            title={`The fly, ${step.title.toLowerCase()}`}
          />
          <div style={{ paddingLeft: Math.max(-frame.leftMm * pxPerMm - 6, 0) }}>
            <ShankRule step={step} shankMm={shankMm} pxPerMm={pxPerMm} />
          </div>
        </>
      ) : null}
    </div>
  )
}
