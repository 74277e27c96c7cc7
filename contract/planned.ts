import { behaviourOfListed } from '../core/index.ts'
import type {
  ComingOuting,
  FoodStage,
  PlanInputs,
  ServingVariant,
  StageLooks,
  TieableVariant,
  WaterKind,
} from '../core/index.ts'
import type { CompartmentId } from './common.ts'
import type { SettingsBody } from './records/settings.ts'
import type { PlanOuting, PlanView } from './views/plan.ts'

type WireVariant = PlanView['variants'][number]
type WirePattern = PlanView['patterns'][number]

/** A variant with all that the plan's answer says of it in several places. */
export interface PlannedVariant
  extends Omit<WireVariant, 'pattern' | 'place' | 'bill' | 'setup'>, Omit<WirePattern, 'name'> {
  /** of pattern and variant */
  readonly name: string
  readonly compartmentId: CompartmentId | null
  /** where it lies, in words; empty where it has no place */
  readonly compartmentLabel: string
  readonly bill: readonly { readonly materialId: string; readonly perFly: number }[]
  /** drawers that change at the bench from one fly to the next; empty where it has none of the sort */
  readonly setup: { readonly thread: string; readonly hook: string; readonly bead: string }
}

/** The plan's answer with its variants put together. */
export interface Planned extends Omit<PlanView, 'variants'> {
  readonly variants: readonly PlannedVariant[]
}

/**
 * Variants put together from what the plan's answer says of them in several places. Each thing is named: objects that
 * are spread over one another are some seventy times as slow to make, and this is done after every write.
 */
export function plannedVariants({
  variants,
  patterns,
  places,
  drawers,
}: Pick<PlanView, 'variants' | 'patterns' | 'places' | 'drawers'>): readonly PlannedVariant[] {
  const drawer = (at: number | null): string => (at === null ? '' : (drawers[at]?.materialId ?? ''))
  return variants.flatMap((variant) => {
    const pattern = patterns[variant.pattern]
    const place = variant.place === null ? undefined : places[variant.place]
    if (!pattern) return []
    return {
      variantId: variant.variantId,
      patternId: pattern.patternId,
      name: `${pattern.name} ${variant.label}`,
      label: variant.label,
      figure: variant.figure,
      look: variant.look,
      onHand: variant.onHand,
      queued: variant.queued,
      lost: variant.lost,
      hoursFished: variant.hoursFished,
      trust: variant.trust,
      dislike: pattern.dislike,
      minutesEach: pattern.minutesEach,
      timedFlies: pattern.timedFlies,
      meantFor: pattern.meantFor,
      purpose: pattern.purpose,
      roles: pattern.roles,
      ownMonths: pattern.ownMonths,
      ways: pattern.ways,
      waters: pattern.waters,
      lead: variant.lead,
      weighted: variant.weighted,
      barb: variant.barb,
      nightsToDry: variant.nightsToDry,
      compartmentId: place?.compartmentId ?? null,
      compartmentLabel: place?.label ?? '',
      // cover is asked without drawers, of thousands of flies
      bill:
        drawers.length === 0 ? [] : variant.bill.map(([at, perFly]) => ({ materialId: drawer(at), perFly })),
      setup: {
        thread: drawer(variant.setup.thread),
        hook: drawer(variant.setup.hook),
        bead: drawer(variant.setup.bead),
      },
    }
  })
}

/** The plan's answer put together: each variant with what the answer says of its pattern, place and drawers. */
export const plannedOf = (view: PlanView): Planned => ({ ...view, variants: plannedVariants(view) })

/** A variant as foods are held against it. */
export const toServing = (variant: PlannedVariant): ServingVariant => ({
  key: variant.variantId,
  patternKey: variant.patternId,
  behaviour: behaviourOfListed(variant.figure),
  look: variant.look,
  onHand: variant.onHand,
  meantFor: variant.meantFor,
  purpose: variant.purpose,
  roles: variant.roles,
  ownMonths: variant.ownMonths,
  ways: variant.ways,
  waters: variant.waters,
  hookSize: variant.figure.hookSize,
  lead: variant.lead,
  weighted: variant.weighted,
  barb: variant.barb,
})

/** A variant as core plans with it. */
export const toTieable = (variant: PlannedVariant): TieableVariant =>
  Object.assign(toServing(variant), {
    queued: variant.queued,
    placeKey: variant.compartmentId,
    minutesEach: variant.minutesEach,
    nightsToDry: variant.nightsToDry,
    dislike: variant.dislike,
    lost: variant.lost,
    hoursFished: variant.hoursFished,
    trust: variant.trust,
    bill: variant.bill.map(({ materialId, perFly }) => ({ materialKey: materialId, perFly })),
  })

/** Mean share of the fish that are on a food over an outing. */
export const meanShare = (onIt: readonly number[]): number =>
  onIt.reduce((sum, share) => sum + share, 0) / Math.max(onIt.length, 1)

/** An outing as core holds the boxes against it. */
export const toComing = ({ outingId, waterKind, foods, ...outing }: PlanOuting): ComingOuting => ({
  ...outing,
  key: outingId,
  waterKind: waterKind as WaterKind,
  foods: foods.map(({ foodStageId, ...food }) => ({ ...food, stageKey: foodStageId })),
})

/** What else a plan hangs on. */
export interface PlanSetting {
  /** YYYY-MM-DD */
  readonly today: string
  readonly settings: Pick<SettingsBody, 'serviceLevel' | 'school' | 'evenings'>
  readonly stages: readonly (FoodStage & StageLooks)[]
}

/**
 * What core makes plans and covers from.
 *
 * @param newcomers variants that are not made yet, and could be
 */
export function planInputs(
  planned: Planned,
  newcomers: readonly TieableVariant[],
  { today, settings, stages }: PlanSetting,
): PlanInputs {
  const { serviceLevel, school, evenings } = settings
  return {
    today,
    serviceLevel,
    school,
    evenings: { ...evenings, differing: planned.evenings },
    stages,
    choices: planned.choices,
    snagginessFished: planned.snagginessFished,
    unnoted: planned.unnoted,
    outings: planned.outings.map(toComing),
    variants: [...planned.variants.map(toTieable), ...newcomers],
    drawers: planned.drawers.map(({ materialId, onHand, leadTimeDays }) => ({
      key: materialId,
      onHand,
      leadTimeDays,
    })),
    places: planned.places.flatMap(({ compartmentId, room }) =>
      room === null ? [] : [{ key: compartmentId, room }],
    ),
  }
}
