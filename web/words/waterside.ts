import { wording } from '../../core/index.ts'
import type { DisplayUnits, waterside } from '../../core/index.ts'
import { tempApart } from './words.ts'

/** Plain labels of an outing's sheet, and of what is used at the water. */
export const labels = {
  faces: 'Before, there or after',
  before: 'Before',
  there: 'There',
  after: 'After',
  steps: 'What to do now',
  look: 'Look',
  putOn: 'Put on',
  for: 'For',
  to: 'to',
  metAt: 'they are met at',
  fish: 'Fish',
  rise: 'Rise',
  backToOutings: 'All outings',
  noSuchOuting: 'There is no such outing.',
  noReach: 'Its water has no reach any more.',
  turningThePages: 'Turning the pages …',
  watchFirst: 'Watch first',
  watchWhy: 'Five minutes, before a fly is wet. Tick what you see, and what you looked for in vain.',
  startWatching: 'Start watching',
  watchAnew: 'Watch anew',
  watchedEnough: 'Long enough: what did you see?',
  none: 'looked, none',
  seen: 'seen',
  whatWasSeen: 'What was seen',
  whatFishAreOn: 'What fish are on',
  before2: 'by the season',
  whatever: 'whatever comes',
  whatWouldSettleIt: 'What would settle it',
  sawIt: 'Saw it',
  sawNone: 'Looked, none',
  whatToPutOn: 'What to put on',
  nothingPacked: 'Nothing is packed for this outing.',
  packIt: 'Pack it',
  couldPass: 'It could pass, and no more: nothing that is packed is made for them.',
  nothingAboardServes: 'Nothing that is packed, and allowed, is something to show to them.',
  ifRefused: 'If it is refused',
  nextBest: 'Or, for the other fish',
  tieOn: 'Tie it on',
  itIsOn: 'It is on',
  notAboard: 'Not aboard:',
  atHome: 'it lies at home in',
  nothingIsOn: 'Nothing is tied on yet.',
  seeWhat: 'What to put on',
  cleanDrift: 'Clean drift',
  aTake: 'It took',
  landed: 'landed',
  cameOff: 'came off',
  missed: 'missed',
  itRefused: 'It refused',
  flyLost: 'Fly lost',
  twoFlies: 'Another of the rig with it',
  onlyThisOne: 'This one alone',
  andWithIt: 'and',
  moreFlies: 'more flies',
  howLong: 'How long, if you want',
  newFish: 'Another fish',
  reelIn: 'Reel in',
  undo: 'Undo',
  undone: 'Taken back.',
  nextStep: 'One change',
  doneSo: 'Done so',
  itRose: 'It rose',
  naturalPassed: 'A natural passed',
  risesHeard: 'rises',
  anotherTarget: 'Another fish',
  itCruises: 'A fish that cruises',
  fallUnknown: 'How fast it falls is not known, nor so where to put it: weigh it or time its fall.',
  itSwims: 'It swims',
  howFast: 'How fast',
  passedAMark: 'It passed a mark',
  ofThreeMarks: 'of three marks, a metre apart',
  itsDepth: 'Its depth',
  leader: 'Leader',
  linesIt: 'The line would fall over it: wait until it turns, or cast well to its side.',
  sample: 'A sample',
  sampledFrom: 'Where from',
  sampleCare:
    'Put stones back as they lay. Disinfect net and boots between waters. A fish’s stomach only of one that is kept, where that is lawful.',
  moreFoods: 'more foods',
  sun: 'For the sun',
  asAt: 'As at',
  now: 'now',
  temperatures: 'Read off',
  water: 'Water',
  air: 'Air',
  asReckoned: 'as reckoned',
  notFollowedYet: 'the shares do not follow it yet',
  tooWarm: 'At 19 °C and above trout do not recover well: leave them alone.',
  rules: 'Rules',
  theDay: 'The day',
  dayStrip: 'Share of the fish that are on each food, by half hours',
  fliesForIt: 'Flies for it',
  hours: 'hours',
  whatFor: 'for',
  lower: 'lower',
  smaller: 'smaller',
  nothingShowing: 'While nothing shows',
  anAnchor: 'An anchor for the team',
  shouldItColour: 'Should the water colour: large or bright, slow by the edges',
  tallest: 'The tallest bar:',
  yourFly: 'your fly',
  upTo: 'up to',
  aboard: 'aboard',
  gap: 'Nothing that is packed is for them.',
  lostFlies: 'Lost',
  whatItMoved: 'What it moved',
  simulatedPhone: 'A simulated phone sent it: the valley is made up.',
  rig: 'Rig',
  rigsForIt: 'Rigs for it',
  noRigForIt: 'No rig of yours is made for a way of this day.',
  keepAsPdf: 'Keep as PDF',
  keepAsText: 'as Markdown',
  noted: 'Noted at the water',
  nothingNoted: 'Nothing was noted at the water.',
  fly: 'fly',
  whatChanged: 'what changed',
  whatCameOfIt: 'what came of it',
  unknownFly: 'a fly that is gone',
  nothing: 'nothing',
  lost: 'lost',
  takenIn: 'taken in',
  takeIn: 'Take in',
  spells: 'What was fished',
  emptyThePockets: 'Empty the pockets',
  dryTheBox: 'Let the flies dry before the box is closed; touch up the points; put the worn ones away.',
  theLog: 'The log',
  saveTheLog: 'Save the log',
  logAsText: 'The log as text',
  keepsNothing: 'This phone keeps nothing: send the log before you close.',
  aLogFromAPhone: 'A log from a phone',
  itsFile: 'Its file',
  orItsText: 'or its text, pasted',
  noLongerThere: 'Noted as lost, and in no box any more:',
  stillOn: 'is still on where the notes end: it becomes a spell once it is reeled in.',
  reeledInAt: 'Reeled in at',
  madeOn: 'Forecast made',
  takeAlong: 'Take along',
  pocketPdf: 'Pocket card',
  floating: 'on top, it',
  sunk: 'sunk, it',
  pocketText: 'as Markdown',
  wade: 'Wade with care. In thunder the rod lies down.',
} as const

