/** What time it is. A demo's clock stands; tests and screenshots fix it by the environment. */
export interface Clock {
  readonly nowMs: () => number
  readonly stands: boolean
}

/**
 * The clock of a data directory.
 *
 * @param standsAtMs where the directory's own clock stands, or null for the real one
 * @param fixedBy    `HEAVY_THISTLE_NOW` as an instant such as 2026-06-04T18:40:00Z
 * @throws RangeError where that is no instant
 */
export function makeClock(standsAtMs: number | null, fixedBy: string | undefined): Clock {
  if (fixedBy) {
    const fixed = Date.parse(fixedBy)
    if (Number.isNaN(fixed)) throw new RangeError(`HEAVY_THISTLE_NOW is no instant: ${fixedBy}`)
    return { nowMs: () => fixed, stands: true }
  }
  return standsAtMs === null
    ? { nowMs: () => Date.now(), stands: false }
    : { nowMs: () => standsAtMs, stands: true }
}
