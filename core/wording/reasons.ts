import { FIELD_LIMITS } from '../dressing/index.ts'
import type { FitFinding, MissingPiece } from '../dressing/index.ts'
import type { FlyReport } from '../evaluate/index.ts'
import type { MatchAspect } from '../match/index.ts'
import type { DisplayUnits, UnclearCode } from '../quantity/index.ts'
import { USUAL_RIGS } from '../rig/index.ts'
import type { UsualRig } from '../rig/index.ts'
import { dateOf } from '../season/index.ts'
import type { FeedingReason, Need } from '../season/index.ts'
import { fineDepth, inTen, mass, smallLength, speed, temperature } from './figures.ts'
import { componentName } from './names.ts'

/** What was found on the fit of a fly, with what would do. */
export function fitSentence(finding: FitFinding, units: DisplayUnits): string {
  const found = smallLength(finding.found, units)
  const limit = smallLength(finding.limit, units)
  const piece = componentName[finding.kind]
  switch (finding.code) {
    case 'beadLargerThanGape':
      return `A ${found} ${piece} is larger than this gape of ${limit}. Take a smaller ${piece} or a larger hook.`
    case 'beadDoesNotPassBend':
      return `This ${piece} does not pass the bend: its bore is ${found}, and it needs ${limit}. ${piece === 'bead' ? 'A slotted one or a larger one does.' : 'One with a wider bore may.'}`
    case 'gapeClosed':
      return `The ${piece} leaves ${percent(finding.found)} of the gape open: too little to hook a fish.`
    case 'gapeNarrowed':
      return `The ${piece} leaves only ${percent(finding.found)} of the gape open.`
    case 'jigNeedsSlot':
      return 'On a jig hook only a slotted bead sits against the bent-up eye.'
    case 'headsCollide':
      return `Two heads do not fit there: with the one before it they need ${found} of the shank, and have ${limit}.`
    case 'wireLongerThanShank':
      return `The turns of wire need ${found}, and the shank has ${limit}.`
    case 'beadAndWireCrowdShank':
      return `Bead and wire crowd the shank: the wire needs ${found} of the ${limit} that are free.`
    case 'overdressed':
      return `Overdressed: as thick as ${percent(finding.found)} of the gape. It hides the outline and holds the fly up.`
    case 'eyeCrowded':
      return `The eye is crowded: this starts ${found} behind it. Leave ${limit} for the head and the knot.`
    case 'threadTooFine':
      return `${Math.round(finding.found)} denier is fine thread for this material; ${Math.round(finding.limit)} holds it.`
    case 'ribMats':
      return `The rib covers ${percent(finding.found)} of the fur and mats it. Take fewer turns or thinner wire.`
    case 'mayRoll':
      return 'Little holds it upright as it falls: it is likely to roll on its side.'
    case 'tooManyTurns':
      return `${Math.round(finding.found)} turns do not lie side by side here; ${Math.round(finding.limit)} fit.`
  }
}

const percent = (share: number) => `${Math.round(share * 100)} %`

/** What a recipe lacks before it is a fly. */
export function missingSentence(piece: MissingPiece): string {
  switch (piece.code) {
    case 'unknownMaterial':
      return piece.componentKey ? `Choose a material for ${piece.componentKey}.` : 'Choose a hook.'
    case 'notAHook':
      return 'This is no hook. Choose a hook.'
    case 'cyclicProportion':
      return `The length of ${piece.componentKey} refers back to itself. Say it in shanks or gapes.`
    case 'unknownComponent':
      return `The length of ${piece.componentKey} refers to something that is not on the fly.`
    case 'tooLong':
      return `${piece.componentKey} comes to more than ${FIELD_LIMITS.lengthMm.max} mm. Say its length in shanks or mm.`
  }
}

const ON_RIG: Readonly<Record<UsualRig, string>> = {
  float: 'under a float',
  underDry: 'under a dry',
  tight: 'on a tight line',
  swung: 'as it swings',
  counted: 'after a count of twenty',
}

/** How a fly is fished whose depth is told. */
const onRig = ({ names }: MatchAspect): string =>
  USUAL_RIGS.flatMap((rig) => (names.includes(rig) ? [ON_RIG[rig]] : [])).join('')

