import { eyeCentre, hookCurve, hookMassSdLog } from '../hook/index.ts'
import type { Hook } from '../hook/index.ts'
import { propertyOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Direction, DragElement, FlySpot } from '../sink/index.ts'
import type { Part } from './part.ts'

const PIECES_OF_BEND = 4
/** The point leg with its tapered half counted as a cone. */
const TAPERED_POINT_SHARE = 2 / 3

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
    at: { xMm: from.xMm + dx / 2, yMm: from.yMm + dy / 2 },
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
  const at = eyeCentre(hook)
  const outMm = Math.max(Math.hypot(at.xMm, at.yMm), 1e-6)
  const axes: readonly Direction[] = [
    [0, 0, 1],
    [at.xMm / outMm, at.yMm / outMm, 0],
  ]
  return axes.map((axis) => ({
    kind: 'strands',
    at,
    count: 1,
    diameterMm: hook.wireMm,
    lengthMm,
    axes: [axis],
    foldExponent: 0,
    envelope: null,
  }))
}

/** Where the wire's weight sits: its pieces along the curve, the point tapered, and the eye's ring. */
function wireCentre(hook: Hook): FlySpot {
  const curve = hookCurve(hook)
  const eye = eyeCentre(hook)
  let weight = Math.PI * (hook.eyeOuterMm - hook.wireMm)
  let [x, y] = [weight * eye.xMm, weight * eye.yMm]
  curve.slice(1).forEach((to, i) => {
    const from = curve[i] ?? to
    const tapered = i === curve.length - 2 ? TAPERED_POINT_SHARE : 1
    const length = tapered * Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm)
    weight += length
    x += (length * (from.xMm + to.xMm)) / 2
    y += (length * (from.yMm + to.yMm)) / 2
  })
  return { xMm: x / weight, yMm: y / weight }
}

/** The bare hook as a part: what stands clear of the dressing drags; the shank lies beneath it. */
export function hookPart(hook: Hook, material: Material): Part {
  const known = made.get(hook)
  if (known?.material === material) return known
  const part = makePart(hook, material)
  made.set(hook, part)
  return part
}

/** A hook is worked out once as long as a fly is on it. */
const made = new WeakMap<Hook, Part>()

function makePart(hook: Hook, material: Material): Part {
  const density = propertyOf(material, 'densityMgPerMm3').value
  const massMg = hook.volumeMm3 * density
  return {
    key: 'hook',
    kind: 'hook',
    material,
    massMg,
    massSdLog: hookMassSdLog(material),
    volumeMm3: hook.volumeMm3,
    airMm3: 0,
    wettingStrokes: 1,
    wettingTimeS: 1,
    drinks: false,
    at: wireCentre(hook),
    elements: [...bendElements(hook), ...eyeElements(hook)],
    film: null,
    filmSupportShare: 0,
    holdsUp: false,
    topMm: 0,
  }
}
