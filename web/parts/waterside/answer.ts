import { isStillwater, waterside } from '../../../core/index.ts'
import type { Technique } from '../../../core/index.ts'
import type { AlongView, AlongWarmth, FlyAlong, StageAlong } from '../../../contract/index.ts'
import { dayOf, minuteOfDay } from '../../words/instants.ts'

/** A stage that fish are on, with what speaks for it. */
export interface OnStage {
  readonly stage: StageAlong
  readonly share: number
  /** by the season and the hour alone */
  readonly before: number
  /** signs seen that speak for it */
  readonly says: readonly waterside.Sign[]
  /** how many of it were in samples */
  readonly samples: readonly waterside.Counted[]
}

/** A packed fly to put on, and how. */
export interface Put {
  readonly fly: FlyAlong
  readonly way: Technique | null
  /** null where it is for fish that take whatever comes */
  readonly stage: StageAlong | null
  /** how well it does for them alone, 0 to 1; below {@link SERVES} it could pass, and no more */
  readonly does: number
  readonly shown: number
  readonly depthMm: number | null
}

/** From here on a fly is something to show to those it is put on for. */
export const SERVES = 0.5

/** A single change, and the fly that it takes. */
export interface Rung {
  readonly step: waterside.Step
  /** null where the same fly is fished on */
  readonly fly: FlyAlong | null
  /** how that fly is fished, and for which stage; null where nothing of it changes */
  readonly way: Technique | null
  readonly stageId: string | null
}

/** What is made of an hour at the water. */
export interface Answer {
  /** up to three, the most first */
  readonly stages: readonly OnStage[]
  readonly whatever: number
  readonly settles: waterside.Sign | null
  readonly put: Put | null
  readonly second: Put | null
  /** at home, and more to show than what is packed; null where nothing is */
  readonly atHome: FlyAlong | null
}

const HALF_HOUR_MIN = 30
/** What a fly at home must do beyond the best that is packed, to be named. */
const BETTER = 1.25

/** Which half hour of an outing a minute of the day falls in. */
export const halfOf = ({ fromLocalMin, whatever }: AlongView, localMin: number): number =>
  Math.min(Math.max(Math.floor((localMin - fromLocalMin) / HALF_HOUR_MIN), 0), whatever.length - 1)

/** How many of a fly are still aboard, after what was noted as lost. */
export const aboardNow = (
  { variantId, aboard }: FlyAlong,
  { lost }: waterside.Standing,
  booked: readonly string[],
): number =>
  Math.max(
    aboard -
      lost
        .filter(({ id }) => !booked.includes(id))
        .flatMap(({ variantKeys }) => variantKeys)
        .filter((key) => key === variantId).length,
    0,
  )

/**
 * How much warmer the water was read than it was reckoned to be then, °C; null where nothing was read, or reckoned. What is
 * read on another day, to try it out, is held against the middle of the outing.
 */
export function warmerThanReckoned(
  along: AlongView,
  warmth: AlongWarmth | null,
  { waterTempC, waterReadAtMs }: waterside.Standing,
): number | null {
  if (!warmth || waterTempC === null || waterReadAtMs === null) return null
  const { outing, timeZone } = along
  const isOnDay = dayOf(waterReadAtMs, timeZone) === outing.on
  const localMin = isOnDay
    ? minuteOfDay(waterReadAtMs, timeZone)
    : (outing.fromLocalMin + outing.toLocalMin) / 2
  const reckonedC = warmth.reckonedC[halfOf(along, localMin)]
  return reckonedC === undefined ? null : waterTempC - reckonedC
}

/** What of a reckoning falls on a half hour. */
const atHalf = <Row extends Pick<AlongWarmth['rows'][number], 'onIt' | 'whatever'>>(
  row: Row,
  half: number,
) => ({
  ...row,
  onIt: row.onIt.map((own) => own[half] ?? 0),
  whatever: row.whatever[half] ?? 0,
})

