import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import { componentKey, dressingBody, swaps } from './records/dressing.ts'
import { drillAnswered } from './records/drill.ts'
import { foodStageBody } from './records/food.ts'
import { instrumentAsk } from './records/instrument.ts'
import { dropTestBody, weighingBody } from './records/measurement.ts'
import { outingBody } from './records/outing.ts'
import { lineCountBody, rigBody } from './records/rig.ts'
import { observationBody, readingsBody, trigger } from './records/season.ts'
import { defaultSettings, settingsBody, settingsChange } from './records/settings.ts'
import { noRules, reachBody, waterBody } from './records/water.ts'
import { watersideTap } from './records/waterside.ts'
import './faultWords.ts'

const id = '0197a0a0-0000-7000-8000-000000000001'

/** An entry with one thing put otherwise, by its path. */
function otherwise(entry: unknown, [key, ...deeper]: readonly (string | number)[], value: unknown): unknown {
  if (key === undefined) return value
  if (Array.isArray(entry))
    return entry.map((one: unknown, at) => (at === key ? otherwise(one, deeper, value) : one))
  const fields = entry as Readonly<Record<string, unknown>>
  const changed = { ...fields, [key]: otherwise(fields[key], deeper, value) }
  if (deeper.length === 0 && value === undefined)
    return Object.fromEntries(Object.entries(changed).filter(([name]) => name !== key))
  return changed
}

const pathOf = (path: string) => path.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part))

/** What is said of an entry, and at which field. */
function faults(schema: z.ZodType, entry: unknown): readonly (readonly [path: string, message: string])[] {
  const { error } = schema.safeParse(entry)
  return (error?.issues ?? []).map(({ path, message }) => [path.join('.'), message])
}

type Refused = readonly [path: string, value: unknown, said: string, at?: string]

/** Whole entries of one schema: taken as they are, refused at the field where one thing is otherwise. */
function keeps(what: string, schema: z.ZodType, entry: object, refused: readonly Refused[]): void {
  describe(what, () => {
    it('is taken as it is', () => {
      expect(faults(schema, entry)).toEqual([])
    })

    for (const [path, value, said, at = path] of refused)
      it(`is refused with ${path} as ${JSON.stringify(value)}`, () => {
        expect(faults(schema, otherwise(entry, pathOf(path), value))).toContainEqual([at, said])
      })

    it('lets nothing through that nobody knows', () => {
      expect(faults(schema, { ...entry, sort: 'of its own' })).toEqual([['', 'Nothing is known of sort.']])
    })

    it.each(Object.keys(entry).filter((key) => schema.safeParse(otherwise(entry, [key], undefined)).error))(
      'misses %s',
      (key) => {
        expect(faults(schema, otherwise(entry, [key], undefined))).toContainEqual([
          key,
          expect.stringMatching(
            /^(Something is missing here|Choose one of those that are offered|Say .*|This cannot stand here)\.$/,
          ),
        ])
      },
    )
  })
}

const bead = { key: 'bead', kind: 'bead', materialId: id, place: { from: 0, to: 0.1, side: 'around' } }
const tail = { key: 'tail', kind: 'tail', materialId: id, place: { from: 1, to: 1, side: 'above' }, length: { factor: 1, of: 'shank' }, fibreCount: 6 } // prettier-ignore
const body = { key: 'body', kind: 'body', materialId: id, place: { from: 0.2, to: 1, side: 'around' } }
const tieIn = { key: 'tie-in', verb: 'tieIn', componentKey: 'tail', threadFrom: 1, threadTo: 1, note: '' }

