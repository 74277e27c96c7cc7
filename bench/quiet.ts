import { readFileSync } from 'node:fs'

const LOOK_EVERY_MS = 500
/** What may be taken away in one look and still leave it quiet: a tenth of all processors' time, as shared hosts do. */
const QUIET_SHARE = 0.1
/** What was held up has to be caught up on before figures mean anything again. */
const CATCHING_UP_MS = 2000

interface Look {
  readonly atMs: number
  readonly stolenShare: number
}

/** Time used, and time that the host gave to other machines instead, in ticks; nothing is stolen where it is not told. */
function processorTime(): { all: number; stolen: number } {
  try {
    const [first = ''] = readFileSync('/proc/stat', 'utf8').split('\n')
    const ticks = first.split(/\s+/).slice(1, 9).map(Number)
    return { all: ticks.reduce((sum, one) => sum + one, 0), stolen: ticks[7] ?? 0 }
  } catch {
    return { all: 0, stolen: 0 }
  }
}

/**
 * Watches whether a virtual machine gets the processors that it was promised. A figure taken while others have them
 * says how busy the host was; so figures are told apart by whether the moment was quiet, known before the answer is.
 */
export function watchQuiet() {
  const looks: Look[] = []
  let last = processorTime()
  const timer = setInterval(() => {
    const now = processorTime()
    const share = (now.stolen - last.stolen) / Math.max(1, now.all - last.all)
    looks.push({ atMs: performance.now(), stolenShare: share })
    last = now
  }, LOOK_EVERY_MS)
  return {
    /** Whether little was taken away shortly before this moment, nor in the look that it falls in. */
    wasQuiet: (atMs: number) =>
      looks.every(
        (look) =>
          look.stolenShare <= QUIET_SHARE ||
          look.atMs < atMs - CATCHING_UP_MS ||
          look.atMs - LOOK_EVERY_MS > atMs,
      ),
    stop: () => clearInterval(timer),
  }
}
