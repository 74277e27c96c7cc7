import { bottomAspect, matchFly } from '../match/index.ts'
import type { FlyMatch, MatchPlace, School, StageLooks } from '../match/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'
import { fallFor } from '../technique/index.ts'
import type { Technique } from '../technique/index.ts'
import type { ServingVariant } from './inputs.ts'
import { forbiddenBy, isWayAllowed } from './rules.ts'
import type { FlyRules, Forbidden } from './rules.ts'

/** Where and how flies are held against what fish are on. */
export interface ServingPlace {
  readonly waterKind: WaterKind
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
  /** how it is fished; empty where nobody said, and then each fly in its own ways */
  readonly techniques: readonly Technique[]
  readonly rules: FlyRules
  readonly school: School
}

/** A fly for a food, and how well it does, 0 to 1. */
export interface Serving<Variant extends ServingVariant = ServingVariant> {
  readonly variant: Variant
  readonly quality: number
  readonly meant: boolean
}

/** The flies for a food, the best first, those that are meant for it before the rest. */
export interface ServedBy<Variant extends ServingVariant = ServingVariant> {
  readonly serves: readonly Serving<Variant>[]
  /** for fish that are not particular: counted apart */
  readonly couldPass: readonly Serving<Variant>[]
  /** what would serve, were it not for the user's note of the water */
  readonly barred: readonly { readonly variant: Variant; readonly why: Forbidden }[]
}

/** From here on fish look closely: what is made to be noticed is no imitation then. */
const CHOOSY = 0.5
/** How well a fly does with a fish that takes whatever comes, by what it was made for. Judgement. */
const WHATEVER = { searching: 0.9, attractor: 0.85, imitation: 0.6 }
/** From this speed on a fly takes a team down, mm/s. */
const ANCHOR_MM_PER_S = 300

/** The ways in which a fly is fished there; empty where nobody said, null where the note forbids all of them. */
function waysOf({ techniques, rules }: ServingPlace, { ways }: ServingVariant): readonly Technique[] | null {
  const said = techniques.length > 0 ? techniques : ways
  const allowed = said.filter((way) => isWayAllowed(rules, way))
  return said.length > 0 && allowed.length === 0 ? null : allowed
}

/** Whether the tier keeps it for fish that look closely. */
export const isQuiet = ({ roles }: ServingVariant): boolean =>
  roles.includes('whenChoosy') || roles.includes('muted')

/** Whether its pattern is one for this kind of water. */
const isFishedOn = ({ waters }: ServingVariant, { waterKind }: ServingPlace) =>
  waters.length === 0 || waters.includes(waterKind)

/** Whether it can be fished at all as the day is fished. */
function isShown(place: ServingPlace, variant: ServingVariant): boolean {
  const ways = waysOf(place, variant)
  if (ways === null) return false
  return ways.length === 0 || ways.some((way) => fallFor(way, variant.behaviour) !== null)
}

/** The first rule of the place's note that a variant breaks; null where it may be fished. */
export const forbiddenAt = (rules: FlyRules, variant: ServingVariant): Forbidden | null =>
  forbiddenBy(rules, {
    floats: variant.behaviour.kind === 'floats',
    hookSize: variant.hookSize,
    lead: variant.lead,
    weighted: variant.weighted,
    barb: variant.barb,
  })

type Graded<Variant extends ServingVariant> = Serving<Variant> & { readonly verdict: FlyMatch['verdict'] }

const byMerit = (a: Serving, b: Serving) => Number(b.meant) - Number(a.meant) || b.quality - a.quality
/** Where fish look closely, what is kept for that goes before the rest of its rank. */
const byQuiet = (a: Serving, b: Serving) => Number(isQuiet(b.variant)) - Number(isQuiet(a.variant))