keeps('a dressing', dressingBody, { components: [bead, tail, body], steps: [tieIn] }, [
  ['components.1.key', 'bead', 'Two components have the same key.', 'components'],
  ['components.1.key', '1st tail', 'A key has letters, figures and dashes.'],
  ['components.1.kind', 'paint', 'Choose one of those that are offered.'],
  ['components.1.materialId', 'hare', 'There is no such material.'],
  ['components.1.fibreCount', 6.5, 'Whole ones only.'],
  ['components.1.length', { factor: 1, of: 'bend' }, 'This cannot stand here.'],
  ['components.2.place', { from: 0.9, to: 0.2, side: 'around' }, 'From the eye backwards: from is at most to.', 'components.2.place.to'], // prettier-ignore
  ['components.2.place.side', 'inside', 'Choose one of those that are offered.'],
  ['steps.0.componentKey', 'wing', 'A step names a part that is not in the dressing.', 'steps'],
  ['steps.0.verb', 'paint', 'Choose one of those that are offered.'],
])

describe('a dressing', () => {
  const heavy = (kind: string, n: number) => ({ ...bead, key: `${kind}${n}`, kind })
  const dressed = (...kinds: string[]) => ({
    components: kinds.map((kind, n) => heavy(kind, n)),
    steps: null,
  })

  it.each([
    [['bead', 'bead'], true],
    [['bead', 'cone'], true],
    [['bead', 'bead', 'wire', 'body', 'hackle'], true],
    [['bead', 'bead', 'bead'], false],
    [['bead', 'cone', 'eyes'], false],
  ])('has room for two beads, cones or pairs of eyes: %j', (kinds, fits) => {
    expect(dressingBody.safeParse(dressed(...kinds)).success).toBe(fits)
  })

  it('may have steps of one’s own, which name no part', () => {
    const steps = [{ ...tieIn, componentKey: null }]
    expect(faults(dressingBody, { components: [], steps })).toEqual([])
  })

  it.each(['a', 'Tail', 'rib-2', 'x9'])('takes %j for a key', (key) => {
    expect(componentKey.safeParse(key).success).toBe(true)
  })

  it.each(['', '9x', '-tail', 'front hackle', 'tail!', 'tail\n'])('takes %j for none', (key) => {
    expect(componentKey.safeParse(key).success).toBe(false)
  })
})

describe('swaps of a variant', () => {
  it('are one a line', () => {
    const swap = { componentKey: 'tail', fibreCount: 4 }
    expect(faults(swaps, [swap, { componentKey: 'body', omit: true }])).toEqual([])
    expect(faults(swaps, [swap, { ...swap, fibreCount: 5 }])).toEqual([
      ['', 'Two swaps name the same component.'],
    ])
  })
})

const started = { spreadDays: 7, durationDays: 40 }
const warming = { kind: 'waterTemp', direction: 'rising', thresholdC: 10, lowC: 9, highC: 11.5, notBefore: '02-15', ...started } // prettier-ignore
const airy = { kind: 'airTemp', thresholdC: 15, lowC: 13, highC: 17, notBefore: '03-01', ...started }
const summed = { kind: 'degreeDays', baseC: 4, degreeDays: 300, startOn: '01-01', ...started }
const lit = { kind: 'dayLength', direction: 'rising', hours: 14, notBefore: '01-01', ...started }
const BETWEEN = 'The warmth that starts it lies between the lowest and the highest of the 8 in 10.'
const TOO_EARLY = 'It starts anyhow on a day before it may.'

