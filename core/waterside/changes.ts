import type { Step } from './ladder.ts'
import { spellsOf } from './spells.ts'
import type { Standing } from './log.ts'

/** Time fished, and what took. */
export interface Taken {
  readonly minutes: number
  readonly takes: number
}

/** What came of one kind of change over many outings: what was taken just before it, and just after. */
export interface ChangeWorth {
  readonly step: Step
  readonly times: number
  readonly before: Taken
  readonly after: Taken
}

const NOTHING: Taken = { minutes: 0, takes: 0 }
const plus = (a: Taken, b: Taken): Taken => ({ minutes: a.minutes + b.minutes, takes: a.takes + b.takes })

/**
 * What changes were followed by, the commonest first: each spell that a change began beside the one just before it on the same
 * outing. It says what came before and after, and no more: what else changed meanwhile nobody knows.
 */
export function changesOf(outings: readonly Standing[]): readonly ChangeWorth[] {
  const found = new Map<Step, ChangeWorth>()
  for (const standing of outings) {
    const spells = new Map(spellsOf(standing).map((spell) => [spell.id, spell]))
    standing.fished.forEach(({ id, step }, i) => {
      const [before, after] = [spells.get(standing.fished[i - 1]?.id ?? ''), spells.get(id)]
      if (!step || !before || !after) return
      const known = found.get(step) ?? { step, times: 0, before: NOTHING, after: NOTHING }
      found.set(step, {
        step,
        times: known.times + 1,
        before: plus(known.before, before),
        after: plus(known.after, after),
      })
    })
  }
  return [...found.values()].sort((a, b) => b.times - a.times || (a.step < b.step ? -1 : 1))
}
