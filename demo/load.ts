import { eq } from 'drizzle-orm'
import { readTypedRig, USUAL_CURL_DEG, waterside } from '../core/index.ts'
import type { Material } from '../core/index.ts'
import { shippedFamilies } from '../core/material/shipped/catalogue.ts'
import { defaultSettings } from '../contract/index.ts'
import type { CommandInput, CommandKind, FoodStageId, ReachId } from '../contract/index.ts'
import { makeFigureKeeper } from '../server/upkeep/figureKeeper.ts'
import { makeCommandService } from '../server/commands/commandService.ts'
import type { Database } from '../server/db/database.ts'
import { family, pattern, setting } from '../server/db/schema.ts'
import { fixedId } from '../server/db/ids.ts'
import { drawers, packOf } from './drawers.ts'
import type { DemoDrawer } from './drawers.ts'
import { drops, weighings } from './measurements.ts'
import { patterns } from './patterns/index.ts'
import type { DemoPattern } from './patterns/index.ts'
import { tie } from './tie.ts'
import type { Drawer } from './tie.ts'
import { rigs } from './rigs.ts'
import { notedOn, sentOn } from './waterside.ts'
import type { DemoTap } from './waterside.ts'
import { observations, readings, UNDER_MM } from './season.ts'
import { batches, boxes, CLOCK_STANDS_AT, monthlyTemps, OPENING_COUNT_ON, outings, waters } from './places.ts'

const UNIT_STEPS = { count: 100, mm: 1000, mg: 1000, patch: 100 } as const

type Id<Kind extends CommandKind, Key extends keyof CommandInput<Kind>> = CommandInput<Kind>[Key]
const drawerId = ({ family: familyKey, size, colour }: Drawer) =>
  fixedId(`material:${familyKey}|${size}|${colour}`) as Id<'materialEntry', 'materialId'>
const placeId = (label: string) => fixedId(`compartment:${label}`) as Id<'fliesCount', 'compartmentId'>
const variantIdOf = (name: string, label: string) =>
  fixedId(`variant:${name}|${label}`) as Id<'fliesCount', 'variantId'>

/** Sends the commands of a made-up history, each at its own time. */
function makeTeller(database: Database) {
  let nowMs = 0
  let sent = 0
  const service = makeCommandService(
    database,
    { nowMs: () => nowMs, stands: true },
    makeFigureKeeper(database, (error) => {
      throw error
    }),
  )
  return async function tell<Kind extends CommandKind>(
    at: string,
    kind: Kind,
    body: CommandInput<Kind>,
  ): Promise<void> {
    nowMs = Date.parse(at.length === 10 ? `${at}T19:00:00Z` : at)
    sent += 1
    await service.execute({ id: fixedId(`demo-command:${sent}`), kind, body })
  }
}
type Tell = ReturnType<typeof makeTeller>

async function tellPlaces(tell: Tell): Promise<void> {
  for (const { key, water, reaches } of waters) {
    await tell(OPENING_COUNT_ON, 'waterCreate', {
      waterId: fixedId(`water:${key}`) as Id<'waterCreate', 'waterId'>,
      water,
      reaches: reaches.map(({ key: reachKey, meanC, amplitudeC, thermoclineMm = null, ...reach }) => ({
        ...reach,
        thermoclineMm,
        id: fixedId(`reach:${reachKey}`) as Id<'waterCreate', 'reaches'>[number]['id'],
        defaultTempC: monthlyTemps(meanC, amplitudeC),
      })),
    })
  }
  for (const box of boxes) {
    await tell(OPENING_COUNT_ON, 'boxCreate', {
      boxId: fixedId(`box:${box.name}`) as Id<'boxCreate', 'boxId'>,
      name: box.name,
      note: box.note,
      compartments: box.rows.flatMap((row, r) =>
        box.columns.map((column, c) => {
          const label = column ? `${row}, ${column}` : row
          return { id: placeId(label), row: r + 1, column: c + 1, label, capacity: box.slits }
        }),
      ),
    })
  }
}

