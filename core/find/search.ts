import { speedAtHeight } from '../drift/index.ts'
import { splashEnergyMicroJ } from '../evaluate/index.ts'
import { makeBead } from '../dressing/index.ts'
import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { axialCylinderForce } from '../sink/index.ts'
import { GRAVITY_MM_PER_S2, waterAt } from '../water/index.ts'
import { makeGroup, wireMgPerMm } from './group.ts'
import type { Group } from './group.ts'
import type { FindInput, Found } from './wanted.ts'

/** Nodes and weights of Gauss–Legendre on 0 to 1, of five points. */
const GAUSS: readonly (readonly [number, number])[] = [
  [0.046910077, 0.118463443],
  [0.230765345, 0.239314335],
  [0.5, 0.284444444],
  [0.769234655, 0.239314335],
  [0.953089923, 0.118463443],
]
const NEWTON_STEPS = 3
/** The quick reckoning may be this much too fast: what serves by it serves in full. */
const QUICK_MARGIN = 0.98
const ADDED_MASS_SHARE = 0.5

/** Groups beads or wires that have one outline: the same size and boring, the same thickness. */
function byShape(
  materials: readonly (Material | null)[],
  shapeOf: (material: Material) => string,
): readonly (readonly (Material | null)[])[] {
  const shapes = new Map<string, (Material | null)[]>()
  for (const material of materials) {
    const shape = material ? shapeOf(material) : ''
    shapes.set(shape, [...(shapes.get(shape) ?? []), material])
  }
  return [...shapes.values()]
}

/** All outlines of a search; those far from each other early on, so that the first answers are good ones. */
export function shapesOf({ offers, share }: FindInput) {
  const beads = byShape(offers.beads, (bead) => `${sizeNumber(bead)} ${bead.family.boring}`)
  const wires = byShape(offers.wires, (wire) => String(strandDiameterMm(wire)))
  const bulks = offers.bulks.length > 0 ? offers.bulks : [null]
  const all = offers.hooks.flatMap((hook) =>
    beads.flatMap((sameBeads) =>
      wires.flatMap((sameWires) => bulks.map((bulk) => ({ hook, beads: sameBeads, wires: sameWires, bulk }))),
    ),
  )
  return all
    .map((shape, i) => ({ shape, order: (i * 7919) % Math.max(all.length, 1) }))
    .sort((a, b) => a.order - b.order)
    .map(({ shape }) => shape)
    .filter((_, i) => i % share.of === share.nth)
}

/** How many weightings a search looks at. */
export function combinationsOf({ offers }: FindInput): number {
  const wires = offers.wires.reduce((sum, wire) => sum + (wire ? offers.mostTurns : 1), 0)
  return offers.hooks.length * offers.beads.length * wires * Math.max(offers.bulks.length, 1)
}

/** Speed at which drag and line balance a weight, by Newton's method in logarithms. */
function quickLogSpeed(
  logWeight: number,
  logDrag: (logSpeed: number) => number,
  line: (speed: number) => number,
  from: number,
): number {
  let x = from
  for (let i = 0; i < NEWTON_STEPS; i += 1) {
    const force = Math.log(Math.exp(logDrag(x)) + line(Math.exp(x)))
    x += (logWeight - force) / 1.45
  }
  return x
}

/** The quick reckoning of one weighting of a group: time to the depth and lead there. */
export interface Quick {
  readonly timeS: number
  readonly leadMm: number
  readonly massMg: number
}

const NEVER: Quick = { timeS: Infinity, leadMm: Infinity, massMg: 0 }

