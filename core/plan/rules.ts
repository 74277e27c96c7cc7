import type { Barb } from '../material/index.ts'
import type { Technique } from '../technique/index.ts'

/** What a user noted of a water's rules that concerns a single fly; null where the note does not say. */
export interface FlyRules {
  readonly dryOnly: boolean | null
  readonly noLead: boolean | null
  readonly noAddedWeight: boolean | null
  /** smallest and largest hook; a size is the smaller the higher its number */
  readonly minHookSize: number | null
  readonly maxHookSize: number | null
  readonly maxFlies: number | null
  readonly noIndicator: boolean | null
  readonly barbless: boolean | null
}

/** What of a fly rules speak of. */
export interface RuledFly {
  readonly floats: boolean
  /** null where its hook is not known */
  readonly hookSize: number | null
  readonly lead: boolean
  readonly weighted: boolean
  /** null where nobody said: then its barb is to be crushed */
  readonly barb: Barb | null
}

/** Why a fly may not be fished, by the user's own note; the posted rule decides. */
export const FORBIDS = ['dryOnly', 'noLead', 'noAddedWeight', 'hookTooSmall', 'hookTooLarge', 'barbed'] as const
export type Forbidden = (typeof FORBIDS)[number]

/** The first rule of a note that a fly breaks; null where it may be fished. */
export function forbiddenBy(
  rules: FlyRules,
  { floats, hookSize, lead, weighted, barb }: RuledFly,
): Forbidden | null {
  if (rules.noLead && lead) return 'noLead'
  if (rules.noAddedWeight && weighted) return 'noAddedWeight'
  if (rules.dryOnly && !floats) return 'dryOnly'
  if (rules.barbless && barb === 'barbed') return 'barbed'
  if (hookSize === null) return null
  if (rules.maxHookSize !== null && hookSize < rules.maxHookSize) return 'hookTooLarge'
  if (rules.minHookSize !== null && hookSize > rules.minHookSize) return 'hookTooSmall'
  return null
}

const UNDER_INDICATOR: ReadonlySet<Technique> = new Set(['indicatorNymph', 'staticIndicator'])
/** Ways that have two flies on the line. */
const OF_SEVERAL: ReadonlySet<Technique> = new Set(['dryWithDropper', 'driftTeam'])

/** Whether a note lets one fish so: no indicator where it forbids one, no dropper where one fly is allowed. */
export function isWayAllowed({ noIndicator, maxFlies, dryOnly }: FlyRules, way: Technique): boolean {
  if (noIndicator && UNDER_INDICATOR.has(way)) return false
  if (dryOnly && way !== 'dry' && way !== 'dryWithDropper') return false
  return maxFlies !== 1 || !OF_SEVERAL.has(way)
}
