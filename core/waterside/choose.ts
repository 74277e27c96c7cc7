import { sum } from '../number/index.ts'
import type { Shares } from './reckon.ts'
import type { Showing } from './showings.ts'

/** A fly to put on: how it is fished, for which stage first, and the share of the fish it is something to show to. */
export interface Choice {
  readonly showing: Showing
  /** null where it is for fish that take whatever comes */
  readonly stageId: string | null
  /** 0 to 1: shares of fish, each times how well it does with them */
  readonly shown: number
}

/** What is shown already to fish of each stage, and to those that take whatever comes. */
interface Shown {
  readonly stages: ReadonlyMap<string, number>
  readonly whatever: number
}

const NOTHING: Shown = { stages: new Map(), whatever: 0 }

/** What a fly adds for one sort of fish. */
interface Part {
  readonly stageId: string | null
  readonly adds: number
}

function partsOf({ stages, whatever }: Showing, shares: Shares, before: Shown): readonly Part[] {
  const ofStages = shares.stages.map(({ id, share }) => {
    const better = Math.max((stages.get(id) ?? 0) - (before.stages.get(id) ?? 0), 0)
    return { stageId: id, adds: share * better }
  })
  return [...ofStages, { stageId: null, adds: shares.whatever * Math.max(whatever - before.whatever, 0) }]
}

function choiceOf(showing: Showing, shares: Shares, before: Shown): Choice {
  const parts = partsOf(showing, shares, before)
  const main = parts.reduce((most, one) => (one.adds > most.adds ? one : most))
  return { showing, stageId: main.stageId, shown: sum(parts.map(({ adds }) => adds)) }
}

const withShowing = (before: Shown, { stages, whatever }: Showing): Shown => ({
  stages: new Map(
    [...new Set([...before.stages.keys(), ...stages.keys()])].map((id) => [
      id,
      Math.max(before.stages.get(id) ?? 0, stages.get(id) ?? 0),
    ]),
  ),
  whatever: Math.max(before.whatever, whatever),
})

/** What adds less than this to what is shown is no choice of its own. */
const LEAST_ADDED = 0.005

/**
 * What to put on, the best first: the fly and the way that are something to show to most fish; then what does most for the fish
 * that those before it do nothing for. Each fly once.
 *
 * @param most so many at most
 */
export function choose(showings: readonly Showing[], shares: Shares, most: number): readonly Choice[] {
  const chosen: Choice[] = []
  let [rest, before] = [showings, NOTHING]
  while (chosen.length < most) {
    const best = rest
      .map((showing) => choiceOf(showing, shares, before))
      .reduce<Choice | null>((top, one) => (top === null || one.shown > top.shown ? one : top), null)
    if (!best || best.shown < LEAST_ADDED) return chosen
    chosen.push(best)
    before = withShowing(before, best.showing)
    rest = rest.filter(({ key }) => key !== best.showing.key)
  }
  return chosen
}
