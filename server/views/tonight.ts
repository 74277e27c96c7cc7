import { forbiddenBy, HALF_HOUR, outingCover, urgencyOf, wording } from '../../core/index.ts'
import type { DisplayUnits, FlyRules } from '../../core/index.ts'
import type {
  FoodAtMoment,
  FoodStageId,
  Moment,
  OutingId,
  PlanOuting,
  RestockLine,
  TonightLine,
  TonightView,
} from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { loadReaches } from '../read/reaches.ts'
import { ruleLines, startingMoment } from './moment.ts'
import { loadMinutes } from '../read/minutes.ts'
import { restockLines } from './restock.ts'
import { localTime } from '../clock/localTime.ts'
import { foodsAt } from '../read/likely.ts'
import { nextOuting } from '../read/outings.ts'
import { loadLasting } from '../read/lasting.ts'
import { comingOutings, outingAt } from '../read/comingOutings.ts'
import { coverOfOuting } from '../read/outingCover.ts'
import { loadStages, stageTitle } from '../read/stages.ts'
import { loadSettings } from '../read/settings.ts'

const MOST_LIKELY = 2
const MOST_LACKING = 2
const MOST_TO_TIE = 2
const MOST_TO_BUY = 1
/** Hours of the water ahead from which on a food without a fly is told of. */
const MATTERS_HOURS = 0.15
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
  const elsewhere = foods.filter(({ band }) => band !== first.band)
  return [first, ...elsewhere].slice(0, MOST_LIKELY)
}

function uncoveredLine(foodStageId: FoodStageId, name: string, hours: number): TonightLine {
  const text = `Nothing in your boxes for it: ${name}, ${wording.shortHours(hours)} of the next outing.`
  return { ...NOTHING, kind: 'lacking', text, foodStageId, onHand: 0, par: null }
}

function lackingLine(hole: RestockLine): TonightLine {
  const limit =
    hole.allowed !== null && hole.allowed < hole.missing
      ? ` ${sentenceStart(hole.limitedBy ?? 'stores')} for ${wording.countInWords(hole.allowed)}.`
      : ''
  const text = `${hole.patternName} ${hole.label}: ${hole.onHand} of ${hole.par}.${limit}`
  const { patternId, variantId, onHand, par, drawingKey } = hole
  return { ...NOTHING, kind: 'lacking', text, patternId, variantId, onHand, par, drawingKey }
}

/** What can be tied of a hole tonight: no more than is missing, than the stores allow, and than six. */
const countToTie = (hole: RestockLine) => Math.min(hole.missing, 6, hole.allowed ?? 6)
const canBeTied = (hole: RestockLine) => countToTie(hole) >= 1

