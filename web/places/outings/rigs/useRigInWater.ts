import { useEffect, useMemo, useState } from 'react'
import { USUAL_CAST_DEG } from '../../../../core/index.ts'
import type { FishesRig, RigInWater, RigPart, RigWay } from '../../../../core/index.ts'
import type { RigLine } from '../../../../contract/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { inReach, USUAL_TIP_MM, usualLead } from '../../../parts/rigs/inReach.ts'
import { fliesFrom, useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'
import { useRigFishes } from '../../../parts/rigs/useRigFishes.ts'
import { useLineRate } from './useLineRate.ts'
import type { RigSettings } from './useRigSettings.ts'

/** A rig in the hand, and how it is fished. */
export interface RigInHand {
  /** as it was saved; null for one that is being made */
  readonly rig: RigLine | null
  readonly parts: readonly RigPart[]
  readonly way: RigWay
  readonly flies: readonly FlyChoice[]
  readonly moment: Moment
  readonly isDragging: boolean
  readonly isChanged: boolean
}

const lineOf = (parts: readonly RigPart[]) => JSON.stringify(parts.filter(({ kind }) => kind === 'line'))

/** Where the flies of a rig fish, as they do now and, while it is being moved, as they did when it was saved. */
export function useRigInWater(
  { rig, parts, way, flies, moment, isDragging, isChanged }: RigInHand,
  settings: RigSettings,
) {
  const { isUnclear, depthMm, isLeading, countS } = settings
  const tipMm = settings.tipMm ?? USUAL_TIP_MM
  const ledMmPerS = settings.ledMmPerS ?? usualLead(moment)
  const castDeg = settings.castDeg ?? USUAL_CAST_DEG
  const book = useFlyBook(
    parts.flatMap((part) => ('fly' in part ? (part.fly ?? []) : [])),
    moment.waterTempC,
  )
  // counts of another line say nothing of this one
  const rate = useLineRate(rig && lineOf(rig.parts) === lineOf(parts) ? rig : null, moment)
  const input = useMemo((): RigInWater | null => {
    if (!book || isUnclear || depthMm === null) return null
    return {
      ...inReach(moment, way, depthMm),
      ...(rate ? { lineRate: rate } : {}),
      ...{ parts, flies: fliesFrom(book, parts), tipHeightMm: tipMm, ledMmPerS, castDeg },
      isQuick: isDragging || isLeading,
    }
  }, [parts, book, rate, way, moment, isUnclear, depthMm, tipMm, ledMmPerS, castDeg, isDragging, isLeading])
  const worked = useRigFishes(input)
  const { found, of, isOfThis } = worked
  const fishes = found?.kind === 'fishes' && found.way === way ? found : null
  // what was saved stays behind what is being moved
  const [base, setBase] = useState<FishesRig | null>(null)
  useEffect(() => {
    if (fishes && isOfThis && !isChanged && !isDragging) setBase(fishes)
  }, [fishes, isOfThis, isChanged, isDragging])
  const chosen = useMemo(
    () => (of?.parts ?? []).flatMap((part) => ('fly' in part ? [flies.find(({ id }) => id === part.fly)] : [])),
    [of, flies],
  )
  const at = (one: FishesRig | null) => one?.moments[Math.min(countS, one.moments.length - 1)] ?? null
  return {
    ...{ input, worked, rate, of, fishes, chosen },
    /** why it cannot be fished so; null where it can, or nobody knows yet */
    not: found?.kind === 'not' && isOfThis ? found : null,
    now: at(fishes),
    ghost: isChanged && base?.way === way ? at(base) : null,
    names: (fishes?.hung ?? []).map((i) => chosen[i]?.name ?? ''),
  }
}
