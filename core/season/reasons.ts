import { newYearOf, yearOf } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { broodsOf, firstDayOf, lastDayOf, saw, towardsStart, turnOf, windowOf } from './emergence/index.ts'
import type { EmergenceWindow, PlacedNote } from './emergence/index.ts'
import { seenShare } from './clarity.ts'
import { lengthOn, monthsAt } from './drawnStages.ts'
import type { FeedingScene } from './drawnStages.ts'
import type { FoodStage, Need } from './foodStage.ts'
import { hourWeight } from './hours.ts'
import { isMet } from './needs.ts'
import type { HourConditions } from './needs.ts'

/** Why a stage is about or not, as a code with values; each of them moved a figure. Wording makes the sentence. */
export type FeedingReason =
  | { readonly code: 'soon' | 'notYet' | 'over' | 'ending'; readonly days: number }
  | { readonly code: 'begun'; readonly days: number; readonly surely: boolean }
  | { readonly code: 'neverHere' }
  | { readonly code: 'toWarmth'; readonly tempC: number; readonly thresholdC: number; readonly rising: boolean }
  | { readonly code: 'toSum'; readonly sum: number; readonly wanted: number; readonly baseC: number }
  | {
      readonly code: 'seen'
      readonly day: EpochDay
      readonly reachKey: string
      readonly here: boolean
      readonly thisYear: boolean
    }
  | { readonly code: 'searched'; readonly times: number; readonly day: EpochDay; readonly thisYear: boolean }
  | { readonly code: 'byMonth' | 'kindOnly' | 'hourGood' | 'hourPoor' }
  | { readonly code: 'lessAtHome' | 'unlikelyHere'; readonly share: number }
  | { readonly code: 'smallInColoured' }
  | { readonly code: 'need'; readonly need: Need; readonly met: boolean | null }

const AT_HOME = 0.75
const YEAR_DAYS = 365
/** A start that lies so near is said to be soon. */
const SOON_DAYS = 10
const MOST_SEEN = 2

function ofWindows(windows: readonly EmergenceWindow[], dayOfYear: number): readonly FeedingReason[] {
  if (windows.length === 0) return [{ code: 'neverHere' }]
  const at = windows.flatMap((window) =>
    [dayOfYear, dayOfYear + YEAR_DAYS].map((day) => ({
      sinceFirst: day - firstDayOf(window),
      untilLast: lastDayOf(window) - day,
      surely: day > (window.onset[9] ?? 0),
    })),
  )
  const open = at.find(({ sinceFirst, untilLast }) => sinceFirst >= 0 && untilLast >= 0)
  if (open) {
    const { sinceFirst, untilLast, surely } = open
    if (untilLast < SOON_DAYS && untilLast < sinceFirst) return [{ code: 'ending', days: untilLast }]
    return [{ code: 'begun', days: sinceFirst, surely }]
  }
  const ahead = at.map(({ sinceFirst }) => (-sinceFirst + 2 * YEAR_DAYS) % YEAR_DAYS)
  const past = at.map(({ untilLast }) => (-untilLast + 2 * YEAR_DAYS) % YEAR_DAYS)
  const [coming, gone] = [Math.min(...ahead), Math.min(...past)]
  if (coming <= SOON_DAYS) return [{ code: 'soon', days: coming }]
  return [gone < coming ? { code: 'over', days: gone } : { code: 'notYet', days: coming }]
}

/** What was noted of its food here, and elsewhere where nobody saw it here; the latest first. */
function ofNotes(notes: readonly PlacedNote[], year: number): readonly FeedingReason[] {
  const latest = [...notes].sort((a, b) => b.note.day - a.note.day)
  const seen = latest.filter(saw)
  const here = seen.filter(({ weight }) => weight === 1)
  const told = here.length > 0 ? here.slice(0, MOST_SEEN) : seen.slice(0, 1)
  const vain = latest.filter((note) => !saw(note) && note.weight === 1)
  return [
    ...told.map(({ note, weight, year: then }): FeedingReason => ({ code: 'seen', day: note.day, reachKey: note.reachKey, here: weight === 1, thisYear: then === year })),
    ...(vain[0] ? [{ code: 'searched' as const, times: vain.length, day: vain[0].note.day, thisYear: vain[0].year === year }] : []),
  ] // prettier-ignore
}

/** How near the warmth is to what a stage waits for; only where it has not begun, and warmth is what it waits for. */
function ofWarmth(
  stage: FoodStage,
  scene: FeedingScene,
  waterC: (dayOfYear: number) => number,
  dayOfYear: number,
): readonly FeedingReason[] {
  // prettier-ignore
  const brood = scene.season.draws.broods.find(({ stageId, brood: nth }) => stageId === stage.id && nth === 0)
  const towards = brood && towardsStart(brood.trigger, waterC, dayOfYear)
  if (!towards) return []
  return towards.kind === 'threshold'
    ? [{ code: 'toWarmth', tempC: towards.tempC, thresholdC: towards.thresholdC, rising: towards.rising }]
    : [{ code: 'toSum', sum: towards.sum, wanted: towards.wanted, baseC: towards.baseC }]
}

/**
 * Why a stage is about at a moment or not.
 *
 * @param notes  of its food, as they count here
 * @param waterC daily mean of a day of the season's year, read or likely
 */
export function reasonsOf(
  stage: FoodStage,
  scene: FeedingScene,
  day: EpochDay,
  localMin: number,
  conditions: HourConditions,
  notes: readonly PlacedNote[],
  waterC: (dayOfYear: number) => number,
  measured: boolean,
): readonly FeedingReason[] {
  const { season, waterKind, latitudeDeg } = scene
  const turned = day - turnOf(latitudeDeg)
  const dayOfYear = turned - newYearOf(yearOf(turned))
  const reasons: FeedingReason[] = []
  if (broodsOf(stage).length > 0) {
    const windows = season.draws.broods
      .filter(({ stageId }) => stageId === stage.id)
      .flatMap((brood) => windowOf(brood) ?? [])
    const standing = ofWindows(windows, dayOfYear)
    reasons.push(...standing)
    if (standing.some(({ code }) => code === 'soon' || code === 'notYet'))
      reasons.push(...ofWarmth(stage, scene, waterC, dayOfYear))
    if (!measured) reasons.push({ code: 'kindOnly' })
  } else reasons.push({ code: 'byMonth' })
  reasons.push(...ofNotes(notes, yearOf(turned)))
  const presence = season.presence.get(stage.foodId) ?? 1
  const atHome = stage.waterKinds[waterKind] ?? 0
  if (presence < 0.5) reasons.push({ code: 'unlikelyHere', share: presence })
  else if (atHome < AT_HOME) reasons.push({ code: 'lessAtHome', share: atHome })
  const [, lengthMmHigh] = lengthOn(monthsAt(stage, latitudeDeg), day)
  if (seenShare(conditions.clarity, lengthMmHigh) < AT_HOME) reasons.push({ code: 'smallInColoured' })
  if (stage.needs) reasons.push({ code: 'need', need: stage.needs, met: isMet(stage.needs, conditions) })
  if (stage.hours.length > 0)
    reasons.push({
      code:
        hourWeight(stage, scene, day, localMin, conditions.weather ?? 'any') > 0.4 ? 'hourGood' : 'hourPoor',
    })
  return reasons
}