describe('what starts a stage', () => {
  const others = [
    { kind: 'iceOff', offsetDays: -5, withoutIceC: 6, ...started },
    { kind: 'allYear' },
    { kind: 'light', regime: 'dim' },
    { kind: 'level', riseMm: 150, withinHours: 24 },
  ]
  it.each([warming, airy, summed, lit, ...others])('is taken: $kind', (one) => {
    expect(faults(trigger, one)).toEqual([])
  })

  it.each([warming, airy, summed, lit, ...others])(
    'is refused with what no $kind has, not taken without',
    (one) => {
      expect(faults(trigger, { ...one, moonPhase: 'full' })).toEqual([['', 'Nothing is known of moonPhase.']])
    },
  )

  it.each([
    [warming, { thresholdC: 8.9 }, 'thresholdC', BETWEEN],
    [warming, { thresholdC: 11.6 }, 'thresholdC', BETWEEN],
    [warming, { lowC: 12, highC: 8 }, 'thresholdC', BETWEEN],
    [airy, { highC: 14.9 }, 'thresholdC', BETWEEN],
    [warming, { strongLowC: 14, strongHighC: 9 }, 'strongHighC', 'The lower warmth comes first.'],
    [warming, { latest: '02-14' }, 'latest', TOO_EARLY],
    [airy, { latest: '01-31' }, 'latest', TOO_EARLY],
    [lit, { notBefore: '06-01', latest: '05-31' }, 'latest', TOO_EARLY],
    [summed, { startOn: '03-02', latest: '03-01' }, 'latest', TOO_EARLY],
    [warming, { notBefore: '02-30' }, 'notBefore', 'There is no such day.'],
    [summed, { startOn: '1 March' }, 'startOn', 'Month and day are written MM-DD.'],
    [{ kind: 'light', regime: 'dim' }, { regime: 'fog' }, 'regime', 'Choose one of those that are offered.'],
    [{ kind: 'moon' }, {}, 'kind', 'This cannot stand here.'],
  ])('is refused: %j with %j', (one, more, at, said) => {
    expect(faults(trigger, { ...one, ...more })).toEqual([[at, said]])
  })

  it('may start at the very limit of the 8 in 10, and on the first day on which it may', () => {
    for (const edge of [{ thresholdC: 9 }, { thresholdC: 11.5 }, { latest: '02-15' }, { notBefore: '02-29' }])
      expect(faults(trigger, { ...warming, ...edge })).toEqual([])
    expect(faults(trigger, { ...warming, strongLowC: 12, strongHighC: 12 })).toEqual([])
  })
})

const month = { lengthMmLow: 6, lengthMmHigh: 9, likelihood: 0.4 }
const hours = { anchor: 'solarNoon', fromMin: -60, toMin: 120, weight: 1, seasons: ['spring'], weather: 'any' }
const stage = {
  stage: 'dun',
  stageName: 'dun',
  months: [null, null, month, month, ...Array<null>(8).fill(null)],
  colours: [{ name: 'olive', hexDry: '#7d6d44', hexWet: '#645633', share: 1 }],
  silhouette: 'uprightWing',
  movements: ['drift'],
  triggers: [],
  depthBandRiver: 'onFilm',
  depthBandStillwater: null,
  waterKinds: { freestone: 1 },
  hours: [hours],
  importance: 0.6,
  amount: { low: 0.1, usual: 0.5, peak: 2 },
  hookRanges: [{ size: '16', fromMm: 5, toMm: 7 }],
  trigger: warming,
  broods: [{ name: 'second', months: [8, 9], lengthMmLow: 7, lengthMmHigh: 9, trigger: summed }],
  noteForTier: '',
  howFished: '',
}

keeps('a life stage of a food', foodStageBody, stage, [
  ['stageName', '  ', 'Give it a name.'],
  ['months', [month], 'At least 12.'],
  ['months.2', { ...month, lengthMmLow: 9.5 }, 'The shorter length comes first.'],
  ['months.2.likelihood', 1.1, 'At most 1.'],
  ['silhouette', 'square', 'There is no such outline.'],
  ['movements.0', 'fly backwards', 'There is no such movement.'],
  ['triggers', ['loud'], 'There is no such mark.', 'triggers.0'],
  ['colours.0.hexWet', 'olive', 'A colour is written #6d6a37.'],
  ['depthBandRiver', null, 'Say at which depth it lives, in rivers or in stillwaters.'],
  ['depthBandRiver', 'sky', 'Choose one of those that are offered.'],
  ['waterKinds', { canal: 1 }, 'Nothing is known of canal.'],
  ['hours.0.toMin', -60, 'The hours end before they begin.'],
  ['hours.0.fromMin', -1441, 'At least -1,440.'],
  ['hours.0.anchor', 'moonrise', 'Choose one of those that are offered.'],
  ['amount', { low: 0.6, usual: 0.5, peak: 2 }, 'From the least to the most.'],
  ['amount', { low: 0.1, usual: 2.5, peak: 2 }, 'From the least to the most.'],
  ['hookRanges.0.fromMm', 7.5, 'The shorter length comes first.', 'hookRanges.0.toMm'],
  ['trigger.thresholdC', 4, BETWEEN],
  ['broods.0.trigger.degreeDays', 0, 'At least 1.'],
  ['broods.0.months.1', 13, 'At most 12.'],
  ['broods.0.lengthMmHigh', 6.5, 'The shorter length comes first.'],
  ['broods.0.shank', 2, 'Nothing is known of shank.', 'broods.0'],
  ['needs', 'snow', 'Choose one of those that are offered.'],
])

