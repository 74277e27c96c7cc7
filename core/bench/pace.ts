import { median } from '../number/index.ts'

/** Minutes for one fly that nobody has timed. */
const USUAL_MINUTES = 8
/** Quicker than this a fly was only counted late; slower, it was left on the vise overnight. */
const QUICKEST_MINUTES = 0.5
const LONGEST_MINUTES = 60

/** What was done at the vise, in the order of time within a batch. */
export interface ViseEvent {
  readonly batchId: string
  readonly atMs: number
  readonly kind: 'step' | 'station' | 'done' | 'pause' | 'resume'
}

/** How long flies of one pattern take. */
export interface Pace {
  /** the median, or what is usual while nothing was timed */
  readonly minutesEach: number
  readonly timedFlies: number
  /** minutes of each timed fly, the first one first */
  readonly soFar: readonly number[]
}

/**
 * Minutes of each fly that was timed: from the last one's end, or the first step, to its own. A pause ends the count,
 * and what took over an hour was left on the vise.
 *
 * @param events batch by batch, each in the order of time
 */
export function minutesTaken(events: readonly ViseEvent[]): readonly number[] {
  const taken: number[] = []
  // where the fly on the vise was begun; nothing while it rests
  const begun = { batchId: '', atMs: 0 }
  for (const { batchId, atMs, kind } of events) {
    const running = begun.batchId === batchId
    if (running && (kind === 'step' || kind === 'station')) continue
    if (running && kind === 'done') {
      const minutes = (atMs - begun.atMs) / 60_000
      if (minutes > QUICKEST_MINUTES && minutes < LONGEST_MINUTES) taken.push(minutes)
    }
    begun.batchId = kind === 'pause' ? '' : batchId
    begun.atMs = atMs
  }
  return taken
}

/** The pace of a pattern from the minutes that its flies took. */
export const paceOf = (taken: readonly number[]): Pace => ({
  minutesEach: taken.length > 0 ? median(taken) : USUAL_MINUTES,
  timedFlies: taken.length,
  soFar: taken,
})