/** What a box should hold beside foods. */
export const NEED_OF = {
  whatever: labels.nothingShowing,
  anchor: labels.anAnchor,
  coloured: labels.shouldItColour,
} as const

/** What signs are of. */
export const SIGN_GROUP: Readonly<Record<waterside.SignGroup, string>> = {
  rises: 'How they rise',
  onTheWater: 'On the water',
  inTheAir: 'In the air',
  onTheBank: 'On the bank',
  below: 'Below',
  birds: 'Birds',
  fry: 'Fry',
  water: 'The water',
}

/** What a fish did. */
export const REFUSAL: Readonly<Record<waterside.Refusal, string>> = {
  ignored: 'ignored it',
  turned: 'looked, turned',
  nosed: 'nosed it',
  splashedShort: 'splashed short',
  followed: 'followed',
  cameOff: 'took, came off',
  dragged: 'it dragged',
  spooked: 'spooked',
}

/** The single thing to change. */
export const STEP: Readonly<Record<waterside.Step, string>> = {
  showAgain: 'Show it again: that was no fair trial yet.',
  mend: 'Mend, or throw slack: the fly drifts as the foam does.',
  position: 'Move: cast from where no line falls over the fish and the current is even.',
  deeper: 'Deeper, before any other fly.',
  letItFall: 'Let it fall past the fish on a slack line.',
  pause: 'Pause, and let it hang where it followed.',
  strikeLater: 'Strike later: let the head go down.',
  finerTippet: 'A finer or longer tippet.',
  heavier: 'The heavier one.',
  cutLower: 'Cut it so that it sits lower; away from the fingers.',
  emerger: 'The emerger of the same.',
  stage: 'Another stage.',
  smaller: 'One smaller.',
  colour: 'Another colour.',
  hookPoint: 'Try the point on a nail; sharpen it or change the fly.',
  widerGape: 'One with a wider gape.',
  rest: 'Let it be for ten minutes, out of its sight.',
  leave: 'Leave this fish. It has seen enough.',
}

