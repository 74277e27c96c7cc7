import { yearBetween } from '../core/index.ts'
import type { OutingBody, ReachBody, WaterBody } from '../contract/index.ts'
import { noRules } from '../contract/index.ts'

type Reach = Omit<ReachBody, 'defaultTempC' | 'thermoclineMm'> & {
  readonly thermoclineMm?: number
  readonly key: string
  readonly meanC: number
  readonly amplitudeC: number
}

/** A water of the valley with its reaches, from low to high. */
export interface DemoWater {
  readonly key: string
  readonly water: WaterBody
  readonly reaches: readonly Reach[]
}

/** Mean of each month, °C, from a year's mean and amplitude; never below 0.5. */
export const monthlyTemps = (meanC: number, amplitudeC: number): number[] =>
  yearBetween(meanC - amplitudeC, meanC + amplitudeC, false).map((tempC) => Math.max(tempC, 0.5))

const valley = { latitudeDeg: 54.3, longitudeDeg: -2.2, timeZone: 'Europe/London' }

export const waters: readonly DemoWater[] = [
  {
    key: 'harnsel',
    water: {
      ...valley,
      name: 'River Harnsel',
      kind: 'freestone',
      clarityMm: 2000,
      snagginess: 1.8,
      openFromMonthDay: '03-15',
      openToMonthDay: '09-30',
      iceOffMonthDay: null,
      rules: { ...noRules, noLead: true },
      rulesNote: 'Wade with a stick above Bridge Reach. Posted rules at the lower gate.',
    },
    reaches: [
      {
        key: 'mill',
        kind: 'reach',
        name: 'Mill Reach',
        elevationM: 95,
        typicalDepthMm: 1300,
        surfaceSpeedMmPerS: 550,
        meanC: 9.8,
        amplitudeC: 6.8,
      },
      {
        key: 'bridge',
        kind: 'reach',
        name: 'Bridge Reach',
        elevationM: 180,
        typicalDepthMm: 900,
        surfaceSpeedMmPerS: 750,
        meanC: 9,
        amplitudeC: 6.2,
      },
      {
        key: 'alder',
        kind: 'reach',
        name: 'Alder Reach',
        elevationM: 300,
        typicalDepthMm: 550,
        surfaceSpeedMmPerS: 850,
        meanC: 7.7,
        amplitudeC: 5.6,
      },
      {
        key: 'stairs',
        kind: 'reach',
        name: 'The Stairs',
        elevationM: 430,
        typicalDepthMm: 350,
        surfaceSpeedMmPerS: 700,
        meanC: 6.6,
        amplitudeC: 5,
      },
    ],
  },
  {
    key: 'lavvel',
    water: {
      ...valley,
      name: 'Lavvel Brook',
      kind: 'springFed',
      clarityMm: 4000,
      snagginess: 1.6,
      openFromMonthDay: '05-01',
      openToMonthDay: '09-30',
      iceOffMonthDay: null,
      rules: {
        ...noRules,
        dryOnly: true,
        upstreamOnly: true,
        maxFlies: 1,
        barbless: true,
        maxHookSize: 12,
        noIndicator: true,
      },
      rulesNote: 'Dry fly only, upstream. The board at the sluice is what counts.',
    },
    reaches: [
      {
        key: 'lavvel',
        kind: 'reach',
        name: 'Lavvel Brook',
        elevationM: 110,
        typicalDepthMm: 600,
        surfaceSpeedMmPerS: 350,
        meanC: 9.6,
        amplitudeC: 1.9,
      },
    ],
  },
  {
    key: 'dunmarl',
    water: {
      ...valley,
      name: 'Dunmarl Reservoir',
      kind: 'reservoir',
      clarityMm: 2500,
      snagginess: 0.8,
      openFromMonthDay: '03-15',
      openToMonthDay: '10-31',
      iceOffMonthDay: null,
      rules: { ...noRules, maxFlies: 3, maxHookSize: 8, noLead: true },
      rulesNote: 'Bank or boat. Falls two to three metres by September.',
    },
    reaches: [
      {
        key: 'dunmarl-shoal',
        kind: 'shoal',
        name: 'Shoal',
        elevationM: 70,
        typicalDepthMm: 2000,
        surfaceSpeedMmPerS: 0,
        meanC: 11,
        amplitudeC: 8.2,
      },
      {
        key: 'dunmarl-drop',
        kind: 'dropOff',
        name: 'Drop-off',
        elevationM: 70,
        typicalDepthMm: 6000,
        thermoclineMm: 5500,
        surfaceSpeedMmPerS: 0,
        meanC: 10.6,
        amplitudeC: 7.4,
      },
    ],
  },
  {
    key: 'skelf',
    water: {
      ...valley,
      name: 'Skelf Tarn',
      kind: 'uplandTarn',
      clarityMm: 3500,
      snagginess: 0.5,
      openFromMonthDay: '04-01',
      openToMonthDay: '09-30',
      iceOffMonthDay: '04-02',
      rules: { ...noRules, maxFlies: 2, barbless: true, noLead: true },
      rulesNote: 'Park below the wall. Mixes all summer but for calm weeks in July.',
    },
    reaches: [
      {
        key: 'skelf-shoal',
        kind: 'shoal',
        name: 'Tarn shoal',
        elevationM: 510,
        typicalDepthMm: 1200,
        surfaceSpeedMmPerS: 0,
        meanC: 8.2,
        amplitudeC: 8.6,
      },
      {
        key: 'skelf-basin',
        kind: 'basin',
        name: 'Tarn basin',
        elevationM: 510,
        typicalDepthMm: 9000,
        surfaceSpeedMmPerS: 0,
        meanC: 7.6,
        amplitudeC: 7.4,
      },
    ],
  },
]

