import { palettesApart } from '../colour/index.ts'
import type { ColourShare } from '../colour/index.ts'
import { TRIGGER_KEYS } from '../dressing/index.ts'
import type { TriggerKey } from '../dressing/index.ts'
import { sum } from '../number/index.ts'
import { worthwhileLengths } from '../season/index.ts'
import type { Shown } from '../technique/index.ts'
import type { Appearance } from './appearance.ts'
import {
  AGAINST_LIGHT, BULK_SD, BY_SHARES, COLOUR_SD, FALSE_TRIGGER, LACKING, NO_LEGS, OTHER_CURVE, SIZE_SD, SIZE_TOLERANCE, SLENDERNESS_SD,
  SLENDERNESS_TOLERANCE,
} from './judgement.ts' // prettier-ignore
import { MOVEMENTS, SILHOUETTES, TAIL_LIKENESS, TRIGGER_LOOKS, WING_LIKENESS } from './looks.ts'
import type { Silhouette } from './looks.ts'
import { plain } from './matchAspect.ts'
import type { MatchAspect } from './matchAspect.ts'
import type { MatchPlace } from './reach.ts'

/** What a stage looks like and how it moves. */
export interface StageLooks {
  readonly silhouette: string
  /** length of the natural over that of the hook which it is dressed on */
  readonly bodyOverHook: number
  readonly movements: readonly string[]
  readonly triggers: readonly string[]
  readonly colours: readonly ColourShare[]
}

const silhouetteOf = new Map(SILHOUETTES.map((silhouette) => [silhouette.key, silhouette]))

/** Closeness, 1 to 0, of what is so many standard deviations off. */
const bell = (off: number, sd: number) => Math.exp(-0.5 * (off / sd) ** 2)

/** How far a value lies outside a range, as a difference of logarithms; 0 inside. */
const outside = (value: number, low: number, high: number) =>
  value > high ? Math.log(value / high) : value < low ? Math.log(low / value) : 0

/** A fly without tail or strip stands for nothing that is longer than so many times its hook. */
const MOST_BY_HOOK = 1.6

/**
 * Length of the natural that a fly stands for, mm. Flies are tied shorter than what they stand for, each food by its
 * own custom: its length over that of the hook it is dressed on. Where a tail or a strip carries the length, the whole
 * fly counts as it is, if that is more.
 */
export function standsForMm(
  { bodyLengthMm, wholeLengthMm }: Pick<Appearance, 'bodyLengthMm' | 'wholeLengthMm'>,
  { silhouette, bodyOverHook }: Pick<StageLooks, 'silhouette' | 'bodyOverHook'>,
): number {
  if (!silhouetteOf.get(silhouette)?.wholeFly) return bodyLengthMm * bodyOverHook
  return Math.max(bodyLengthMm * Math.min(bodyOverHook, MOST_BY_HOOK), wholeLengthMm)
}

/** Whether it has the length of the natural in this month. */
export function sizeAspect(look: Appearance, looks: StageLooks, place: MatchPlace): MatchAspect {
  const found = standsForMm(look, looks)
  const [wantedLow, wantedHigh] = worthwhileLengths(place.lengthMmLow, place.lengthMmHigh)
  const base = { aspect: 'size' as const, found, wantedLow, wantedHigh, names: [] }
  const off = outside(found, wantedLow / SIZE_TOLERANCE, wantedHigh * SIZE_TOLERANCE)
  if (off === 0) return { ...base, code: 'sizeRight', score: 1 }
  return { ...base, code: found > wantedHigh ? 'tooLarge' : 'tooSmall', score: bell(off, SIZE_SD) }
}

/** A body that is widest so far back, and tapers from there both ways, has the middle of its bulk there. */
const bulkOf = ({ widestAt }: Silhouette) => (1 + widestAt) / 3

