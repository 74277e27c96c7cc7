import type { BenchView } from '../../../contract/index.ts'
import { Quiet } from '../../ui/layout.tsx'
import { mean } from '../../../core/index.ts'

/** Flies at the beginning and at the end of what was timed, from which the learning shows. */
const SOME = 5

/** How long a fly of the pattern takes, how much quicker the hands have become, and what the batch still asks for. */
export function Pace({
  vise,
  left,
}: {
  readonly vise: NonNullable<BenchView['onVise']>
  readonly left: number
}) {
  const { minutesEach, timedFlies, minutesSoFar } = vise
  const learnt =
    minutesSoFar.length >= 2 * SOME
      ? ` The first ${SOME} took ${mean(minutesSoFar.slice(0, SOME)).toFixed(0)} minutes each, the last ${SOME} ${mean(minutesSoFar.slice(-SOME)).toFixed(0)}.`
      : ''
  return (
    <Quiet>
      {minutesEach.toFixed(0)} minutes a fly, {timedFlies > 0 ? `timed ×${timedFlies}` : 'usual'}: about{' '}
      {Math.max(Math.round(left * minutesEach), 0)} more.{learnt}
    </Quiet>
  )
}