/** Reckons weightings of a group quickly: attitude and drag from its tables, the start from rest in closed form. */
export function quickly(group: Group, input: FindInput) {
  const water = waterAt(input.conditions.waterTempC)
  const { tippet } = input.conditions
  const { depthMm } = input.wanted
  const density = water.densityMgPerMm3
  const lineWeightMgPerMm = tippet
    ? (tippet.densityMgPerMm3 - density) * (Math.PI / 4) * tippet.diameterMm ** 2
    : 0
  const leaderMm = tippet?.lengthMm ?? 0
  const logMultiplier = Math.log(group.dragMultiplier)
  const linePull = (speed: number, lengthMm: number) =>
    tippet && lengthMm > 0
      ? axialCylinderForce(speed, lengthMm, tippet.diameterMm, water.viscosityMgPerMmS, density) -
        lineWeightMgPerMm * lengthMm * GRAVITY_MM_PER_S2
      : 0
  const current = input.wanted.kind === 'lead' ? input.wanted.current : null

  return (bead: Material | null, wire: Material | null, turns: number): Quick => {
    const { rest, beadAt, wireAt } = group
    let { submergedMg, mx, my, massMg, volumeMm3 } = rest
    const add = (mg: number, mm3: number, at: { xMm: number; yMm: number }) => {
      const load = mg - density * mm3
      submergedMg += load
      mx += load * at.xMm
      my += load * at.yMm
      massMg += mg
      volumeMm3 += mm3
    }
    if (bead && beadAt) {
      const factor = input.calibration.massFactors.get(bead.id)?.factor ?? 1
      add(makeBead(bead).massMg * factor, group.beadVolumeMm3, beadAt)
    }
    if (wire && wireAt && turns > 0) {
      const mg = group.wireLengthMm(turns) * wireMgPerMm(wire, input)
      add(mg, mg / valueOf(wire, 'densityMgPerMm3', 8), wireAt)
    }
    if (submergedMg <= 0) return NEVER
    const weightAt = { xMm: mx / submergedMg, yMm: my / submergedMg }
    const table = group.drag.logDrag(group.drag.restingDeg(weightAt))
    const drag = (logSpeed: number) => table(logSpeed) + logMultiplier
    const weight = submergedMg * GRAVITY_MM_PER_S2
    const logWeight = Math.log(weight)
    const free = quickLogSpeed(logWeight, drag, () => 0, Math.log(300))
    let x = free
    let [timeS, leadMm] = [0, 0]
    for (const [node, share] of GAUSS) {
      const z = node * depthMm
      const trailing = Math.min(z, leaderMm)
      x = trailing > 0 ? quickLogSpeed(logWeight, drag, (speed) => linePull(speed, trailing), x) : free
      const spent = (share * depthMm) / Math.exp(x)
      timeS += spent
      if (current) leadMm += spent * speedAtHeight(current, current.depthMm - z)
    }
    const inertiaMg = massMg + ADDED_MASS_SHARE * density * (group.bodyVolumeMm3 + volumeMm3)
    const lagS = (Math.LN2 * Math.exp(free) * inertiaMg) / weight
    return { timeS: timeS + lagS, leadMm: leadMm + (current ? lagS * current.surfaceMmPerS : 0), massMg }
  }
}

/** Whether the stores have all of a weighting. */
const hasAll = (input: FindInput, materials: readonly (Material | null)[]) =>
  materials.every((material) => !material || input.offers.inStores.has(material.id))

/**
 * The best weightings of one outline: for what the stores have and for all, the lightest that does what is wanted,
 * the slimmest being the outline's own, and the fastest.
 */
export function bestOfGroup(group: Group, input: FindInput): readonly Found[] {
  const quick = quickly(group, input)
  const { wanted } = input
  const best = new Map<string, Found>()
  const offer = (key: string, found: Found, better: (a: Found, b: Found) => boolean) => {
    const known = best.get(key)
    if (!known || better(found, known)) best.set(key, found)
  }
  for (const bead of group.beads) {
    for (const wire of group.wires) {
      for (let turns = wire ? 1 : 0; turns <= (wire ? group.mostTurns : 0); turns += 1) {
        const { timeS, leadMm, massMg } = quick(bead, wire, turns)
        const serves =
          wanted.kind === 'depthByTime'
            ? timeS <= wanted.withinS * QUICK_MARGIN
            : leadMm <= wanted.leadMm * QUICK_MARGIN
        const splashMicroJ = splashEnergyMicroJ(massMg)
        if (!serves || splashMicroJ > input.mostSplashMicroJ) continue
        const found: Found = {
          weighting: { hook: group.hook, bead, wire, turns, bulk: group.bulk },
          timeS,
          massMg,
          splashMicroJ,
          bulkIndex: group.bulkIndex,
          inStores: hasAll(input, [group.hook, bead, wire]),
        }
        const stored = found.inStores ? 'stores' : 'any'
        offer(`${stored} lightest`, found, (a, b) => a.massMg < b.massMg)
        offer(`${stored} fastest`, found, (a, b) => a.timeS < b.timeS)
      }
    }
  }
  return [...best.values()]
}

/** A group and its best, or nothing where it cannot be tied. */
export function searchShape(input: FindInput, shape: Parameters<typeof makeGroup>[1]): readonly Found[] {
  const group = makeGroup(input, shape)
  return group ? bestOfGroup(group, input) : []
}