describe('a life stage of a food', () => {
  it('lives in stillwaters alone where it says so', () => {
    expect(faults(foodStageBody, { ...stage, depthBandRiver: null, depthBandStillwater: 'bottom' })).toEqual([])
  })
})

keeps('an outing', outingBody, { waterId: id, reachId: null, on: '2026-06-06', fromLocalMin: 600, toLocalMin: 1020, status: 'planned', technique: 'dry', alsoTechniques: ['swungWets'], note: ' wade wet ' }, [
  ['toLocalMin', 600, 'It ends before it begins.'],
  ['toLocalMin', 1441, 'At most 1,440.'],
  ['on', '2026-02-30', 'There is no such day.'],
  ['on', '1899-12-31', 'A year from 1900 to 2100.'],
  ['on', '2101-01-01', 'A year from 1900 to 2100.'],
  ['on', '6.6.2026', 'A date is written YYYY-MM-DD.'],
  ['status', 'dreamt', 'Choose one of those that are offered.'],
  ['technique', 'dynamite', 'Choose one of those that are offered.'],
  ['alsoTechniques', ['dry', 'dry', 'dry', 'dry'], 'At most 3.'],
  ['reachId', 'pool', 'There is no such reach.'],
]) // prettier-ignore

const rules = { ...noRules, minHookSize: 18, maxHookSize: 10, maxFlies: 2, barbless: true }
const water = { name: 'Upper  Water', kind: 'freestone', latitudeDeg: 47, longitudeDeg: 12, timeZone: 'Europe/Vienna', clarityMm: 2000, snagginess: 2, openFromMonthDay: '05-01', openToMonthDay: '10-31', iceOffMonthDay: null, rules, rulesNote: '' } // prettier-ignore
keeps('a water', waterBody, water, [
  ['rules.minHookSize', 8, 'The smallest hook is larger than the largest.'],
  ['rules.maxFlies', 1.5, 'Whole flies only.'],
  ['rules.barbless', 'yes', 'Say yes or no.'],
  ['rules.fee', 20, 'Nothing is known of fee.', 'rules'],
  ['kind', 'sea', 'Choose one of those that are offered.'],
  ['timeZone', '+02:00', 'No such time zone. Write one as Europe/Vienna or UTC.'],
  ['timeZone', 'Europe/Nowhere', 'No such time zone. Write one as Europe/Vienna or UTC.'],
  ['openFromMonthDay', '04-31', 'There is no such day.'],
  ['openToMonthDay', '13-01', 'There is no such day.'],
  ['openToMonthDay', '10-00', 'There is no such day.'],
  ['latitudeDeg', 91, 'At most 66°.'],
  ['name', 'x'.repeat(81), 'At most 80 characters.'],
])

describe('a water', () => {
  it('forbids nothing where nothing was noted, and one size of hook where both limits are the same', () => {
    expect(new Set(Object.values(noRules))).toEqual(new Set([null]))
    for (const own of [
      noRules,
      { ...noRules, minHookSize: 14, maxHookSize: 14 },
      { ...noRules, minHookSize: 8 },
    ])
      expect(faults(waterBody, { ...water, rules: own })).toEqual([])
  })

  it('has its name composed and single-spaced', () => {
    expect(waterBody.parse(water).name).toBe('Upper Water')
  })
})