/** How near the parts of an outline come to those of a silhouette, 0 to 1 each. */
function outlineParts({ outline, shows }: Appearance, silhouette: Silhouette, triggers: readonly string[]) {
  const { wholeFly, wing, tail, slenderness, longLegs } = silhouette
  const found = wholeFly ? outline.wholeSlenderness : outline.slenderness
  const [wantedLow, wantedHigh] = [slenderness / SLENDERNESS_TOLERANCE, slenderness * SLENDERNESS_TOLERANCE]
  const off = outside(found, wantedLow, wantedHigh)
  const legs = Math.max(shows.rubberLegs ?? 0, shows.oaringLegs ?? 0)
  const pulses = triggers.includes('pulsingTail') ? TAIL_LIKENESS.soft[outline.tail] : 0
  return {
    found,
    wantedLow,
    wantedHigh,
    stout: bell(off, found < wantedLow ? SLENDERNESS_SD.stouter : SLENDERNESS_SD.slimmer),
    winged: WING_LIKENESS[wing][outline.wing],
    tailed: Math.max(TAIL_LIKENESS[tail][outline.tail], pulses),
    legged: longLegs ? NO_LEGS + (1 - NO_LEGS) * legs : 1,
    // of what has wings nobody sees where the body is thickest
    bulk: wing === 'none' ? bell(outline.bulkAt - bulkOf(silhouette), BULK_SD) : 1,
    bent: outline.curved === silhouette.curved ? 1 : OTHER_CURVE,
  }
}

/** Whether it has the shape of the natural: as stout, thick in the same place, wings, tail and legs alike. */
export function outlineAspect(look: Appearance, looks: StageLooks): MatchAspect {
  const silhouette = silhouetteOf.get(looks.silhouette)
  if (!silhouette) return plain('outline', 'notKnown', 0.6)
  const { found, wantedLow, wantedHigh, ...parts } = outlineParts(look, silhouette, looks.triggers)
  const { stout, winged, tailed, legged, bulk, bent } = parts
  const score = stout * winged * tailed * legged * bulk * bent
  const base = { aspect: 'outline' as const, found, wantedLow, wantedHigh, names: [silhouette.name], score }
  const worst = Math.min(...Object.values(parts))
  if (worst >= PLAINLY_ALIKE) return { ...base, code: 'outlineRight' }
  if (worst === stout) return { ...base, code: found < wantedLow ? 'tooBulky' : 'tooThin' }
  if (worst === winged) return { ...base, code: 'otherWing' }
  if (worst === tailed) return { ...base, code: 'otherTail' }
  return { ...base, code: worst === legged ? 'noLongLegs' : worst === bulk ? 'bulkElsewhere' : 'outlineRight' }
}
/** From here on nobody would name what is off about a shape. */
const PLAINLY_ALIKE = 0.8

/**
 * Mean distance of the colours of a fly from those of a natural. Most of it asks how far each of the fly's lies from the
 * nearest of theirs, since naturals of one food differ among themselves; the rest, how far they have to be moved to come
 * in the same shares: a black fly is no match for what is black on a tenth of its body.
 */
function paletteDistance(
  fly: readonly ColourShare[],
  natural: readonly ColourShare[],
  floats: boolean,
): number {
  const { nearest, moved } = palettesApart(fly, natural, floats ? AGAINST_LIGHT : undefined)
  return (1 - BY_SHARES) * nearest + BY_SHARES * moved
}

/**
 * How near its wet colours are to the natural's, in a perceptual space and by how much is seen of each. What floats is
 * seen against the light: dark and pale are told apart less, colours hardly.
 */
export function colourAspect({ palette }: Appearance, looks: StageLooks, shown: Shown): MatchAspect {
  if (palette.length === 0 || looks.colours.length === 0) return plain('colour', 'notKnown', 0.5)
  const found = paletteDistance(palette, looks.colours, shown.kind === 'onTop')
  const score = bell(found, COLOUR_SD)
  return {
    aspect: 'colour',
    found,
    wantedLow: 0,
    wantedHigh: COLOUR_SD,
    names: [],
    code: found <= COLOUR_SD ? 'colourNear' : 'colourFar',
    score,
  }
}

/** Movements that only something soft on the fly can make. */
const BY_ITSELF: ReadonlySet<string> = new Set(['undulate', 'wriggle'])
/** Movements that need a fly which stays on top when it is drawn. */
const ON_TOP: ReadonlySet<string> = new Set(['skate', 'flutter', 'rideStill'])
/** Movements that need one which goes down again when the line slackens. */
const UP_AND_DOWN: ReadonlySet<string> = new Set([
  'riseWithPauses', 'riseFast', 'swimDown', 'dart', 'jet', 'burst',
]) // prettier-ignore
/** A fly of which so much is soft waves all along. */
const ALL_SOFT = 0.5

