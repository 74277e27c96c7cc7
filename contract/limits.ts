import { FIELD_LIMITS } from '../core/index.ts'

/** What a limit is counted in. */
export type LimitUnit =
  | 'mm'
  | 'mm/s'
  | 'm'
  | 'mg'
  | 'mg/mm³'
  | '°C'
  | '°C/100'
  | 'degree days'
  | '°'
  | 's'
  | 'min'
  | 'h'
  | 'd'
  | 'smallest step'
  | 'smallest coin'
  | 'share'
  | 'times'
  | 'flies'
  | 'packs'
  | 'pieces'
  | 'size number'
  | 'weekday'
  | 'month'
  | 'place'
  | 'rank'
  | 'characters'
  | 'entries'

/** Between which values a figure, the length of a text or of a list may be, in which unit, and why not beyond. */
export interface Limit {
  readonly min: number
  readonly max: number
  /** whole ones only */
  readonly whole: boolean
  readonly unit: LimitUnit
  readonly why: string
  /** what is said below the least and above the most, where it is more than the number */
  readonly under?: string
  readonly over?: string
}

const any = (min: number, max: number, unit: LimitUnit, why: string, under?: string, over?: string): Limit => ({
  min,
  max,
  whole: false,
  unit,
  why,
  ...(under === undefined ? {} : { under }),
  ...(over === undefined ? {} : { over }),
})
const whole = (...limit: Parameters<typeof any>): Limit => ({ ...any(...limit), whole: true })
const text = (min: number, max: number, why: string, under?: string): Limit =>
  whole(min, max, 'characters', why, under, `At most ${max.toLocaleString('en')} characters.`)
const list = (min: number, max: number, why: string, under?: string, over?: string): Limit =>
  whole(min, max, 'entries', why, under, over ?? `At most ${max.toLocaleString('en')} at once.`)

const NOUGHT = 'Nought or more.'
const FLIES = 'Whole flies only: what a hand counts in a compartment.'
const NOTE_OF_AMOUNT = 'A thousand metres of wire in tenths of a millimetre, and room above it.'
const LINE = 'What a dressing on a hook of this world can take.'

/**
 * Every limit of what people, or their programs, may write. The schemas, the fields of the page and the tests are made
 * from it: no number stands anywhere else.
 */
