import { forbiddenBy, urgencyOf, wording } from '../../core/index.ts'
import type { DisplayUnits, FlyRules } from '../../core/index.ts'
import type { FoodAtMoment, RestockLine, TonightLine, TonightView } from '../../contract/index.ts'
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
import { loadServes } from '../read/patterns.ts'
import { loadSettings } from '../read/settings.ts'

const MOST_LIKELY = 2
const MOST_LACKING = 2
const MOST_TO_TIE = 2
const MOST_TO_BUY = 1
/** Share of the fish from which on a food without a fly is told of. */
const MATTERS = 0.06
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

function uncoveredLine(food: FoodAtMoment): TonightLine {
  const text = `Nothing in your boxes for it: ${food.name}.`
  return { ...NOTHING, kind: 'lacking', text, foodStageId: food.foodStageId, onHand: 0, par: null }
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

/** Holes in the order of the water ahead: what serves a likely food first, then the emptiest; and those that its note allows. */
async function orderedHoles(
  db: Reader,
  rules: FlyRules | null,
  foods: readonly FoodAtMoment[],
  usualPar: number,
): Promise<{ readonly holes: readonly RestockLine[]; readonly fishable: readonly RestockLine[] }> {
  const lasting = await loadLasting(db)
  const mayBeFished = ({ variantId }: RestockLine) => {
    const variant = lasting.get(variantId)
    if (!rules || !variant) return true
    const { lead, weighted, figure } = variant
    return !forbiddenBy(rules, { floats: figure.kind === 'floats', hookSize: figure.hookSize, lead, weighted })
  }
  const holes = await restockLines(db, usualPar)
  const served = await loadServes(db)
  const worth = new Map<string, number>()
  for (const { patternId, foodStageId, weight } of served) {
    const food = foods.find((candidate) => candidate.foodStageId === foodStageId)
    if (food) worth.set(patternId, Math.max(worth.get(patternId) ?? 0, weight * food.onIt))
  }
  const urgency = (hole: RestockLine) => urgencyOf(hole, worth.get(hole.patternId) ?? 0)
  const ordered = [...holes].sort((a, b) => urgency(b) - urgency(a))
  return { holes: ordered, fishable: ordered.filter(mayBeFished) }
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
  // what the next water's note forbids is not what tonight asks for
  const { holes, fishable } = await orderedHoles(
    db,
    planned ? (place?.water.rules ?? null) : null,
    foods,
    usualPar,
  )
  const minutesOf = await loadMinutes(db)
  const uncovered = foods.filter(({ onHand, par, onIt }) => onHand === 0 && par === 0 && onIt > MATTERS)
  const lines = [
    ...likeliest(foods).map((food) => likelyLine(food, where, settings.body.units)),
    ...[...fishable.slice(0, MOST_LACKING).map(lackingLine), ...uncovered.map(uncoveredLine)].slice(
      0,
      MOST_LACKING,
    ),
    ...fishable
      .filter(canBeTied)
      .slice(0, MOST_TO_TIE)
      .map((hole) => tieLine(hole, minutesOf(hole.patternId).minutesEach)),
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
