/** Plain labels of Settings: what has a figure or a plural is said by core's wording. */
export const labels = {
  thisScreen: 'This screen',
  layABankCard:
    'Lay a bank card on the screen and move the end until the bar is as long as the card. Flies are then shown at their true size.',
  lengthOfTheCard: 'Length of the card on this screen',
  habits: 'Habits',
  keepOfEachFly: 'Keep of each fly',
  light: 'Light',
  whatMattersMostIn: 'What matters most in a fly',
  n2XLongIsThe: '2X long is the shank of a hook',
  money: 'Money',
  singleKeys: 'single keys',
  showTheKeys: 'Show the keys',
  settings: 'Settings',
  weightCode: 'Weight code',
  theInterfaceForPrograms: 'The interface for programs',
  units: 'Units',
  anyNotationMayBe: 'Any notation may be typed anywhere; this is what is shown.',
  noTurn: 'no turn',
  theColourOfThe: 'The colour of the turn of thread behind the bead. Patterns shows the flies that break it.',
} as const
