import { memo, useCallback, useDeferredValue, useMemo, useRef, useState } from 'react'
import { v7 } from 'uuid'
import type { FlySketch } from '../../core/index.ts'
import type { Carried, TapId, WatersideTap } from '../../contract/index.ts'
import { FlyDrawing } from '../drawing/FlyDrawing.tsx'
import { MeansContext } from '../parts/waterside/means.ts'
import type { Means } from '../parts/waterside/means.ts'
import { OutingTitle } from '../parts/waterside/OutingTitle.tsx'
import { There } from '../parts/waterside/There.tsx'
import { useClock } from '../parts/waterside/useWaterside.ts'
import type { Said } from '../parts/waterside/useWaterside.ts'
import { Quiet } from '../ui/layout.tsx'
import { dayOf, instantName } from '../words/instants.ts'
import { rulesSentence } from '../words/rules.ts'
import { labels } from '../words/waterside.ts'
import { keptTaps } from './keptTaps.ts'
import { SendLog } from './SendLog.tsx'

/** What CSS takes for a millimetre. */
const PX_PER_MM = 96 / 25.4

interface DrawnProps {
  readonly sketch: FlySketch
  readonly pxPerMm: number
}

/** A fly a moment after its name, in the room that it will take: an answer does not wait for hairs. */
function DrawnSoon({ sketch, pxPerMm }: DrawnProps) {
  const drawn = useDeferredValue<FlySketch | null>(sketch, null)
  const { widthMm, heightMm } = sketch.frame
  return drawn ? (
    <FlyDrawing sketch={drawn} pxPerMm={pxPerMm} />
  ) : (
    <span style={{ width: widthMm * pxPerMm, height: heightMm * pxPerMm }} />
  )
}

/** Draws the flies that the page carries. */
const drawnFrom = (sketches: Carried['sketches']): Means['DrawnFly'] =>
  function DrawnFly({ drawingKey, pxPerMm }) {
    const sketch = sketches[drawingKey ?? ''] as FlySketch | undefined
    // of another fly the drawing before it is not shown for even a moment
    return sketch ? <DrawnSoon key={drawingKey} sketch={sketch} pxPerMm={pxPerMm} /> : null
  }

const KEPT_UP_MS = 20_000

/** What the page is of, and what is allowed there. */
const Head = memo(function Head({ along, units }: Pick<Carried, 'along' | 'units'>) {
  const { outing, madeAtMs, timeZone } = along
  return (
    <>
      <OutingTitle outing={outing} />
      <p>
        <Quiet>
          {rulesSentence(outing.rules, units)} {labels.madeOn} {instantName(madeAtMs, timeZone)}.
        </Quiet>
      </p>
    </>
  )
})

/** The page that goes along: an outing at the water, from a file, with nobody to ask. */
export function AlongPage({ carried }: { readonly carried: Carried }) {
  const { along, warmth, dataId, units, sketches } = carried
  const { outing } = along
  const kept = useMemo(() => keptTaps(dataId, outing.id), [dataId, outing.id])
  const [taps, setTaps] = useState<readonly WatersideTap[]>(() => [...along.taps, ...kept.before])
  const all = useRef(taps)
  const [keeps, setKeeps] = useState(kept.keeps)
  const note = useCallback(
    (said: Said) => {
      const tap = { ...said, id: v7() as TapId, atMs: Date.now() } as WatersideTap
      all.current = [...all.current, tap]
      setTaps(all.current)
      setKeeps(kept.keep(all.current))
    },
    [kept],
  )
  const today = dayOf(useClock(KEPT_UP_MS), along.timeZone) === outing.on
  const means = useMemo(
    (): Means => ({ units, pxPerMm: PX_PER_MM, DrawnFly: drawnFrom(sketches) }),
    [units, sketches],
  )
  return (
    <main id="sheet" style={{ padding: 14 }}>
      <Head along={along} units={units} />
      <MeansContext value={means}>
        <There along={along} warmth={warmth} log={{ taps, note }} today={today} />
      </MeansContext>
      <SendLog carried={carried} taps={taps} keeps={keeps} />
    </main>
  )
}