/** The same on a card, where there is little room. */
const STEP_IN_SHORT: Readonly<Partial<Record<waterside.Step, string>>> = {
  position: 'where you stand',
  deeper: 'depth',
  letItFall: 'let it fall',
  pause: 'a pause',
  finerTippet: 'tippet',
  heavier: 'weight',
  cutLower: 'cut it lower',
  emerger: 'the emerger',
  stage: 'another stage',
  smaller: 'smaller',
  colour: 'colour',
}

/** What to change after a refusal, one after the other: `looked, turned: cut it lower, the emerger, smaller`. */
export const ladderInShort = (refusal: string, steps: readonly waterside.Step[]): string =>
  `${refusal}: ${steps.flatMap((step) => STEP_IN_SHORT[step] ?? []).join(', ')}.`

/** What a rise says of where it takes, by what breaks the film first. */
export const RISES_IN_SHORT = [
  'A swirl, the film whole: under it.',
  'Back and tail: in the film. Lower the fly before you change it.',
  'Snout and a bubble: on top.',
  'Nothing: near the bed.',
] as const

/** Which way a fish swims. */
export const HEADING: Readonly<Record<waterside.Heading, string>> = {
  towards: 'towards me',
  across: 'across',
  away: 'away',
}

/** How fast it cruises. */
export const CRUISE: Readonly<Record<waterside.Cruise, string>> = {
  slow: 'slow',
  usual: 'as usual',
  fast: 'fast',
}

/**
 * Where to put a fly before a cruising fish, and when to move it.
 *
 * @param downS how long it takes to the fish's depth, s; null for one that floats
 */
export const leadSentence = (
  fly: string,
  { aheadMm, moveAfterS }: waterside.Lead,
  downS: number | null,
  units: DisplayUnits,
): string => {
  const ahead = wording.depth(aheadMm, units)
  const isDown = downS === null ? 'It floats.' : `It is down after ${downS.toFixed(1)} s.`
  return `${fly}: put it ${ahead} ahead on its way, no nearer. ${isDown} Move it ${Math.round(moveAfterS)} s after it has landed.`
}

/** Where a fly was left. */
export const LEFT: Readonly<Record<waterside.LeftIn, string>> = {
  tree: 'tree',
  bottom: 'bottom',
  fish: 'fish',
  knot: 'knot',
  chewed: 'chewed',
  given: 'given',
}

/** Where a sample was taken. */
export const SAMPLED: Readonly<Record<waterside.SampledFrom, string>> = {
  stones: 'on stones',
  net: 'in the net',
  web: 'on webs',
  bush: 'in bushes',
  stomach: 'in a fish',
}

/** How many of a stage were in a sample. */
export const sampleWords = ({ count, from }: waterside.Counted): string => `${count} ${SAMPLED[from]}`

/** Why a stage: the signs that speak for it, and what was found of it. */
export const whySentence = (says: readonly string[]): string =>
  says.length === 0 ? 'By the season and the hour; no sign speaks for it yet.' : `${says.join('. ')}.`

/** How long to try before it is a verdict. */
export const fairTrial = (drifts: number, isStill: boolean): string =>
  `${drifts} clean ${isStill ? 'casts' : 'drifts'} past a fish are a fair trial.`

/** How far the trial has got. */
export const driftsSoFar = (drifts: number, fair: number, isStill: boolean): string =>
  `${drifts} of ${fair} clean ${isStill ? 'casts' : 'drifts'}`

const s = (seconds: number) => `${Math.max(Math.round(seconds), 0)} s`