/** Rows of the boxes: label and slits, in the order of the box. */
export const boxes = [
  {
    name: 'Dale Box',
    note: 'By food and stage. Foam, 12 mm clear.',
    columns: ['leaf', 'lid'],
    slits: 12,
    rows: [
      'Swimming nymphs',
      'Clinging and crawling',
      'Sedge larvae and pupae',
      'Emergers and cripples',
      'Duns',
      'Spinners',
      'Sedges and land flies',
      'Midges',
    ],
  },
  {
    name: 'Deep Box',
    note: 'By depth in metres, and weight. Slotted.',
    columns: [''],
    slits: 12,
    rows: [
      'Top 0.3, none',
      'To 0.6, W 2.0–2.4',
      'To 1.0, W 2.8–3.3',
      'To 1.6, W 4.0',
      'Coloured water',
      'Long flies',
    ],
  },
  {
    name: 'Brook Tin',
    note: 'What I trust there. Lidded, deep.',
    columns: [''],
    slits: 6,
    rows: Array.from({ length: 12 }, (_, i) => `Brook ${i + 1}`),
  },
  {
    name: 'Still Wallet',
    note: 'By season. Foam.',
    columns: [''],
    slits: 10,
    rows: [
      'Ice-off',
      'Spring pupae 1',
      'Spring pupae 2',
      'Spring pupae 3',
      'Film',
      'Shoal crawlers',
      'June damsels',
      'High summer',
      'Late season',
      'Spare',
    ],
  },
] as const

/** An outing with what was lost on it, by pattern and variant. */
export interface DemoOuting extends Omit<OutingBody, 'waterId' | 'reachId' | 'alsoTechniques'> {
  readonly alsoTechniques?: OutingBody['alsoTechniques']
  readonly water: string
  readonly reach: string
  readonly losses: readonly {
    readonly pattern: string
    readonly label: string
    readonly count: number
    readonly cause: 'bottom' | 'tree' | 'fish' | 'chewed'
  }[]
  /** rigs that flies were fished on, by pattern and variant; what came of them was noted at the water */
  readonly fishedOn?: Readonly<Record<string, string>>
}

const hour = (hours: number, minutes = 0) => hours * 60 + minutes