/** Which families the demo's drawers belong to, by key. */
async function familyIds(database: Database): Promise<ReadonlyMap<string, string>> {
  const rows = await database.db.select({ id: family.id, key: family.shippedKey }).from(family)
  return new Map(rows.flatMap(({ id, key }) => (key ? [[key, id]] : [])))
}

/** A drawer as core reckons with it, under the id that the demo gives it. */
function materialOf({ family: familyKey, size, colour }: Drawer): Material {
  const shipped = shippedFamilies.find(({ key }) => key === familyKey)
  if (!shipped) throw new Error(`no ${familyKey}`)
  const found = shipped.colours.find(({ name }) => name === colour)
  return {
    id: drawerId({ family: familyKey, size, colour }),
    family: shipped,
    sizeKey: size,
    colourName: colour,
    colourHex: found?.hexDry ?? '#808080',
    colourWetHex: found?.hexWet ?? '#606060',
  }
}

/** So many counted drawers are named with a pattern: no command takes all of them. */
const AT_ONCE = 30

/** Ties every pattern by its typed lines and saves it, each drawer named where it is first taken from. */
async function tellPatterns(tell: Tell, families: ReadonlyMap<string, string>): Promise<readonly Drawer[]> {
  const minted = new Map<string, Drawer>()
  const mint = (wanted: Iterable<Drawer>) =>
    [...wanted].flatMap((drawer) => {
      const id = drawerId(drawer)
      if (minted.has(id)) return []
      minted.set(id, drawer)
      const familyId = families.get(
        drawer.family,
      ) as CommandInput<'patternSave'>['newMaterials'][number]['familyId']
      return [{ id, familyId, sizeKey: drawer.size, colourName: drawer.colour }]
    })
  const counted: readonly Drawer[] = Object.values(drawers)
  for (const [i, made] of patterns.entries()) {
    const tied = tie(made, materialOf)
    const variantOf = ({ label, home, keep }: DemoPattern['variants'][number], nth: number) => ({
      ...tied.variants[nth],
      id: variantIdOf(made.name, label),
      parCount: keep ?? null,
      homeCompartmentId: home ? placeId(home) : null,
    })
    await tell(OPENING_COUNT_ON, 'patternSave', {
      patternId: fixedId(`pattern:${made.name}`) as Id<'patternSave', 'patternId'>,
      version: null,
      name: made.name,
      purpose: made.purpose,
      roles: [...(made.roles ?? [])],
      ownMonths: [],
      fishedHow: [...made.fishedHow],
      waterKinds: [...made.waters],
      dislike: made.dislike ?? 0,
      note: made.note,
      serves: made.serves.map((key) => ({
        foodStageId: fixedId(`stage:${key}`) as Id<'patternSave', 'serves'>[number]['foodStageId'],
        weight: 1,
      })),
      dressing: { components: tied.components, steps: null },
      newMaterials: mint([...tied.drawers.values(), ...counted.slice(AT_ONCE * i, AT_ONCE * (i + 1))]),
      variants: made.variants.map(variantOf),
    } as unknown as CommandInput<'patternSave'>)
  }
  return [...minted.values()]
}

/** What each variant had at the opening count, so that the sums meet what is on hand now. */
function openingCounts() {
  return patterns.flatMap((made) =>
    made.variants.map(({ label, home, onHand }) => {
      const isIt = (row: { pattern: string; label: string }) => row.pattern === made.name && row.label === label
      const lost = outings
        .flatMap(({ losses }) => losses.filter(isIt))
        .reduce((sum, { count }) => sum + count, 0)
      const tied = batches.filter(isIt).reduce((sum, { done }) => sum + done, 0)
      return { name: made.name, label, home, count: onHand + lost - tied }
    }),
  )
}

const homeOf = (name: string, label: string): string =>
  patterns.find((made) => made.name === name)?.variants.find((variant) => variant.label === label)?.home ?? ''

