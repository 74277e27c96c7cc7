import { readDrop, shrinkDrag } from '../calibrate/index.ts'
import type { DropTest } from '../calibrate/index.ts'
import { resolveDressing } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS, UNCALIBRATED, USUAL_TIPPET } from '../evaluate/index.ts'
import type { Calibration } from '../evaluate/index.ts'
import type { Material } from '../material/index.ts'
import { Z_80 } from '../number/index.ts'
import { descend, timeToDepth } from '../sink/index.ts'
import type { Tippet } from '../sink/index.ts'
import { normal, randomFrom } from '../uncertainty/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { recipe, shippedMaterial } from './shippedMaterial.ts'

const pick = <const T>(random: Random, from: readonly [T, ...T[]]): T =>
  from[Math.floor(random() * from.length)] ?? from[0]

/** A sinking fly that somebody might tie, from a seed. */
export function generatedFly(seed: number): Fly {
  const random = randomFrom(seed)
  const size = pick(random, ['18', '16', '14', '12', '10'])
  const bead = { '18': '2.4', '16': '2.8', '14': '3.3', '12': '3.3', '10': '4.0' }[size]
  const weighted = random()
  const metal: Material | null =
    weighted < 0.75
      ? shippedMaterial(
          pick(random, ['bead-tungsten-slotted', 'bead-brass-slotted', 'bead-tungsten-countersunk']),
          bead,
        )
      : null
  const fur = shippedMaterial(pick(random, ['dubbing-hare', 'dubbing-fine-synthetic', 'dubbing-seal-like']))
  const rear = shippedMaterial(pick(random, ['fibre-speckled-cock', 'fibre-cock-stiff', 'marabou-plume']))
  const made = recipe(shippedMaterial(pick(random, ['hook-jig-60', 'hook-straight', 'hook-curved']), size), [
    ...(metal ? [{ key: 'bead', kind: 'bead', material: metal, at: [0, 0.2] } as const] : []),
    ...(random() < 0.4 || !metal
      ? [
          {
            key: 'wire',
            kind: 'wire',
            material: shippedMaterial('wire-tin', '0.38'),
            at: [0.3, 0.7],
            turns: 4,
          } as const,
        ]
      : []),
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0.1, 1] },
    {
      key: 'tail',
      kind: 'tail',
      material: rear,
      at: [1, 1],
      fibreCount: 4 + Math.floor(random() * 16),
      length: { factor: 0.4 + random(), of: 'shank' },
    },
    { key: 'body', kind: 'body', material: fur, at: [0.2, 1], bulk: random() * 0.7 },
    ...(random() < 0.3
      ? [
          {
            key: 'collar',
            kind: 'collar',
            material: shippedMaterial('hackle-hen-soft', '14'),
            at: [0.15, 0.2],
            turns: 1 + random() * 2,
          } as const,
        ]
      : []),
  ])
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return fly
}

/** What is wrong with the priors in a run: by how much drag and hooks differ from them on the whole. */
export interface Bias {
  readonly drag: number
  readonly hooks: number
}

const HOOK_SD_LOG = 0.2
const BEAD_SD_LOG = 0.11

/** A fly as it truly is: its goods and its drag drawn from the spreads that the estimate states. */
function truthOf(fly: Fly, random: Random, bias: Bias): Calibration {
  const massFactors = new Map(
    fly.components.map(({ kind, material }) => [
      material.id,
      { factor: Math.exp((kind === 'bead' ? BEAD_SD_LOG : HOOK_SD_LOG) * normal(random)), sdLog: 0 },
    ]),
  )
  massFactors.set(fly.hookMaterial.id, {
    factor: bias.hooks * Math.exp(HOOK_SD_LOG * normal(random)),
    sdLog: 0,
  })
  return { ...UNCALIBRATED, massFactors, dragMultiplier: bias.drag * Math.exp(0.25 * normal(random)) }
}

/** How well three generated drops tell the speed of a generated fly. */
export interface Trial {
  /** whether the 80 % band holds the true speed, before and after the drops */
  readonly heldBefore: boolean
  readonly heldAfter: boolean
  /** |estimate ÷ truth − 1| after the drops */
  readonly error: number
}

const SOAKED = { ...LIST_CONDITIONS, wet: 'soaked' } as const