/** Why a fly serves a stage, or does not. */
export function aspectSentence(aspect: MatchAspect, units: DisplayUnits): string {
  // what the fly stands for: flies are tied shorter than naturals
  const length = `for a natural of ${smallLength(aspect.found, units)}`
  const wanted = `${smallLength(aspect.wantedLow, units)} to ${smallLength(aspect.wantedHigh, units)}`
  switch (aspect.code) {
    case 'sizeRight':
      return `right size: ${length}, theirs mostly ${wanted}`
    case 'tooLarge':
      return `too large: ${length}, theirs mostly ${wanted}`
    case 'tooSmall':
      return `too small: ${length}, theirs mostly ${wanted}`
    case 'depthRight':
      return aspect.found > 0
        ? `gets to its depth: falls ${speed(aspect.found, units)}`
        : 'stays where it is taken'
    case 'reachesDepth':
      return `gets to its depth: ${fineDepth(aspect.found, units)} down ${onRig(aspect)}`
    case 'tooShallow':
      return `too shallow: ${fineDepth(aspect.found, units)} down ${onRig(aspect)}, ${fineDepth(aspect.wantedLow, units)} is wanted here`
    case 'tooSlow':
      return `too slow: falls ${speed(aspect.found, units)}, at least ${speed(aspect.wantedLow, units)} is wanted here`
    case 'tooFast':
      return `too fast: falls ${speed(aspect.found, units)} through water where ${speed(aspect.wantedHigh, units)} is enough`
    case 'floatsAboveIt':
      return 'floats above it'
    case 'swingsAboveIt':
      return 'swings above it'
    case 'notSo':
      return 'cannot be fished so'
    case 'sinksBelowIt':
      return `sinks below it at ${speed(aspect.found, units)}`
    case 'postureRight':
      return 'rides as they do'
    case 'ridesTooHigh':
      return 'rides higher than they do'
    case 'ridesTooLow':
      return 'rides lower than they do'
    case 'outlineRight':
      return `outline right: ${aspect.names.join('')}`
    case 'tooBulky':
      return `too stout: ${aspect.found.toFixed(1)} times as long as thick, theirs ${aspect.wantedLow.toFixed(1)} or more`
    case 'tooThin':
      return `too slim: ${aspect.found.toFixed(1)} times as long as thick, theirs at most ${aspect.wantedHigh.toFixed(1)}`
    case 'otherWing':
      return 'wings unlike theirs'
    case 'otherTail':
      return 'tail unlike theirs'
    case 'noLongLegs':
      return 'no long legs'
    case 'bulkElsewhere':
      return 'thickest elsewhere'
    case 'colourNear':
      return 'colour near'
    case 'colourFar':
      return 'another colour'
    case 'movesByItself':
      return 'moves by itself, as they do'
    case 'movesAsFished':
      return `fish it so: ${lowerFirst(aspect.names.join(''))}`
    case 'tooStiff':
      return 'too stiff: nothing on it waves'
    case 'cannotRise':
      return 'cannot move as they do'
    case 'showsTriggers':
      return `shows ${listed(aspect.names)}`
    case 'lacksTriggers':
      return `lacks ${listed(aspect.names)}`
    case 'falseTriggers':
      return `shows ${listed(aspect.names)}, which it has not`
    case 'showsUp':
      return 'bright enough to be seen'
    case 'drab':
      return 'nothing bright on it'
    case 'notKnown':
      return `${aspect.aspect} not known`
  }
}

/** That a fly does not get down to the bottom at a place, as it is fished; null where it does. */
export function tooLightSentence(aspect: MatchAspect, place: string, units: DisplayUnits): string | null {
  const light = `Too light for the bottom at ${place}:`
  switch (aspect.code) {
    case 'tooSlow':
      return `${light} it falls ${speed(aspect.found, units)} with its line, and ${speed(aspect.wantedLow, units)} gets down there.`
    case 'tooShallow':
      return `${light} it is ${fineDepth(aspect.found, units)} down ${onRig(aspect)}, and ${fineDepth(aspect.wantedLow, units)} is wanted there.`
    case 'swingsAboveIt':
      return `It swings above the bottom at ${place}.`
    default:
      return null
  }
}

const MONTH_NAMES = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'] // prettier-ignore

/** `4 May` of a day written MM-DD. */
/** `23 May`; of another year `24 May 2025`. */
function noteDay(day: number, thisYear: boolean): string {
  const on = dateOf(day)
  return thisYear ? dayAndMonth(on.slice(5)) : `${dayAndMonth(on.slice(5))} ${on.slice(0, 4)}`
}

const dayAndMonth = (monthDay: string) =>
  `${Number(monthDay.slice(3, 5))} ${MONTH_NAMES[Number(monthDay.slice(0, 2)) - 1] ?? ''}`

