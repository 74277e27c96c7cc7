import { palettesApart } from '../colour/index.ts'
import type { ColourShare } from '../colour/index.ts'
import type { Posture } from '../float/index.ts'
import type { Choice } from './choose.ts'
import { choose } from './choose.ts'
import type { Step } from './ladder.ts'
import { STEPS } from './ladder.ts'
import type { OnStage, Shares } from './reckon.ts'
import type { Showing } from './showings.ts'

/** What of a packed fly decides whether it is a step from another. */
export interface FlyAboard {
  readonly key: string
  readonly hookSize: number | null
  /** null where it does not float */
  readonly posture: Posture | null
  /** whether shears have it sit lower */
  readonly canBeCut: boolean
  /** null where it does not sink, mm/s */
  readonly fallMmPerS: number | null
  /** its wet colours; null where they are not known */
  readonly palette: readonly ColourShare[] | null
}

/** What is fished, and what there is to change to. */
export interface OnNow {
  readonly on: FlyAboard
  readonly stageId: string | null
  readonly aboard: readonly FlyAboard[]
  readonly showings: readonly Showing[]
  readonly shares: Shares
}

/** From high to low. */
const HEIGHTS: readonly Posture[] = ['proud', 'low', 'inFilm', 'hanging', 'awash']
const heightOf = ({ posture }: FlyAboard) => (posture === null ? null : HEIGHTS.indexOf(posture))
/** A fly is heavier where it falls so much faster. */
const HEAVIER = 1.15
/**
 * How far the colours of two flies may be moved, in OKLab, before one calls it another colour: sizes of one dressing are
 * apart by less, and a bead of another metal adds a little. Judgement.
 */
const SAME_COLOUR = { most: 0.04, withBead: 0.06 }
/** Stages between the nymph and the winged fly. */
const RISING: ReadonlySet<string> = new Set(['emerger', 'cripple', 'risingNymph', 'pupaRising', 'pupa'])

/** How well a fly does for a stage, in its best way. */
const doesFor = (key: string, stageId: string | null, showings: readonly Showing[]): number =>
  Math.max(
    0,
    ...showings
      .filter((one) => one.key === key)
      .map(({ stages, whatever }) => (stageId === null ? whatever : (stages.get(stageId) ?? 0))),
  )

/** The one that does best for a stage, of those that are as wanted. */
function best(
  { on, aboard, showings }: OnNow,
  stageIds: readonly (string | null)[],
  wanted: (fly: FlyAboard) => boolean,
): string | null {
  const [first] = aboard
    .filter((fly) => fly.key !== on.key && wanted(fly))
    .map(({ key }) => ({ key, does: Math.max(...stageIds.map((id) => doesFor(key, id, showings))) }))
    .filter(({ does }) => does > 0)
    .sort((a, b) => b.does - a.does || (a.key < b.key ? -1 : 1))
  return first?.key ?? null
}

/** Smaller sizes have higher numbers; the nearest first. */
function nextSize(now: OnNow, isNext: (size: number, from: number) => boolean): string | null {
  const from = now.on.hookSize
  if (from === null) return null
  const sizes = [...new Set(now.aboard.flatMap(({ hookSize }) => hookSize ?? []))]
    .filter((size) => isNext(size, from))
    .sort((a, b) => Math.abs(a - from) - Math.abs(b - from))
  const isSame = (fly: FlyAboard) =>
    ridesAlike(fly, now.on) && (coloursApart(fly, now.on) ?? Infinity) <= SAME_COLOUR.most
  for (const size of sizes) {
    const key = best(now, [now.stageId], (fly) => fly.hookSize === size && isSame(fly))
    if (key !== null) return key
  }
  return null
}

/** Both float, or both sink. */
const isAlike = (a: FlyAboard, b: FlyAboard) => (a.posture === null) === (b.posture === null)

/** They ride as high as each other, or nearly; or both sink. */
function ridesAlike(a: FlyAboard, b: FlyAboard): boolean {
  const [one, other] = [heightOf(a), heightOf(b)]
  return one === null || other === null ? one === other : Math.abs(one - other) <= 1
}

/** Both fall alike, or neither sinks. */
function fallsAlike({ fallMmPerS: one }: FlyAboard, { fallMmPerS: other }: FlyAboard): boolean {
  return one === null || other === null ? one === other : Math.max(one / other, other / one) <= HEAVIER
}

/** How far the colours of one have to be moved to be those of the other; null where they are not known. */
const coloursApart = (a: FlyAboard, b: FlyAboard): number | null =>
  a.palette && b.palette && palettesApart(a.palette, b.palette).moved

/** The emerging stages of the food that is fished for; none where it is fished for one of them already. */
function risingOf({ stageId, shares }: OnNow): readonly OnStage[] {
  const now = shares.stages.find(({ id }) => id === stageId)
  if (!now || RISING.has(now.stage)) return []
  return shares.stages.filter(({ foodKey, stage }) => foodKey === now.foodKey && RISING.has(stage))
}

/** The best for the stage that most fish are on beside the one that is fished for. */
function ofOtherStage({ on, stageId, aboard, showings, shares }: OnNow): Choice | null {
  const packed = new Set(aboard.map(({ key }) => key))
  const others = { ...shares, stages: shares.stages.filter(({ id }) => id !== stageId) }
  const rest = showings.filter(({ key }) => key !== on.key && packed.has(key))
  return choose(rest, others, 1)[0] ?? null
}

/**
 * The packed fly that is one step from the one that is on, and no more than that: what is smaller is of the same colour and
 * rides alike. Null where none is, and for steps that change no fly.
 */
export function flyForStep(step: Step, now: OnNow): string | null {
  const { on, stageId } = now
  switch (step) {
    case 'emerger': {
      const rising = risingOf(now).map(({ id }) => id)
      const height = heightOf(on)
      const isLower = (fly: FlyAboard) => height === null || (heightOf(fly) ?? HEIGHTS.length) > height
      return rising.length > 0 ? best(now, rising, (fly) => isAlike(fly, on) && isLower(fly)) : null
    }
    case 'smaller':
      return nextSize(now, (size, from) => size > from)
    case 'widerGape':
      return nextSize(now, (size, from) => size < from)
    case 'heavier':
      return best(
        now,
        [stageId],
        (fly) =>
          (fly.fallMmPerS ?? 0) > HEAVIER * (on.fallMmPerS ?? Infinity) &&
          fly.hookSize === on.hookSize &&
          (coloursApart(fly, on) ?? Infinity) <= SAME_COLOUR.withBead,
      )
    case 'colour':
      return best(
        now,
        [stageId],
        (fly) =>
          ridesAlike(fly, on) &&
          fallsAlike(fly, on) &&
          fly.hookSize === on.hookSize &&
          (coloursApart(fly, on) ?? 0) > SAME_COLOUR.most,
      )
    case 'stage':
      return ofOtherStage(now)?.showing.key ?? null
    default:
      return null
  }
}

/** Whether a step can be made with what is aboard. */
export function canStep(step: Step, now: OnNow): boolean {
  if (step === 'cutLower') return now.on.canBeCut
  if (step === 'hookPoint') return true
  return STEPS[step] !== 'fly' || flyForStep(step, now) !== null
}
