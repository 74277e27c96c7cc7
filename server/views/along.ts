import { isNull } from 'drizzle-orm'
import {
  bandIn, bandRange, behaviourOfListed, epochDayOf, fishingDepthMm, forbiddenAt, isBright, lengthOn, monthsAt, rigForbids,
  techniquesOf, writtenRig,
} from '../../core/index.ts' // prettier-ignore
import { usableZone } from '../../contract/index.ts'
import type {
  AlongView,
  FlyAlong,
  OutingId,
  OutingLine,
  StageAlong,
  WatersideTap,
} from '../../contract/index.ts'
import { toServing } from '../../contract/planned.ts'
import type { PlannedVariant } from '../../contract/planned.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { food, rig } from '../db/schema.ts'
import { loadCuts } from '../read/cuts.ts'
import { loadHours } from '../read/feedingRows.ts'
import { saidOrRead } from '../read/likely.ts'
import { loadBalances } from '../read/balances.ts'
import { loadPlaces } from '../read/places.ts'
import { loadReaches } from '../read/reaches.ts'
import type { LoadedReach } from '../read/reaches.ts'
import { loadSettings } from '../read/settings.ts'
import { loadFlies, loadShowings } from '../read/showingsOf.ts'
import { loadStages, stageTitle } from '../read/stages.ts'
import { loadTaps } from '../read/taps.ts'
import { loadRecipes } from '../read/variants.ts'
import { outingsView } from './outings.ts'
import { mapOf } from '../read/grouped.ts'

const HALF_HOUR_MIN = 30
const DAY_MIN = 1440
/** One is there before it begins, and stays on after it ends. */
const AROUND_MIN = 60
/** What hardly a fish is on at any hour does not go along. */
const LEAST_ON_IT = 0.001
const MOST_STAGES = 110
const MOST_AT_HOME = 40

interface Hours {
  readonly from: number
  readonly to: number
}

const hoursOf = ({ fromLocalMin, toLocalMin }: OutingLine): Hours => ({
  from: Math.max(Math.floor((fromLocalMin - AROUND_MIN) / HALF_HOUR_MIN) * HALF_HOUR_MIN, 0),
  to: Math.min(Math.ceil((toLocalMin + AROUND_MIN) / HALF_HOUR_MIN) * HALF_HOUR_MIN, DAY_MIN),
})

/** What fish may be on through the hours of an outing, the most first. */
async function stagesAlong(
  db: Reader,
  { reach, water }: LoadedReach,
  on: string,
  { from, to }: Hours,
  noted: ReadonlySet<string>,
): Promise<Pick<AlongView, 'stages' | 'whatever'>> {
  const row = await loadHours(db, { reachId: reach.id, on }, from, to)
  const byId = mapOf(await loadStages(db), (stage) => [stage.row.id, stage])
  const keys = new Map(
    (await db.select({ id: food.id, key: food.shippedKey }).from(food)).map(({ id, key }) => [id, key ?? id]),
  )
  const stages = row.stages
    .flatMap(({ stageId, onIt }): StageAlong[] => {
      const stage = byId.get(stageId)
      const band = stage && bandIn(stage.core, water.kind)
      if (!stage || !band || (Math.max(...onIt) < LEAST_ON_IT && !noted.has(stageId))) return []
      const { howFished } = stage.row.body.more
      const [lengthMmLow, lengthMmHigh] = lengthOn(monthsAt(stage.core, water.latitudeDeg), epochDayOf(on))
      return [
        {
          foodStageId: stage.row.id,
          foodKey: keys.get(stage.row.foodId) ?? stage.row.foodId,
          groupKey: stage.groupKey,
          stage: stage.row.stage,
          name: stageTitle(stage),
          band,
          ...bandRange(band, reach.typicalDepthMm, water.kind),
          ...{ lengthMmLow, lengthMmHigh },
          hexWet: stage.row.body.colours[0]?.hexWet ?? '#808080',
          howFished: typeof howFished === 'string' ? howFished : '',
          onIt: [...onIt],
        },
      ]
    })
    .sort((a, b) => Math.max(...b.onIt) - Math.max(...a.onIt))
    .slice(0, MOST_STAGES)
  // those on what does not go along are as good as fish that take whatever comes
  const along = row.whatever.map((_, half) => stages.reduce((sum, { onIt }) => sum + (onIt[half] ?? 0), 0))
  return { stages, whatever: along.map((share) => Math.max(1 - share, 0)) }
}