keeps('a reach', reachBody, { kind: 'reach', name: 'Weir', elevationM: 500, typicalDepthMm: 700, surfaceSpeedMmPerS: 600, thermoclineMm: null, defaultTempC: Array(12).fill(9) }, [
  ['defaultTempC', Array(11).fill(9), 'At least 12.'],
  ['defaultTempC', Array(13).fill(9), 'At most 12.'],
  ['kind', 'puddle', 'Choose one of those that are offered.'],
  ['typicalDepthMm', '700', 'Write a number.'],
  ['surfaceSpeedMmPerS', -1, 'Nought or more.'],
]) // prettier-ignore

const parts = [
  { kind: 'line', sort: 'floating', lengthMm: 27_000, diameterMm: 1.1, rateMmPerS: null },
  { kind: 'leader', lengthMm: 2700, buttMm: 0.5, tipMm: 0.2, stuff: 'nylon' },
  { kind: 'tippet', lengthMm: 600, diameterMm: 0.14, stuff: 'fluorocarbon' },
  { kind: 'dropper', lengthMm: 120, fly: id },
  { kind: 'shot', massMg: 100 },
  { kind: 'point', fly: null },
]
keeps('a rig', rigBody, { name: 'Two nymphs', way: 'tight', parts, note: '' }, [
  ['way', 'trolling', 'Choose one of those that are offered.'],
  ['parts.0.sort', 'lead', 'Choose one of those that are offered.'],
  ['parts.1.stuff', 'wool', 'Choose one of those that are offered.'],
  ['parts.2.colour', 'green', 'Nothing is known of colour.', 'parts.2'],
  ['parts.3.fly', 'any', 'There is no such variant.'],
  ['parts.4.kind', 'anchor', 'This cannot stand here.'],
  ['parts.5.fly', undefined, 'Something is missing here.'],
])

keeps('a count with a rig', lineCountBody, { rigId: id, depthMm: 1500, countS: 12, waterTempC: 12 }, [
  ['rigId', 'mine', 'There is no such rig.'],
  ['countS', 'twelve', 'Write a number.'],
])

keeps('a drop test', dropTestBody, { variantId: id, depthMm: 300, timing: 'film', waterTempC: 15, vesselMm: 60, tippet: { diameterMm: 0.1, densityMgPerMm3: 1.13, lengthMm: 100, curlDeg: 0 }, wet: 'soaked', times: [{ timeS: 1.2, setAside: false }], note: '' }, [
  ['timing', 'guess', 'Choose one of those that are offered.'],
  ['wet', 'damp', 'Choose one of those that are offered.'],
  ['times.0.setAside', 1, 'Say yes or no.'],
  ['tippet', { diameterMm: 0.1 }, 'Something is missing here.', 'tippet.lengthMm'],
  ['vesselMm', 'wide', 'Write a number.'],
]) // prettier-ignore

keeps('a weighing', weighingBody, { subject: { kind: 'material', materialId: id }, count: 10, totalMg: 163, readabilityMg: 1, source: 'scale', note: '' }, [
  ['subject', { kind: 'box', boxId: id }, 'This cannot stand here.'],
  ['subject', { kind: 'variant', materialId: id }, 'This cannot stand here.'],
  ['count', 0, 'At least one.'],
  ['source', 'hearsay', 'Choose one of those that are offered.'],
]) // prettier-ignore

keeps('readings', readingsBody, { reachId: id, depthMm: 300, source: 'pasted', rows: [[20_000, 720, 1150, null, null]] }, [
  ['source', 'rumour', 'Choose one of those that are offered.'],
  ['rows.0', [20_000, 720, 1150, null], 'At least 5.'],
  ['rows.0.1', 1440.5, 'Whole ones only.'],
  ['rows.0.2', 'warm', 'Write a number.'],
]) // prettier-ignore

keeps('a sighting', observationBody, { reachId: id, on: '2026-05-02', localMin: null, foodStageId: id, kind: 'counted', count: 12, lengthMm: null, effortMinutes: 10, method: 'seine', note: '' }, [
  ['kind', 'heard', 'Choose one of those that are offered.'],
  ['method', 'dream', 'Choose one of those that are offered.'],
  ['foodStageId', 'dun', 'There is no such food stage.'],
  ['count', -1, 'This cannot be below nought.'],
]) // prettier-ignore