export const outings: readonly DemoOuting[] = [
  {
    water: 'harnsel', reach: 'bridge', on: '2026-05-09', fromLocalMin: hour(12), toLocalMin: hour(18), status: 'done',
    technique: 'tightLineNymph',
    note: '10.3 °C, falling and clear. Thick sedges 15:10. Barley Sugar 5 takes in 2 h, Third Button 3.',
    losses: [
      { pattern: 'Barley Sugar', label: '#14 amber', count: 2, cause: 'bottom' },
      { pattern: 'Third Button', label: '#16 W 2.8', count: 2, cause: 'bottom' },
    ],
    fishedOn: { 'Third Button|#16 W 2.8': 'Tight line, one nymph' },
  },
  {
    water: 'harnsel', reach: 'mill', on: '2026-05-23', fromLocalMin: hour(12), toLocalMin: hour(20), status: 'done',
    technique: 'dryWithDropper',
    note: '12.9 °C. First large duns 13:20; none yet at Bridge Reach though looked for. Paper Lantern 6 takes in 2½ h.',
    losses: [
      { pattern: 'Paper Lantern', label: '#10 2XL', count: 1, cause: 'fish' },
      { pattern: 'Paper Lantern', label: '#10 2XL', count: 1, cause: 'tree' },
      { pattern: 'Paper Lantern', label: '#10 2XL', count: 1, cause: 'chewed' },
      { pattern: 'Kettle Lid', label: '#14 olive', count: 1, cause: 'fish' },
      { pattern: 'Third Button', label: '#16 W 2.8', count: 3, cause: 'bottom' },
    ],
    fishedOn: { 'Third Button|#16 W 2.8': 'Tight line, one nymph' },
  },
  { water: 'harnsel', reach: 'bridge', on: '2026-06-06', fromLocalMin: hour(10), toLocalMin: hour(16), status: 'planned', technique: 'tightLineNymph', alsoTechniques: ['dry'], note: 'Nymph first, then dry.', losses: [] },
  { water: 'lavvel', reach: 'lavvel', on: '2026-06-13', fromLocalMin: hour(17), toLocalMin: hour(21, 30), status: 'planned', technique: 'dry', note: '', losses: [] },
  { water: 'dunmarl', reach: 'dunmarl-shoal', on: '2026-06-21', fromLocalMin: hour(6), toLocalMin: hour(12), status: 'planned', technique: 'staticIndicator', note: 'From the bank.', losses: [] },
] // prettier-ignore

/** Batches of the last winter and spring: what was tied, how many, how many spoiled. */
export const batches: readonly {
  readonly pattern: string
  readonly label: string
  readonly on: string
  readonly done: number
  readonly spoiled: number
}[] = [
  { pattern: 'Bell Rope', label: '#12 black', on: '2025-12-04', done: 3, spoiled: 0 },
  { pattern: 'Bell Rope', label: '#12 olive', on: '2025-12-11', done: 3, spoiled: 1 },
  { pattern: 'Wet Slate', label: '#18 W 2.4', on: '2026-01-08', done: 3, spoiled: 0 },
  { pattern: 'Damp Straw', label: '#16 olive', on: '2026-01-22', done: 3, spoiled: 0 },
  { pattern: 'Damp Straw', label: '#18 olive', on: '2026-02-05', done: 3, spoiled: 1 },
  { pattern: 'Turned Collar', label: '#14 olive', on: '2026-02-19', done: 3, spoiled: 0 },
  { pattern: 'Rag Rug', label: '#12 green', on: '2026-03-05', done: 3, spoiled: 0 },
  { pattern: 'Kettle Lid', label: '#16 olive', on: '2026-04-02', done: 3, spoiled: 0 },
  { pattern: 'Barley Sugar', label: '#14 amber', on: '2026-04-16', done: 4, spoiled: 0 },
  { pattern: 'Third Button', label: '#16 W 2.8', on: '2026-04-23', done: 6, spoiled: 1 },
  { pattern: 'Paper Lantern', label: '#10 2XL', on: '2026-05-14', done: 3, spoiled: 0 },
]

/** The demo's clock: Thursday 4 June of the second year, 19:40 in the valley. */
export const CLOCK_STANDS_AT = '2026-06-04T18:40:00Z'
export const OPENING_COUNT_ON = '2025-03-15'