/** What fish are on by the season at a half hour, as warm as water and air were read. */
function sharesAt(
  along: AlongView,
  warmth: AlongWarmth | null,
  standing: waterside.Standing,
  half: number,
): waterside.Shares {
  const { stages, whatever } = along
  const reckoned = atHalf({ onIt: stages.map(({ onIt }) => onIt), whatever }, half)
  const warmerC = warmerThanReckoned(along, warmth, standing)
  const rows = warmth?.rows.map((row) => atHalf(row, half)) ?? []
  const byWater = warmerC === null || rows.length === 0 ? reckoned : waterside.ifWarmer(rows, warmerC)
  const { airTempC } = standing
  const air = warmth?.air.filter(({ fromC }) => airTempC !== null && (fromC ?? -Infinity) <= airTempC).at(-1)
  const read = air ? waterside.movedAlike(byWater, reckoned, atHalf(air, half)) : byWater
  return {
    stages: stages.map(({ foodStageId, foodKey, groupKey, stage }, i) => ({
      ...{ id: foodStageId, foodKey, groupKey, stage },
      share: read.onIt[i] ?? 0,
    })),
    whatever: read.whatever,
  }
}

/** Signs that were looked for, without what the forecast knows already. */
function lookedAt(along: AlongView, { looked }: waterside.Standing): readonly waterside.Looked[] {
  const ticked = waterside.SIGNS.flatMap((sign): waterside.Looked[] => {
    const seen = looked.get(sign.key)
    return seen === undefined ? [] : [{ sign, seen }]
  })
  return waterside.notForecast(ticked, new Set(along.known))
}

type Listed = AlongView['showings'][number]
const toShowing = ({ flies, stages }: AlongView, listed: Listed): waterside.Showing => ({
  key: flies[listed.fly]?.variantId ?? '',
  way: listed.way,
  stages: new Map(listed.stages.map(([at, does]) => [stages[at]?.foodStageId ?? '', does])),
  whatever: listed.whatever,
})

/** What fish are on, as far as was seen, and what is packed to put on for them; worked out once for an outing and each tap. */
export class Waterside {
  private readonly all: readonly waterside.Showing[]
  private readonly byKey: ReadonlyMap<string, FlyAlong>
  private readonly stageById: ReadonlyMap<string, StageAlong>

  private readonly along: AlongView
  private readonly warmth: AlongWarmth | null

  /** @param warmth what fish would be on were the water warmer or colder; null where shares do not follow what was read */
  constructor(along: AlongView, warmth: AlongWarmth | null = null) {
    this.along = along
    this.warmth = warmth
    this.all = along.showings.map((listed) => toShowing(along, listed))
    this.byKey = new Map(along.flies.map((fly) => [fly.variantId, fly]))
    this.stageById = new Map(along.stages.map((stage) => [stage.foodStageId, stage]))
  }

  /** What fish are on at a half hour after what was seen. */
  shares(standing: waterside.Standing, half: number): waterside.Shares {
    return waterside.reckon(this.sampled(standing, half), lookedAt(this.along, standing))
  }

  answer(standing: waterside.Standing, half: number): Answer {
    const before = this.bySeason(standing, half)
    const sampled = this.sampled(standing, half)
    const looked = lookedAt(this.along, standing)
    const shares = waterside.reckon(sampled, looked)
    const aboard = this.aboard(standing)
    const choices = waterside.choose(aboard, shares, 2)
    const [first, second] = choices.map((choice) => this.put(choice))
    const home = waterside.choose(this.all, shares, 1)[0]
    const fly = home && this.byKey.get(home.showing.key)
    const isMissed = home && fly?.aboard === 0 && home.shown > BETTER * (first?.shown ?? 0)
    const [settles] = waterside.whatSettles(sampled, looked, this.worthLooking())
    return {
      stages: shares.stages
        .toSorted((a, b) => b.share - a.share)
        .slice(0, 3)
        .flatMap((on) => this.onStage(on, before, looked, standing.counted)),
      whatever: shares.whatever,
      settles: settles?.sign ?? null,
      put: first ?? null,
      second: second ?? null,
      atHome: isMissed ? (fly ?? null) : null,
    }
  }