/** Errors of measuring as the docs state them: of the depth, of a thumb and of a film, and from fly to fly. */
const DEPTH_SD_MM = 8
const FLY_TO_FLY_SD_LOG = 0.05
const ERRORS = {
  thumb: { late: 0.15, lateSd: 0.08, scatter: 0.12 },
  film: { late: 0, lateSd: 0.015, scatter: 0.03 },
}

const line = (lengthMm: number): Tippet => ({ ...USUAL_TIPPET, lengthMm })
/** A drop in five has no line; the others half a metre to two. */
const LINES = [null, line(500), line(500), line(1000), line(2000)] as const

/** Drag of a line grows with about the cube root of its diameter, so that 0.1 of doubt in its laws is this much in that. */
const LINE_LAW_SD_LOG = 0.3

/** A line as it truly lies and drags: curled about what was said of it, and off the laws by as much as they are doubted. */
const trueLine = (tippet: Tippet | null, random: Random): Tippet | null =>
  tippet && {
    ...tippet,
    diameterMm: tippet.diameterMm * Math.exp(LINE_LAW_SD_LOG * normal(random)),
    curlDeg: tippet.curlDeg * Math.max(0, 1 + normal(random) / Z_80) ** (1 / 2.2),
  }

/** Generates a fly, its truth and three timed drops of 1 to 2 m, and looks how near the corrected estimate comes. */
export function trial(seed: number, bias: Bias = { drag: 1, hooks: 1 }): Trial | null {
  const random = randomFrom(seed * 7919 + 13)
  const fly = generatedFly(seed)
  const truth = evaluateFly(fly, SOAKED, truthOf(fly, random, bias))
  const before = evaluateFly(fly, SOAKED)
  if (truth.kind !== 'sinks' || before.kind !== 'sinks') return null
  const speed = truth.free.sinkSpeedMmPerS.value
  const timing = pick(random, ['thumb', 'film'])
  const error = ERRORS[timing]
  const depthMm = 1000 + 1000 * random()
  const dropped = {
    ...truth.model,
    dragMultiplier: truth.model.dragMultiplier * Math.exp(FLY_TO_FLY_SD_LOG * normal(random)),
  }
  const trueDepthMm = depthMm + DEPTH_SD_MM * normal(random)
  const tippet = pick(random, LINES)
  const trueS = timeToDepth(
    descend({ ...dropped, tippet: trueLine(tippet, random) }, trueDepthMm, 'follows'),
    trueDepthMm,
  )
  if (trueS === null) return null
  const late = error.late + error.lateSd * normal(random)
  const test: DropTest = {
    id: 'test',
    variantId: 'fly',
    depthMm,
    timesS: [0, 1, 2].map(() => Math.max(trueS + late + error.scatter * normal(random), 0.05)),
    timing,
    waterTempC: 10,
    vesselMm: null,
    tippet,
    wet: 'soaked',
  }
  const reading = readDrop(test, fly, UNCALIBRATED)
  if (reading.kind !== 'read') return null
  const shrunk = shrinkDrag([reading], { variantId: 'fly', shares: reading.shares })
  const after = evaluateFly(fly, SOAKED, { ...UNCALIBRATED, ...shrunk })
  if (after.kind !== 'sinks') return null
  const holds = ({ low, high }: { low: number; high: number }) => low <= speed && speed <= high
  return {
    heldBefore: holds(before.free.sinkSpeedMmPerS),
    heldAfter: holds(after.free.sinkSpeedMmPerS),
    error: Math.abs(after.free.sinkSpeedMmPerS.value / speed - 1),
  }
}

/** Coverage and error over many flies, from a first seed. */
export function trials(count: number, bias?: Bias) {
  const found = Array.from({ length: count }, (_, i) => trial(i + 1, bias)).filter((made) => made !== null)
  const share = (held: (made: Trial) => boolean) => found.filter(held).length / found.length
  const errors = found.map(({ error }) => error).sort((a, b) => a - b)
  return {
    count: found.length,
    coveredBefore: share(({ heldBefore }) => heldBefore),
    coveredAfter: share(({ heldAfter }) => heldAfter),
    medianError: errors[Math.floor(errors.length / 2)] ?? Infinity,
  }
}
