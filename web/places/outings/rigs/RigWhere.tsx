import { lazy, Suspense, useMemo, useState } from 'react'
import { wording } from '../../../../core/index.ts'
import type { RigPart } from '../../../../core/index.ts'
import { RigUnderWater } from '../../../parts/rigs/RigUnderWater.tsx'
import { Working } from '../../../parts/Working.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Quiet } from '../../../ui/layout.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { LineCounts } from './LineCounts.tsx'
import { RigSettingsFields } from './RigSettingsFields.tsx'
import { useRigColumn } from './useRigColumn.ts'
import { useRigInWater } from './useRigInWater.ts'
import type { RigInHand } from './useRigInWater.ts'
import { useRigSettings } from './useRigSettings.ts'

const DragFree = lazy(() => import('./DragFree.tsx'))
const OtherFlies = lazy(() => import('./OtherFlies.tsx'))

interface RigWhereProps extends RigInHand {
  readonly isFixed: boolean
  readonly onPut: (parts: readonly RigPart[], isDragging: boolean) => void
  readonly onDrop: () => void
}

/** Where the flies of a rig fish, in the water of the moment: drawn to scale, with bands, and what to set. */
export function RigWhere({ isFixed, onPut, onDrop, ...inHand }: RigWhereProps) {
  const { rig, parts, way, flies, moment } = inHand
  const { units } = useWording()
  const { reach, waterTempC } = moment
  const [isAsking, setAsking] = useState(false)
  const settings = useRigSettings(moment, way)
  const { depthMm, isUnclear, countS, setLed, setLeading, setCount } = settings
  const { input, worked, rate, of, fishes, chosen, not, now, ghost, names } = useRigInWater(inHand, settings)
  const set = useMemo(
    () => ({
      put: onPut,
      lead: (mmPerS: number, dragging: boolean) => {
        setLed(mmPerS)
        setLeading(dragging)
      },
      count: setCount,
      drop: () => {
        setLeading(false)
        onDrop()
      },
    }),
    [onPut, onDrop, setLed, setLeading, setCount],
  )
  // the Column ends at the bed of the reach: what is reckoned in other water has no place in it
  const isThere = depthMm === reach.typicalDepthMm
  useRigColumn({
    ...{ fishes: isThere ? fishes : null, of, asked: input, now, ghost, countS, chosen, isFixed, set },
  })
  const where =
    way === 'counted' && depthMm !== null
      ? `In still water of ${wording.fineDepth(depthMm, units)}`
      : `At ${reach.reachName}`
  const said = not
    ? wording.rigNotSentence(not)
    : now && fishes && of
      ? `${where}: ${[...wording.rigFlySentences(now, names, units), ...wording.rigSentences(fishes, of, units)].join(' ')}`
      : null
  return (
    <div>
      <section aria-label={labels.whereItFishes}>
        <h2>{labels.whereItFishes}</h2>
        <RigSettingsFields way={way} settings={settings} />
        {said ? <p role="status">{said}</p> : null}
        {isUnclear ? (
          <p role="status">{labels.sayAll}</p>
        ) : (
          <Working of={worked} label={said ? null : labels.reckons} />
        )}
        {now && !not && depthMm !== null ? (
          <RigUnderWater
            now={now}
            ghost={ghost}
            names={names}
            bedMm={depthMm}
            isCarried={way === 'carried'}
            title={`${labels.whereItFishes}: ${wording.rigFlySentences(now, names, units).join(' ')}`}
          />
        ) : null}
        {way === 'carried' || way === 'tight' ? (
          isAsking && input ? (
            <Suspense fallback={<p>{labels.reckons}</p>}>
              <OtherFlies rig={input} flies={flies} moment={moment} />
            </Suspense>
          ) : (
            <Button onPress={() => setAsking(true)} isDisabled={!input}>
              {labels.whichWouldDo}
            </Button>
          )
        ) : null}
        {way === 'counted' && rig ? <LineCounts rig={rig} rate={rate} waterTempC={waterTempC} /> : null}
        <p>
          <Quiet>
            {labels.doubts} {labels.reckonedWith}
          </Quiet>
        </p>
      </section>
      {way === 'carried' && reach.surfaceSpeedMmPerS > 0 && parts.some(({ kind }) => kind === 'line') ? (
        <Suspense fallback={<p>{labels.reckons}</p>}>
          <DragFree parts={parts} moment={moment} />
        </Suspense>
      ) : null}
    </div>
  )
}
