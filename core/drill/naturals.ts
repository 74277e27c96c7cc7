import { hooksForNatural } from '../season/index.ts'
import type { HookRange } from '../season/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { SIGNS, weightFor } from '../waterside/index.ts'
import type { OfFood, Sign } from '../waterside/index.ts'
import { mixed, oneOf, shuffled } from './question.ts'
import type { Question } from './question.ts'

/** A stage of a food of one's own waters, at the time of year when it is about most. */
export interface OwnStage extends OfFood {
  readonly key: string
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
  readonly hookRanges: readonly HookRange[]
}

const lengthOf = (random: Random, { lengthMmLow, lengthMmHigh }: OwnStage) =>
  lengthMmLow + random() * (lengthMmHigh - lengthMmLow)

/** A natural that is drawn, mm long. */
export interface Drawn {
  readonly stage: string
  readonly lengthMm: number
}

const SIZES = ['6', '8', '10', '12', '14', '16', '18', '20', '22', '24', '26'] as const
const WRONG = 3

/** Which hook is this natural tied on? Null where nobody says of which. */
export function hookSize(random: Random, stage: OwnStage): Question<Drawn, string> | null {
  const lengthMm = lengthOf(random, stage)
  const fitting = hooksForNatural(stage.hookRanges, lengthMm, lengthMm)
  const right = fitting[Math.floor((fitting.length - 1) / 2)]
  if (right === undefined || !SIZES.some((size) => size === right)) return null
  const away = (size: string) => Math.abs(Number(size) - Number(right))
  const wrong = SIZES.filter((size) => !fitting.includes(size)).toSorted((a, b) => away(a) - away(b)).slice(0, WRONG) // prettier-ignore
  const choices = [right, ...wrong].toSorted((a, b) => Number(a) - Number(b))
  return { subject: stage.key, shown: { stage: stage.key, lengthMm }, choices, right: choices.indexOf(right) }
}

/** How a mayfly lies that came up, stands, or is spent. */
export const MAYFLY_STAGES = ['emerger', 'dun', 'spinner'] as const
export type MayflyStage = (typeof MAYFLY_STAGES)[number]

/** Whether a stage is one of a mayfly at the film. */
export const isMayfly = ({ groupKey, stage }: OfFood): boolean =>
  groupKey === 'mayfly' && MAYFLY_STAGES.some((one) => one === stage)

/** What is this, seen from below: coming out, a dun, or spent? Null for what is no such mayfly. */
export function dunOrSpent(
  random: Random,
  stage: OwnStage,
): Question<Drawn & { readonly turnDeg: number }, MayflyStage> | null {
  const right = MAYFLY_STAGES.indexOf(stage.stage as MayflyStage)
  if (!isMayfly(stage)) return null
  const shown = { stage: stage.key, lengthMm: lengthOf(random, stage), turnDeg: Math.floor(random() * 360) }
  return { subject: stage.key, shown, choices: MAYFLY_STAGES, right }
}

/** Rise forms that can be drawn. */
export const RISE_FORMS = [
  'bulge-below-film',
  'back-and-tail',
  'snout-and-bubble',
  'dusk-sipping',
  'slashing-rise',
  'flash-near-bottom',
] as const
export type RiseForm = (typeof RISE_FORMS)[number]

/** What a rise speaks for plainly, and what it hardly speaks for. */
const [PLAINLY, HARDLY] = [0.9, 0.35]

/**
 * Which stage is taken like this? The right one is what the sign speaks for plainly, the wrong ones what it hardly speaks for
 * and another rise does plainly.
 */
export function riseForm(
  random: Random,
  form: RiseForm,
  stages: readonly OwnStage[],
): Question<{ readonly form: RiseForm }, string> | null {
  const signOf = (key: RiseForm) => SIGNS.find((sign) => sign.key === key)
  const speaks = (sign: Sign, stage: OwnStage) => weightFor(sign, stage) ?? 0
  const sign = signOf(form)
  const others = RISE_FORMS.filter((key) => key !== form).flatMap((key) => signOf(key) ?? [])
  if (!sign) return null
  const right = oneOf(random, stages.filter((stage) => speaks(sign, stage) >= PLAINLY)) // prettier-ignore
  const wrong = shuffled(
    random,
    stages.filter((stage) => speaks(sign, stage) <= HARDLY && others.some((other) => speaks(other, stage) >= PLAINLY)), // prettier-ignore
  )
  const apart = wrong.filter(
    (stage, i) => wrong.findIndex((one) => one.stage === stage.stage && one.groupKey === stage.groupKey) === i,
  )
  if (!right || apart.length < WRONG) return null
  return mixed(random, form, { form }, right.key, apart.slice(0, WRONG).map(({ key }) => key)) // prettier-ignore
}
