import { forbiddenBy, hoursOfMore, standingsOf, urgencyOf, wording } from '../../core/index.ts'
import type { DisplayUnits, FlyRules } from '../../core/index.ts'
import type {
  FoodAtMoment,
  PatternId,
  PlanOuting,
  RestockLine,
  TonightLine,
  TonightView,
} from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { loadReaches } from '../read/reaches.ts'
import { startingMoment } from './moment.ts'
import { loadFirstMeasurement } from '../read/firstMeasurement.ts'
import { loadQueuedFlies } from '../read/batches.ts'
import { loadMinutes } from '../read/minutes.ts'
import { loadRestock } from './restock.ts'
import { localTime } from '../clock/localTime.ts'
import { foodsAt } from '../read/likely.ts'
import { nextOuting } from '../read/outings.ts'
import { loadLasting } from '../read/lasting.ts'
import { waterAhead } from '../read/comingOutings.ts'
import { loadCover } from '../read/outingCover.ts'
import { loadStages, stageTitle } from '../read/stages.ts'
import { loadSettings } from '../read/settings.ts'
import { mapOf } from '../read/grouped.ts'

const MOST_LIKELY = 2
/** Hardly a fish is not likely. */
const LEAST_LIKELY = 0.01
const MOST_LACKING = 2
const MOST_TO_TIE = 2
const MOST_TO_BUY = 1
const MOST_IN_A_BATCH = 6
const MOST_LINES = 7
/** Minutes to lay things out. */
const MINUTES_TO_START = 4

const NOTHING = {
  foodStageId: null, patternId: null, variantId: null, materialId: null, batch: null, onHand: null, par: null, drawingKey: null,
} satisfies Partial<TonightLine> // prettier-ignore

const sentenceStart = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function likelyLine(food: FoodAtMoment, where: string, units: DisplayUnits): TonightLine {
  const length = wording.smallSpan(food.lengthMmLow, food.lengthMmHigh, units)
  const size = food.hooks.length > 0 ? `${length}, ${wording.hookSizes(food.hooks)}` : length
  const why = food.why ? ` ${sentenceStart(food.why)}.` : ''
  const text = `${food.name}: ${wording.fishOnIt(food.onIt)} at ${where}, ${wording.depthBandName[food.band]}, ${size}.${why}`
  return { ...NOTHING, kind: 'likely', text, foodStageId: food.foodStageId, onHand: food.onHand, par: food.par }
}

/** What most fish are on, then the most of those met at another depth: fish look up or down, not both at once. */
function likeliest(foods: readonly FoodAtMoment[]): readonly FoodAtMoment[] {
  const [first] = foods
  if (!first) return []
  const elsewhere = foods.filter(({ band, onIt }) => band !== first.band && onIt >= LEAST_LIKELY)
  return [first, ...elsewhere].slice(0, MOST_LIKELY)
}

/** What the stores allow of a fly where that is less than what is missing. */
function limitWords({ allowed, missing, limitedBy }: RestockLine): string {
  return allowed !== null && allowed < missing
    ? ` ${sentenceStart(limitedBy ?? 'stores')} for ${wording.countInWords(allowed)}.`
    : ''
}

/** A stage without a fly, or with too few: with the fly that would mend it, where there is one with a place of its own. */
function standingLine(
  { standing, stageKey, need, fromHalf, toHalf, onIt, lasts }: Found,
  { fromLocalMin }: PlanOuting,
  { stages, short, held }: LackingFrom,
): TonightLine[] {
  const stage = stages.get(stageKey)
  if (!stage) return []
  const food = stageTitle(stage)
  const hours = wording.halfHours(fromLocalMin, fromHalf, toHalf)
  const fly = need.serves.flatMap(({ variant }) => short.get(variant.key) ?? [])[0]
  const mends = fly ? ` ${fly.patternName} ${fly.label}: ${fly.onHand} of ${fly.par}.${limitWords(fly)}` : ''
  const flies = need.serves.reduce((sum, { variant }) => sum + held(variant.key), 0)
  const text =
    standing === 'hole'
      ? `Nothing in your boxes for it: ${food}, ${hours}, ${wording.fishOnIt(onIt)} at most.${mends}`
      : `May run out: ${food}, ${hours}; ${flies} for it, chance that one lasts: ${wording.inTen(lasts)}.${mends}`
  return [
    {
      ...NOTHING,
      kind: 'lacking',
      text,
      foodStageId: stage.row.id,
      ...(fly ? { patternId: fly.patternId, variantId: fly.variantId, drawingKey: fly.drawingKey } : {}),
      onHand: fly?.onHand ?? 0,
      par: fly?.par ?? null,
    },
  ]
}

function lackingLine(short: RestockLine): TonightLine {
  const text = `${short.patternName} ${short.label}: ${short.onHand} of ${short.par}.${limitWords(short)}`
  const { patternId, variantId, onHand, par, drawingKey } = short
  return { ...NOTHING, kind: 'lacking', text, patternId, variantId, onHand, par, drawingKey }
}