/** How far it can be made to move as the natural does in one way, 0 to 1. */
function movesSo(key: string, look: Appearance, shown: Shown): number {
  if (BY_ITSELF.has(key)) return Math.min(look.soft / ALL_SOFT, 1)
  if (ON_TOP.has(key)) return shown.kind === 'onTop' ? 1 : 0
  if (UP_AND_DOWN.has(key)) return shown.kind === 'onTop' ? 0 : 1
  return 1
}

const movementOf = new Map(MOVEMENTS.map((movement) => [movement.key, movement]))

/** A second way of moving is worth a little less than the usual one. */
const SECOND_WAY = 0.85
/** What cannot move as it should is still seen. */
const STIFF = 0.35

/** Whether it can be made to move as the natural does. */
export function movementAspect(look: Appearance, shown: Shown, looks: StageLooks): MatchAspect {
  const ways = looks.movements.map((key, nth) => ({
    key,
    degree: movesSo(key, look, shown) * (nth === 0 ? 1 : SECOND_WAY),
  }))
  const best = ways.reduce((a, b) => (b.degree > a.degree ? b : a), { key: '', degree: 0 })
  const score = STIFF + (1 - STIFF) * best.degree
  if (best.degree < 0.5) {
    const stiff = looks.movements.some((key) => BY_ITSELF.has(key))
    return plain('movement', stiff ? 'tooStiff' : 'cannotRise', score, looks.movements)
  }
  if (BY_ITSELF.has(best.key)) return plain('movement', 'movesByItself', score)
  const shownBy = movementOf.get(best.key)?.shownBy ?? ''
  return plain('movement', 'movesAsFished', score, [shownBy])
}

const KNOWN: ReadonlySet<string> = new Set(TRIGGER_KEYS)
const isTrigger = (key: string): key is TriggerKey => KNOWN.has(key)
const triggerName = new Map(TRIGGER_LOOKS.map(({ key, name }) => [key, name]))

/** Triggers that make a fly something else where the natural has none of them. */
const FALSE: readonly TriggerKey[] = [
  'rubberLegs', 'pulsingTail', 'wideEyes', 'oaringLegs', 'trailingShuck', 'splayedWings', 'uprightWings', 'eggSac',
] // prettier-ignore
/** One kind of long legs passes for the other. */
const LEGS: ReadonlySet<string> = new Set(['rubberLegs', 'oaringLegs'])
const PLAIN_TRIGGER = 0.5

/** How far it shows what fish go by, the first named of a stage most, and nothing that the natural has not. */
export function triggersAspect({ shows }: Appearance, looks: StageLooks): MatchAspect | null {
  const asked = looks.triggers.filter(isTrigger)
  const legged = asked.some((key) => LEGS.has(key))
  const extra = FALSE.filter(
    (key) => !looks.triggers.includes(key) && (shows[key] ?? 0) >= PLAIN_TRIGGER && !(legged && LEGS.has(key)),
  )
  if (asked.length === 0 && extra.length === 0) return null
  const weights = asked.map((_, nth) => 1 / (1 + nth))
  const lack = sum(asked.map((key, nth) => (weights[nth] ?? 0) * (1 - (shows[key] ?? 0))))
  const lacks = asked.length === 0 ? 0 : lack / sum(weights)
  const wrong = sum(extra.map((key) => shows[key] ?? 0))
  const score = Math.exp(-LACKING * lacks - FALSE_TRIGGER * wrong)
  const nameOf = (key: string) => triggerName.get(key) ?? key
  const lacking = asked.filter((key) => (shows[key] ?? 0) < PLAIN_TRIGGER)
  if (lacking.length > 0) return plain('triggers', 'lacksTriggers', score, lacking.map(nameOf))
  return extra.length > 0
    ? plain('triggers', 'falseTriggers', score, extra.map(nameOf))
    : plain('triggers', 'showsTriggers', score, asked.map(nameOf))
}

/** What does not draw the eye, for who trusts in what does. */
const DRAB = 0.3

/** Whether it draws the eye from afar, whatever it stands for. */
export const brightnessAspect = ({ bright }: Appearance): MatchAspect =>
  plain('brightness', bright >= PLAIN_TRIGGER ? 'showsUp' : 'drab', DRAB + (1 - DRAB) * bright)
