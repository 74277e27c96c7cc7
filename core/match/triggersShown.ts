import { okLab } from '../colour/index.ts'
import { hullOf } from '../dressing/index.ts'
import type { ComponentKind, Fly, FlyComponent } from '../dressing/index.ts'
import { valueOf } from '../material/index.ts'

/** What of a natural a fish may go by, as far as a dressing can show it. */
export const TRIGGER_KEYS = [
  'swollenWingCase', 'paleGills', 'pulsingTail', 'gasSheen', 'trailingShuck', 'splayedWings', 'uprightWings',
  'foldedWings', 'longTails', 'shortLegs', 'eggSac', 'oaringLegs', 'rubberLegs', 'longHorns', 'paleCollar', 'darkHead',
  'hotSpot', 'wideEyes', 'pinchedWaist',
] as const // prettier-ignore
export type TriggerKey = (typeof TRIGGER_KEYS)[number]

const PALE = 0.72
const DARK = 0.42
const STRONG_CHROMA = 0.12
const WAVING_FOLD = 0.35
/** Behind this share of the shank a ball or a spot is at the rear. */
const REAR = 0.7
/** Of the thickness on both sides, a waist is at most this. */
const WAIST = 0.55

const lightness = ({ material }: FlyComponent) => okLab(material.colourWetHex).l
const chroma = ({ material }: FlyComponent) => {
  const { a, b } = okLab(material.colourWetHex)
  return Math.hypot(a, b)
}
const waves = ({ material }: FlyComponent) => valueOf(material, 'foldExponent') >= WAVING_FOLD
const shines = ({ material: { family, colourName } }: FlyComponent) =>
  family.kind === 'tinsel' || /glass/i.test(family.name) || /silver|pearl|gold/i.test(colourName)

function hasWaist(fly: Fly): boolean {
  const thickness = hullOf(fly).map(({ diameterMm }) => diameterMm)
  return thickness.some(
    (here, i) =>
      here < WAIST * Math.max(0, ...thickness.slice(0, i)) &&
      here < WAIST * Math.max(0, ...thickness.slice(i + 1)),
  )
}

/** Which of them the dressing shows. */
export function triggersShown(fly: Fly): readonly TriggerKey[] {
  const { components, hook } = fly
  const has = (kinds: readonly ComponentKind[], test: (component: FlyComponent) => boolean = () => true) =>
    components.some((component) => kinds.includes(component.kind) && test(component))
  const long = (shanks: number) => (component: FlyComponent) =>
    (component.lengthMm ?? 0) >= shanks * hook.shankMm
  const atRear = ({ fromMm }: FlyComponent) => fromMm >= REAR * hook.shankMm
  const tests: Readonly<Record<TriggerKey, boolean>> = {
    swollenWingCase: has(['wingCase', 'back']),
    paleGills: has(['gills', 'thorax', 'collar'], (part) => part.kind === 'gills' || lightness(part) >= PALE),
    pulsingTail: has(['tail', 'strip'], waves),
    gasSheen: has(['bead', 'body', 'rib', 'thorax', 'coat', 'back'], (part) => part.kind === 'coat' || shines(part)),
    trailingShuck: has(['shuck']),
    splayedWings: has(['wing'], ({ side }) => side === 'both'),
    uprightWings: has(['post']) || has(['wing'], ({ side }) => side === 'above'),
    foldedWings: has(['wing'], ({ side }) => side === 'around') || has(['back']),
    longTails: has(['tail'], (part) => long(0.6)(part) && !waves(part)),
    shortLegs:
      has(['legs', 'hackle', 'collar'], (part) => !long(0.7)(part)) ||
      has(['thorax', 'body'], ({ bulk = 0 }) => bulk >= 0.6),
    eggSac: has(['egg']) || has(['hotSpot'], atRear),
    oaringLegs: has(['legs'], (part) => part.side === 'both' && long(0.4)(part)),
    rubberLegs: has(['legs', 'tail'], (part) => part.material.family.kind === 'rubber' || (part.kind === 'legs' && long(0.9)(part))),
    longHorns: has(['legs'], ({ fromMm, side }) => side === 'above' && fromMm <= 0.1 * hook.shankMm),
    paleCollar: has(['collar', 'thorax'], (part) => lightness(part) >= PALE),
    darkHead: has(['bead', 'cone', 'collar', 'thorax'], (part) => lightness(part) <= DARK),
    hotSpot: has(['hotSpot', 'bead', 'cone', 'egg'], (part) => part.kind === 'hotSpot' || chroma(part) >= STRONG_CHROMA),
    wideEyes: has(['eyes']),
    pinchedWaist: hasWaist(fly),
  } // prettier-ignore
  return TRIGGER_KEYS.filter((key) => tests[key])
}
