import { speedAtHeight } from '../drift/index.ts'
import { valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { GRAVITY_MM_PER_S2, waterAt } from '../water/index.ts'
import type { Group } from './group.ts'
import { quickPull } from './quickLine.ts'
import type { QuickPull } from './quickLine.ts'
import type { FindInput, WantedFall } from './wanted.ts'

/** Nodes and weights of Gauss–Legendre on 0 to 1, of five points. */
const GAUSS: readonly (readonly [number, number])[] = [
  [0.046910077, 0.118463443],
  [0.230765345, 0.239314335],
  [0.5, 0.284444444],
  [0.769234655, 0.239314335],
  [0.953089923, 0.118463443],
]
const NEWTON_STEPS = 3
const ADDED_MASS_SHARE = 0.5

/** Speed at which drag and line balance a weight, by Newton's method in logarithms. */
function quickLogSpeed(
  logWeight: number,
  logDrag: (logSpeed: number) => number,
  pull: QuickPull,
  from: number,
): number {
  let x = from
  for (let i = 0; i < NEWTON_STEPS; i += 1) {
    const force = Math.log(Math.exp(logDrag(x)) + pull(x))
    x += (logWeight - force) / 1.45
  }
  return x
}

/** The quick reckoning of one weighting of a group: time to the depth, lead there, pin. */
export interface Quick {
  readonly timeS: number
  readonly leadMm: number
  readonly massMg: number
  /** where the bead must stand before the eye for the fly to hang level; null where that was not asked for */
  readonly pinMm: number | null
}

const NO_PULL: QuickPull = () => 0
const NEVER: Quick = { timeS: Infinity, leadMm: Infinity, massMg: 0, pinMm: null }

/** The share of the depth at each node, and what the line that is out there does; null before there is any. */
export type QuickNodes = readonly {
  readonly node: number
  readonly share: number
  readonly pull: QuickPull | null
}[]

/** The nodes of a fall to this depth, made once for a whole search. */
export function nodesTo(depthMm: number, { tippet, waterTempC }: FindInput['conditions']): QuickNodes {
  const water = waterAt(waterTempC)
  const pulls = new Map<number, QuickPull>()
  return GAUSS.map(([node, share]) => {
    const trailingMm = Math.min(node * depthMm, tippet?.lengthMm ?? 0)
    if (!tippet || trailingMm <= 0) return { node, share, pull: null }
    const pull = pulls.get(trailingMm) ?? quickPull(tippet, trailingMm, water)
    pulls.set(trailingMm, pull)
    return { node, share, pull }
  })
}

/** Reckons weightings of a group quickly: attitude and drag from its tables, the start from rest in closed form. */
export function quickly(group: Group, input: FindInput, wanted: WantedFall, nodes: QuickNodes) {
  const water = waterAt(input.conditions.waterTempC)
  const { depthMm } = wanted
  const density = water.densityMgPerMm3
  const logMultiplier = Math.log(group.dragMultiplier)
  const current = wanted.kind === 'lead' ? wanted.current : null
  const drag = group.drag()

  return (bead: Material | null, wire: Material | null, turns: number): Quick => {
    const { rest, wireAt } = group
    let { beadAt } = group
    let pinMm: number | null = null
    let { submergedMg, mx, my, massMg, volumeMm3 } = rest
    const add = (mg: number, mm3: number, at: { xMm: number; yMm: number }) => {
      const load = mg - density * mm3
      submergedMg += load
      mx += load * at.xMm
      my += load * at.yMm
      massMg += mg
      volumeMm3 += mm3
    }
    if (wire && wireAt && turns > 0) {
      const mg = group.wireLengthMm(turns) * group.wireMgPerMm(wire)
      add(mg, mg / valueOf(wire, 'densityMgPerMm3'), wireAt)
    }
    if (bead && beadAt) {
      const mg = group.beadMg(bead)
      if (wanted.kind === 'level') {
        // level where the moments about the eye cancel
        const load = mg - density * group.beadVolumeMm3
        pinMm = (mx - submergedMg * group.eye.xMm) / load - group.eye.xMm
        beadAt = { ...beadAt, xMm: -pinMm }
      }
      add(mg, group.beadVolumeMm3, beadAt)
    }
    if (submergedMg <= 0) return NEVER
    const weightAt = { xMm: mx / submergedMg, yMm: my / submergedMg }
    const table = drag.logDrag(drag.restingDeg(weightAt))
    const logDrag = (logSpeed: number) => table(logSpeed) + logMultiplier
    const weight = submergedMg * GRAVITY_MM_PER_S2
    const logWeight = Math.log(weight)
    const free = quickLogSpeed(logWeight, logDrag, NO_PULL, Math.log(300))
    let x = free
    let [timeS, leadMm] = [0, 0]
    for (const { node, share, pull } of nodes) {
      x = pull ? quickLogSpeed(logWeight, logDrag, pull, x) : free
      const spent = (share * depthMm) / Math.exp(x)
      timeS += spent
      if (current) leadMm += spent * speedAtHeight(current, current.depthMm - node * depthMm)
    }
    const inertiaMg = massMg + ADDED_MASS_SHARE * density * (group.bodyVolumeMm3 + volumeMm3)
    const lagS = (Math.LN2 * Math.exp(free) * inertiaMg) / weight
    return {
      timeS: timeS + lagS,
      leadMm: leadMm + (current ? lagS * current.surfaceMmPerS : 0),
      massMg,
      pinMm,
    }
  }
}
