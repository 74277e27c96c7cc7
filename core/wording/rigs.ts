import type { DisplayUnits } from '../quantity/index.ts'
import { settingOf, SPOOL_TEST_C, spoolRate, trustIn, wantsNewKnots } from '../rig/index.ts'
import type {
  Assumed,
  BringTo,
  DragFree,
  FishesNot,
  FishesRig,
  LineRate,
  Knot,
  LikelyDepth,
  LinePart,
  OnSpool,
  OtherFlies,
  ReadSpool,
  RigForbids,
  RigInWater,
  RigPart,
  RigPhrase,
  RigSense,
  RigThere,
  Tied,
  Worn,
} from '../rig/index.ts'
import { Z_80 } from '../number/index.ts'
import { cutLength, fineDepth, mass, speed, temperature } from './figures.ts'

/** A length along a rig: `2.70 m`, or shorter than a metre `60 cm`. */
export const rigLength = (mm: number, units: DisplayUnits): string =>
  mm < 1000 ? cutLength(mm, units) : fineDepth(mm, units)

/** How thick a line is: `0.14 mm`, or `.006 in`. */
export const thickness = (mm: number, units: DisplayUnits): string =>
  units.smallLength === 'in' ? `${(mm / 25.4).toFixed(4).replace(/^0/, '')} in` : `${mm.toFixed(2)} mm`

/** What a knot holds, wet: `1.1 kg`. */
export const holds = (kg: number): string => `${kg < 10 ? kg.toFixed(1) : kg.toFixed(0)} kg`

const KNOT_NAMES: Readonly<Record<Knot, string>> = {
  surgeon: 'surgeon’s knot',
  blood: 'blood knot',
  loop: 'loop to loop',
  perfection: 'perfection loop',
  overhand: 'overhand knot',
  clinch: 'clinch knot',
}

/** The name of a knot. */
export const knotName = (knot: Knot): string => KNOT_NAMES[knot]

/** A part of a rig in words: `60 cm of 0.14 mm nylon`. */
export function rigPartWords(part: RigPart, nameOf: (fly: string) => string, units: DisplayUnits): string {
  const fly = (id: string | null) => (id === null ? 'no fly chosen yet' : nameOf(id))
  const thick = (mm: number) => thickness(mm, units)
  switch (part.kind) {
    case 'line': {
      const rate = part.rateMmPerS === null ? '' : `, sinks ${speed(part.rateMmPerS, units)}`
      return `${rigLength(part.lengthMm, units)} of ${part.sort} line, ${thick(part.diameterMm)}${rate}`
    }
    case 'leader':
      return `leader of ${rigLength(part.lengthMm, units)}, ${thick(part.buttMm)} to ${thick(part.tipMm)}, ${part.stuff}`
    case 'tippet':
      return `${rigLength(part.lengthMm, units)} of ${thick(part.diameterMm)} ${part.stuff}`
    case 'dropper':
      return `dropper of ${rigLength(part.lengthMm, units)}: ${fly(part.fly)}`
    case 'float':
      return `float, ${part.diameterMm.toFixed(0)} mm, ${mass(part.massMg, units)}`
    case 'dry':
      return `dry that carries it: ${fly(part.fly)}`
    case 'point':
      return `point: ${fly(part.fly)}`
    case 'knot':
      return knotName(part.knot)
    default:
      return `${part.kind}, ${mass(part.massMg, units)}`
  }
}

const ASSUMED: Readonly<Record<Assumed, string>> = {
  length: 'length',
  diameter: 'thickness',
  rate: 'rate',
  butt: 'butt',
  tip: 'tip',
  stuff: 'what it is drawn of',
  mass: 'weight',
}

const UNREAD = {
  nothing: 'not understood: write “60 cm 0.14”, “dropper 15 cm”, “float 12 mm”, “point” …',
  length: 'how long? Write “60 cm” or “2 ft”.',
  diameter: 'how thick? Write “0.14” or “5X”.',
  mass: 'how heavy? Write “0.2 g”.',
  fly: 'which fly?',
  knot: 'which knot?',
} as const

/** What was understood of a phrase, and what of it is a guess; or what is asked. */
export function rigPhraseWords(
  phrase: RigPhrase,
  nameOf: (fly: string) => string,
  units: DisplayUnits,
): string {
  if (phrase.part === null) {
    const near = phrase.near.length > 0 ? ` ${phrase.near.join(', ')}` : ''
    return `${UNREAD[phrase.unread]}${near}`
  }
  const words = rigPartWords(phrase.part, nameOf, units)
  if (phrase.assumed.length === 0) return words
  return `${words} (taken as usual: ${phrase.assumed.map((what) => ASSUMED[what]).join(', ')})`
}