/** When a fish rises next, or that nobody can say. */
export function rhythmSentence(rhythm: waterside.Rhythm, sinceS: number): string {
  switch (rhythm.kind) {
    case 'tooFew':
      return 'Tap each rise; from the fourth on it is listened to.'
    case 'noBeat':
      return rhythm.isGivenUp
        ? 'No beat in fifteen rises: do not wait for one.'
        : 'No beat yet that is more than chance.'
    case 'naturals':
      return rhythm.before === 0
        ? `It takes each ${ordinal(rhythm.nth)} natural: the next one.`
        : `It takes each ${ordinal(rhythm.nth)} natural: let ${rhythm.before} more pass.`
    default: {
      const next = rhythm.next.find(({ toS }) => toS > sinceS)
      if (!next) return 'It should have risen by now: wait for its next rise.'
      const slower = rhythm.isSlowing ? ' It slows, as a full fish does.' : ''
      const bursts = rhythm.kind === 'bursts' ? ' It rises in bursts.' : ''
      return `Put it down in ${s(next.fromS - sinceS)} to ${s(next.toS - sinceS)}.${bursts}${slower}`
    }
  }
}

function ordinal(n: number): string {
  return ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth'][n] ?? `${n}th`
}

/** How much of the log was sent. */
export const sendWords = (taps: number, sent: number): string =>
  taps === 0
    ? 'Nothing noted yet.'
    : sent === taps
      ? 'All of it is sent.'
      : `${taps - sent} of ${taps} not sent yet.`

/** How a log that goes home of itself fares. */
export function homeWords(
  waiting: number,
  state: 'home' | 'onTheWay' | 'away' | 'shownOut' | 'refused',
): string {
  const notes = waiting === 1 ? 'One note' : `${waiting} notes`
  if (state === 'home') return 'All of it is at home.'
  if (state === 'onTheWay') return `${notes} on the way home.`
  if (state === 'away')
    return `${notes} ${waiting === 1 ? 'waits' : 'wait'} until this phone is near home: keep this page open, or save the log.`
  if (state === 'shownOut')
    return `This phone has to be paired again before ${notes.toLowerCase()} ${waiting === 1 ? 'goes' : 'go'} home. Save the log first.`
  return `Home did not take ${notes.toLowerCase()}. Save the log, and take it in there.`
}

/** Why a log is not taken in. */
export const LOG_REFUSED = {
  noLog: 'That is no log of an outing. It begins with “heavy-thistle log”.',
  otherData: 'That log belongs to other data than are open here: take it in there.',
  otherOuting: 'That log is of another outing: open that one, and take it in there.',
} as const

/** What became of a log on its way, a sentence each; none where it is whole. */
export function logDamage({
  missing,
  unread,
  isChanged,
}: {
  readonly missing: number | null
  readonly unread: number
  readonly isChanged: boolean
}): readonly string[] {
  if (missing === null)
    return ['Its end is missing: what is whole of it can be taken in, and the rest when it comes.']
  return [
    ...(missing > 0 ? [`${missing === 1 ? 'One tap' : `${missing} taps`} of it did not come along.`] : []),
    ...(unread > 0
      ? [`${unread === 1 ? 'One line' : `${unread} lines`} of it cannot be read, and will be left out.`]
      : []),
    ...(isChanged && missing === 0 && unread === 0
      ? ['It was changed since it left the phone: look at it before you keep it.']
      : []),
  ]
}

/** From so little on a reading is as reckoned, °C. */
const AS_RECKONED_C = 0.25

/**
 * How the water was read against what was reckoned, and whether shares follow that.
 *
 * @param warmerC null where nobody has worked out what that does
 * @param workedOutC for which differences that was worked out, from the least to the most, °C
 */
export function readAgainst(
  warmerC: number | null,
  workedOutC: readonly number[],
  units: DisplayUnits,
): string {
  if (warmerC === null) return labels.notFollowedYet
  if (Math.abs(warmerC) < AS_RECKONED_C) return labels.asReckoned
  const than = warmerC > 0 ? 'warmer' : 'colder'
  const farthestC = Math.abs((warmerC > 0 ? workedOutC.at(-1) : workedOutC[0]) ?? 0)
  const asFar = Math.abs(warmerC) > farthestC + AS_RECKONED_C ? ` as far as ${tempApart(farthestC, units)}` : ''
  return `${tempApart(Math.abs(warmerC), units)} ${than} than reckoned: the shares follow it${asFar}`
}

