import { waterAt } from '../water/index.ts'
import { SPOOL_SD_LOG } from './doubt.ts'
import { rigLies } from './inWater.ts'
import type { RigInWater } from './inWater.ts'

/** A count that was made: seconds from the cast until the point touched at a depth that is known. */
export interface LineCount {
  readonly depthMm: number
  readonly countS: number
  readonly waterTempC: number
}

/** What counts say of a line. */
export interface LineRate {
  /** by how much it sinks faster than its spool says, as it is taken from now on */
  readonly factor: number
  /** how sure that is, as sd of the logarithm */
  readonly sdLog: number
  /** what each count was reckoned as, as the spool says, s; null of one that never comes so deep */
  readonly reckonedS: readonly (number | null)[]
}

/** A count by hand is off by a tenth: the cast is not quite straight, and the touch is seen late. */
const COUNT_SD_LOG = 0.1
const TOUCHES_MM = 1
/** A way down is looked at for so many times its count: a slower line takes longer. */
const LOOKED_ON = 2
/** Twice is enough: the second time from where the first has led. */
const ROUNDS = 2

/** Seconds after which the point of a rig is at a depth, with its line so much faster; null where twice the count does not bring it. */
function secondsTo(input: RigInWater, { depthMm, countS, waterTempC }: LineCount, rate: number): number | null {
  const deep = { ...input.current, depthMm: depthMm + TOUCHES_MM, surfaceMmPerS: 0 }
  const found = rigLies(
    {
      ...input,
      way: 'counted',
      water: waterAt(waterTempC),
      current: deep,
      untilS: Math.ceil(LOOKED_ON * countS),
      lineRate: { factor: rate, sdLog: 0 },
    },
    input.parts,
  )
  if ('kind' in found) return null
  const point = found.hung.length - 1
  const depthAt = (i: number) => found.moments[i]?.flies[point]?.zMm ?? 0
  const after = found.moments.findIndex((_, i) => depthAt(i) >= depthMm)
  if (after <= 0) return null
  const [above, below] = [depthAt(after - 1), depthAt(after)]
  return after - 1 + (depthMm - above) / Math.max(below - above, 1e-9)
}

const isMissing = (log: number | null | undefined): log is null | undefined => log === null || log === undefined

/**
 * The rate of a rig's line, by the counts that were made with it: as drops correct a fly, each is weighed against what is
 * known beforehand, the rate on the spool within its doubt. A count says as much of the line as it depends on it: with a
 * heavy fly in shallow water next to nothing. Null without a count that says anything.
 */
export function rateByCounts(input: RigInWater, counts: readonly LineCount[]): LineRate | null {
  // several counts of one depth are reckoned once
  const known = new Map<string, number | null>()
  const secondsOf = (count: LineCount, logRate: number): number | null => {
    const key = `${count.depthMm} ${count.countS} ${count.waterTempC} ${logRate}`
    const before = known.get(key)
    if (before !== undefined) return before
    const seconds = secondsTo(input, count, Math.exp(logRate))
    known.set(key, seconds)
    return seconds
  }
  const log = (count: LineCount, logRate: number) => {
    const seconds = secondsOf(count, logRate)
    return seconds === null ? null : Math.log(seconds)
  }
  const step = SPOOL_SD_LOG.rate
  let [mean, precision] = [0, 0]
  for (let round = 0; round < ROUNDS; round += 1) {
    let [pull, sure] = [0, 1 / SPOOL_SD_LOG.rate ** 2]
    for (const count of counts) {
      const [slow, now, fast] = [mean - step, mean, mean + step].map((rate) => log(count, rate))
      if (isMissing(slow) || isMissing(now) || isMissing(fast)) continue
      const slope = (fast - slow) / (2 * step)
      // what the count would be at the spool's rate, were the slope the same all the way
      pull += (slope * (Math.log(count.countS) - now + slope * mean)) / COUNT_SD_LOG ** 2
      sure += slope ** 2 / COUNT_SD_LOG ** 2
    }
    ;[mean, precision] = [pull / sure, sure]
  }
  const reckonedS = counts.map((count) => secondsOf(count, 0))
  if (reckonedS.every((seconds) => seconds === null)) return null
  return { factor: Math.exp(mean), sdLog: 1 / Math.sqrt(precision), reckonedS }
}

/** {@link rateByCounts} as a piece of work: it takes about a second for each depth that was counted to. */
export function* lineRate({
  input,
  counts,
}: {
  readonly input: RigInWater
  readonly counts: readonly LineCount[]
}): Generator<{ readonly done: number }, LineRate | null> {
  yield { done: 0 }
  return rateByCounts(input, counts)
}
