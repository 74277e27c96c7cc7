/** Plain labels of the form that sets the moment. */
export const labels = {
  reach: 'Reach',
  day: 'Day',
  hour: 'Hour',
  theMoment: 'The moment',
  level: 'The water is',
  weather: 'Weather',
  air: 'Air',
  clarity: 'Clarity',
  askTheStation: 'Ask the simulated weather station',
  waterByYourOwn: 'Water, your own',
  waterByThisReachs: 'Water from its latest reading, towards its season.',
  keepAsAReading: 'Keep as a reading',
  andTheSeasonFollows: 'The season then follows it.',
  done: 'Done',
  nextOuting: 'Next outing',
} as const