keeps('settings', settingsBody, defaultSettings, [
  ['units.mass', 'oz', 'Choose one of those that are offered.'],
  ['currency', 'Euro', 'Three letters, as EUR.'],
  ['timeZone', '', 'No such time zone. Write one as Europe/Vienna or UTC.'],
  ['evenings.weekdays', [0], 'At least 1.', 'evenings.weekdays.0'],
  ['evenings.weekdays', [8], 'At most 7.', 'evenings.weekdays.0'],
  ['cover.sizes', null, 'Say yes or no.'],
  ['theme', 'sepia', 'Choose one of those that are offered.'],
  ['weightCode', { marks: { tungsten: 'red', brass: null }, on: [] }, 'Something is missing here.', 'weightCode.marks.none'], // prettier-ignore
])

describe('a change of settings', () => {
  it.each([
    {},
    { parCount: 4 },
    { units: { mass: 'gr' } },
    { evenings: { minutes: 45 } },
    { cover: { anchors: 2 } },
    { backupFolder: null },
  ])('names what changes and no more: %j', (change) => {
    expect(settingsChange.parse(change)).toEqual(change)
  })

  it('is refused where it names what there is not', () => {
    expect(faults(settingsChange, { par: 4 })).toEqual([['', 'Nothing is known of par.']])
    expect(faults(settingsChange, { units: { length: 'mm' } })).toEqual([
      ['units', 'Nothing is known of length.'],
    ])
    expect(faults(settingsChange, { evenings: { hours: 1 } })).toEqual([
      ['evenings', 'Nothing is known of hours.'],
    ])
    expect(faults(settingsChange, { cover: { all: true } })).toEqual([['cover', 'Nothing is known of all.']])
  })
})

keeps('an answer in a drill', drillAnswered, { id, subject: 'midge-pupa', atMs: 1_780_000_000_000, isRight: true }, [
  ['id', '1', 'There is no such drill answer.'],
  ['isRight', 'nearly', 'Say yes or no.'],
]) // prettier-ignore

keeps('what is asked of an instrument', instrumentAsk, { kind: 'scale', expected: 163 }, [
  ['kind', 'thermometer', 'Choose one of those that are offered.'],
  ['expected', NaN, 'Write a number.'],
])

describe('a tap at the water', () => {
  const each = { id, atMs: 1_780_000_000_000 }
  it.each([
    { kind: 'watch' },
    { kind: 'tiedOn', variantKey: id, way: 'dry', stageKey: null, step: null },
    { kind: 'drift' },
    { kind: 'take', end: 'landed', lengthMm: 280 },
    { kind: 'lost', variantKeys: [id], leftIn: 'tree' },
    { kind: 'counted', from: 'stones', stageKey: id, count: 3 },
    { kind: 'undo', of: id },
  ])('is taken: $kind', (tap) => {
    expect(faults(watersideTap, { ...each, ...tap })).toEqual([])
  })

  it.each([
    [{ kind: 'watch', note: 'dry' }, '', 'Nothing is known of note.'],
    [{ kind: 'tiedOn', variantKey: 'olive', way: null, stageKey: null, step: null }, 'variantKey', 'There is no such variant.'],
    [{ kind: 'take', end: 'eaten', lengthMm: null }, 'end', 'Choose one of those that are offered.'],
    [{ kind: 'take', end: 'landed', lengthMm: -3 }, 'lengthMm', expect.stringMatching(/^At least \d+ mm\.$/)],
    [{ kind: 'waterTemp', tempC: 60 }, 'tempC', 'Water is between 0 and 30 °C.'],
    [{ kind: 'undo', of: 'the last' }, 'of', 'There is no such tap.'],
    [{ kind: 'dance' }, 'kind', 'This cannot stand here.'],
  ])('is refused: %j', (tap, at, said) => {
    expect(faults(watersideTap, { ...each, ...tap })).toEqual([[at, said]])
  }) // prettier-ignore
})