async function tellFlies(tell: Tell): Promise<void> {
  for (const { name, label, home, count } of openingCounts()) {
    if (!home || count === 0) continue
    await tell(OPENING_COUNT_ON, 'fliesCount', {
      compartmentId: placeId(home),
      variantId: variantIdOf(name, label),
      counted: count,
    })
  }
  for (const [i, { pattern: name, label, on, done, spoiled }] of batches.entries()) {
    const batchId = fixedId(`batch:${i}`) as Id<'batchFinish', 'batchId'>
    await tell(on, 'batchPlan', {
      batchId,
      variantId: variantIdOf(name, label),
      plannedCount: done,
      compartmentId: placeId(homeOf(name, label)),
      onVise: true,
    })
    const event = { batchId, stepKey: null, spoiledCause: null }
    const eventId = (kind: string) => fixedId(`event:${i}:${kind}`) as Id<'batchCount', 'eventId'>
    await tell(on, 'batchCount', { ...event, eventId: eventId('done'), kind: 'done', count: done })
    if (spoiled > 0) {
      await tell(on, 'batchCount', {
        ...event,
        eventId: eventId('spoiled'),
        kind: 'spoiled',
        count: spoiled,
        spoiledCause: 'thread snapped',
      })
    }
    await tell(on, 'batchFinish', { batchId, abandon: false })
  }
}

async function tellRigs(tell: Tell): Promise<void> {
  const flies = patterns.flatMap(({ name, variants }) =>
    variants.map(({ label }) => ({ id: variantIdOf(name, label) as string, name: `${name} ${label}` })),
  )
  for (const { typed, name, way, note, knotsOn, counts = [] } of rigs) {
    const parts = readTypedRig(typed, flies).map((phrase) => {
      if (!phrase.part) throw new Error(`${name}: ${phrase.text}`)
      return phrase.part
    })
    await tell('2026-05-01', 'rigSave', {
      rigId: fixedId(`rig:${name}`) as Id<'rigSave', 'rigId'>,
      version: null,
      rig: { name, way, parts: parts as CommandInput<'rigSave'>['rig']['parts'], note },
    })
    if (knotsOn) {
      const rigId = fixedId(`rig:${name}`) as Id<'rigKnots', 'rigId'>
      await tell(knotsOn, 'rigKnots', { rigId, version: 1, on: knotsOn })
    }
    for (const [i, [depthMm, countS, waterTempC]] of counts.entries()) {
      const rigId = fixedId(`rig:${name}`) as Id<'rigSave', 'rigId'>
      await tell('2026-05-30', 'lineCountSave', {
        lineCountId: fixedId(`line-count:${name}:${i}`) as Id<'lineCountSave', 'lineCountId'>,
        count: { rigId, depthMm, countS, waterTempC },
      })
    }
  }
}

/** The valley's clock is an hour ahead of the world's in summer. */
const ms = (on: string, localMin: number, s = 0) =>
  Date.parse(`${on}T00:00:00Z`) + (localMin - 60) * 60_000 + s * 1000

/** Taps of a day as they come from a phone, under ids of their own. */
const tapsOf = (on: string, name: string, taps: readonly DemoTap[]): readonly waterside.Event[] =>
  taps.map(([localMin, said, s], i) => {
    const stageKey = 'stageKey' in said ? { stageKey: fixedId(`stage:${said.stageKey}`) } : {}
    const variantKey = 'variantKey' in said ? { variantKey: fixedId(`variant:${said.variantKey}`) } : {}
    const id = fixedId(`${name}:${on}:${i}`)
    return { ...said, ...stageKey, ...variantKey, id, atMs: ms(on, localMin, s) } as waterside.Event
  })

