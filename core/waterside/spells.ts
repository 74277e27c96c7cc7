import type { Refusal } from './ladder.ts'
import type { Standing } from './log.ts'

/** How long a fly was fished without a change, and what came of it. */
export interface NotedSpell {
  /** of the tap that began it */
  readonly id: string
  readonly variantKey: string
  /** whole ones, at least one */
  readonly minutes: number
  readonly takes: number
  readonly refusals: number
}

const MINUTE_MS = 60_000
/** What says nothing of the fly: it had taken it already, or the drift was at fault. */
const NOT_OF_THE_FLY: ReadonlySet<Refusal> = new Set<Refusal>(['cameOff', 'dragged'])

/** The spells of a log, in order; one that still goes on is none yet. */
export const spellsOf = ({ fished }: Standing): readonly NotedSpell[] =>
  fished.flatMap(({ id, variantKey, fromMs, toMs, ends, refusals }) =>
    toMs === null
      ? []
      : [
          {
            ...{ id, variantKey },
            minutes: Math.max(Math.round((toMs - fromMs) / MINUTE_MS), 1),
            takes: ends.length,
            refusals: refusals.filter((one) => !NOT_OF_THE_FLY.has(one)).length,
          },
        ],
  )