/** Nobody counts longer, s. */
const LONGEST_COUNTED_S = 60

const NOT: Readonly<Record<FishesNot['why'], string>> = {
  noLeader: 'Nothing hangs below what carries it: it fishes on the surface.',
  noFly: 'Choose its flies: then it is said where they fish.',
  dryDoesNotFloat: 'The dry of it does not float: it carries nothing.',
  twoCarriers: 'Two things carry it: of these one alone is reckoned with.',
  neverRests: 'It never comes to rest so: no depth is told.',
  isCarried: 'A float or a dry carries it: fish it under that.',
  nothingRuns: 'Nothing runs here, so that nothing swings: count it down.',
  nothingCarries: 'Nothing carries it: add a float or a dry, or fish it another way.',
}

/** Why it is not said where a rig fishes. */
export const rigNotSentence = ({ why }: FishesNot): string => NOT[why]

const FORBIDS: Readonly<Record<RigForbids, string>> = {
  dryOnly: 'dry fly only',
  maxFlies: 'fewer flies on a leader',
  noAddedWeight: 'no added weight',
  noIndicator: 'no indicator',
  maxLeader: 'a shorter leader',
}

/** What a water's note says against a rig; empty where nothing. */
export const rigForbidsSentence = (water: string, against: readonly RigForbids[]): string =>
  against.length === 0
    ? ''
    : `Not at ${water}, by your note of its rules: ${against.map((rule) => FORBIDS[rule]).join(', ')}.`

/** A band beside its depth, where it is wide enough to be told. */
function likelyWords(at: string, { lowMm, highMm }: LikelyDepth, units: DisplayUnits): string {
  const [low, high] = [fineDepth(lowMm, units), fineDepth(highMm, units)]
  return low === at && high === at ? ', hardly otherwise' : `, likely ${low} to ${high}`
}

/** Where each fly of a rig is at one moment: `Third Button 0.92 m down, likely 0.88 m to 0.95 m`. */
export function rigFlySentences(
  { there }: Pick<RigThere, 'there'>,
  names: readonly string[],
  units: DisplayUnits,
): readonly string[] {
  return there.map(({ depthMm, band, onBed }, i) => {
    const name = names[i] ?? ''
    if (onBed) return `${name} is on the bed.`
    const at = fineDepth(Math.max(depthMm, 0), units)
    return `${name} ${at} down${band ? likelyWords(at, band, units) : ''}.`
  })
}

/** What is said of a rig as a whole: pace and load of its float and what to set, or how a tight line enters the water. */
export function rigSentences(
  { carried, tight, toSetMm, way, moments }: FishesRig,
  { current, overBedMm, parts }: Pick<RigInWater, 'current' | 'overBedMm' | 'parts'>,
  units: DisplayUnits,
): readonly string[] {
  // what to set is searched last
  const isAllTold = moments.every(({ there }) => there.every(({ band }) => band !== null))
  const settingMm = isAllTold ? settingOf(parts) : null
  if (way === 'carried' && carried) {
    const isFloat = parts.some(({ kind }) => kind === 'float')
    const what = isFloat ? 'float' : 'dry'
    const above = fineDepth(overBedMm, units)
    return [
      ...(current.surfaceMmPerS > 0
        ? [
            `The ${what} goes ${speed(carried.speedMmPerS, units)} where the surface goes ${speed(current.surfaceMmPerS, units)}.`,
          ]
        : []),
      carried.holds
        ? `It bears ${mass(carried.loadMg, units)}.`
        : `It is drawn under: ${mass(carried.loadMg, units)} hang from it.`,
      ...(settingMm === null
        ? []
        : [
            toSetMm === null
              ? `It is set to ${fineDepth(settingMm, units)}; no setting of its upper piece brings the lowest fly to ${above} above the bed here.`
              : `It is set to ${fineDepth(settingMm, units)}; for the lowest fly ${above} above the bed set ${fineDepth(toSetMm, units)}.`,
          ]),
    ]
  }
  const end = moments.at(-1)
  if (way === 'swung' && end) {
    const lowest = moments.map(({ there }) => Math.max(...there.map(({ depthMm }) => depthMm)))
    const deepest = Math.max(...lowest)
    return [
      `At its deepest ${fineDepth(deepest, units)}, ${lowest.indexOf(deepest)} s after the cast; after ${end.timeS} s it hangs ${Math.round(end.bearingDeg ?? 0)}° off straight below the rod.`,
    ]
  }
  if (way === 'tight' && tight)
    return [
      `${fineDepth(tight.inWaterMm, units)} of the leader are in the water, and enter it at ${Math.round(tight.surfaceDeg)}°; the rest sags ${cutLength(tight.sagMm, units)}.`,
    ]
  return []
}