/** What was noted on an outing, and the spells and readings that were made of it in the evening. */
async function tellNoted(
  tell: Tell,
  on: string,
  outingId: Id<'outingNote', 'outingId'>,
  rigOf: ReadonlyMap<string, string>,
): Promise<void> {
  const noted = notedOn[on]
  if (!noted) return
  type Taps = CommandInput<'outingNote'>['taps']
  const events = tapsOf(on, 'tap', noted)
  await tell(`${on}T20:30:00Z`, 'outingNote', { outingId, taps: events as unknown as Taps })
  const rigById = new Map([...rigOf].map(([fly, rig]) => [fixedId(`variant:${fly}`), fixedId(`rig:${rig}`)]))
  const spells = waterside.spellsOf(waterside.standingAfter(events)).map(({ id, variantKey, ...spell }) => ({
    ...spell,
    tapId: id,
    variantId: variantKey,
    rigId: rigById.get(variantKey) ?? null,
  }))
  const readings = waterside.readingsOf(events, new Set()).map(({ ids, tempC, atMs }) => ({
    tapIds: ids,
    localMin: (atMs - ms(on, 0)) / 60_000,
    tempC100: Math.round(100 * tempC),
  }))
  const made = { outingId, spells, losses: [], readings } as unknown as CommandInput<'outingTakeIn'>
  await tell(`${on}T20:40:00Z`, 'outingTakeIn', made)
  const sent = sentOn[on]
  if (sent)
    await tell(`${on}T21:10:00Z`, 'outingNote', { outingId, taps: tapsOf(on, 'sent', sent) as unknown as Taps })
}

async function tellOutings(tell: Tell): Promise<void> {
  for (const { water, reach, losses, fishedOn = {}, ...outing } of outings) {
    const outingId = fixedId(`outing:${outing.on}`) as Id<'outingSave', 'outingId'>
    const at = outing.status === 'done' ? outing.on : '2026-06-01'
    await tell(at, 'outingSave', {
      outingId,
      version: null,
      outing: {
        ...outing,
        waterId: fixedId(`water:${water}`) as CommandInput<'outingSave'>['outing']['waterId'],
        reachId: fixedId(`reach:${reach}`) as CommandInput<'outingSave'>['outing']['reachId'],
      },
    })
    await tellNoted(tell, outing.on, outingId, new Map(Object.entries(fishedOn)))
    if (losses.length === 0) continue
    await tell(`${outing.on}T21:00:00Z`, 'fliesLose', {
      outingId,
      losses: losses.map(({ pattern: name, label, count, cause }) => ({
        compartmentId: placeId(homeOf(name, label)),
        variantId: variantIdOf(name, label),
        count,
        cause,
      })),
    })
  }
}

async function tellStores(
  tell: Tell,
  units: ReadonlyMap<string, keyof typeof UNIT_STEPS>,
  all: readonly Drawer[],
): Promise<void> {
  const counted = new Map<string, DemoDrawer>(
    Object.values(drawers).map((drawer) => [drawerId(drawer), drawer]),
  )
  for (const one of all) {
    const steps = UNIT_STEPS[units.get(one.family) ?? 'count']
    const materialId = drawerId(one)
    const drawer: DemoDrawer = counted.get(materialId) ?? { ...one, have: null, keep: null }
    if (drawer.have !== null) {
      await tell('2026-06-01', 'materialEntry', {
        materialId,
        cause: 'counted',
        amount: Math.round(drawer.have * steps),
      })
    }
    const pack = packOf(drawer)
    if (drawer.keep === null && !pack) continue
    await tell('2026-06-01', 'materialSave', {
      materialId,
      version: 1,
      minimumAmount: drawer.keep === null ? null : Math.round(drawer.keep * steps),
      packAmount: pack && Math.round(pack.amount * steps),
      priceMinor: pack && pack.priceMinor,
      leadTimeDays: pack && pack.leadTimeDays,
      supplier: '',
      barb: drawer.family.startsWith('hook-jig') ? 'barbless' : null,
      note: '',
    })
  }
}

