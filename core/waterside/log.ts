import type { Technique } from '../technique/index.ts'
import type { Refusal, Step } from './ladder.ts'
import type { Counted, SampledFrom } from './sample.ts'

/** How a take ended. */
export const TAKE_ENDS = ['landed', 'cameOff', 'missed'] as const
export type TakeEnd = (typeof TAKE_ENDS)[number]

/** Where a fly was left. */
export const LEFT_IN = ['tree', 'bottom', 'fish', 'knot', 'chewed', 'given'] as const
export type LeftIn = (typeof LEFT_IN)[number]

/** What one tap at the water says. */
export type Tap =
  /** one looks anew: what was ticked before holds no more */
  | { readonly kind: 'watch' }
  /** null takes a tick back */
  | { readonly kind: 'sign'; readonly signKey: string; readonly seen: boolean | null }
  /** another fish, or another place: nothing was tried on it yet */
  | { readonly kind: 'newFish' }
  /** what is fished from now on, and what of it is new */
  | {
      readonly kind: 'tiedOn'
      readonly variantKey: string
      readonly way: Technique | null
      readonly stageKey: string | null
      readonly step: Step | null
    }
  /** something was changed that is no fly: the drift, the tippet, the place */
  | { readonly kind: 'step'; readonly step: Step }
  /** a drift past the fish without drag */
  | { readonly kind: 'drift' }
  | { readonly kind: 'refused'; readonly refusal: Refusal }
  | { readonly kind: 'take'; readonly end: TakeEnd; readonly lengthMm: number | null }
  /** the flies that one snag or one fish took, together */
  | { readonly kind: 'lost'; readonly variantKeys: readonly string[]; readonly leftIn: LeftIn }
  | { readonly kind: 'waterTemp' | 'airTemp'; readonly tempC: number }
  | { readonly kind: 'rise' | 'natural' }
  /** so many of a stage in a sample */
  | { readonly kind: 'counted'; readonly stageKey: string; readonly from: SampledFrom; readonly count: number }
  /** the line is in */
  | { readonly kind: 'reeledIn' }
  /** an earlier tap was a slip */
  | { readonly kind: 'undo'; readonly of: string }

/** A tap with its time, ms since 1970, under an id of its own: however often it comes, it counts once. */
export type Event = Tap & { readonly id: string; readonly atMs: number }

/** A fly fished without anything else being changed, and what came of it. */
export interface Fished {
  /** of the event that began it */
  readonly id: string
  readonly variantKey: string
  readonly way: Technique | null
  readonly stageKey: string | null
  /** what was changed before it; null at first */
  readonly step: Step | null
  readonly fromMs: number
  /** null while it is fished */
  readonly toMs: number | null
  readonly drifts: number
  readonly ends: readonly TakeEnd[]
  /** of landed fish that were measured */
  readonly lengthsMm: readonly number[]
  readonly refusals: readonly Refusal[]
}

/** Flies lost, by the event that says so. */
export interface Lost {
  readonly id: string
  readonly variantKeys: readonly string[]
  readonly leftIn: LeftIn
}

/** How things stand at the water after all taps so far. */
export interface Standing {
  readonly watchingSinceMs: number | null
  /** signs looked for since, and whether they were seen */
  readonly looked: ReadonlyMap<string, boolean>
  /** in order; the last is still fished where it has no end */
  readonly fished: readonly Fished[]
  /** steps that the present fish was shown, and what it did last */
  readonly tried: ReadonlySet<Step>
  readonly lastRefusal: Refusal | null
  /** when the present fish rose, and when naturals passed it, s since 1970 */
  readonly rises: readonly number[]
  readonly naturals: readonly number[]
  readonly lost: readonly Lost[]
  readonly waterTempC: number | null
  /** when the water was read, ms since 1970 */
  readonly waterReadAtMs: number | null
  readonly airTempC: number | null
  readonly counted: readonly Counted[]
}

const AT_FIRST: Standing = {
  watchingSinceMs: null,
  looked: new Map(),
  fished: [],
  tried: new Set(),
  lastRefusal: null,
  rises: [],
  naturals: [],
  lost: [],
  waterTempC: null,
  waterReadAtMs: null,
  airTempC: null,
  counted: [],
}

/** Events in order, each once, without those that were slips. */
export function heldEvents(events: readonly Event[]): readonly Event[] {
  const slips = new Set(events.flatMap((event) => (event.kind === 'undo' ? [event.of] : [])))
  return [...new Map(events.map((event) => [event.id, event])).values()]
    .filter(({ id, kind }) => kind !== 'undo' && !slips.has(id))
    .sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1))
}

const ANOTHER_FISH = { tried: new Set<Step>(), lastRefusal: null, rises: [], naturals: [] }