/** How a rig is brought between two depths: `Third Button: set to 1.20 m`. */
export function bringToSentence(found: BringTo, nameOf: (fly: number) => string, units: DisplayUnits): string {
  switch (found.kind) {
    case 'asIs':
      return `${nameOf(found.fly)} is there as it is, ${fineDepth(found.depthMm, units)} down`
    case 'set':
      return `${nameOf(found.fly)}: set it to ${fineDepth(found.settingMm, units)}`
    case 'lead':
      return `${nameOf(found.fly)}: lead it at ${speed(found.ledMmPerS, units)}`
    case 'count':
      return found.toS >= LONGEST_COUNTED_S
        ? `${nameOf(found.fly)}: count ${found.fromS} or more`
        : `${nameOf(found.fly)}: count ${found.fromS} to ${found.toS}`
    case 'no':
      return 'not there, however it is set'
    case 'not':
      return rigNotSentence(found)
  }
}

const MOST_DRIES_NAMED = 4

/** Which flies on hand would do what a rig is meant to. */
export function otherFliesSentences(
  { point, dries }: OtherFlies,
  { parts, overBedMm, way }: Pick<RigInWater, 'parts' | 'overBedMm' | 'way'>,
  nameOf: (key: string) => string,
  units: DisplayUnits,
): readonly string[] {
  const near = fineDepth(overBedMm, units)
  const pointWords =
    way === 'counted' || way === 'swung'
      ? 'A cast holds no bottom: no point is looked for.'
      : point
        ? `The lightest point on hand that fishes within ${near} of the bed, and does not lie on it: ${nameOf(point.key)}, ${fineDepth(point.depthMm, units)} down.`
        : `No point on hand fishes within ${near} of the bed without lying on it.`
  if (!parts.some(({ kind }) => kind === 'dry')) return [pointWords]
  const named = dries.slice(0, MOST_DRIES_NAMED).map(({ key }) => nameOf(key))
  const others = dries.length - named.length
  return [
    pointWords,
    named.length === 0
      ? 'No dry on hand bears what hangs from it.'
      : `Dries on hand that bear what hangs from it: ${named.join(', ')}${others > 0 ? ` and ${others} more` : ''}.`,
  ]
}

/** How long a cast drifts free: `Laid so it drifts free for about 2.1 s, 1.6 s to 2.4 s by how its slack lies; then its line draws it.` */
export function dragFreeSentence({ forS, lowS, highS }: DragFree): string {
  const seconds = (s: number | null) => (s === null ? 'more than 20 s' : `${s.toFixed(1)} s`)
  if (lowS === null) return 'Laid so nothing draws it for 20 s and more.'
  const between = lowS === highS ? '' : `, ${seconds(lowS)} to ${seconds(highS)} by how its slack lies`
  return `Laid so it drifts free for about ${seconds(forS)}${between}; then its line draws it.`
}

/** X of tippet: `5X`, or `about 5X`. */
const inX = (x: number): string => `${Math.max(Math.round(x), 0)}X`

/** What of a rig does not do what it is meant to, and what would. */
export function rigSenseSentence(
  sense: RigSense,
  nameOf: (fly: number) => string,
  units: DisplayUnits,
): string {
  switch (sense.kind) {
    case 'heavyDropper':
      return `${nameOf(sense.dropper)} is heavier than the point: ${nameOf(sense.point)} streams up to its level. Tie the heaviest to the point.`
    case 'tooFine':
      return `${inX(sense.x)} is fine for ${nameOf(sense.fly)}: a hook of its size asks for about ${inX(sense.aboutX)}, or it twists and breaks.`
    case 'tooStout':
      return `${inX(sense.x)} is stout for ${nameOf(sense.fly)}: a hook of its size asks for about ${inX(sense.aboutX)}, or it hangs stiffly.`
    case 'sinksUnderDry':
      return `Fluorocarbon sinks: it pulls at ${nameOf(sense.fly)} with ${mass(sense.pullsMg, units)}. Nylon or copolymer pull about a sixth of that.`
    case 'step':
      return `From ${thickness(sense.fromMm, units)} to ${thickness(sense.toMm, units)} is much for one knot: it turns over badly and slips.`
    case 'noPoint':
      return 'Nothing is tied to its end.'
  }
}

