import { okLab } from '../../colour/index.ts'
import { valueOf } from '../../material/index.ts'
import { clamp } from '../../number/index.ts'
import type { FlyComponent } from '../fly.ts'
import type { Showing } from './kindOf.ts'

/** What of a natural a fish may go by, as far as a dressing can show it. */
export const TRIGGER_KEYS = [
  'swollenWingCase', 'paleGills', 'pulsingTail', 'gasSheen', 'trailingShuck', 'splayedWings', 'uprightWings',
  'foldedWings', 'longTails', 'shortLegs', 'eggSac', 'oaringLegs', 'rubberLegs', 'longHorns', 'paleCollar', 'darkHead',
  'hotSpot', 'wideEyes', 'pinchedWaist',
] as const // prettier-ignore
export type TriggerKey = (typeof TRIGGER_KEYS)[number]

/** Between these a trigger goes from not seen to plain. Judgement. */
const PALE = [0.62, 0.74] as const
const DARK = [0.5, 0.4] as const
const STRONG_CHROMA = [0.07, 0.13] as const
/** Fibres that fold back so much also wave. */
const WAVING_FOLD = [0.2, 0.35] as const
const FULL_BULK = [0.4, 0.65] as const
/** Short of what is wanted by more than this share a fibre is not long. */
const SHORT_OF = 0.6
/** Behind this share of the shank a ball or a spot is at the rear; before that one, feelers are at the head. */
const REAR = 0.7
const FRONT = 0.1
const FEW = 4

const ramp = (value: number, [none, plain]: readonly [number, number]) =>
  clamp((value - none) / (plain - none), 0, 1)

export const always: Showing = () => 1
/** Not the thing itself, but what passes for it: barbs that stand upright. */
export const nearly: Showing = () => 0.45
export const pale: Showing = ({ material }) => ramp(okLab(material.colourWetHex).l, PALE)
export const dark: Showing = ({ material }) => ramp(okLab(material.colourWetHex).l, DARK)
export const vivid: Showing = ({ material }) => {
  const { a, b } = okLab(material.colourWetHex)
  return ramp(Math.hypot(a, b), STRONG_CHROMA)
}
export const waves: Showing = ({ material }) => ramp(valueOf(material, 'foldExponent'), WAVING_FOLD)
export const shines: Showing = ({ material: { family, colourName } }) =>
  Number(
    family.kind === 'tinsel' || /glass|sparkle/i.test(family.name) || /silver|pearl|gold/i.test(colourName),
  )
export const atRear: Showing = ({ fromMm }, hook) => Number(fromMm >= REAR * hook.shankMm)
export const atFront: Showing = ({ fromMm }, hook) => Number(fromMm <= FRONT * hook.shankMm)
/** At least so many shanks long. */
export const long =
  (shanks: number): Showing =>
  ({ lengthMm }, hook) =>
    ramp((lengthMm ?? 0) / hook.shankMm, [SHORT_OF * shanks, shanks])
export const onSide =
  (wanted: FlyComponent['side']): Showing =>
  ({ side }) =>
    Number(side === wanted)
/** So thick that its hairs pass for legs. */
export const full: Showing = ({ bulk = 0 }) => ramp(bulk, FULL_BULK)
/** So few that each is seen for itself, as oars are. */
export const few: Showing = ({ fibreCount, strands }) => Number((fibreCount ?? strands ?? 0) <= FEW)
export const ofRubber: Showing = ({ material }) => Number(material.family.kind === 'rubber')
export const not =
  (showing: Showing): Showing =>
  (component, hook) =>
    1 - showing(component, hook)
export const both =
  (...all: readonly Showing[]): Showing =>
  (component, hook) =>
    Math.min(...all.map((showing) => showing(component, hook)))
export const either =
  (...any: readonly Showing[]): Showing =>
  (component, hook) =>
    Math.max(...any.map((showing) => showing(component, hook)))
