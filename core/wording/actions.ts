import { counted } from './counted.ts'

interface Said {
  readonly subject: string
  readonly count: number
  readonly place: string
}

/** Each action by its code, in one short line, past tense. */
const SENTENCES = {
  patternMade: ({ subject }: Said) => `Made ${subject}`,
  patternSaved: ({ subject }: Said) => `Saved ${subject}`,
  recordCorrected: ({ subject, count }: Said) =>
    `Saved ${subject}, ${count === 1 ? 'a fly' : `${count} flies`} in the boxes with it`,
  patternArchived: ({ subject }: Said) => `Put ${subject} away`,
  homeSet: ({ subject, place }: Said) =>
    place ? `Gave ${subject} a place in ${place}` : `Set what to keep of ${subject}`,
  batchPlanned: ({ subject, count }: Said) => `Queued ${count} ${subject}`,
  batchStarted: ({ subject, count }: Said) => `Put ${count} ${subject} on the vise`,
  batchNoted: ({ subject }: Said) => `Noted how ${subject} was tied`,
  batchCounted: ({ subject, count }: Said) => `Counted ${count} ${subject}`,
  batchThrough: ({ subject }: Said) => `One ${subject} through a step`,
  batchSpoiled: ({ subject, count }: Said) => `Spoiled ${count} ${subject}`,
  batchStep: ({ subject }: Said) => `Went to another step of ${subject}`,
  batchPaused: ({ subject }: Said) => `Paused tying ${subject}`,
  batchResumed: ({ subject }: Said) => `Went on tying ${subject}`,
  spoiledBy: ({ subject, place }: Said) => `Said what spoiled a ${subject}: ${place}`,
  batchFinished: ({ subject, count, place }: Said) => `Tied ${count} ${subject} into ${place}`,
  batchAbandoned: ({ subject, count }: Said) => `Left the batch of ${subject}, kept ${count}`,
  fliesLost: ({ subject, count }: Said) => (count === 1 ? `Lost 1 ${subject}` : `Lost ${count}: ${subject}`),
  fliesCounted: ({ subject, count, place }: Said) => `Counted ${count} ${subject} in ${place}`,
  fliesMoved: ({ subject, count, place }: Said) => `Moved ${count} ${subject} to ${place}`,
  fliesPutIn: ({ count, place }: Said) => `Put ${counted(count, 'fly', 'flies')} into ${place}`,
  storesPutIn: ({ count }: Said) => `Took over ${count === 1 ? 'one drawer' : `${count} drawers`}`,
  planFixed: ({ subject, count }: Said) => `Fixed ${count} ${subject} in the plan`,
  planLeftOut: ({ subject }: Said) => `Left ${subject} out of the plan`,
  planFreed: ({ subject }: Said) => `Let the plan choose ${subject}`,
  eveningSet: ({ subject, count }: Said) =>
    count === 0 ? `Left the evening of ${subject} free` : `Set the evening of ${subject} to ${count} minutes`,
  eveningUsual: ({ subject }: Said) => `Made the evening of ${subject} as usual again`,
  batchWay: ({ subject }: Said) => `Changed the way of tying ${subject}`,
  outingPacked: ({ subject, count }: Said) => `Packed ${count} for ${subject}`,
  outingUnpacked: ({ subject, count }: Said) => `Unpacked ${count} from ${subject}`,
  photoAttached: () => 'Kept a picture',
  photoTakenOff: () => 'Took a picture off',
  purchaseOrdered: ({ subject, count }: Said) =>
    `Ordered ${count === 1 ? 'one thing' : `${count} things`}${subject ? ` from ${subject}` : ''}`,
  purchaseArrived: ({ subject, count }: Said) =>
    `${count === 1 ? 'One pack' : `${count} packs`} came${subject ? ` from ${subject}` : ''}`,
  purchaseClosed: ({ subject }: Said) => `Closed the order${subject ? ` from ${subject}` : ''}`,
  materialMade: ({ subject }: Said) => `Put ${subject} among your materials`,
  materialBought: ({ subject }: Said) => `Added ${subject}`,
  materialCounted: ({ subject }: Said) => `Counted ${subject}`,
  materialTaken: ({ subject }: Said) => `Took ${subject} out`,
  materialSaved: ({ subject }: Said) => `Changed ${subject}`,
  hookMeasured: ({ subject }: Said) => `Measured ${subject}`,
  spoolRead: ({ subject }: Said) => `Wrote down what the spool says of ${subject}`,
  boxMade: ({ subject }: Said) => `Made the box ${subject}`,
  foodSaved: ({ subject }: Said) => `Saved ${subject}`,
  foodRestored: ({ subject }: Said) => `Brought back ${subject} as it shipped`,
  larderPutIn: ({ count }: Said) =>
    count === 0
      ? 'Took a larder in: nothing in it was new'
      : count === 1
        ? 'Took in a life stage'
        : `Took in ${count} life stages`,
  foodArchived: ({ subject }: Said) => `Put ${subject} away`,
  waterMade: ({ subject }: Said) => `Added the water ${subject}`,
  waterSaved: ({ subject }: Said) => `Changed ${subject}`,
  reachAdded: ({ subject }: Said) => `Added ${subject}`,
  reachArchived: ({ subject }: Said) => `Put ${subject} away`,
  waterFoodSaid: ({ subject }: Said) => `Said of ${subject} whether it lives there`,
  outingSaved: ({ subject }: Said) => `Wrote down the outing to ${subject}`,
  outingNoted: ({ subject, count }: Said) =>
    `Noted ${count === 1 ? 'one thing' : `${count} things`} at ${subject}`,
  outingTakenIn: ({ subject }: Said) => `Took in what was noted at ${subject}`,
  drilled: ({ subject }: Said) => `Drilled ${subject}`,
  spellSaved: ({ subject, count }: Said) =>
    count === 1 ? `${subject} took one` : `${subject} took ${count === 0 ? 'none' : count}`,
  spellArchived: ({ subject }: Said) => `Put a note of ${subject} away`,
  rigMade: ({ subject }: Said) => `Made the rig ${subject}`,
  rigSaved: ({ subject }: Said) => `Saved the rig ${subject}`,
  rigKnots: ({ subject }: Said) => `Tied the knots of ${subject} anew`,
  rigArchived: ({ subject }: Said) => `Put the rig ${subject} away`,
  settingsSaved: () => 'Changed the settings',
  dropTimed: ({ subject, count }: Said) => `Timed ${count === 1 ? 'one drop' : `${count} drops`} of ${subject}`,
  readingsTaken: ({ subject, count }: Said) =>
    count === 1 ? `Read ${subject}` : `Took in ${count.toLocaleString('en')} readings of ${subject}`,
  readingsArchived: ({ subject }: Said) => `Put readings of ${subject} away`,
  observed: ({ subject }: Said) => `Noted ${subject}`,
  sampled: ({ subject, count }: Said) => `Noted ${count === 1 ? 'one food' : `${count} foods`} ${subject}`,
  observationArchived: () => 'Put a note away',
  weighed: ({ subject, count }: Said) => `Weighed ${count} ${subject}`,
  lineCounted: ({ subject }: Said) => `Counted ${subject} down`,
  measurementArchived: () => 'Put a measurement away',
  undone: ({ subject }: Said) => `Undid: ${subject}`,
} as const

/** What was done. */
export type ActionCode = keyof typeof SENTENCES

/** What was done, as a code with values; {@link actionSentence} says it. */
export interface ActionLabel {
  readonly code: ActionCode
  readonly subject: string
  readonly count?: number | undefined
  readonly place?: string | undefined
}

/** An action in one short line, past tense, for the tray and tonight's list. */
export function actionSentence({ code, subject, count = 0, place = '' }: ActionLabel): string {
  const sentence: (said: Said) => string = SENTENCES[code]
  return sentence({ subject, count, place })
}
