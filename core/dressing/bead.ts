import type { Hook } from '../hook/index.ts'
import { sizeNumber, valueOf } from '../material/index.ts'
import type { BeadBoring, Material } from '../material/index.ts'
import { clamp } from '../number/index.ts'
import type { FlyComponent } from './fly.ts'

/** A bead in millimetres. */
export interface Bead {
  readonly diameterMm: number
  readonly boreMm: number
  readonly boring: BeadBoring
  readonly volumeMm3: number
  readonly massMg: number
}

/** Bore of a drilled ball as a share of its diameter: 0.40 in the smallest beads, 0.363 from 2.5 mm up. */
const boreShare = (diameterMm: number) => clamp(0.46 - 0.04 * diameterMm, 0.363, 0.4)
const COUNTERSINK = { boreOfDrilled: 0.85, mouthOfDiameter: 0.62, depthOfDiameter: 0.38 }
const OFF_CENTRE = { boreOfDrilled: 0.9, offsetOfDiameter: 0.2 }
/** A slot as wide as 0.4 of the ball runs from the axis out to the rim, along the bore from half a radius behind the middle. */
const SLOT = { widthOfDiameter: 0.4, fromOfRadius: -0.5 }
const SLICES = 48

/** Solid volume of a ball bored through its middle: what is left is π/6 (D² − d²)^1.5. */
const drilledVolume = (diameterMm: number, boreMm: number) =>
  (Math.PI / 6) * Math.max(diameterMm ** 2 - boreMm ** 2, 0) ** 1.5

/** What the slot takes beyond the bore: height from the axis to the rim, integrated along the bore and across. */
function slotVolume(diameterMm: number, boreMm: number): number {
  const radius = diameterMm / 2
  const bore = boreMm / 2
  const halfWidth = (SLOT.widthOfDiameter * diameterMm) / 2
  const startMm = SLOT.fromOfRadius * radius
  const stepMm = (radius - startMm) / SLICES
  const acrossMm = (2 * halfWidth) / SLICES
  let volume = 0
  for (let i = 0; i < SLICES; i += 1) {
    const rim = radius ** 2 - (startMm + (i + 0.5) * stepMm) ** 2
    for (let j = 0; j < SLICES; j += 1) {
      const z = -halfWidth + (j + 0.5) * acrossMm
      const top = Math.sqrt(Math.max(rim - z ** 2, 0))
      const bored = Math.sqrt(Math.max(bore ** 2 - z ** 2, 0))
      volume += Math.max(top - bored, 0) * stepMm * acrossMm
    }
  }
  return volume
}

/** What a conical mouth at the rear takes beyond the bore; the rim that stands behind the mouth goes with it. */
function countersunkLoss(diameterMm: number, boreMm: number): number {
  const radius = diameterMm / 2
  const bore = boreMm / 2
  const mouth = COUNTERSINK.mouthOfDiameter * radius
  const mouthAt = Math.sqrt(radius ** 2 - mouth ** 2)
  const depth = COUNTERSINK.depthOfDiameter * diameterMm
  const stepMm = (radius - mouthAt + depth) / SLICES
  let volume = 0
  for (let i = 0; i < SLICES; i += 1) {
    const x = radius - (i + 0.5) * stepMm
    const rim = Math.sqrt(Math.max(radius ** 2 - x ** 2, 0))
    const cone = x > mouthAt ? rim : mouth - ((mouth - bore) * (mouthAt - x)) / depth
    volume += Math.PI * Math.max(Math.min(cone, rim) ** 2 - bore ** 2, 0) * stepMm
  }
  return volume
}

/** Bore of a bead by its boring and size, mm. */
function boreOf(diameterMm: number, boring: BeadBoring): number {
  const drilled = boreShare(diameterMm) * diameterMm
  if (boring === 'countersunk') return drilled * COUNTERSINK.boreOfDrilled
  return boring === 'offCentre' ? drilled * OFF_CENTRE.boreOfDrilled : drilled
}

function beadVolume(diameterMm: number, boreMm: number, boring: BeadBoring): number {
  switch (boring) {
    case 'drilled':
      return drilledVolume(diameterMm, boreMm)
    case 'slotted':
      return drilledVolume(diameterMm, boreMm) - slotVolume(diameterMm, boreMm)
    case 'countersunk':
      return drilledVolume(diameterMm, boreMm) - countersunkLoss(diameterMm, boreMm)
    case 'offCentre': {
      const boreLengthMm = diameterMm * Math.sqrt(1 - (2 * OFF_CENTRE.offsetOfDiameter) ** 2)
      return (Math.PI / 6) * diameterMm ** 3 - (Math.PI / 4) * boreMm ** 2 * boreLengthMm
    }
  }
}

/**
 * A bead from its size, boring and material. A slotted one keeps about two thirds of its ball.
 *
 * @example a slotted 2.8 mm tungsten bead weighs about 131 mg, a drilled one 162
 */
export function makeBead(material: Material): Bead {
  const known = made.get(material)
  if (known) return known
  const bead = integrateBead(material)
  made.set(material, bead)
  return bead
}

/** A bead is integrated once for each drawer: its slot costs more than all the rest of a fly. */
const made = new WeakMap<Material, Bead>()

function integrateBead(material: Material): Bead {
  const diameterMm = sizeNumber(material) ?? valueOf(material, 'diameterMm')
  const boring = material.family.boring ?? 'drilled'
  const boreMm = boreOf(diameterMm, boring)
  const volumeMm3 = beadVolume(diameterMm, boreMm, boring)
  return {
    diameterMm,
    boreMm,
    boring,
    volumeMm3,
    massMg: volumeMm3 * valueOf(material, 'densityMgPerMm3'),
  }
}

/** Against a bent-up neck the slot lets a bead forward until its middle stands this share of it behind the bend (judgement). */
const IN_THE_BEND_OF_DIAMETER = 0.08
const BENT_UP_DEG = 30

/** Middle of a bead on its hook, mm from the rear of the eye: behind it, in the bend of a jig's neck, or before it on a pin. */
export function beadCentreMm({ material, fromMm, lengthMm: pinMm }: FlyComponent, { style }: Hook): number {
  const { diameterMm, boring } = makeBead(material)
  if (pinMm !== null) return -pinMm
  const inTheBend = boring === 'slotted' && style.neckDeg >= BENT_UP_DEG && fromMm < diameterMm / 2
  return inTheBend ? IN_THE_BEND_OF_DIAMETER * diameterMm : fromMm + diameterMm / 2
}