  /** The next single change for a fish that did something with the fly that is on; null where none is on. */
  next(refusal: waterside.Refusal, standing: waterside.Standing, half: number): Rung | null {
    const now = this.onNow(standing, half)
    const last = standing.fished.at(-1)
    if (!now || !last) return null
    const trial = {
      where: now.on.posture === null ? 'under' : 'onTop',
      cleanDrifts: last.drifts,
      tried: standing.tried,
      can: (step: waterside.Step) => waterside.canStep(step, now),
    } as const
    return this.rung(waterside.nextStep(refusal, trial, this.along.school), now)
  }

  /** What stands ready should a fly be looked at and refused: the next two changes. */
  rungs(put: Put, standing: waterside.Standing, half: number): readonly Rung[] {
    const now = this.nowWith(put.fly, put.stage?.foodStageId ?? null, standing, half)
    const where = now.on.posture === null ? 'under' : 'onTop'
    const found: Rung[] = []
    while (found.length < 2) {
      const tried = new Set(found.map(({ step }) => step))
      const named = new Set<string>(found.flatMap(({ fly }) => fly?.variantId ?? []))
      const left = { ...now, aboard: now.aboard.filter(({ key }) => !named.has(key)) }
      const can = (one: waterside.Step) => waterside.STEPS[one] === 'fly' && waterside.canStep(one, left)
      const trial = { where, cleanDrifts: Infinity, tried, can } as const
      const step = waterside.nextStep('turned', trial, this.along.school)
      if (step === 'leave') return found
      found.push(this.rung(step, left))
    }
    return found
  }

  /** The packed fly that does most for one stage, and how much, 0 to 1; for whatever comes where it is null. */
  putFor(stageId: string | null, standing: waterside.Standing): Put | null {
    const stages = this.along.stages.map(({ foodStageId, foodKey, groupKey, stage }) => ({
      ...{ id: foodStageId, foodKey, groupKey, stage },
      share: foodStageId === stageId ? 1 : 0,
    }))
    const shares = { stages, whatever: stageId === null ? 1 : 0 }
    const [choice] = waterside.choose(this.aboard(standing), shares, 1)
    return (choice && this.put(choice)) ?? null
  }

  /** What lies at home and does at least so much for a stage; null where nothing does. */
  homeFor(stageId: string | null, least: number): FlyAlong | null {
    const does = ({ stages, whatever }: waterside.Showing) =>
      stageId === null ? whatever : (stages.get(stageId) ?? 0)
    const [best] = this.all
      .filter((showing) => this.byKey.get(showing.key)?.aboard === 0 && does(showing) >= least)
      .toSorted((a, b) => does(b) - does(a))
    return (best && this.byKey.get(best.key)) ?? null
  }

  /** Packed flies that are one step from another; null where a step has none. */
  stepsFrom(
    put: Put,
    standing: waterside.Standing,
    steps: readonly waterside.Step[],
  ): readonly (FlyAlong | null)[] {
    const now = this.nowWith(put.fly, put.stage?.foodStageId ?? null, standing, 0)
    return steps.map((step) => this.rung(step, now).fly)
  }

  get isStill(): boolean {
    return isStillwater(this.along.waterKind)
  }

  flyOf(key: string): FlyAlong | undefined {
    return this.byKey.get(key)
  }

  /** What fish are on at a half hour, and what is packed to show to them; where nothing is packed, what lies at home. */
  dayAt(half: number, standing: waterside.Standing): Pick<waterside.OnNow, 'shares' | 'showings'> {
    const aboard = this.aboard(standing)
    return { shares: this.shares(standing, half), showings: aboard.length > 0 ? aboard : this.all }
  }

