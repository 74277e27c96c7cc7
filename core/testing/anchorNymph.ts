import { waterAt } from '../water/index.ts'
import { cylinder, ringOfAxes } from '../sink/dragElement.ts'
import type { Direction, DragElement, FlySpot } from '../sink/dragElement.ts'
import { faceFlow, flowAt } from '../sink/facing.ts'
import type { FallModel } from '../sink/fallModel.ts'

/**
 * A size 16 jig nymph written out part by part, against which the model is checked: 0.41 mm jig hook of 19.8 mg,
 * 2.8 mm slotted bead, 0.8 m of 70 denier nylon, 3 mg of dubbing in a body 1.6 × 5 mm with 60 hairs of
 * 0.02 × 1.5 mm at 45°, 35 mm of 0.10 mm copper rib, 8 tail fibres of 0.05 × 6 mm; it falls eye first at 10 °C.
 */
export interface AnchorChoice {
  readonly bead: 'tungsten' | 'brass' | 'none'
  /** how many times the thickness of body and the number of hairs; 1 for the slim dressing */
  readonly bulk: number
  /** mm of 0.13 mm copolymer trailing behind; 0 for none */
  readonly tippetMm: number
}

interface Solid {
  readonly massMg: number
  readonly densityMgPerMm3: number
}

const BEAD_VOLUME_MM3 = 7.48
const BEAD_DENSITY = { tungsten: 17.5, brass: 8.5 }
const HOOK: Solid = { massMg: 19.8, densityMgPerMm3: 7.85 }
const THREAD: Solid = { massMg: (800 * 70) / 9000, densityMgPerMm3: 1.14 }
const RIB: Solid = { massMg: 35 * (Math.PI / 4) * 0.1 ** 2 * 8.96, densityMgPerMm3: 8.96 }
const TAIL: Solid = { massMg: 8 * (Math.PI / 4) * 0.05 ** 2 * 6 * 1.3, densityMgPerMm3: 1.3 }
const LENGTHWISE: Direction = [1, 0, 0]
const UPRIGHT: Direction = [0, 1, 0]

function solidsOf(choice: AnchorChoice): readonly Solid[] {
  const dubbing = { massMg: 3 * choice.bulk, densityMgPerMm3: 1.3 }
  const dressed = [HOOK, THREAD, dubbing, RIB, TAIL]
  if (choice.bead === 'none') return dressed
  const densityMgPerMm3 = BEAD_DENSITY[choice.bead]
  return [...dressed, { massMg: BEAD_VOLUME_MM3 * densityMgPerMm3, densityMgPerMm3 }]
}

const at = (xMm: number, yMm = 0): FlySpot => ({ xMm, yMm })

const strands = (
  at: FlySpot,
  count: number,
  diameterMm: number,
  lengthMm: number,
  axes: readonly Direction[],
): DragElement => ({
  kind: 'strands',
  at,
  count,
  diameterMm,
  lengthMm,
  axes,
  foldExponent: 0,
  envelope: null,
})

function elementsOf(choice: AnchorChoice): readonly DragElement[] {
  const diameterMm = 1.6 * choice.bulk
  const beadMm = choice.bead === 'none' ? 0 : 2.8
  const hairsInEnvelope: DragElement = {
    kind: 'strands',
    at: at(4.5),
    count: 60 * choice.bulk,
    diameterMm: 0.02,
    lengthMm: 1.5,
    axes: ringOfAxes(45),
    foldExponent: 0,
    envelope: {
      kind: 'bundle',
      alongMm2: (Math.PI / 4) * (diameterMm + 2.1) ** 2,
      acrossMm2: 5 * (diameterMm + 2.1),
      dragCoefficient: 1,
    },
  }
  const dressed: readonly DragElement[] = [
    {
      kind: 'body',
      at: at(4.5),
      ...cylinder(diameterMm, 5, Math.min((beadMm / diameterMm) ** 2, 1)),
    },
    hairsInEnvelope,
    strands(at(8.8, -2), 1, 0.41, 4.0, [UPRIGHT]),
    strands(at(7, -4), 1, 0.41, 4.6, [LENGTHWISE]),
    strands(at(10), 8, 0.05, 6, [LENGTHWISE]),
  ]
  return beadMm > 0 ? [{ kind: 'sphere', at: at(1.4), diameterMm: beadMm, count: 1 }, ...dressed] : dressed
}

/** The nymph of {@link AnchorChoice} as a fall in water of 10 °C, with its dry mass. */
export function anchorNymph(choice: AnchorChoice): { readonly massMg: number; readonly model: FallModel } {
  const water = waterAt(10)
  const solids = solidsOf(choice)
  const massMg = solids.reduce((sum, solid) => sum + solid.massMg, 0)
  const volumeMm3 = solids.reduce((sum, solid) => sum + solid.massMg / solid.densityMgPerMm3, 0)
  return {
    massMg,
    model: {
      submergedMg: massMg - water.densityMgPerMm3 * volumeMm3,
      inertiaMg: massMg + volumeMm3,
      facing: faceFlow(elementsOf(choice), flowAt(90)),
      dragMultiplier: 1,
      tippet:
        choice.tippetMm > 0
          ? { diameterMm: 0.13, densityMgPerMm3: 1.13, lengthMm: choice.tippetMm, curlDeg: 0 }
          : null,
      water,
    },
  }
}
