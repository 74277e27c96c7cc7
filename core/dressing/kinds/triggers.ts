import { okLab } from '../../colour/index.ts'
import { valueOf } from '../../material/index.ts'
import type { FlyComponent } from '../fly.ts'
import type { Showing } from './kindOf.ts'

/** What of a natural a fish may go by, as far as a dressing can show it. */
export const TRIGGER_KEYS = [
  'swollenWingCase', 'paleGills', 'pulsingTail', 'gasSheen', 'trailingShuck', 'splayedWings', 'uprightWings',
  'foldedWings', 'longTails', 'shortLegs', 'eggSac', 'oaringLegs', 'rubberLegs', 'longHorns', 'paleCollar', 'darkHead',
  'hotSpot', 'wideEyes', 'pinchedWaist',
] as const // prettier-ignore
export type TriggerKey = (typeof TRIGGER_KEYS)[number]

/** OKLab lightness from which goods are pale and up to which they are dark, and chroma from which a colour is strong. */
const PALE = 0.72
const DARK = 0.42
const STRONG_CHROMA = 0.12
/** Fibres that fold back this much also wave. */
const WAVING_FOLD = 0.35
/** Behind this share of the shank a ball or a spot is at the rear; before that one, feelers are at the head. */
const REAR = 0.7
const FRONT = 0.1

export const always: Showing = () => true
export const pale: Showing = ({ material }) => okLab(material.colourWetHex).l >= PALE
export const dark: Showing = ({ material }) => okLab(material.colourWetHex).l <= DARK
export const vivid: Showing = ({ material }) => {
  const { a, b } = okLab(material.colourWetHex)
  return Math.hypot(a, b) >= STRONG_CHROMA
}
export const waves: Showing = ({ material }) => valueOf(material, 'foldExponent') >= WAVING_FOLD
export const shines: Showing = ({ material: { family, colourName } }) =>
  family.kind === 'tinsel' || /glass/i.test(family.name) || /silver|pearl|gold/i.test(colourName)
export const atRear: Showing = ({ fromMm }, hook) => fromMm >= REAR * hook.shankMm
export const atFront: Showing = ({ fromMm }, hook) => fromMm <= FRONT * hook.shankMm
/** At least so many shanks long. */
export const long =
  (shanks: number): Showing =>
  ({ lengthMm }, hook) =>
    (lengthMm ?? 0) >= shanks * hook.shankMm
export const onSide =
  (wanted: FlyComponent['side']): Showing =>
  ({ side }) =>
    side === wanted
/** So thick that its hairs pass for legs. */
export const full: Showing = ({ bulk = 0 }) => bulk >= 0.6
export const ofRubber: Showing = ({ material }) => material.family.kind === 'rubber'
export const not =
  (showing: Showing): Showing =>
  (component, hook) =>
    !showing(component, hook)
export const both =
  (...all: readonly Showing[]): Showing =>
  (component, hook) =>
    all.every((showing) => showing(component, hook))
export const either =
  (...any: readonly Showing[]): Showing =>
  (component, hook) =>
    any.some((showing) => showing(component, hook))
