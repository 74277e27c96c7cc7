import type { BenchView } from '../../../contract/index.ts'
import { FlyDrawing } from '../../drawing/FlyDrawing.tsx'
import { useDrawing } from '../../drawing/useDrawing.ts'
import { ShankRule } from './ShankRule.tsx'

type OnVise = NonNullable<BenchView['onVise']>

/** The fly as it is to be, the step's component lit, over a rule of its shank. */
export function FlyPicture({ vise, step }: { readonly vise: OnVise; readonly step: OnVise['steps'][number] }) {
  const drawing = useDrawing(vise.figure.drawingKey)
  const { shankMm } = vise
  const pxPerMm = drawing ? Math.min(290 / drawing.widthMm, 30) : 10
  return (
    <div className="picture">
      {drawing ? (
        <FlyDrawing
          drawing={drawing}
          pxPerMm={pxPerMm}
          highlight={step.componentKey}
          title={`The fly, ${step.title.toLowerCase()}`}
        />
      ) : null}
      <div style={{ paddingLeft: drawing ? Math.max(-drawing.minXMm * pxPerMm - 6, 0) : 0 }}>
        <ShankRule step={step} shankMm={shankMm} pxPerMm={pxPerMm} />
      </div>
    </div>
  )
}
