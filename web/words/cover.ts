import type { LifeStep, Situation } from '../../core/index.ts'

/** Plain labels of what the boxes cover. */
export const labels = {
  holding: 'Holding the boxes against the larder',
  holdingNow: 'Holding the boxes against the larder …',
  howToLook: 'How to look at the cover',
  byFood: 'By food and stage',
  bySituation: 'By situation',
  bySeason: 'By season',
  byConfidence: 'By confidence',
  addAWaterFirst: 'Add a water first: what the boxes cover depends on where and when.',
  whatTheBoxesCover: 'What the boxes cover',
  cover: 'Cover',
  food: 'food',
  none: 'none',
  withNone: 'with none, but hardly a fish on them',
  situation: 'situation',
  month: 'month',
  shown: 'fish with something to show',
  couldPass: 'could pass',
  flies: 'flies',
  lacking: 'nothing for',
  whatever: 'whatever comes',
  haveSomething: 'have something on hand to show',
  noFlyOfYours: 'Nothing here imitates it:',
  designOne: 'design one',
  couldPassToo: 'Could pass, and counts for nothing:',
  againstTheNote: 'Against your note of that water:',
  itsColours: 'its colours',
  fly: 'fly',
  onHand: 'on hand',
  takesAnHour: 'takes an hour',
  hours: 'hours fished',
  servesNow: 'serves now',
  neverFished: 'not fished yet',
  meant: 'meant for it',
  whatIsAskedOf: 'What is asked of the boxes',
  theWholeSeason: 'the whole season',
  smallAndLarge: 'small and large',
  lightAndHeavy: 'light and heavy',
  patternsInTheFilm: 'Patterns in the film',
  anchors: 'Anchors',
  judgement: 'What makes each situation is judgement: shares of the fish of this day, at this reach.',
} as const

/** Situations as they are said, and what each is made of. */
export const SITUATION_WORDS: Readonly<Record<Situation, { readonly name: string; readonly of: string }>> = {
  nothingShowing: { name: 'nothing showing', of: 'all that is taken below the film' },
  rising: { name: 'rising', of: 'what is taken in and on the film' },
  evening: { name: 'evening', of: 'from five in the afternoon' },
  coloured: { name: 'coloured', of: 'the water rising after rain' },
  lowAndClear: { name: 'low and clear', of: 'what fish are choosy on; no weight on hooks over #16' },
  deep: { name: 'deep', of: 'food at the bottom, twice as deep' },
  dryOnly: { name: 'dry only', of: 'all that fish are on; nothing that sinks' },
}

/** The steps of a life as columns. */
export const STEP_WORDS: Readonly<Record<LifeStep, string>> = {
  below: 'nymph, larva',
  rising: 'rising',
  emerging: 'emerging',
  adult: 'adult',
  spent: 'spent, laying',
}