/** Packed flies, less what was lost of them, those that were noted, and those at home that are meant for what fish may be on. */
async function fliesAlong(
  db: Reader,
  outing: OutingLine,
  stages: readonly StageAlong[],
  taps: readonly WatersideTap[],
): Promise<readonly FlyAlong[]> {
  const flies = await loadFlies(db)
  const placeOf = mapOf(await loadPlaces(db), ({ id, label }) => [id, label])
  const byId = mapOf(flies, (fly) => [fly.variantId, fly])
  const balances = (await loadBalances(db)).filter(({ count }) => count > 0)
  const liesIn = mapOf(balances, (one) => [one.variantId, one.compartmentId])
  const countOf = new Map(balances.map((one) => [`${one.compartmentId} ${one.variantId}`, one.count]))
  const there = mapOf(stages, ({ foodStageId }, i) => [foodStageId, i])
  const lostOf = (id: string) =>
    outing.losses.filter(({ variantId }) => variantId === id).reduce((sum, { count }) => sum + count, 0)
  const inWords = (fly: PlannedVariant, aboard: number, compartmentId: string | null): FlyAlong => {
    const { kind, posture, hookSize, drawingKey } = fly.figure
    const sinkSpeedMmPerS = fly.figure.trailingSpeedMmPerS ?? fly.figure.sinkSpeedMmPerS
    return {
      variantId: fly.variantId,
      name: fly.name,
      figure: { kind, sinkSpeedMmPerS, posture, hookSize },
      drawingKey,
      palette: fly.look ? [...fly.look.palette] : null,
      bright: isBright(fly.look),
      cut: null,
      aboard,
      compartmentId: compartmentId as FlyAlong['compartmentId'],
      lies: countOf.get(`${compartmentId} ${fly.variantId}`) ?? 0,
      place: placeOf.get(compartmentId ?? '') ?? '',
      forbidden: forbiddenAt(outing.rules, toServing(fly)),
      meantFor: fly.meantFor.filter((id) => there.has(id)),
    }
  }
  const revisionOf = mapOf(await loadRecipes(db), ({ variant }) => [variant.id, variant.currentRevisionId])
  const floating = outing.packed.filter(({ variantId }) => byId.get(variantId)?.figure.kind === 'floats')
  const cuts = await loadCuts(
    db,
    floating.flatMap(({ variantId }) => revisionOf.get(variantId) ?? []),
    (await loadSettings(db)).body.units,
  )
  const packed = outing.packed.flatMap(({ variantId, count, compartmentId }) => {
    const fly = byId.get(variantId)
    if (!fly) return []
    const cut = cuts.get(revisionOf.get(variantId) ?? '')?.becomes ?? null
    return [{ ...inWords(fly, Math.max(count - lostOf(variantId), 0), compartmentId), cut }]
  })
  const aboard = new Set(packed.map(({ variantId }) => variantId))
  const noted = [...new Set(taps.flatMap((tap) => (tap.kind === 'tiedOn' ? [tap.variantKey] : [])))].flatMap(
    (id) => {
      const fly = aboard.has(id) ? undefined : byId.get(id)
      return fly ? [inWords(fly, 0, liesIn.get(id) ?? null)] : []
    },
  )
  const known = new Set([...aboard, ...noted.map(({ variantId }) => variantId)])
  const soon = (fly: FlyAlong) => Math.min(...fly.meantFor.map((id) => there.get(id) ?? Infinity))
  const atHome = flies
    .filter((fly) => fly.onHand > 0 && !known.has(fly.variantId) && fly.meantFor.some((id) => there.has(id)))
    .map((fly) => inWords(fly, 0, liesIn.get(fly.variantId) ?? null))
    .filter(({ forbidden }) => forbidden === null)
    .sort((a, b) => soon(a) - soon(b))
    .slice(0, MOST_AT_HOME)
  return [...packed, ...noted, ...atHome]
}

