import { useState } from 'react'
import { USUAL_CAST_DEG } from '../../../../core/index.ts'
import type { RigWay } from '../../../../core/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { USUAL_TIP_MM, usualLead } from '../../../parts/rigs/inReach.ts'
import { numberIn } from '../../../ui/said.ts'
import type { Said } from '../../../ui/said.ts'

/**
 * What is set of a rig in its water: how deep that is, the rod's tip, how fast it is led, how it is cast, how long it is
 * counted. A figure is null while it is not understood.
 */
export function useRigSettings(moment: Moment, way: RigWay) {
  const [tip, setTip] = useState<Said>(USUAL_TIP_MM)
  const [led, setLed] = useState<Said | null>(null)
  const [isLeading, setLeading] = useState(false)
  const [countS, setCount] = useState(15)
  const [cast, setCast] = useState<Said>(USUAL_CAST_DEG)
  const [deep, setDeep] = useState<Said | null>(null)
  const asked = [deep, ...(way === 'tight' ? [tip, led] : []), ...(way === 'swung' ? [cast] : [])]
  return {
    ...{ setTip, setLed, isLeading, setLeading, countS, setCount, setCast, setDeep },
    depthMm: numberIn(deep ?? moment.reach.typicalDepthMm),
    tipMm: numberIn(tip),
    ledMmPerS: numberIn(led ?? usualLead(moment)),
    castDeg: numberIn(cast),
    /** whether something that the way asks for is not understood: then nothing is reckoned by what stood there before */
    isUnclear: asked.includes('unclear'),
  }
}

/** What is set, and how. */
export type RigSettings = ReturnType<typeof useRigSettings>