function sorted<Variant extends ServingVariant>(
  graded: readonly Graded<Variant>[],
  rules: FlyRules,
  closely = false,
): ServedBy<Variant> {
  const allowed = graded.filter(({ variant }) => forbiddenAt(rules, variant) === null)
  const as = (verdict: FlyMatch['verdict']) =>
    allowed
      .filter((one) => one.verdict === verdict)
      .map(({ variant, quality, meant }) => ({ variant, quality, meant }))
      .sort((a, b) => Number(b.meant) - Number(a.meant) || (closely && byQuiet(a, b)) || byMerit(a, b))
  return {
    serves: as('serves'),
    couldPass: as('couldPass'),
    barred: graded.flatMap(({ variant, verdict }) => {
      const why = verdict === 'serves' ? forbiddenAt(rules, variant) : null
      return why ? [{ variant, why }] : []
    }),
  }
}

/** The flies for a food at a place: what is meant for it, what serves it besides, what could pass, and what may not be fished. */
export function servedBy<Variant extends ServingVariant>(
  variants: readonly Variant[],
  stage: FoodStage & StageLooks,
  { lengthMmLow, lengthMmHigh }: Pick<MatchPlace, 'lengthMmLow' | 'lengthMmHigh'>,
  place: ServingPlace,
): ServedBy<Variant> {
  const at = { ...place, lengthMmLow, lengthMmHigh }
  const graded = variants.flatMap((variant): Graded<Variant>[] => {
    const { behaviour, look, purpose } = variant
    const ways = waysOf(place, variant)
    if (!look || ways === null) return []
    const meant = variant.meantFor.includes(stage.id)
    const { verdict, score } = matchFly({ behaviour, look, ways }, stage, at, {
      school: place.school,
      meant,
      briefly: true,
    })
    const tooLoud = purpose === 'attractor' && stage.choosy >= CHOOSY && !isQuiet(variant)
    const elsewhere = !isFishedOn(variant, place)
    return (tooLoud || elsewhere) && !meant && verdict === 'serves'
      ? [{ variant, meant, quality: WHATEVER.imitation, verdict: 'couldPass' }]
      : [{ variant, meant, quality: score, verdict }]
  })
  return sorted(graded, place.rules, stage.choosy >= CHOOSY)
}

/** The flies for fish that take whatever comes: searching, attractor and prospecting patterns; any other could pass. */
export function servedWhatever<Variant extends ServingVariant>(
  variants: readonly Variant[],
  month: number,
  place: ServingPlace,
): ServedBy<Variant> {
  const graded = variants
    .filter((variant) => variant.look !== null && isShown(place, variant) && isFishedOn(variant, place))
    .filter(({ ownMonths }) => ownMonths.length === 0 || ownMonths.includes(month))
    .map((variant): Graded<Variant> => {
      const purpose = variant.roles.includes('prospecting') ? 'searching' : variant.purpose
      const meant = purpose !== 'imitation'
      return { variant, meant, quality: WHATEVER[purpose], verdict: meant ? 'serves' : 'couldPass' }
    })
  return sorted(graded, place.rules)
}

/** The flies that take a team down to the bottom on a tight line: those that the tier keeps for it, and any heavy one. */
export function anchorsAmong<Variant extends ServingVariant>(
  variants: readonly Variant[],
  place: ServingPlace,
): ServedBy<Variant> {
  const at = { ...place, lengthMmLow: 0, lengthMmHigh: 0 }
  const graded = variants.flatMap((variant): Graded<Variant>[] => {
    const { behaviour } = variant
    const meant = variant.roles.includes('anchor')
    if (behaviour.kind !== 'sinks' || (behaviour.sinkSpeedMmPerS < ANCHOR_MM_PER_S && !meant)) return []
    if (!isFishedOn(variant, place)) return []
    const quality = bottomAspect(behaviour, ['tightLineNymph'], at).score
    return quality > 0 ? [{ variant, meant, quality, verdict: 'serves' }] : []
  })
  return sorted(graded, place.rules)
}