function tieLine(hole: RestockLine, minutesEach: number): TonightLine {
  const count = countToTie(hole)
  const minutes = Math.round(MINUTES_TO_START + count * minutesEach)
  const text = `Tie ${wording.countInWords(count)} ${hole.patternName} ${hole.label}: about ${minutes} minutes, into ${hole.compartmentLabel}.`
  const { patternId, variantId, onHand, par, drawingKey, compartmentId, compartmentLabel, allowed } = hole
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

function buyLine(holes: readonly RestockLine[]): TonightLine[] {
  const short = new Map<
    string,
    { materialId: RestockLine['shortOf'][number]['materialId']; name: string; for: string[] }
  >()
  for (const hole of holes) {
    for (const { materialId, name } of hole.shortOf) {
      const known = short.get(materialId) ?? { materialId, name, for: [] }
      known.for.push(hole.patternName)
      short.set(materialId, known)
    }
  }
  const all = [...short.values()]
  if (all.length === 0) return []
  const named = all.slice(0, 3).map(({ name }) => name)
  const rest = all.length > 3 ? ` and ${wording.countInWords(all.length - 3)} more` : ''
  const text = `Buy, to fill every hole: ${named.join('; ')}${rest}.`
  return [{ ...NOTHING, kind: 'buy', text, materialId: all[0]?.materialId ?? null }]
}

/** An outing that is reckoned with where none is planned: an hour and a half on both sides of the moment. */
const AROUND_MIN = 90

/** The water ahead: the next outing, or else the hours around the moment at its reach. */
async function aheadOf(db: Reader, today: string, moment: Moment): Promise<PlanOuting | null> {
  const [coming] = await comingOutings(db, today)
  if (coming) return coming
  const place = (await loadReaches(db)).find(({ reach }) => reach.id === moment.reachId)
  if (!place) return null
  const { on, localMin } = moment
  return outingAt(db, place, {
    id: 'moment' as OutingId,
    on,
    fromLocalMin: Math.max(localMin - AROUND_MIN, 0),
    toLocalMin: Math.min(localMin + AROUND_MIN, LAST_MIN),
    techniques: [],
  })
}
const LAST_MIN = 24 * 60 - 1

/** Hours that some more flies of a variant would add to the water ahead. */
function addedHours({ needs, held }: CoverAhead, variantId: string, count: number): number {
  const own = needs.filter(({ serves }) => serves.some(({ variant }) => variant.key === variantId))
  if (own.length === 0) return 0
  const more = outingCover(own, (key) => held(key) + (key === variantId ? count : 0))
  return more.shown - outingCover(own, held).shown
}

/** The most urgent of some holes first, by the hours that filling each would add to the water ahead. */
function byUrgency(holes: readonly RestockLine[], ahead: CoverAhead): readonly RestockLine[] {
  const hours = Math.max(ahead.cover.hours, 1)
  const urgency = new Map(
    holes.map((hole) => [
      hole.variantId,
      urgencyOf(hole, addedHours(ahead, hole.variantId, hole.missing) / hours),
    ]),
  )
  return [...holes].sort((a, b) => (urgency.get(b.variantId) ?? 0) - (urgency.get(a.variantId) ?? 0))
}

/** What to tie, one batch after the other: each time what is most urgent once those before it are tied. */
function batchesToTie(holes: readonly RestockLine[], ahead: CoverAhead): readonly RestockLine[] {
  const chosen: RestockLine[] = []
  let now = ahead
  for (let left = holes.filter(canBeTied); chosen.length < MOST_TO_TIE && left.length > 0;) {
    const [first, ...rest] = byUrgency(left, now)
    if (!first) break
    chosen.push(first)
    left = rest
    const before = now.held
    now = { ...now, held: (key) => before(key) + (key === first.variantId ? countToTie(first) : 0) }
  }
  return chosen
}

/** Holes in the order of the water ahead; and those that can be fished there. */
async function orderedHoles(db: Reader, ahead: CoverAhead, rules: FlyRules, usualPar: number) {
  const lasting = await loadLasting(db)
  const mayBeFished = ({ variantId }: RestockLine) => {
    const variant = lasting.get(variantId)
    if (!variant) return true
    const { lead, weighted, barb, figure } = variant
    const floats = figure.kind === 'floats'
    return !forbiddenBy(rules, { floats, hookSize: figure.hookSize, lead, weighted, barb })
  }
  const holes = byUrgency(await restockLines(db, usualPar), ahead)
  return { holes, fishable: holes.filter(mayBeFished) }
}

type CoverAhead = Awaited<ReturnType<typeof coverOfOuting>>

/** Foods of the water ahead that nothing in the boxes serves, the most hours first. */
function uncoveredFoods({
  needs,
  held,
}: CoverAhead): readonly { readonly stageKey: string; readonly hours: number }[] {
  return needs
    .filter(({ reachable, serves }) => reachable && !serves.some(({ variant }) => held(variant.key) > 0))
    .flatMap(({ stageKey, onIt }) =>
      stageKey === null ? [] : [{ stageKey, hours: HALF_HOUR * onIt.reduce((sum, share) => sum + share, 0) }],
    )
    .filter(({ hours }) => hours >= MATTERS_HOURS)
    .sort((a, b) => b.hours - a.hours)
}

/** At most seven sentences in a fixed order: likely, lacking, tie, buy. */
export async function tonightView(db: Reader, clock: Clock): Promise<TonightView> {
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
  const ahead = await aheadOf(db, now.on, moment)
  if (!ahead) return { outing: null, moment: null, lines: [], empty: true }
  const cover = await coverOfOuting(db, ahead)
  // what the next water's note forbids is not what tonight asks for
  const { holes, fishable } = await orderedHoles(db, cover, ahead.rules, usualPar)
  const minutesOf = await loadMinutes(db)
  const titles = new Map((await loadStages(db)).map((stage) => [stage.row.id as string, stage]))
  const uncovered = uncoveredFoods(cover).flatMap(({ stageKey, hours }) => {
    const stage = titles.get(stageKey)
    return stage ? [uncoveredLine(stage.row.id, stageTitle(stage), hours)] : []
  })
  const lines = [
    ...likeliest(foods).map((food) => likelyLine(food, where, settings.body.units)),
    ...[...fishable.slice(0, MOST_LACKING).map(lackingLine), ...uncovered].slice(0, MOST_LACKING),
    ...batchesToTie(fishable, cover).map((hole) => tieLine(hole, minutesOf(hole.patternId).minutesEach)),
    ...buyLine(holes).slice(0, MOST_TO_BUY),
  ]
  if (holes.length === 0 && foods.length > 0) {
    lines.push({ ...NOTHING, kind: 'covered', text: 'Every fly with a place of its own is at what you keep.' })
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
          rules: place ? ruleLines(place.water.rules) : [],
        }
      : null,
    moment,
    lines,
    empty: false,
  }
}
