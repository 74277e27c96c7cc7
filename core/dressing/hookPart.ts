import { hookCurve } from '../hook/index.ts'
import type { Hook } from '../hook/index.ts'
import { propertyOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Direction, DragElement } from '../sink/index.ts'
import type { Part } from './part.ts'

/** Makers differ in the mass of a hook of one size by ±30 % (80 %): as standard deviation of the logarithm. */
const MASS_SD_LOG = Math.log(1.3) / 1.2816
const PIECES_OF_BEND = 4

function wire(
  from: { xMm: number; yMm: number },
  to: { xMm: number; yMm: number },
  wireMm: number,
): DragElement {
  const [dx, dy] = [to.xMm - from.xMm, to.yMm - from.yMm]
  const lengthMm = Math.max(Math.hypot(dx, dy), 1e-6)
  const axis: Direction = [dx / lengthMm, dy / lengthMm, 0]
  return {
    kind: 'strands',
    count: 1,
    diameterMm: wireMm,
    lengthMm,
    axes: [axis],
    foldExponent: 0,
    envelope: null,
  }
}

function bendElements(hook: Hook): readonly DragElement[] {
  const curve = hookCurve(hook)
  const bend = curve.slice(curve.findIndex((point) => point.xMm >= hook.shankMm - 1e-9))
  const last = bend.length - 2
  const stops = Array.from({ length: PIECES_OF_BEND + 1 }, (_, i) => Math.round((last * i) / PIECES_OF_BEND))
  stops.push(bend.length - 1)
  return stops.slice(1).flatMap((stop, i) => {
    const [from, to] = [bend[stops[i] ?? 0], bend[stop]]
    return from && to ? [wire(from, to, hook.wireMm)] : []
  })
}

/** The eye's ring, as wire half lengthwise of its plane and half across. */
function eyeElements(hook: Hook): readonly DragElement[] {
  const lengthMm = (Math.PI * (hook.eyeOuterMm - hook.wireMm)) / 2
  const neck = (hook.style.neckDeg * Math.PI) / 180
  const axes: readonly Direction[] = [
    [0, 0, 1],
    [-Math.cos(neck), Math.sin(neck), 0],
  ]
  return axes.map((axis) => ({
    kind: 'strands',
    count: 1,
    diameterMm: hook.wireMm,
    lengthMm,
    axes: [axis],
    foldExponent: 0,
    envelope: null,
  }))
}

/** The bare hook as a part: what stands clear of the dressing drags; the shank lies beneath it. */
export function hookPart(hook: Hook, material: Material): Part {
  const density = propertyOf(material, 'densityMgPerMm3', 7.85).value
  const bendMg = (Math.PI / 4) * hook.wireMm ** 2 * Math.PI * hook.bendRadiusMm * density
  const massMg = hook.volumeMm3 * density
  return {
    key: 'hook',
    kind: 'hook',
    material,
    massMg,
    massSdLog: MASS_SD_LOG,
    volumeMm3: hook.volumeMm3,
    airMm3: 0,
    wettingStrokes: 1,
    centroid: {
      xMm: hook.shankMm * (0.5 + (0.5 * bendMg) / massMg),
      yMm: -hook.bendRadiusMm * Math.min((1.4 * bendMg) / massMg, 1),
    },
    elements: [...bendElements(hook), ...eyeElements(hook)],
    filmPerimeterMm: 0,
    filmSupportShare: 0,
  }
}
