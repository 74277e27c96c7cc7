import { useState } from 'react'
import { USUAL_CAST_DEG } from '../../../../core/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { USUAL_TIP_MM, usualLead } from '../../../parts/rigs/inReach.ts'

/** What is set of a rig in its water: how deep that is, the rod's tip, how fast it is led, how it is cast, how long it is counted. */
export function useRigSettings(moment: Moment) {
  const [tipMm, setTip] = useState<number | null>(USUAL_TIP_MM)
  const [led, setLed] = useState<number | null>(null)
  const [isLeading, setLeading] = useState(false)
  const [countS, setCount] = useState(15)
  const [castDeg, setCast] = useState(USUAL_CAST_DEG)
  const [deepMm, setDeep] = useState<number | null>(null)
  return {
    ...{ tipMm, setTip, setLed, isLeading, setLeading, countS, setCount, castDeg, setCast, setDeep },
    depthMm: deepMm ?? moment.reach.typicalDepthMm,
    ledMmPerS: led ?? usualLead(moment),
  }
}

/** What is set, and how. */
export type RigSettings = ReturnType<typeof useRigSettings>
