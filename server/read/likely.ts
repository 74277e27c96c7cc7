import {
  bandIn,
  bandRange,
  choosyIn,
  choosyWord,
  clarityOf,
  epochDayOf,
  feedingAt,
  forecastC,
  hooksForNatural,
  newYearOf,
  parOf,
  placeNote,
  reasonsOf,
  turnOf,
  wording,
} from '../../core/index.ts'
import type { DisplayUnits, FeedingReason, HourConditions, PlacedNote } from '../../core/index.ts'
import type { FoodAtMoment, MomentView, ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { reading, readingImport } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import { loadServes } from './patterns.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'
import {
  feedingScene,
  loadNotes,
  loadObservations,
  loadSeason,
  loadSeasonedReaches,
  seasonYear,
} from './season.ts'
import { loadWarmth, tempAt } from './warmth.ts'
import { latestLevel } from './level.ts'
import { hookRangesOf, loadStages, stageTitle } from './stages.ts'
import { loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'
import { mapOf } from './grouped.ts'

/** What is kept of a row. */
export const keptOf = ({ variant: { parCount, homeCompartmentId } }: VariantRow, usualPar: number): number =>
  parOf({ parCount, hasHome: homeCompartmentId !== null }, usualPar)

/** Stages that are neither about nor taken to speak of. */
const LEAST = { onIt: 0.002, about: 0.03 }

/** A reach, a day and a minute of it. */
export interface MomentInput extends SaidOfHour {
  readonly reachId: ReachId
  readonly on: string
  readonly localMin: number
}

/** Flies on hand and kept for each stage, of the patterns that serve it. */
export const loadStageStock = keptUntilWrite(readStageStock, [loadVariants, loadServes])

async function readStageStock(db: Reader, usualPar: number) {
  const byPattern = new Map<string, { onHand: number; par: number }>()
  for (const row of await loadVariants(db)) {
    const known = byPattern.get(row.variant.patternId) ?? { onHand: 0, par: 0 }
    known.onHand += row.onHand
    known.par += keptOf(row, usualPar)
    byPattern.set(row.variant.patternId, known)
  }
  const byStage = new Map<string, { onHand: number; par: number }>()
  for (const { foodStageId, patternId } of await loadServes(db)) {
    const known = byStage.get(foodStageId) ?? { onHand: 0, par: 0 }
    known.onHand += byPattern.get(patternId)?.onHand ?? 0
    known.par += byPattern.get(patternId)?.par ?? 0
    byStage.set(foodStageId, known)
  }
  return byStage
}

/** A reach by its id; a problem where there is none. */
export async function reachOf(db: Reader, reachId: ReachId): Promise<LoadedReach> {
  const loaded = (await loadReaches(db)).find(({ reach: r }) => r.id === reachId)
  if (!loaded) throw new ProblemError('unknownId', 'There is no such reach.')
  return loaded
}

type LikelyFood = Omit<FoodAtMoment, 'onHand' | 'par'>

/** What a user says of an hour; the rest is read or stays open. */
export interface SaidOfHour {
  readonly level?: HourConditions['level'] | undefined
  readonly weather?: HourConditions['weather'] | undefined
  readonly clarity?: HourConditions['clarity'] | undefined
  readonly airTempC?: number | undefined
  /** what the user's own thermometer shows */
  readonly waterTempC?: number | undefined
}

/** A rise of so much in a day brings down what lives on land, mm. */
const RISE_MM = 150
const FALL_MM = 60
/** A level speaks of no later day than so many after it was read. */
const LEVEL_DAYS = 2

function levelOf(level: Awaited<ReturnType<typeof latestLevel>>, on: string): HourConditions['level'] {
  if (!level || level.dayBeforeMm === null) return null
  const since = epochDayOf(on) - level.day
  if (since < 0 || since > LEVEL_DAYS) return null
  const rise = level.levelMm - level.dayBeforeMm
  return rise >= RISE_MM ? 'rising' : rise <= -FALL_MM ? 'falling' : 'steady'
}

/** How clear the water was read lately, against what is usual of it; null where nobody did. */
async function clarityRead(db: Reader, reachId: ReachId, on: string): Promise<HourConditions['clarity']> {
  const read = await latestLevel(db, reachId)
  const seenMm = read?.clarityMm ?? null
  if (!read || seenMm === null || Math.abs(epochDayOf(on) - read.day) > LEVEL_DAYS) return null
  return clarityOf(seenMm, (await reachOf(db, reachId)).water.clarityMm)
}

/** What is known of an hour: what the user says, the gauge where there is one, the forecast of the water. */
export async function saidOrRead(
  db: Reader,
  { reachId, on, localMin }: Pick<MomentInput, 'reachId' | 'on' | 'localMin'>,
  said: SaidOfHour,
) {
  const read = said.level ? null : levelOf(await latestLevel(db, reachId), on)
  const is = said.level ?? read
  const conditions: HourConditions = {
    level: is,
    weather: said.weather ?? null,
    clarity: said.clarity ?? (await clarityRead(db, reachId, on)),
    airTempC: said.airTempC ?? null,
    waterTempC: said.waterTempC ?? (await tempAt(db, reachId, on, localMin)),
  }
  const level: MomentView['level'] = is && { is, by: said.level ? 'said' : 'gauge' }
  return { conditions, level }
}

/** What trout are on at a moment, whatever lies in the boxes for it; what most fish are on first. */
export const loadLikely = keptUntilWrite(readLikely, [
  loadReaches,
  loadStages,
  loadSeason,
  loadWarmth,
  loadObservations,
  reading,
  readingImport,
])

/** What trout are on at a moment. */
export interface Likely {
  readonly foods: readonly LikelyFood[]
  readonly whatever: number
  readonly level: MomentView['level']
}

async function readLikely(db: Reader, input: MomentInput, units: DisplayUnits): Promise<Likely> {
  const { reach: r, water: w } = await reachOf(db, input.reachId)
  const scene = await feedingScene(db, r.id, input.on)
  const reaches = await loadSeasonedReaches(db)
  const here = reaches.get(r.id)
  const warmth = (await loadWarmth(db)).get(r.id)
  if (!scene || !here || !warmth) return { foods: [], whatever: 1, level: null }
  const loaded = await loadStages(db)
  const stages = loaded.map(({ core }) => core)
  const byId = mapOf(loaded, (stage) => [stage.row.id, stage])
  const day = epochDayOf(input.on)
  const { conditions, level } = await saidOrRead(db, input, input)
  const now = feedingAt(stages, scene, day, input.localMin, conditions)
  const notes = (await loadNotes(db)).flatMap((note): PlacedNote[] => {
    const [stage, there] = [byId.get(note.stageId)?.core, reaches.get(note.reachKey)]
    return stage && there ? [placeNote(note, stage, there, here)] : []
  })
  const names = mapOf(await loadReaches(db), ({ reach }) => [reach.id, reach.name])
  const first = newYearOf(seasonYear(here, input.on)) + turnOf(here.latitudeDeg)
  const read = new Map(warmth.days.map(({ day: on, meanC }) => [on, meanC]))
  const waterC = (dayOfYear: number) =>
    read.get(first + dayOfYear) ?? forecastC(warmth.model, warmth.latest, first + dayOfYear).value
  const foods = now.stages.flatMap((found): LikelyFood[] => {
    const stage = byId.get(found.stageId)
    const band = stage && bandIn(stage.core, w.kind)
    if (!stage || !band || (found.onIt < LEAST.onIt && found.about < LEAST.about)) return []
    const { fromMm, toMm } = bandRange(band, r.typicalDepthMm, w.kind)
    const ofFood = notes.filter((note) => note.stage.foodId === stage.core.foodId)
    const reasons = reasonsOf(
      stage.core,
      scene,
      day,
      input.localMin,
      conditions,
      ofFood,
      waterC,
      warmth.days.length > 0,
    )
    const words = reasons.map((reason) => wording.feedingReason(reason, units, (key) => names.get(key) ?? ''))
    return [
      {
        foodStageId: stage.row.id,
        name: stageTitle(stage),
        stage: stage.row.stage,
        groupKey: stage.groupKey,
        band,
        fromMm,
        toMm,
        about: found.about,
        onIt: found.onIt,
        onItIfAbout: found.onItIfAbout,
        onItWords: wording.fishOnIt(found.onIt),
        choosy: choosyWord(choosyIn(conditions.clarity, stage.core.choosy)),
        lengthMmLow: found.lengthMmLow,
        lengthMmHigh: found.lengthMmHigh,
        hooks: [...hooksForNatural(hookRangesOf(stage.row), found.lengthMmLow, found.lengthMmHigh)],
        hexWet: stage.row.body.colours[0]?.hexWet ?? '#808080',
        reasons: words,
        why: reasons.some(({ code }) => WORTH_SAYING.has(code)) ? words.slice(0, 2).join('; ') : '',
      },
    ]
  })
  return { foods: foods.sort((a, b) => b.onIt - a.onIt), whatever: now.whatever, level }
}

/** Reasons that tell of this reach and year. */
const WORTH_SAYING: ReadonlySet<FeedingReason['code']> = new Set(['begun', 'soon', 'ending', 'seen', 'need'])

/** What trout are on at a moment, with what lies in the boxes for it. */
export async function foodsAt(
  db: Reader,
  input: MomentInput,
  usualPar: number,
  units: DisplayUnits,
): Promise<Omit<Likely, 'foods'> & { readonly foods: readonly FoodAtMoment[] }> {
  const stock = await loadStageStock(db, usualPar)
  const likely = await loadLikely(db, momentOnly(input), units)
  return {
    ...likely,
    foods: likely.foods.map((food) => ({
      ...food,
      ...(stock.get(food.foodStageId) ?? { onHand: 0, par: 0 }),
    })),
  }
}

/** The moment and what is said of it, and nothing else that the asker may hold. */
const momentOnly = ({
  reachId,
  on,
  localMin,
  level,
  weather,
  clarity,
  airTempC,
  waterTempC,
}: MomentInput): MomentInput => ({
  reachId,
  on,
  localMin,
  level,
  weather,
  clarity,
  airTempC,
  waterTempC,
})