  /** What fish are on by the season, the thermometer and the samples. */
  private sampled(standing: waterside.Standing, half: number): waterside.Shares {
    const bandOf = (id: string) => this.stageById.get(id)?.band ?? 'bottom'
    return waterside.afterSamples(this.bySeason(standing, half), standing.counted, bandOf)
  }

  /** What fish are on by the season and the thermometer. */
  private bySeason(standing: waterside.Standing, half: number): waterside.Shares {
    return sharesAt(this.along, this.warmth, standing, half)
  }

  private aboard(standing: waterside.Standing): readonly waterside.Showing[] {
    const left = new Set(
      this.along.flies
        .filter((fly) => aboardNow(fly, standing, this.along.booked) > 0)
        .map(({ variantId }) => variantId as string),
    )
    return this.all.filter(({ key }) => left.has(key))
  }

  private put({ showing, stageId, shown }: waterside.Choice): Put | undefined {
    const fly = this.byKey.get(showing.key)
    const at = fly ? this.along.flies.indexOf(fly) : -1
    const listed = this.along.showings.find((one) => one.fly === at && one.way === showing.way)
    const stage = this.stageById.get(stageId ?? '') ?? null
    const does = stage ? (showing.stages.get(stage.foodStageId) ?? 0) : showing.whatever
    return fly && { fly, way: showing.way, stage, does, shown, depthMm: listed?.depthMm ?? null }
  }

  private onStage(
    on: waterside.OnStage,
    before: waterside.Shares,
    looked: readonly waterside.Looked[],
    counted: readonly waterside.Counted[],
  ): readonly OnStage[] {
    const stage = this.stageById.get(on.id)
    if (!stage) return []
    const says = looked.flatMap(({ sign, seen }) => (seen && waterside.speaksFor(sign, on) ? [sign] : []))
    const was = before.stages.find(({ id }) => id === on.id)?.share ?? 0
    return [
      {
        stage,
        share: on.share,
        before: was,
        says,
        samples: counted.filter(({ stageId }) => stageId === on.id),
      },
    ]
  }

  /** Conditions that the forecast knows are not looked for. */
  private worthLooking(): readonly waterside.Sign[] {
    const known = new Set(this.along.known)
    return waterside.SIGNS.filter(({ key }) => !known.has(key))
  }

  private onNow(standing: waterside.Standing, half: number): waterside.OnNow | null {
    const last = standing.fished.at(-1)
    const fly = last && this.byKey.get(last.variantKey)
    return fly ? this.nowWith(fly, last.stageKey, standing, half) : null
  }

  private nowWith(
    fly: FlyAlong,
    stageId: string | null,
    standing: waterside.Standing,
    half: number,
  ): waterside.OnNow {
    const left = this.along.flies.filter((one) => aboardNow(one, standing, this.along.booked) > 0)
    const shares = this.shares(standing, half)
    return { on: toAboard(fly), stageId, aboard: left.map(toAboard), showings: this.aboard(standing), shares }
  }

  private rung(step: waterside.Step, now: waterside.OnNow): Rung {
    const key = waterside.flyForStep(step, now)
    const fly = (key === null ? undefined : this.byKey.get(key)) ?? null
    if (!fly) return { step, fly, way: null, stageId: null }
    const own = now.showings.filter((showing) => showing.key === key)
    const [best] = waterside.choose(own, now.shares, 1)
    return { step, fly, way: best?.showing.way ?? null, stageId: best?.stageId ?? null }
  }
}

const toAboard = ({ variantId, figure, palette, cut }: FlyAlong): waterside.FlyAboard => ({
  key: variantId,
  hookSize: figure.hookSize,
  posture: figure.kind === 'floats' ? figure.posture : null,
  fallMmPerS: figure.kind === 'sinks' ? figure.sinkSpeedMmPerS : null,
  palette,
  canBeCut: cut !== null,
})