const AS_SAID = 'as it says'

/** A line as it is reckoned with, piece by piece: `1.05 mm thick, sinks 5.5 cm/s in water of 20 °C. Its last 1.50 m: 0.82 mm, 4.6 cm/s.` */
export const lineSentences = (pieces: readonly LinePart[], units: DisplayUnits): readonly string[] =>
  pieces.map(({ lengthMm, diameterMm, rateMmPerS }, i) => {
    const goes = rateMmPerS === null ? 'floats' : `sinks ${speed(rateMmPerS, units)}`
    return i === 0
      ? `${thickness(diameterMm, units)} thick, ${goes} in water of ${temperature(SPOOL_TEST_C, units)}.`
      : `Its last ${rigLength(lengthMm, units)}: ${thickness(diameterMm, units)}, ${goes}.`
  })

/** What follows from a spool, and how far its rate and its weight are apart: `So it is of 1.44 g/cm³, and sinks 6.4 cm/s.` */
export function spoolSentence(
  { densityMgPerMm3, disagree, isDoubtful }: ReadSpool,
  { diameterMm }: OnSpool,
  units: DisplayUnits,
): string {
  const rate = spoolRate(diameterMm, densityMgPerMm3)
  const goes = rate > 0 ? `sinks ${speed(rate, units)}` : 'floats'
  const follows = `So it is of ${densityMgPerMm3.toFixed(2)} g/cm³, and ${goes} in water of ${temperature(SPOOL_TEST_C, units)}.`
  const percent = disagree === null ? 0 : Math.round(Math.abs(disagree - 1) * 100)
  if (disagree === null || isDoubtful || percent < 3) return follows
  const byRate = densityMgPerMm3 * disagree
  return `${follows} By its rate it would be of ${byRate.toFixed(2)}, ${percent} % ${disagree > 1 ? 'more' : 'less'}: the weight is taken, it says more.`
}

/** What counts say of a line: `By 2 counts its line sinks 6 % slower than its spool says, 11 % slower to 1 % faster.` */
export function lineRateSentence({ factor, sdLog }: LineRate, count: number): string {
  const off = (value: number) => {
    const percent = Math.round((value - 1) * 100)
    return percent === 0 ? AS_SAID : `${Math.abs(percent)} % ${percent < 0 ? 'slower' : 'faster'}`
  }
  const [low, high] = [Math.exp(-Z_80 * sdLog), Math.exp(Z_80 * sdLog)].map((times) => off(factor * times))
  const by = count === 1 ? 'By one count' : `By ${count} counts`
  const than = off(factor) === AS_SAID ? 'as its spool says' : `${off(factor)} than its spool says`
  return `${by} its line is taken to sink ${than}, likely ${low} to ${high}.`
}

/** The knot that goes first: `The weakest: surgeon’s knot at 0.12 mm, 1.1 kg wet, a quarter either way.` */
export const weakestSentence = (tied: Tied | null, units: DisplayUnits): string =>
  tied === null
    ? ''
    : `The weakest is the ${knotName(tied.knot)} at ${thickness(tied.diameterMm, units)}: about ${holds(tied.holdsKg)} when wet, a quarter more or less.`

/** How far knots are trusted since they were tied: `Tied Mon 1 Jun, fished for 5 h since: 92 % of that is trusted, by judgement.` */
export function wornSentence(worn: Worn, tiedOn: string): string {
  const hours = Math.max(Math.round(worn.fishedMin / 60), 1)
  const fished = worn.fishedMin === 0 ? 'not fished since' : `fished for ${hours} h since`
  const percent = Math.round(100 * trustIn(worn))
  const trusted = percent === 100 ? 'trusted as new' : `${percent} % of that is trusted, by judgement`
  return `Tied ${tiedOn}, ${fished}: ${trusted}.${wantsNewKnots(worn) ? ' Tie its knots anew.' : ''}`
}