/** The slow sinker of the stores, by what stands on its spool. */
const tellSpool = (tell: Tell) =>
  tell('2026-06-01', 'lineSpool', {
    materialId: drawerId(drawers.lineSlow),
    version: 1,
    spool: { diameterMm: 1, rateMmPerS: 75, weight: null },
  })

async function tellSeason(tell: Tell): Promise<void> {
  for (const { reach, rows } of readings) {
    await tell('2026-06-04', 'readingsImport', {
      importId: fixedId(`readings:${reach}`) as Id<'readingsImport', 'importId'>,
      readings: { reachId: fixedId(`reach:${reach}`) as ReachId, depthMm: UNDER_MM, source: 'simulated', rows },
    })
  }
  for (const [i, { reach, stage, effortMinutes, ...noted }] of observations.entries()) {
    await tell(noted.on, 'observationSave', {
      observationId: fixedId(`observation:${i}`) as Id<'observationSave', 'observationId'>,
      version: null,
      observation: {
        ...noted,
        reachId: fixedId(`reach:${reach}`) as ReachId,
        foodStageId: fixedId(`stage:${stage}`) as FoodStageId,
        count: null,
        lengthMm: null,
        effortMinutes: effortMinutes ?? null,
        method: 'seen',
      },
    })
  }
}

async function tellMeasurements(tell: Tell): Promise<void> {
  for (const [i, { on, pattern: name, label, line, times, ...drop }] of drops.entries()) {
    await tell(on, 'dropTestSave', {
      testId: fixedId(`drop-test:${i}`) as Id<'dropTestSave', 'testId'>,
      version: null,
      test: {
        ...drop,
        variantId: variantIdOf(name, label),
        waterTempC: 10,
        tippet: line && {
          lengthMm: line[0],
          diameterMm: line[1],
          densityMgPerMm3: 1.13,
          curlDeg: USUAL_CURL_DEG,
        },
        times: times.map((timeS) => ({ timeS, setAside: false })),
      },
    })
  }
  for (const [i, { on, drawer, ...weighing }] of weighings.entries()) {
    await tell(on, 'weighingSave', {
      weighingId: fixedId(`weighing:${i}`) as Id<'weighingSave', 'weighingId'>,
      weighing: {
        ...weighing,
        subject: { kind: 'material', materialId: drawerId(drawers[drawer]) },
        readabilityMg: 1,
        source: 'entered',
      },
    })
  }
}

/** Fills a new data directory with the made-up valley; does nothing where there are patterns already. */
export async function fillDemo(database: Database): Promise<void> {
  const [some] = await database.db.select({ id: pattern.id }).from(pattern).limit(1)
  if (some) return
  const rows = await database.db.select({ key: family.shippedKey, stockUnit: family.stockUnit }).from(family)
  const tell = makeTeller(database)
  await tellPlaces(tell)
  const drawn = await tellPatterns(tell, await familyIds(database))
  await tellFlies(tell)
  await tellRigs(tell)
  await tellOutings(tell)
  await tellStores(tell, new Map(rows.flatMap(({ key, stockUnit }) => (key ? [[key, stockUnit]] : []))), drawn)
  await tellSpool(tell)
  await tellMeasurements(tell)
  await tellSeason(tell)
  await tell('2026-06-03', 'batchPlan', {
    batchId: fixedId('batch:queued') as Id<'batchPlan', 'batchId'>,
    variantId: variantIdOf('Damp Straw', '#14 olive'),
    plannedCount: 3,
    compartmentId: placeId('Duns, leaf'),
    onVise: false,
  })
  await database.write((tx) =>
    tx
      .update(setting)
      .set({
        isDemo: true,
        clockStandsAtMs: Date.parse(CLOCK_STANDS_AT),
        body: {
          ...defaultSettings,
          timeZone: 'Europe/London',
          weightCode: {
            marks: { tungsten: 'red', brass: 'tan', none: null },
            on: ['jigHooks', 'midgePupae'],
          },
        },
      })
      .where(eq(setting.id, 'settings')),
  )
}