interface Made {
  readonly spells: number
  readonly losses: number
  readonly samples: number
  readonly readings: number
}

const inARow = new Intl.ListFormat('en-GB', { type: 'conjunction' })

/** What is made of notes: `2 spells, 1 loss and 3 counts for the season`, each where there is any. */
export const madeWords = ({ spells, losses, samples, readings }: Made): string =>
  inARow.format([
    ...(spells > 0 ? [wording.counted(spells, 'spell', 'spells')] : []),
    ...(losses > 0 ? [wording.counted(losses, 'loss', 'losses')] : []),
    ...(samples > 0 ? [wording.counted(samples, 'count for the season', 'counts for the season')] : []),
    ...(readings > 0 ? [wording.counted(readings, 'reading of the water', 'readings of the water')] : []),
  ]) || labels.nothing

/** What a log would bring. */
export const logSays = (fresh: number, known: number, made: Made): string =>
  fresh === 0
    ? `All ${known} taps of it are here already: nothing would change.`
    : `${fresh} new ${fresh === 1 ? 'tap' : 'taps'}${known > 0 ? `, ${known} known` : ''}: ${madeWords(made)} to be made of them.`

/** What came of a fly while it was fished: takes, lengths of landed fish, refusals. */
export const cameOfIt = (
  { ends, lengthsMm, refusals }: Pick<waterside.Fished, 'ends' | 'lengthsMm' | 'refusals'>,
  units: DisplayUnits,
): string =>
  [
    ends.length > 0 ? `${wording.counted(ends.length, 'take', 'takes')}` : '',
    ...lengthsMm.map((mm) => wording.cutLength(mm, units)),
    ...refusals.map((refusal) => REFUSAL[refusal]),
  ]
    .filter(Boolean)
    .join(', ') || labels.nothing

const inHours = (minutes: number) => `${(minutes / 60).toFixed(1)} h`
const anHour = ({ low, high }: { readonly low: number; readonly high: number }) =>
  `${low.toFixed(1)}–${high.toFixed(1)} an hour`

/** What an outing moved, a sentence each. */
export const movedWords = {
  season: (counts: number, readings: number) =>
    counts + readings === 0
      ? 'The season learnt nothing from it: nothing that was counted or read of the water is noted.'
      : `The season has ${inARow.format([
          ...(counts > 0 ? [wording.counted(counts, 'count', 'counts')] : []),
          ...(readings > 0 ? [wording.counted(readings, 'reading of the water', 'readings of the water')] : []),
        ])} of it among its notes.`,
  losses(
    here: { readonly lost: number; readonly minutes: number },
    all: { readonly lost: number; readonly minutes: number },
  ): string {
    if (here.minutes === 0) return 'No fly was noted as fished, so that nothing is known of losses an hour.'
    const flies = (lost: number) => (lost === 0 ? 'no fly' : lost === 1 ? 'one fly' : `${lost} flies`)
    return `Lost: ${flies(here.lost)} in ${inHours(here.minutes)} that flies were fished; over all outings until then ${flies(all.lost)} in ${inHours(all.minutes)}.`
  },
  confidence: (
    fly: string,
    { takes, minutes }: { readonly takes: number; readonly minutes: number },
    now: { readonly low: number; readonly high: number },
    before: { readonly low: number; readonly high: number } | null,
  ) =>
    `${fly}, fished longest: ${wording.counted(takes, 'take', 'takes')} in ${inHours(minutes)}; it takes ${anHour(now)} (8 in 10), ${before ? `before this outing ${anHour(before)}` : 'and was not fished before'}.`,
  noConfidence: 'No fly is trusted more or less for it: none was noted as fished.',
} as const
