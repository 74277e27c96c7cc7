/** Plain labels of notes of what is seen. */
export const labels = {
  tapWhatYouSee: 'tap what you see.',
  countWhatIsInIt: 'tap each food that is in it, and count it.',
  i: 'I',
  how: 'How',
  on: 'On',
  notYet: 'That day has not come yet.',
  minutesLooked: 'Minutes looked',
  wholeMinutes: 'Whole minutes.',
  wholeNumber: 'A whole number.',
  severalAtOnce: 'A sample: several foods, counted',
  howMany: 'How many',
  noteThem: 'Note them',
  food: 'Food, if it is another',
  nothingIsCalledSo: 'No food is called so.',
  samplingAFishsThroat:
    'Sampling a fish’s throat can injure it, and is restricted in places. Local rules decide.',
  close: 'Close',
} as const
