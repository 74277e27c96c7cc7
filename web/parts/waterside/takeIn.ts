import { waterside } from '../../../core/index.ts'
import { minuteOfDay } from '../../words/instants.ts'
import type {
  AlongView,
  CommandInput,
  FoodStageId,
  TapId,
  VariantId,
  WatersideTap,
} from '../../../contract/index.ts'

/** What is made of notes from the water: spells, samples as notes of the season, and flies lost out of the compartment they were packed in. */
export interface TakenIn extends Required<Pick<CommandInput<'outingTakeIn'>, 'spells' | 'losses' | 'samples'>> {
  /** flies that were lost and lie nowhere any more, by their ids: a box that changed meanwhile */
  readonly gone: readonly string[]
}

/** By which way of looking a sample is noted. */
const METHOD = { stones: 'stone', net: 'seine', stomach: 'fishSample', web: 'seen', bush: 'seen' } as const

/** Samples of a day that has come, at a reach that is known. */
function samplesIn(
  { outing, timeZone, booked }: AlongView,
  taps: readonly WatersideTap[],
  today: string,
): TakenIn['samples'] {
  const { reachId, on } = outing
  if (reachId === null || on > today) return []
  return waterside.samplesOf(taps, new Set(booked)).map(({ ids, stageKey, from, count, atMs }) => ({
    tapIds: ids as TapId[],
    observation: {
      ...{ reachId, on, kind: 'counted', count, method: METHOD[from] },
      localMin: minuteOfDay(atMs, timeZone),
      foodStageId: stageKey as FoodStageId,
      ...{ lengthMm: null, effortMinutes: null, note: '' },
    },
  }))
}

/**
 * Spells, losses and samples that nothing was made of yet; a spell that still goes on is none.
 *
 * @param today a sample is no note of the season before its day has come
 */
export function takenIn(along: AlongView, taps: readonly WatersideTap[], today: string): TakenIn {
  const standing = waterside.standingAfter(taps)
  const booked = new Set<string>(along.booked)
  const placeOf = new Map(along.flies.map((fly) => [fly.variantId as string, fly.compartmentId]))
  const left = new Map(along.flies.map((fly) => [fly.variantId as string, fly.lies]))
  /** Takes one of a fly out of its compartment; nothing where none lies there any more. */
  const takeOne = (key: string) => {
    const lies = left.get(key) ?? 0
    left.set(key, lies - 1)
    return lies > 0 ? (placeOf.get(key) ?? null) : null
  }
  const gone: string[] = []
  const lost = standing.lost.filter(({ id }) => !booked.has(id))
  return {
    spells: waterside
      .spellsOf(standing)
      .filter(({ id }) => !booked.has(id))
      .map(({ id, variantKey, ...spell }) => ({
        ...spell,
        tapId: id as TapId,
        variantId: variantKey as VariantId,
        rigId: null,
      })),
    losses: lost.flatMap(({ id, variantKeys, leftIn }) => {
      const flies = variantKeys.flatMap((key) => {
        const compartmentId = takeOne(key)
        if (compartmentId) return [{ compartmentId, variantId: key as VariantId, cause: leftIn }]
        gone.push(key)
        return []
      })
      return flies.length === 0 ? [] : [{ tapId: id as TapId, losses: flies }]
    }),
    samples: samplesIn(along, taps, today),
    gone,
  }
}

/** How many of each are made. */
export const sizesOf = ({ spells, losses, samples }: TakenIn) => ({
  spells: spells.length,
  losses: losses.flatMap((one) => one.losses).length,
  samples: samples.length,
})
