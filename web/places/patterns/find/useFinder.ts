import { useCallback, useEffect, useRef, useState } from 'react'
import { combinationsOf, finalists, paretoFront } from '../../../../core/index.ts'
import type { Finalist, FindInput, Found, Wanted } from '../../../../core/index.ts'
import { setWork } from '../../../wire/state.ts'
import { useAppDispatch } from '../../../wire/store.ts'
import { runJob } from '../../../workers/gateway.ts'

/** What a search has found, and how far it is. */
export interface Finding {
  readonly busy: boolean
  readonly looked: number
  readonly few: readonly Finalist[] | null
  /** what was asked for when it began */
  readonly wanted: Wanted | null
}

const LANES = [0, 1] as const

/** Runs a search in two workers, shows the best so far, and stops when asked. */
export function useFinder() {
  const dispatch = useAppDispatch()
  const [finding, setFinding] = useState<Finding>({ busy: false, looked: 0, few: null, wanted: null })
  const stop = useRef<AbortController | null>(null)
  useEffect(() => () => stop.current?.abort(), [])
  const start = useCallback(
    async (input: Omit<FindInput, 'share'>) => {
      const controller = new AbortController()
      stop.current = controller
      const whole = { ...input, share: { of: 1, nth: 0 } }
      const looked = combinationsOf(whole)
      const soFar: Record<number, { done: number; found: readonly Found[] }> = {}
      const best = () => paretoFront(LANES.flatMap((lane) => soFar[lane]?.found ?? []))
      let over = false
      const { wanted } = input
      setFinding({ busy: true, looked, few: null, wanted })
      const halves = await Promise.all(
        LANES.map((lane) =>
          runJob(
            'findWeightings',
            { ...input, share: { of: LANES.length, nth: lane } },
            {
              key: `findWeightings${lane}`,
              lane,
              signal: controller.signal,
              onProgress: ({ done, soFar: found }) => {
                if (over) return
                soFar[lane] = { done, found }
                const share = LANES.reduce<number>((sum, n) => sum + (soFar[n]?.done ?? 0), 0) / LANES.length
                dispatch(setWork({ label: `Weighing ${looked.toLocaleString('en')} ways`, done: share }))
                setFinding((before) => ({ ...before, few: finalists(best(), whole) }))
              },
            },
          ),
        ),
      )
      over = true
      dispatch(setWork(null))
      const found = halves.flatMap((half) => ('kind' in half ? [] : half))
      const all = halves.some((half) => 'kind' in half) ? best() : paretoFront(found)
      setFinding({ busy: false, looked, few: finalists(all, whole), wanted })
    },
    [dispatch],
  )
  return { finding, start, halt: () => stop.current?.abort() }
}