/** A fly that is to be tied, how many, and how long each takes. */
interface ToTie {
  readonly line: RestockLine
  readonly count: number
  readonly minutesEach: number
}

const minutesOf = ({ count, minutesEach }: Omit<ToTie, 'line'>) => MINUTES_TO_START + count * minutesEach

/** What can be tied of a fly: no more than is missing, than the stores allow, than there is time for, and than six. */
const countToTie = ({ missing, allowed }: RestockLine, minutesEach: number, minutes: number) =>
  Math.min(
    missing,
    MOST_IN_A_BATCH,
    allowed ?? Infinity,
    Math.floor((minutes - MINUTES_TO_START) / minutesEach),
  )

function tieLine({ line, count, minutesEach }: ToTie): TonightLine {
  const minutes = Math.round(minutesOf({ count, minutesEach }))
  const text = `Tie ${wording.countInWords(count)} ${line.patternName} ${line.label}: about ${minutes} minutes, into ${line.compartmentLabel}.`
  const { patternId, variantId, onHand, par, drawingKey, compartmentId, compartmentLabel, allowed } = line
  const batch = {
    count,
    compartmentId,
    compartmentLabel,
    minutesEach,
    minutesToStart: MINUTES_TO_START,
    allowed,
  }
  return { ...NOTHING, kind: 'tie', text, patternId, variantId, onHand, par, drawingKey, batch }
}

function buyLine(lines: readonly RestockLine[]): TonightLine[] {
  const short = new Map<
    string,
    { materialId: RestockLine['shortOf'][number]['materialId']; name: string; for: string[] }
  >()
  for (const line of lines) {
    for (const { materialId, name } of line.shortOf) {
      const known = short.get(materialId) ?? { materialId, name, for: [] }
      known.for.push(line.patternName)
      short.set(materialId, known)
    }
  }
  const all = [...short.values()]
  if (all.length === 0) return []
  const named = all.slice(0, 3).map(({ name }) => name)
  const rest = all.length > 3 ? ` and ${wording.countInWords(all.length - 3)} more` : ''
  const text = `Buy, to fill what is short: ${named.join('; ')}${rest}.`
  return [{ ...NOTHING, kind: 'buy', text, materialId: all[0]?.materialId ?? null }]
}

/** The most urgent of what is short first, by the hours that filling each would add to the water ahead. */
function byUrgency(lines: readonly RestockLine[], ahead: CoverAhead): RestockLine[] {
  const hours = Math.max(ahead.cover.hours, 1)
  const added = hoursOfMore(
    ahead.needs,
    ahead.held,
    mapOf(lines, (line) => [line.variantId, line.missing]),
  )
  return lines
    .map((line) => ({ line, urgency: urgencyOf(line, (added.get(line.variantId) ?? 0) / hours) }))
    .sort((a, b) => b.urgency - a.urgency)
    .map(({ line }) => line)
}

/**
 * What to tie, one batch after the other: each time what is most urgent once those before it are tied, and of what they
 * and the bench leave in the stores.
 *
 * @param fishable what may be fished there, the most urgent first, once the bench has done its work
 */
function batchesToTie(
  fishable: ReadonlyMap<string, RestockLine>,
  { restock, queued, minutesEachOf }: Restocking,
  ahead: CoverAhead,
  minutes: number,
): readonly ToTie[] {
  const chosen: ToTie[] = []
  const tied = new Map(queued)
  let [now, left, lines] = [ahead, minutes, [...fishable.values()]]
  const countOf = (line: RestockLine) => countToTie(line, minutesEachOf(line.patternId), left)
  const isNext = (one: RestockLine) =>
    countOf(one) >= 1 &&
    fishable.has(one.variantId) &&
    chosen.every(({ line: { variantId } }) => variantId !== one.variantId)
  for (;;) {
    const line = lines.find(isNext)
    if (!line) return chosen
    const next = { line, count: countOf(line), minutesEach: minutesEachOf(line.patternId) }
    chosen.push(next)
    if (chosen.length === MOST_TO_TIE) return chosen
    left -= minutesOf(next)
    tied.set(line.variantId, (tied.get(line.variantId) ?? 0) + next.count)
    const before = now.held
    now = { ...now, held: (key) => before(key) + (key === line.variantId ? next.count : 0) }
    lines = byUrgency(restock(tied).filter(isNext), now)
  }
}

/** What is below what is kept once the bench has done its work, and of it what may be fished at the next water. */
interface Restocking {
  readonly restock: Awaited<ReturnType<typeof loadRestock>>
  /** flies to come of batches at the bench, by variant */
  readonly queued: ReadonlyMap<string, number>
  readonly mayBeFished: (line: RestockLine) => boolean
  readonly minutesEachOf: (patternId: PatternId) => number
}