async function showingsAlong(
  db: Reader,
  outing: OutingLine,
  { reach, water }: LoadedReach,
  along: Pick<AlongView, 'flies' | 'stages' | 'school'>,
): Promise<AlongView['showings']> {
  const ways = [outing.technique, ...outing.alsoTechniques]
  const showings = await loadShowings(db, {
    reachId: reach.id,
    on: outing.on,
    ways,
    school: along.school,
    rules: water.rules,
    variantIds: along.flies.map(({ variantId }) => variantId),
    stageIds: along.stages.map(({ foodStageId }) => foodStageId),
  })
  const flyAt = mapOf(along.flies, ({ variantId }, i) => [variantId, i])
  const stageAt = mapOf(along.stages, ({ foodStageId }, i) => [foodStageId, i])
  const figureOf = mapOf(await loadFlies(db), ({ variantId, figure }) => [variantId, figure])
  const place = { bedMm: reach.typicalDepthMm, surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS }
  return showings.flatMap(({ key, way, stages, whatever }) => {
    const [fly, figure] = [flyAt.get(key), figureOf.get(key)]
    if (fly === undefined || !figure) return []
    const of = [...stages].flatMap(([id, does]): [number, number][] => {
      const at = stageAt.get(id)
      return at === undefined ? [] : [[at, Math.round(does * 1e3) / 1e3]]
    })
    const depthMm = fishingDepthMm(behaviourOfListed(figure), way ? [way] : [], place)
    return [{ fly, way, stages: of, whatever, depthMm }]
  })
}

/** Rigs that are made for a way of the day, by name. */
async function rigsAlong(
  db: Reader,
  { technique, alsoTechniques, rules }: OutingLine,
): Promise<AlongView['rigs']> {
  const flies = mapOf(await loadFlies(db), (fly) => [fly.variantId, fly])
  const sinks = (fly: string) => flies.get(fly)?.figure.kind === 'sinks'
  const nameOf = (fly: string) => flies.get(fly)?.name ?? ''
  const ofTheDay = new Set([technique, ...alsoTechniques])
  const rigs = await db.select().from(rig).where(isNull(rig.archivedAtMs)).orderBy(rig.name, rig.id)
  return rigs.flatMap(({ id, name, way, parts }) => {
    const techniques = techniquesOf({ way, parts }, sinks).filter((one) => ofTheDay.has(one))
    const against = [...rigForbids(parts, rules, sinks)]
    return techniques.length > 0
      ? [{ rigId: id, name, techniques, said: writtenRig(parts, nameOf), against }]
      : []
  })
}

/** Where an outing is: its reach, or the first of its water where none was said; undefined where it has none. */
export async function placeOf(
  db: Reader,
  { reachId, waterId }: Pick<OutingLine, 'reachId' | 'waterId'>,
): Promise<LoadedReach | undefined> {
  const reaches = await loadReaches(db)
  return reaches.find(({ reach }) => reach.id === reachId) ?? reaches.find(({ water }) => water.id === waterId)
}

/** All that an outing needs at the water, where no server answers; null where it is gone, or its water has no reach. */
export async function alongView(db: Reader, clock: Clock, outingId: OutingId): Promise<AlongView | null> {
  const outing = (await outingsView(db)).outings.find(({ id }) => id === outingId)
  const place = outing && (await placeOf(db, outing))
  if (!outing || !place) return null
  const { school } = (await loadSettings(db)).body
  const hours = hoursOf(outing)
  const noted = (await loadTaps(db)).get(outingId) ?? { taps: [], booked: [] }
  const ofNotes = noted.taps.flatMap((tap) => (tap.kind === 'tiedOn' ? (tap.stageKey ?? []) : []))
  const feeding = await stagesAlong(db, place, outing.on, hours, new Set<string>(ofNotes))
  const flies = [...(await fliesAlong(db, outing, feeding.stages, noted.taps))]
  const { level } = await saidOrRead(db, { reachId: place.reach.id, on: outing.on, localMin: hours.from }, {})
  return {
    outing,
    madeAtMs: clock.nowMs(),
    timeZone: usableZone(place.water.timeZone),
    school,
    waterKind: place.water.kind,
    bedMm: place.reach.typicalDepthMm,
    surfaceSpeedMmPerS: place.reach.surfaceSpeedMmPerS,
    fromLocalMin: hours.from,
    ...feeding,
    known: level?.is === 'rising' ? ['coloured-rising-water'] : [],
    flies,
    showings: await showingsAlong(db, outing, place, { ...feeding, flies, school }),
    rigs: [...(await rigsAlong(db, outing))],
    taps: [...noted.taps],
    booked: [...noted.booked],
  }
}
