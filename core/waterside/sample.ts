import { sum } from '../number/index.ts'
import type { DepthBand } from '../season/index.ts'
import type { OnStage, Shares } from './reckon.ts'

/** Where a sample was taken. */
export const SAMPLED_FROM = ['stones', 'net', 'web', 'bush', 'stomach'] as const
export type SampledFrom = (typeof SAMPLED_FROM)[number]

/** Of a stage so many in a sample. */
export interface Counted {
  readonly stageId: string
  readonly from: SampledFrom
  /** 0 or more */
  readonly count: number
}

const WINGED: ReadonlySet<string> = new Set(['dun', 'spinner', 'adult', 'eggLayer', 'wingedAdult'])
const BELOW: ReadonlySet<DepthBand> = new Set<DepthBand>(['bottom', 'midWater', 'topHalfMetre'])

/**
 * What a sample speaks of, and how many animals the season's own word weighs against it: few against a stomach, for that
 * is what a fish took; more against webs and bushes, which keep what was about for days. Judgement.
 */
const SPEAKS: Readonly<
  Record<SampledFrom, { readonly of: (stage: OnStage, band: DepthBand) => boolean; readonly against: number }>
> = {
  stones: { of: (_, band) => band === 'bottom', against: 12 },
  net: { of: (_, band) => BELOW.has(band), against: 8 },
  web: { of: ({ stage }) => WINGED.has(stage), against: 20 },
  bush: { of: ({ stage }) => WINGED.has(stage), against: 20 },
  stomach: { of: () => true, against: 4 },
}

/** Shares after one sample: how those that it speaks of stand among one another moves, what they have together does not. */
function afterOne(
  shares: Shares,
  from: SampledFrom,
  counts: ReadonlyMap<string, number>,
  bandOf: (id: string) => DepthBand,
): Shares {
  const { of, against } = SPEAKS[from]
  const spoken = shares.stages.filter((stage) => of(stage, bandOf(stage.id)))
  const together = sum(spoken.map(({ share }) => share))
  const all = sum(spoken.map(({ id }) => counts.get(id) ?? 0))
  if (together <= 0 || all === 0) return shares
  const ids = new Set(spoken.map(({ id }) => id))
  const after = ({ id, share }: OnStage) =>
    (together * ((against * share) / together + (counts.get(id) ?? 0))) / (against + all)
  return {
    ...shares,
    stages: shares.stages.map((stage) => (ids.has(stage.id) ? { ...stage, share: after(stage) } : stage)),
  }
}

/**
 * Shares of fish after samples, as a Dirichlet prior takes counts (so many animals of the season's own make-up, and those of
 * the sample): of what a sample speaks of, each comes nearer to its part of it.
 */
export function afterSamples(
  shares: Shares,
  counted: readonly Counted[],
  bandOf: (id: string) => DepthBand,
): Shares {
  return SAMPLED_FROM.reduce((now, from) => {
    const counts = new Map<string, number>()
    for (const one of counted.filter((other) => other.from === from))
      counts.set(one.stageId, (counts.get(one.stageId) ?? 0) + one.count)
    return afterOne(now, from, counts, bandOf)
  }, shares)
}
