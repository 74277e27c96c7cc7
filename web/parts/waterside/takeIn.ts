import { waterside } from '../../../core/index.ts'
import { dayOf, minuteOfDay } from '../../words/instants.ts'
import { labels } from '../../words/waterside.ts'
import type {
  AlongView,
  CommandInput,
  FoodStageId,
  TapId,
  VariantId,
  WatersideTap,
} from '../../../contract/index.ts'

/**
 * What is made of notes from the water: spells, samples as notes of the season, readings of its reach, and flies lost out of
 * the compartment they were packed in.
 */
export interface TakenIn extends Required<
  Pick<CommandInput<'outingTakeIn'>, 'spells' | 'losses' | 'samples' | 'readings'>
> {
  /** flies that were lost and lie nowhere any more, by their ids: a box that changed meanwhile */
  readonly gone: readonly string[]
}

/** By which way of looking a sample is noted. */
const METHOD = { stones: 'stone', net: 'seine', stomach: 'fishSample', web: 'seen', bush: 'seen' } as const

/**
 * Spells, losses, samples and readings that nothing was made of yet; a spell that still goes on is none. A loss of what lies
 * nowhere any more is done with, and nothing is taken out of a box for it.
 *
 * @param today a sample or a reading is none of the season before its day has come
 */
export function takenIn(along: AlongView, taps: readonly WatersideTap[], today: string): TakenIn {
  const { outing, timeZone, booked, flies } = along
  const { reachId, on } = outing
  const { spells, losses, samples, readings } = waterside.waitingOf({
    events: taps,
    booked: new Set(booked),
    hasReach: reachId !== null && on <= today,
    isOnDay: (atMs) => dayOf(atMs, timeZone) === on,
  })
  const placeOf = new Map(flies.map((fly) => [fly.variantId as string, fly.compartmentId]))
  const left = new Map(flies.map((fly) => [fly.variantId as string, fly.lies]))
  /** Takes one of a fly out of its compartment; nothing where none lies there any more. */
  const takeOne = (key: string) => {
    const lies = left.get(key) ?? 0
    left.set(key, lies - 1)
    return lies > 0 ? (placeOf.get(key) ?? null) : null
  }
  const gone: string[] = []
  return {
    spells: spells.map(({ id, variantKey, ...spell }) => ({
      ...spell,
      tapId: id as TapId,
      variantId: variantKey as VariantId,
      rigId: null,
    })),
    losses: losses.map(({ id, variantKeys, leftIn }) => ({
      tapId: id as TapId,
      losses: variantKeys.flatMap((key) => {
        const compartmentId = takeOne(key)
        if (compartmentId) return [{ compartmentId, variantId: key as VariantId, cause: leftIn }]
        gone.push(key)
        return []
      }),
    })),
    samples:
      reachId === null
        ? []
        : samples.map(({ ids, stageKey, from, count, atMs }) => ({
            tapIds: ids as TapId[],
            observation: {
              ...{ reachId, on, kind: 'counted', count, method: METHOD[from] },
              localMin: minuteOfDay(atMs, timeZone),
              foodStageId: stageKey as FoodStageId,
              ...{ lengthMm: null, effortMinutes: null, note: '' },
            },
          })),
    readings: readings.map(({ ids, tempC, atMs }) => ({
      tapIds: ids as TapId[],
      localMin: minuteOfDay(atMs, timeZone),
      tempC100: Math.round(100 * tempC),
    })),
    gone,
  }
}

/** How many of each are made. */
export const sizesOf = ({ spells, losses, samples, readings }: TakenIn) => ({
  spells: spells.length,
  losses: losses.flatMap((one) => one.losses).length,
  samples: samples.length,
  readings: readings.length,
})

/** The names of flies that lie nowhere any more. */
export const goneNames = ({ flies }: AlongView, gone: readonly string[]): string =>
  gone.map((key) => flies.find(({ variantId }) => variantId === key)?.name ?? labels.unknownFly).join(', ')