/** `a, b and c`. */
const listed = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`

const lowerFirst = (text: string) => (text.charAt(0).toLowerCase() + text.slice(1)).replace(/\.$/, '')

/** A stretch of days as one says it: days up to three weeks, then weeks. */
function inDays(days: number): string {
  const whole = Math.max(Math.round(days), 1)
  if (whole === 1) return 'a day'
  return whole <= 21 ? `${whole} days` : `${Math.round(whole / 7)} weeks`
}

export const needName: Readonly<Record<Need, string>> = {
  risingLevel: 'a rise of the water',
  wind: 'wind',
  calm: 'calm',
  bright: 'sun',
  calmBright: 'sun and calm',
  swarmDay: 'a warm still day',
  mildEvening: 'a mild evening',
  mildAir: 'air as warm as the water',
  swimmingFry: 'a shoal at this place',
  spawningFish: 'spawning fish upstream',
}

function needWords(need: Need, met: boolean | null): string {
  const what = needName[need]
  return met === null ? `needs ${what}: not known` : met ? `has ${what}` : `needs ${what}, and has it not`
}

/** Why a stage is about at a moment, or not. */
export function feedingReason(
  reason: FeedingReason,
  units: DisplayUnits,
  reachName: (reachKey: string) => string,
): string {
  switch (reason.code) {
    case 'soon':
      return reason.days < 1 ? 'about to begin' : `begins about ${inDays(reason.days)} from now`
    case 'notYet':
      return `not yet: about ${inDays(reason.days)} away`
    case 'over':
      return `over for about ${inDays(reason.days)}`
    case 'ending':
      return reason.days < 1 ? 'ending' : `over in about ${inDays(reason.days)}`
    case 'begun':
      return `begun about ${inDays(reason.days)} ago${reason.surely ? '' : ', if it has'}`
    case 'neverHere':
      return 'the water never brings what it waits for'
    case 'toWarmth':
      return `${temperature(reason.tempC, units)}; it starts as the water ${reason.rising ? 'reaches' : 'falls to'} ${temperature(reason.thresholdC, units)}`
    case 'toSum':
      return `${Math.round(reason.sum)} of ${Math.round(reason.wanted)} degree-days above ${temperature(reason.baseC, units)}`
    case 'seen':
      return `seen ${reason.here ? 'here' : `at ${reachName(reason.reachKey)}`} on ${noteDay(reason.day, reason.thisYear)}`
    case 'searched':
      return `looked for here ${reason.times === 1 ? 'once' : `${reason.times} times`} and not seen, last on ${noteDay(reason.day, reason.thisYear)}`
    case 'byMonth':
      return 'by the month'
    case 'kindOnly':
      return 'your kind of water only; no reading yet'
    case 'lessAtHome':
      return `${Math.max(Math.round(reason.share * 10), 1)} in 10 as common on this kind of water as on its best`
    case 'unlikelyHere':
      return `likely not on this water: ${inTen(reason.share)} that it lives here`
    case 'smallInColoured':
      return 'too small to be seen well in coloured water'
    case 'need':
      return needWords(reason.need, reason.met)
    case 'hourGood':
      return 'at its hours'
    case 'hourPoor':
      return 'outside its hours'
  }
}

/** What hovers, with the band of its weight: a side of it below nought is lift. */
export function hoversWords(
  { submergedMg: { low, high } }: Extract<FlyReport, { kind: 'hovers' }>,
  units: DisplayUnits,
): string {
  const side = (mg: number) => (mg < 0 ? `${mass(-mg, units)} light` : `${mass(mg, units)} heavy`)
  return `hovers, between ${side(low)} and ${side(high)} in water`
}

/** What is wrong with an entry and what to do. */
export function unclearSentence(code: UnclearCode, suggestions: readonly string[]): string {
  switch (code) {
    case 'empty':
      return 'Enter a figure.'
    case 'notANumber':
      return 'This is no figure. Write it like 2.8, 2,8 or 1/2.'
    case 'unknownUnit':
      return 'This unit is not known here.'
    case 'inchOrMm':
    case 'thousandsOrDecimal':
      return `Did you mean ${suggestions.join(' or ')}?`
    case 'negative':
      return 'This cannot be below nought.'
    case 'tooLarge':
      return suggestions.length > 0 ? `Too large: at most ${suggestions[1]}.` : 'Too large.'
    case 'tooSmall':
      return suggestions.length > 0 ? `Too small: at least ${suggestions[0]}.` : 'Too small.'
    case 'zeroDenominator':
      return 'A fraction needs something other than nought below the line.'
    case 'speedUnlikely':
      return `Nothing on a hook falls so fast. Did you mean ${suggestions.join(' or ')}?`
  }
}
