/** What was done, as a code with values; {@link actionSentence} says it. */
export interface ActionLabel {
  readonly code: ActionCode
  readonly subject: string
  readonly count?: number | undefined
  readonly place?: string | undefined
}

export type ActionCode =
  | 'patternMade'
  | 'patternSaved'
  | 'recordCorrected'
  | 'patternArchived'
  | 'homeSet'
  | 'batchPlanned'
  | 'batchStarted'
  | 'batchNoted'
  | 'batchCounted'
  | 'batchThrough'
  | 'batchSpoiled'
  | 'batchStep'
  | 'batchPaused'
  | 'batchResumed'
  | 'spoiledBy'
  | 'batchFinished'
  | 'batchAbandoned'
  | 'fliesLost'
  | 'fliesCounted'
  | 'fliesMoved'
  | 'fliesPutIn'
  | 'storesPutIn'
  | 'planFixed'
  | 'planLeftOut'
  | 'planFreed'
  | 'eveningSet'
  | 'eveningUsual'
  | 'batchWay'
  | 'outingPacked'
  | 'outingUnpacked'
  | 'photoAttached'
  | 'photoTakenOff'
  | 'purchaseOrdered'
  | 'purchaseArrived'
  | 'purchaseClosed'
  | 'materialMade'
  | 'materialBought'
  | 'materialCounted'
  | 'materialTaken'
  | 'materialSaved'
  | 'hookMeasured'
  | 'spoolRead'
  | 'boxMade'
  | 'foodSaved'
  | 'foodRestored'
  | 'larderPutIn'
  | 'foodArchived'
  | 'waterMade'
  | 'waterSaved'
  | 'reachAdded'
  | 'reachArchived'
  | 'waterFoodSaid'
  | 'outingSaved'
  | 'outingNoted'
  | 'outingTakenIn'
  | 'drilled'
  | 'spellSaved'
  | 'spellArchived'
  | 'rigMade'
  | 'rigSaved'
  | 'rigKnots'
  | 'rigArchived'
  | 'settingsSaved'
  | 'dropTimed'
  | 'readingsTaken'
  | 'readingsArchived'
  | 'observed'
  | 'sampled'
  | 'observationArchived'
  | 'weighed'
  | 'lineCounted'
  | 'measurementArchived'
  | 'undone'

