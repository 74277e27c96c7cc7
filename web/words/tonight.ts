/** Plain labels of Tonight: what has a figure or a plural is said by core's wording. */
export const labels = {
  ahead: 'Ahead',
  tonight: 'Tonight',
  planOne: 'Plan one',
  queue: 'Queue',
  minutes: 'minutes',
  nameIt: 'name it',
  aFirstPattern: 'a first pattern',
  npmRunDemo: 'npm run demo',
  atItsTrueSize: 'at its true size',
  onHand: 'on hand',
  lookingAtTheWater: 'Looking at the water …',
  iHave: 'I have',
  minutesAtTheBench: 'Minutes at the bench tonight',
  whatTonightAsksFor: 'What tonight asks for',
  noFoodIsRecorded: 'No food is recorded for this moment.',
} as const