export const LIMITS = {
  // lines of a dressing: what each can be is core's
  turns: { ...FIELD_LIMITS.turns, unit: 'times', why: LINE },
  fibreCount: { ...FIELD_LIMITS.fibreCount, unit: 'pieces', why: LINE },
  strands: { ...FIELD_LIMITS.strands, unit: 'pieces', why: LINE },
  layers: { ...FIELD_LIMITS.layers, unit: 'pieces', why: LINE },
  bulk: { ...FIELD_LIMITS.bulk, unit: 'share', why: LINE },
  widthMm: { ...FIELD_LIMITS.widthMm, unit: 'mm', why: LINE },
  clipped: { ...FIELD_LIMITS.clipped, unit: 'share', why: LINE },
  factor: { ...FIELD_LIMITS.factor, unit: 'times', why: 'Streamers of joined shanks are the longest.' },
  lengthMm: { ...FIELD_LIMITS.lengthMm, unit: 'mm', why: 'A pike fly is the longest.' },
  alongShank: any(0, 1, 'share', 'The shank, from the eye to the bend.'),
  components: list(0, 40, 'More is more than a hook holds.', undefined, 'At most 40 components.'),
  steps: list(0, 80, 'Two steps for each component.', undefined, 'At most 80 steps.'),
  componentKey: text(1, 40, 'A key names a line for programs.'),

  // names, words
  name: text(1, 80, 'What a label and a list can show.', 'Give it a name.'),
  note: text(0, 2000, 'A page of writing.'),
  word: text(1, 40, 'A word or two.'),
  shortLabel: text(0, 60, 'What a compartment can show.'),
  cause: text(1, 80, 'A few words.'),
  sizeKey: text(0, 12, 'The name of a size in its family.'),
  supplier: text(0, 80, 'A name.'),
  path: text(1, 500, 'A path of a folder.', 'Name a folder.'),
  zone: text(0, 60, 'The longest names of zones.'),
  hash: text(0, 80, 'A digest.'),

  // anything
  share: any(0, 1, 'share', 'A part of a whole.'),
  version: whole(1, Number.MAX_SAFE_INTEGER, 'times', 'Counts the changes of a row, from 1.'),
  localMinute: whole(0, 1440, 'min', 'Minutes of a day.'),
  weekday: whole(1, 7, 'weekday', 'Monday is 1.'),
  month: whole(1, 12, 'month', 'January is 1.'),
  months: list(0, 12, 'Months of a year.'),
  roles: list(0, 4, 'All that there are.'),

  // flies
  flies: whole(1, 999, 'flies', FLIES, 'At least one.', 'At most 999 at once.'),
  fliesSeen: whole(0, 999, 'flies', FLIES, NOUGHT, 'At most 999 at once.'),
  par: whole(
    0,
    99,
    'flies',
    'More of one fly than anyone carries.',
    'Keep nought or more.',
    'Keep at most 99.',
  ),
  usualPar: whole(
    1,
    99,
    'flies',
    'With nought no pattern would ever be lacking.',
    'Keep at least one.',
    'Keep at most 99.',
  ),
  countAtVise: whole(0, 99, 'flies', 'Counted one press at a time.'),
  beyondPlanned: whole(
    0,
    12,
    'flies',
    'A dozen more than planned came of what lay ready; more is a batch of its own.',
  ),
  capacity: whole(1, 500, 'flies', 'A compartment as large as a bag.', 'At least one.', 'At most 500.'),
  fixedCount: whole(0, 99, 'flies', 'What an evening can give.', NOUGHT, 'At most 99.'),
  losses: list(1, 200, 'An outing.', 'Say what was lost.'),
  movedAlong: list(0, 100, 'Flies of one compartment.', undefined, 'At most 100 at once.'),
  rows: list(1, 2000, 'A box of a shop.', 'Say what to put in.', 'At most 2000 lines at once.'),
  newFlies: list(0, 2000, 'A box of a shop.', undefined, 'At most 2000 lines at once.'),
  newMaterials: list(0, 60, 'Drawers that one save may name.'),
  packed: list(1, 300, 'A vest is full before.', 'Say what to pack.'),

  // boxes
  gridPlace: whole(1, 40, 'place', 'Rows and columns of a box.'),
  compartments: list(
    1,
    200,
    'The largest boxes hold fewer.',
    'A box has at least one compartment.',
    'At most 200 compartments.',
  ),

  // patterns
  variants: list(
    1,
    60,
    'Sizes times colours of one pattern.',
    'A pattern has at least one variant.',
    'At most 60 variants.',
  ),
  serves: list(0, 40, 'Stages that one pattern serves.'),
  waterKinds: list(0, 7, 'Kinds of water.'),
  fishedHow: list(0, 10, 'Ways of fishing.'),

  // plan, evenings
  eveningMinutes: whole(0, 600, 'min', 'An evening; nought leaves it out.', NOUGHT, 'At most 600 minutes.'),
  usualEvening: whole(
    5,
    600,
    'min',
    'Shorter is not worth sitting down.',
    'At least five minutes.',
    'At most ten hours.',
  ),
  evenings: list(1, 7, 'Days of a week.', 'At least one evening a week.'),
  serviceLevel: any(
    0.5,
    0.99,
    'share',
    'Certainty would need endless boxes.',
    'At least 5 outings in 10.',
    'At most 99 outings in 100.',
  ),
  alternatives: whole(0, 9, 'flies', 'Other flies for one food.', NOUGHT, 'At most nine.'),
  anchors: whole(0, 99, 'flies', 'Heavy flies that take others down.', NOUGHT, 'At most 99.'),
  codeOn: list(0, 3, 'Kinds of hooks that the code is on.'),

  // goods
  amount: whole(0, 1_000_000_000, 'smallest step', NOTE_OF_AMOUNT, NOUGHT, 'That is more than a store holds.'),
  packAmount: whole(
    1,
    1_000_000_000,
    'smallest step',
    NOTE_OF_AMOUNT,
    'A pack holds something.',
    'That is more than a store holds.',
  ),
  price: whole(0, 100_000_000, 'smallest coin', 'A pack for a million.', NOUGHT, 'More than a pack costs.'),
  leadTime: whole(0, 365, 'd', 'What takes longer is not coming.', NOUGHT, 'At most a year.'),
  packs: whole(1, 999, 'packs', 'An order of a shop.', 'At least one pack.', 'At most 999 packs.'),
  orderLines: list(1, 200, 'One order.', 'Say what was ordered.'),
  arrivedLines: list(1, 200, 'One order.', 'Say what came.'),
  colours: list(1, 24, 'Colours of one family.', 'Name the colour.'),
  shankMm: any(1, 80, 'mm', 'From #32 to the longest streamer hook.'),
  gapeMm: any(0.5, 30, 'mm', 'From #32 to hooks for the sea.'),
  wireMm: any(0.1, 3, 'mm', 'Wire of hooks.'),

  // measurements
  dropDepthMm: any(
    50,
    10_000,
    'mm',
    'A shorter fall cannot be timed by hand; no vessel is deeper.',
    'At least 5 cm.',
    'At most 10 m.',
  ),
  waterTempC: any(
    0,
    30,
    '°C',
    'Water that trout live in, and a little more.',
    'Water is between 0 and 30 °C.',
    'Water is between 0 and 30 °C.',
  ),
  vesselMm: any(
    10,
    5000,
    'mm',
    'Narrower than a fly; wider than a pool is open water.',
    'At least 1 cm wide.',
    'At most 5 m wide.',
  ),
  tippetMm: any(
    0.05,
    0.6,
    'mm',
    'From the finest tippet to leader butts.',
    'At least 0.05 mm.',
    'At most 0.6 mm.',
  ),
  tippetDensity: any(0.8, 2, 'mg/mm³', 'From gel-spun to fluorocarbon.'),
  tippetCurlDeg: any(0, 45, '°', 'From straight to coils.', NOUGHT, 'At most 45°.'),
  tippetLengthMm: any(0, 10_000, 'mm', 'A long leader.', NOUGHT, 'At most 10 m.'),
  dropS: any(0.05, 600, 's', 'Slower falls hover.', 'A fall takes longer than 0.05 s.', 'At most ten minutes.'),
  drops: list(1, 40, 'Times of one test.', 'Time it at least once.', 'At most 40 times.'),
  weighedCount: any(
    1,
    100_000,
    'pieces',
    'A bag of beads; lengths in centimetres.',
    'At least one.',
    'At most 100,000.',
  ),
  weighedMg: any(
    0.1,
    1_000_000,
    'mg',
    'What a scale on a bench shows.',
    'A scale shows at least 0.1 mg.',
    'At most a kilogram.',
  ),
  readabilityMg: any(0.01, 1000, 'mg', 'From a laboratory’s to a kitchen’s scale.'),
  expected: any(
    0.01,
    1_000_000,
    'mg',
    'What a scale on a bench shows.',
    'More than nought.',
    'At most a kilogram.',
  ),

  // waters
  latitudeDeg: any(-66, 66, '°', 'Beyond the circles the sun does not set.'),
  longitudeDeg: any(-180, 180, '°', 'Round the earth.'),
  elevationM: any(-400, 6000, 'm', 'From the lowest lake to the highest.'),
  waterDepthMm: any(50, 60_000, 'mm', 'What flies are fished in.', 'At least 5 cm.', 'At most 60 m.'),
  surfaceSpeed: any(0, 4000, 'mm/s', 'Nobody stands in more.', NOUGHT, 'At most 4 m/s.'),
  thermoclineMm: whole(
    500,
    40_000,
    'mm',
    'Between the top and the bottom of a lake.',
    'At least 0.5 m.',
    'At most 40 m.',
  ),
  usualTempC: any(
    0,
    30,
    '°C',
    'Water that trout live in, and a little more.',
    'Not below 0 °C.',
    'At most 30 °C.',
  ),
  clarityMm: any(0, 30_000, 'mm', 'How far one sees a white disc.'),
  snagginess: any(0, 4, 'times', 'Flies lost against the usual.'),
  ruleFlies: whole(1, 10, 'flies', 'Flies on one leader.'),
  ruleHook: whole(1, 30, 'size number', 'Sizes of trout hooks.'),
  ruleLeaderMm: any(300, 30_000, 'mm', 'Leaders that a rule speaks of.'),
  reaches: list(1, 12, 'Parts of one water.'),

  // rigs
  rigParts: list(1, 40, 'From the rod to the point.', 'A rig has at least one part.', 'At most 40 parts.'),
  pieceMm: any(10, 60_000, 'mm', 'From a dropper to a whole fly line.', 'At least 1 cm.', 'At most 60 m.'),
  threadMm: any(
    0.04,
    2.5,
    'mm',
    'From the finest tippet to the thickest line.',
    'At least 0.04 mm.',
    'At most 2.5 mm.',
  ),
  floatMm: any(2, 60, 'mm', 'Floats that a fly rod casts.', 'At least 2 mm.', 'At most 6 cm.'),
  pinchedMg: any(1, 20_000, 'mg', 'A float, a shot or a swivel.', 'At least 1 mg.', 'At most 20 g.'),
  countS: any(1, 300, 's', 'Nobody counts longer.', 'At least a second.', 'At most five minutes.'),
  lineRate: any(2, 500, 'mm/s', 'As the fastest lines sink.', 'At least 0.2 cm/s.', 'At most 50 cm/s.'),

  lineMg: any(60, 100_000, 'mg', 'What a head or a whole line weighs.', 'At least a grain.', 'At most 100 g.'),

  // outings
  spellMin: whole(1, 1440, 'min', 'Minutes of a day.', 'At least a minute.', 'At most a day.'),
  taps: list(1, 2000, 'A long day at the water.', 'Say what was noted.'),
  tapsCarried: list(0, 2000, 'A long day at the water.'),
  tapsTakenIn: list(0, 300, 'An outing.'),
  tapAtMs: whole(0, 4_102_444_800_000, 's', 'A moment of this century.'),
  fishMm: any(20, 1500, 'mm', 'From a fry to the largest trout.'),
  teamLost: list(1, 5, 'Flies of one rig.', 'Say which flies.'),
  teamTakenOut: list(0, 5, 'Flies of one rig.'),
  sampledNow: whole(-999, 999, 'times', 'What a hand counts in a tray; below nought takes some back.'),
  drillSubject: text(1, 60, 'The key of a fly, a stage or a sign.'),
  drillAnswers: list(1, 200, 'What anyone answers in three minutes.', 'Say what was answered.'),
  pairingCode: text(1, 40, 'Eight letters, and what parts them.', 'Type the code that the computer shows.'),
  phoneName: text(0, 40, 'What a phone is called.'),
  takes: whole(0, 500, 'times', 'A day that nobody has.', NOUGHT, 'At most 500.'),

  // season
  spreadDays: any(0, 120, 'd', 'How far apart the years are.'),
  durationDays: any(1, 366, 'd', 'At most all year.'),
  lastsDays: any(0, 366, 'd', 'At most all year.'),
  lagDays: any(-120, 120, 'd', 'Before or after what starts it.'),
  iceOffDays: any(-120, 240, 'd', 'Before or after the ice has gone.'),
  triggerTempC: any(-30, 45, '°C', 'Air and water of trout.'),
  degreeDays: any(1, 6000, 'degree days', 'A warm river’s year.'),
  dayLengthH: any(0, 24, 'h', 'Hours of a day.'),
  riseMm: any(1, 10_000, 'mm', 'A spate.'),
  withinHours: any(1, 240, 'h', 'Ten days.'),
  readingDepthMm: whole(0, 60_000, 'mm', 'Depth of the thermometer.'),
  readingDay: whole(-36_525, 73_050, 'd', 'Days since 1970: a century before to two after.'),
  readingTemp: whole(
    -500,
    4500,
    '°C/100',
    'Ice and dead trout.',
    'Water is not colder than its ice.',
    'Water of 45 °C holds no trout.',
  ),
  levelMm: whole(-100_000, 100_000, 'mm', 'Of a gauge.'),
  readingClarityMm: whole(0, 100_000, 'mm', 'Of the clearest lake.'),
  readings: list(
    1,
    100_000,
    'Ten years of hours and a little more.',
    'There is no reading in it.',
    'At most 100,000 readings at once.',
  ),
  sampled: list(1, 40, 'Foods of a net.', 'There is no food in it.', 'At most 40 foods at once.'),
  seenCount: whole(0, 100_000, 'pieces', 'What a net holds.'),
  seenMm: any(0.5, 300, 'mm', 'From a midge to a minnow.'),
  effortMin: whole(0, 1440, 'min', 'Minutes of a day.'),
  brood: whole(0, 9, 'rank', 'Broods of a year.'),

  year: whole(1900, 2200, 'rank', 'Years that anyone plans.'),
  airTempC: any(-40, 50, '°C', 'From a hard frost to a heat wave.'),

  // foods
  hookRanges: list(0, 40, 'All sizes.'),
  bodyOverHook: any(0.01, 6, 'times', 'From a cluster of water fleas to an eel.'),
  larderStages: list(1, 1000, 'A larder.', 'There is no food in it.', 'At most 1,000 stages.'),
  foodAmount: any(
    0,
    1000,
    'times',
    'A thousand times the drift of a fertile river is a plague.',
    'At least 0.',
    'At most 1000.',
  ),
  foodMm: any(0.2, 400, 'mm', 'From water fleas to fish.', 'At least 0.2 mm.', 'At most 400 mm.'),
  fromAnchorMin: whole(-1440, 1440, 'min', 'A day before to a day after.'),
  foodColours: list(
    1,
    12,
    'What an eye tells apart.',
    'Give it at least one colour.',
    'At most twelve colours.',
  ),
  looks: list(0, 8, 'What a fly can show.'),
  hours: list(0, 12, 'Parts of a day.'),
  seasons: list(0, 4, 'Seasons of a year.'),
  broods: list(0, 6, 'Broods of a year.'),

  // asked
  search: text(1, 80, 'What a search field takes.'),
  drawings: list(1, 60, 'Drawings on one screen.'),
} as const satisfies Readonly<Record<string, Limit>>

/** Names a limit. */
export type LimitName = keyof typeof LIMITS

/** A limit by its name. */
export const limitOf = (name: LimitName): Limit => LIMITS[name]

/** The least, the most and whether whole ones only: what a field of the page is told. */
export function within(name: LimitName): Pick<Limit, 'min' | 'max' | 'whole'> {
  const { min, max, whole: isWhole } = limitOf(name)
  return { min, max, whole: isWhole }
}
