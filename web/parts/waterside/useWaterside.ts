import { useEffect, useMemo, useState } from 'react'
import { waterside } from '../../../core/index.ts'
import type { AlongView, WatersideTap } from '../../../contract/index.ts'
import { Waterside } from './answer.ts'

/** Something to note, without its id and time. */
export type Said = waterside.Tap

/** Where taps go, and those that were made. */
export interface TapLog {
  readonly taps: readonly WatersideTap[]
  readonly note: (said: Said) => void
}

/** An outing at the water with all that was noted, and a way to note more. */
export interface AtTheWater {
  readonly along: AlongView
  readonly water: Waterside
  readonly standing: waterside.Standing
  readonly note: (said: Said) => void
  /** the last tap that holds; null where there is none */
  readonly last: waterside.Event | null
  /** takes the last tap back; null where there is none */
  readonly undo: (() => void) | null
}

/** An outing at the water after all taps so far. */
export function useWaterside(along: AlongView, { taps, note }: TapLog): AtTheWater {
  const water = useMemo(() => new Waterside(along), [along])
  const standing = useMemo(() => waterside.standingAfter(taps), [taps])
  const last = waterside.heldEvents(taps).at(-1) ?? null
  return { along, water, standing, note, last, undo: last ? () => note({ kind: 'undo', of: last.id }) : null }
}

/** The time, ms since 1970, told anew each so often. */
export function useClock(everyMs: number): number {
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), everyMs)
    return () => clearInterval(timer)
  }, [everyMs])
  return nowMs
}
