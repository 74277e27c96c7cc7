import shipped from './shipped/signs.json' with { type: 'json' }

/** What signs are of: those of a group say much the same, and count together as little more than one. */
export const SIGN_GROUPS = [
  'rises',
  'onTheWater',
  'inTheAir',
  'onTheBank',
  'below',
  'birds',
  'fry',
  'water',
] as const
export type SignGroup = (typeof SIGN_GROUPS)[number]

/** A stage that a sign speaks for: of one food, or of all of a group; 0 to 1 how strongly. */
export interface Suggests {
  readonly foodKey?: string
  readonly groupKey?: string
  readonly stage: string
  readonly weight: number
}

/** Something to be seen at the water. */
export interface Sign {
  readonly key: string
  readonly text: string
  readonly group: SignGroup
  /** how often it is seen on any day, 0 to 1, whatever fish are on; judgement */
  readonly background: number
  /** a state of the water, which may be in what is forecast already */
  readonly isCondition: boolean
  /** where to look for it */
  readonly where: string
  readonly note: string
  readonly suggests: readonly Suggests[]
  /** keys of signs that look like it */
  readonly confusedWith: readonly string[]
}

/** The signs that ship. */
export const SIGNS: readonly Sign[] = shipped.signs.map((sign) => ({
  ...sign,
  group: sign.group as SignGroup,
}))

/** A stage that fish may be on. */
export interface OfFood {
  readonly foodKey: string
  readonly groupKey: string
  readonly stage: string
}

/** How strongly a sign speaks for a stage, 0 to 1; null where it says nothing of it. */
export function weightFor({ suggests }: Sign, { foodKey, groupKey, stage }: OfFood): number | null {
  const weights = suggests
    .filter((one) => one.stage === stage && (one.foodKey === foodKey || one.groupKey === groupKey))
    .map(({ weight }) => weight)
  return weights.length > 0 ? Math.max(...weights) : null
}

/** Whether a sign, once seen, makes a stage likelier. */
export const speaksFor = (sign: Sign, stage: OfFood): boolean => seenOn(sign, stage) > sign.background

/** Seen by those who look while fish are on what it speaks for: hardly by chance, and never for sure. */
const SEEN = { least: 0.05, byWeight: 0.75 }

/** How likely a sign is seen while fish are on a stage; null stands for those that take whatever comes. */
export function seenOn(sign: Sign, stage: OfFood | null): number {
  const weight = stage && weightFor(sign, stage)
  return weight === null ? sign.background : SEEN.least + SEEN.byWeight * weight
}