/** The fly that is fished, changed; nothing where none is. */
function ofLast(fished: readonly Fished[], change: (last: Fished) => Fished): readonly Fished[] {
  const last = fished.at(-1)
  return last && last.toMs === null ? [...fished.slice(0, -1), change(last)] : fished
}

const ended = (fished: readonly Fished[], atMs: number) => ofLast(fished, (last) => ({ ...last, toMs: atMs }))

const withEntry = <Key, Value>(map: ReadonlyMap<Key, Value>, key: Key, value: Value | null) => {
  const next = new Map(map)
  if (value === null) next.delete(key)
  else next.set(key, value)
  return next
}

const tiedOn = (event: Event & { readonly kind: 'tiedOn' }): Fished => ({
  id: event.id,
  variantKey: event.variantKey,
  way: event.way,
  stageKey: event.stageKey,
  step: event.step,
  fromMs: event.atMs,
  toMs: null,
  drifts: 0,
  ends: [],
  lengthsMm: [],
  refusals: [],
})

/** A spell goes on under a new change: what is fished is the same, and counts anew. */
const changedIn = (event: Event & { readonly kind: 'step' }, fished: readonly Fished[]): readonly Fished[] => {
  const last = fished.at(-1)
  if (!last || last.toMs !== null) return fished
  const begun = { drifts: 0, ends: [], lengthsMm: [], refusals: [], toMs: null }
  return [
    ...ended(fished, event.atMs),
    { ...last, ...begun, id: event.id, step: event.step, fromMs: event.atMs },
  ]
}

/** Counts of samples with one more; of a stage from one place they are added up. */
function withCount(
  counted: readonly Counted[],
  { stageKey, from, count }: Event & { readonly kind: 'counted' },
): readonly Counted[] {
  const isIt = (one: Counted) => one.stageId === stageKey && one.from === from
  const before = counted.find(isIt)?.count ?? 0
  const rest = counted.filter((one) => !isIt(one))
  return before + count > 0 ? [...rest, { stageId: stageKey, from, count: before + count }] : rest
}

function after(now: Standing, event: Event): Standing {
  const s = event.atMs / 1000
  switch (event.kind) {
    case 'watch':
      return { ...now, watchingSinceMs: event.atMs, looked: new Map() }
    case 'sign':
      return { ...now, looked: withEntry(now.looked, event.signKey, event.seen) }
    case 'newFish':
      return { ...now, ...ANOTHER_FISH }
    case 'tiedOn': {
      const tried = event.step ? new Set([...now.tried, event.step]) : now.tried
      return { ...now, tried, lastRefusal: null, fished: [...ended(now.fished, event.atMs), tiedOn(event)] }
    }
    case 'step':
      return {
        ...now,
        tried: new Set([...now.tried, event.step]),
        lastRefusal: null,
        fished: changedIn(event, now.fished),
      }
    case 'drift':
      return { ...now, fished: ofLast(now.fished, (last) => ({ ...last, drifts: last.drifts + 1 })) }
    case 'refused': {
      const fished = ofLast(now.fished, (last) => ({ ...last, refusals: [...last.refusals, event.refusal] }))
      return { ...now, lastRefusal: event.refusal, fished }
    }
    case 'take': {
      const fished = ofLast(now.fished, (last) => ({
        ...last,
        ends: [...last.ends, event.end],
        lengthsMm: [...last.lengthsMm, ...(event.lengthMm === null ? [] : [event.lengthMm])],
      }))
      return { ...now, lastRefusal: event.end === 'cameOff' ? 'cameOff' : null, fished }
    }
    case 'lost': {
      const { id, variantKeys, leftIn } = event
      const isOn = variantKeys.includes(now.fished.at(-1)?.variantKey ?? '')
      const fished = isOn ? ended(now.fished, event.atMs) : now.fished
      return { ...now, fished, lost: [...now.lost, { id, variantKeys, leftIn }] }
    }
    case 'waterTemp':
      return { ...now, waterTempC: event.tempC, waterReadAtMs: event.atMs }
    case 'airTemp':
      return { ...now, airTempC: event.tempC }
    case 'rise':
      return { ...now, rises: [...now.rises, s] }
    case 'natural':
      return { ...now, naturals: [...now.naturals, s] }
    case 'counted':
      return { ...now, counted: withCount(now.counted, event) }
    case 'reeledIn':
      return { ...now, fished: ended(now.fished, event.atMs) }
    case 'undo':
      return now
  }
}

/** How things stand after events, in whatever order and however often they came. */
export const standingAfter = (events: readonly Event[]): Standing => heldEvents(events).reduce(after, AT_FIRST)
