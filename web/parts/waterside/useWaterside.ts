import { useEffect, useMemo, useState } from 'react'
import { waterside } from '../../../core/index.ts'
import type { AlongView, AlongWarmth, WatersideTap } from '../../../contract/index.ts'
import { warmerThanReckoned, Waterside } from './answer.ts'

/** Something to note, without its id and time. */
export type Said = waterside.Tap

/** Where taps go, and those that were made. */
export interface TapLog {
  readonly taps: readonly WatersideTap[]
  /** @param atMs when it was, ms since 1970; now where that is not said */
  readonly note: (said: Said, atMs?: number) => void
}

/** An outing at the water with all that was noted, and a way to note more. */
export interface AtTheWater {
  readonly along: AlongView
  readonly warmth: AlongWarmth | null
  readonly water: Waterside
  readonly standing: waterside.Standing
  /** how much warmer the water was read than was reckoned, °C; null where shares do not follow it */
  readonly warmerC: number | null
  readonly note: (said: Said) => void
  /** the last tap that holds; null where there is none */
  readonly last: waterside.Event | null
  /** takes the last tap back; null where there is none */
  readonly undo: (() => void) | null
}

/** An outing at the water after all taps so far. */
export function useWaterside(along: AlongView, warmth: AlongWarmth | null, { taps, note }: TapLog): AtTheWater {
  const water = useMemo(() => new Waterside(along, warmth), [along, warmth])
  const standing = useMemo(() => waterside.standingAfter(taps), [taps])
  const last = waterside.heldEvents(taps).at(-1) ?? null
  const warmerC = warmerThanReckoned(along, warmth, standing)
  const undo = last ? () => note({ kind: 'undo', of: last.id }) : null
  return { along, warmth, water, standing, warmerC, note, last, undo }
}

/** The time, ms since 1970, told anew each so often. */
export function useClock(everyMs: number): number {
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const tell = () => setNowMs(Date.now())
    // it may have been out of sight for long
    const first = setTimeout(tell)
    const timer = setInterval(tell, everyMs)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
    }
  }, [everyMs])
  return nowMs
}