async function loadRestocking(db: Reader, rules: FlyRules, usualPar: number): Promise<Restocking> {
  const lastingOf = await loadLasting(db)
  const mayBeFished = ({ variantId }: RestockLine) => {
    const variant = lastingOf(variantId)
    if (!variant) return true
    const { lead, weighted, barb, figure } = variant
    const floats = figure.kind === 'floats'
    return !forbiddenBy(rules, { floats, hookSize: figure.hookSize, lead, weighted, barb })
  }
  const paceOf = await loadMinutes(db)
  return {
    restock: await loadRestock(db, usualPar),
    queued: await loadQueuedFlies(db),
    mayBeFished,
    minutesEachOf: (patternId) => paceOf(patternId).minutesEach,
  }
}

type CoverAhead = Awaited<ReturnType<typeof loadCover>>

type Found = ReturnType<typeof standingsOf<CoverAhead['needs'][number]['serves'][number]['variant']>>[number]

interface LackingFrom {
  readonly stages: ReadonlyMap<string, Awaited<ReturnType<typeof loadStages>>[number]>
  /** flies that may be fished there and are below what is kept, by variant */
  readonly short: ReadonlyMap<string, RestockLine>
  readonly held: CoverAhead['held']
}

/** What the water ahead lacks: its holes, then what is thin, what most fish are on first. */
function lackingThere({ needs, held }: CoverAhead, ahead: PlanOuting, from: Omit<LackingFrom, 'held'>) {
  const found = standingsOf(needs, held)
  return (['hole', 'thin'] as const).flatMap((wanted) =>
    found
      .filter(({ standing }) => standing === wanted)
      .flatMap((one) => standingLine(one, ahead, { ...from, held })),
  )
}

/**
 * At most seven sentences in a fixed order: likely, lacking, tie, buy; where nothing was measured yet, what to measure.
 *
 * @param minutes at the bench; Infinity where nobody said
 */
export async function tonightView(db: Reader, clock: Clock, minutes = Infinity): Promise<TonightView> {
  const settings = await loadSettings(db)
  const now = localTime(clock.nowMs(), settings.body.timeZone)
  const usualPar = settings.body.parCount
  const reaches = await loadReaches(db)
  const planned = await nextOuting(db, now.on)
  const moment = await startingMoment(db, reaches, now)
  if (!moment) return { outing: null, moment: null, lines: [], empty: true }
  const place = reaches.find(({ reach }) => reach.id === moment.reachId)
  const where = place ? place.reach.name : ''
  const { foods } = await foodsAt(db, moment, usualPar, settings.body.units)
  const [ahead] = await waterAhead(db, now.on, moment)
  if (!ahead) return { outing: null, moment: null, lines: [], empty: true }
  const cover = await loadCover(db, ahead)
  // what the next water's note forbids is not what tonight asks for
  const restocking = await loadRestocking(db, ahead.rules, usualPar)
  const short = byUrgency(restocking.restock(restocking.queued), cover)
  const fishable = mapOf(short.filter(restocking.mayBeFished), (line) => [line.variantId, line])
  const lacking = lackingThere(cover, ahead, {
    stages: mapOf(await loadStages(db), (stage) => [stage.row.id, stage]),
    short: fishable,
  })
  const isUnnamed = ({ variantId }: RestockLine) => lacking.every((line) => line.variantId !== variantId)
  const lines = [
    ...likeliest(foods).map((food) => likelyLine(food, where, settings.body.units)),
    ...[...lacking, ...[...fishable.values()].filter(isUnnamed).slice(0, MOST_LACKING).map(lackingLine)].slice(
      0,
      MOST_LACKING,
    ),
    ...batchesToTie(fishable, restocking, cover, minutes).map(tieLine),
    ...buyLine(short).slice(0, MOST_TO_BUY),
  ]
  const measurement = await loadFirstMeasurement(db)
  if (measurement && lines.length < MOST_LINES) {
    const { row, text } = measurement
    const { patternId, id: variantId, label } = row.variant
    lines.push({
      ...NOTHING,
      kind: 'measure',
      text: `${row.patternName} ${label}: ${text}`,
      patternId,
      variantId,
    })
  }
  if (short.length === 0 && lacking.length === 0 && foods.length > 0) {
    lines.push({
      ...NOTHING,
      kind: 'covered',
      text: `Every fly with a place of its own is at what you keep${restocking.queued.size > 0 ? ', once the bench has done its work' : ''}.`,
    })
  }
  return {
    outing: planned
      ? {
          outingId: planned.id,
          on: planned.on,
          waterName: place?.water.name ?? '',
          reachName: where,
          fromLocalMin: planned.fromLocalMin,
          toLocalMin: planned.toLocalMin,
          techniques: [planned.technique, ...planned.alsoTechniques],
          rules: place ? place.water.rules : null,
        }
      : null,
    moment,
    lines,
    empty: false,
  }
}
