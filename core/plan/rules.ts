/** What a user noted of a water's rules that concerns a single fly; null where the note does not say. */
export interface FlyRules {
  readonly dryOnly: boolean | null
  readonly noLead: boolean | null
  readonly noAddedWeight: boolean | null
  /** smallest and largest hook; a size is the smaller the higher its number */
  readonly minHookSize: number | null
  readonly maxHookSize: number | null
}

/** What of a fly rules speak of. */
export interface RuledFly {
  readonly floats: boolean
  /** null where its hook is not known */
  readonly hookSize: number | null
  readonly lead: boolean
  readonly weighted: boolean
}

/** Why a fly may not be fished, by the user's own note; the posted rule decides. */
export type Forbidden = 'dryOnly' | 'noLead' | 'noAddedWeight' | 'hookTooSmall' | 'hookTooLarge'

/** The first rule of a note that a fly breaks; null where it may be fished. */
export function forbiddenBy(rules: FlyRules, { floats, hookSize, lead, weighted }: RuledFly): Forbidden | null {
  if (rules.noLead && lead) return 'noLead'
  if (rules.noAddedWeight && weighted) return 'noAddedWeight'
  if (rules.dryOnly && !floats) return 'dryOnly'
  if (hookSize === null) return null
  if (rules.maxHookSize !== null && hookSize < rules.maxHookSize) return 'hookTooLarge'
  if (rules.minHookSize !== null && hookSize > rules.minHookSize) return 'hookTooSmall'
  return null
}