/** An action in one short line, past tense, for the tray and tonight's list. */
export function actionSentence({ code, subject, count = 0, place = '' }: ActionLabel): string {
  switch (code) {
    case 'patternMade':
      return `Made ${subject}`
    case 'patternSaved':
      return `Saved ${subject}`
    case 'recordCorrected':
      return `Saved ${subject}, ${count === 1 ? 'a fly' : `${count} flies`} in the boxes with it`
    case 'patternArchived':
      return `Put ${subject} away`
    case 'drilled':
      return `Drilled ${subject}`
    case 'outingTakenIn':
      return `Took in what was noted at ${subject}`
    case 'outingNoted':
      return `Noted ${count === 1 ? 'one thing' : `${count} things`} at ${subject}`
    case 'spellSaved':
      return count === 1 ? `${subject} took one` : `${subject} took ${count === 0 ? 'none' : count}`
    case 'spellArchived':
      return `Put a note of ${subject} away`
    case 'rigMade':
      return `Made the rig ${subject}`
    case 'rigSaved':
      return `Saved the rig ${subject}`
    case 'rigKnots':
      return `Tied the knots of ${subject} anew`
    case 'rigArchived':
      return `Put the rig ${subject} away`
    case 'foodSaved':
      return `Saved ${subject}`
    case 'foodRestored':
      return `Brought back ${subject} as it shipped`
    case 'larderPutIn':
      return count === 0
        ? 'Took a larder in: nothing in it was new'
        : count === 1
          ? 'Took in a life stage'
          : `Took in ${count} life stages`
    case 'foodArchived':
      return `Put ${subject} away`
    case 'homeSet':
      return place ? `Gave ${subject} a place in ${place}` : `Set what to keep of ${subject}`
    case 'batchPlanned':
      return `Queued ${count} ${subject}`
    case 'batchNoted':
      return `Noted how ${subject} was tied`
    case 'batchStarted':
      return `Put ${count} ${subject} on the vise`
    case 'batchCounted':
      return `Counted ${count} ${subject}`
    case 'batchThrough':
      return `One ${subject} through a step`
    case 'batchSpoiled':
      return `Spoiled ${count} ${subject}`
    case 'batchStep':
      return `Went to another step of ${subject}`
    case 'batchPaused':
      return `Paused tying ${subject}`
    case 'batchResumed':
      return `Went on tying ${subject}`
    case 'spoiledBy':
      return `Said what spoiled a ${subject}: ${place}`
    case 'batchFinished':
      return `Tied ${count} ${subject} into ${place}`
    case 'batchAbandoned':
      return `Left the batch of ${subject}, kept ${count}`
    case 'fliesLost':
      return count === 1 ? `Lost 1 ${subject}` : `Lost ${count}: ${subject}`
    case 'fliesCounted':
      return `Counted ${count} ${subject} in ${place}`
    case 'fliesMoved':
      return `Moved ${count} ${subject} to ${place}`
    case 'fliesPutIn':
      return `Put ${count} ${count === 1 ? 'fly' : 'flies'} into ${place}`
    case 'storesPutIn':
      return `Took over ${count === 1 ? 'one drawer' : `${count} drawers`}`
    case 'planFixed':
      return `Fixed ${count} ${subject} in the plan`
    case 'planLeftOut':
      return `Left ${subject} out of the plan`
    case 'planFreed':
      return `Let the plan choose ${subject}`
    case 'eveningSet':
      return count === 0
        ? `Left the evening of ${subject} free`
        : `Set the evening of ${subject} to ${count} minutes`
    case 'eveningUsual':
      return `Made the evening of ${subject} as usual again`
    case 'batchWay':
      return `Changed the way of tying ${subject}`
    case 'outingPacked':
      return `Packed ${count} for ${subject}`
    case 'outingUnpacked':
      return `Unpacked ${count} from ${subject}`
    case 'photoAttached':
      return 'Kept a picture'
    case 'photoTakenOff':
      return 'Took a picture off'
    case 'purchaseOrdered':
      return `Ordered ${count === 1 ? 'one thing' : `${count} things`}${subject ? ` from ${subject}` : ''}`
    case 'purchaseArrived':
      return `${count === 1 ? 'One pack' : `${count} packs`} came${subject ? ` from ${subject}` : ''}`
    case 'purchaseClosed':
      return `Closed the order${subject ? ` from ${subject}` : ''}`
    case 'readingsTaken':
      return count === 1 ? `Read ${subject}` : `Took in ${count.toLocaleString('en')} readings of ${subject}`
    case 'readingsArchived':
      return `Put readings of ${subject} away`
    case 'observed':
      return `Noted ${subject}`
    case 'sampled':
      return `Noted ${count === 1 ? 'one food' : `${count} foods`} ${subject}`
    case 'observationArchived':
      return 'Put a note away'
    case 'dropTimed':
      return `Timed ${count === 1 ? 'one drop' : `${count} drops`} of ${subject}`
    case 'weighed':
      return `Weighed ${count} ${subject}`
    case 'lineCounted':
      return `Counted ${subject} down`
    case 'measurementArchived':
      return 'Put a measurement away'
    case 'materialMade':
      return `Put ${subject} among your materials`
    case 'materialBought':
      return `Added ${subject}`
    case 'materialCounted':
      return `Counted ${subject}`
    case 'materialTaken':
      return `Took ${subject} out`
    case 'materialSaved':
      return `Changed ${subject}`
    case 'spoolRead':
      return `Wrote down what the spool says of ${subject}`
    case 'hookMeasured':
      return `Measured ${subject}`
    case 'boxMade':
      return `Made the box ${subject}`
    case 'waterMade':
      return `Added the water ${subject}`
    case 'waterFoodSaid':
      return `Said of ${subject} whether it lives there`
    case 'reachAdded':
      return `Added ${subject}`
    case 'reachArchived':
      return `Put ${subject} away`
    case 'waterSaved':
      return `Changed ${subject}`
    case 'outingSaved':
      return `Wrote down the outing to ${subject}`
    case 'settingsSaved':
      return 'Changed the settings'
    case 'undone':
      return `Undid: ${subject}`
  }
}
