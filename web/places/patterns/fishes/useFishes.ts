import { useEffect, useState } from 'react'
import { runJob } from '../../../workers/gateway.ts'
import type { JobInput, JobProgress, JobResult } from '../../../workers/jobs.ts'

type Technique = 'underFloat' | 'onTightLine' | 'countedDown'

/** What is told: whether it is all reckoned, what was found, and what is known so far; null while nothing is. */
interface Found<Name extends Technique> {
  readonly isTold: boolean
  readonly found: JobResult<Name> | null
  readonly soFar: JobProgress<Name> | null
}

const NOTHING = { isTold: false, found: null, soFar: null }

/**
 * Where a fly fishes by a technique, reckoned in a worker; nothing stands of other entries while new ones are reckoned.
 *
 * @param input kept the same while nothing is changed; null while something is wanted yet
 */
export function useFishes<Name extends Technique>(technique: Name, input: JobInput<Name> | null): Found<Name> {
  const [told, setTold] = useState<Found<Name>>(NOTHING)
  useEffect(() => {
    setTold(NOTHING)
    if (!input) return undefined
    const controller = new AbortController()
    void runJob(technique, input, {
      key: 'fishes',
      signal: controller.signal,
      onProgress: (soFar) => setTold({ isTold: false, found: null, soFar }),
    }).then((found) => {
      const isStopped = found !== null && 'kind' in (found as object)
      if (!isStopped) setTold({ isTold: true, found: found as JobResult<Name>, soFar: null })
    })
    return () => controller.abort()
  }, [technique, input])
  return told
}
