import { hullOf, makeBead } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import { eyeCentre, hookCurve, shankHeightMm } from '../hook/index.ts'
import { strandDiameterMm, valueOf } from '../material/index.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { circlePath, hairPath, pathThrough } from './flyDrawing.ts'
import type { DrawingShape, FlyDrawing, Point } from './flyDrawing.ts'

const METAL = '#6B7478'
const MOST_HAIRS = 36
/** Hairs thinner than this would not show. */
const THINNEST_MM = 0.06

/** Where the shank runs at x, in drawing coordinates (y down). */
const onShank = (fly: Fly, xMm: number): Point => [xMm, -shankHeightMm(fly.hook, xMm)]

function hookShapes(fly: Fly): readonly DrawingShape[] {
  const { hook } = fly
  const eye = eyeCentre(hook)
  const colour = fly.hookMaterial.colourHex || METAL
  const stroke = { fill: null, stroke: colour, strokeMm: hook.wireMm }
  return [
    { key: 'hook', path: pathThrough(hookCurve(hook).map(({ xMm, yMm }) => [xMm, -yMm])), ...stroke },
    { key: 'hook', path: circlePath([eye.xMm, -eye.yMm], (hook.eyeOuterMm - hook.wireMm) / 2), ...stroke },
  ]
}

const BODY_ORDER = [
  'cone',
  'wire',
  'sheet',
  'thread',
  'coat',
  'body',
  'thorax',
  'foam',
  'collar',
  'hotSpot',
  'egg',
]

/** A wound or dubbed stretch, tapered a little at both ends. */
function stretch(component: FlyComponent, fly: Fly): DrawingShape {
  const steps = 8
  const across = (share: number) =>
    (component.outerMm / 2) * (0.82 + 0.18 * Math.sin(Math.PI * Math.min(share * 1.1, 1)))
  const at = (share: number) => onShank(fly, component.fromMm + (component.toMm - component.fromMm) * share)
  const shares = Array.from({ length: steps + 1 }, (_, i) => i / steps)
  const top = shares.map((share): Point => [at(share)[0], at(share)[1] - across(share)])
  const bottom = shares.map((share): Point => [at(share)[0], at(share)[1] + across(share)]).reverse()
  const soft = component.kind === 'coat'
  return {
    key: component.key,
    path: pathThrough([...top, ...bottom], true),
    fill: soft ? null : component.material.colourHex,
    stroke: soft ? '#9FB4B8' : null,
    strokeMm: soft ? 0.08 : 0,
  }
}

function ribShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const turns = component.turns ?? 5
  const widthMm = Math.max(strandDiameterMm(component.material), 0.1)
  const half = Math.max(component.coreMm / 2, 0.3)
  const lengthMm = component.toMm - component.fromMm
  return Array.from({ length: turns }, (_, i): DrawingShape => {
    const [x, y] = onShank(fly, component.fromMm + ((i + 0.5) / turns) * lengthMm)
    const lean = Math.min(lengthMm / turns / 3, half)
    return {
      key: component.key,
      path: pathThrough([
        [x - lean, y - half],
        [x + lean, y + half],
      ]),
      fill: null,
      stroke: component.material.colourHex,
      strokeMm: widthMm,
    }
  })
}

/** Hairs from a point about a heading, spread evenly with a little irregularity of their own. */
function hairs(
  component: FlyComponent,
  root: Point,
  headings: { readonly from: number; readonly to: number },
  count: number,
): readonly DrawingShape[] {
  const random = randomFrom(component.key.length * 97 + count)
  const shown = Math.max(Math.min(Math.round(count), MOST_HAIRS), 2)
  const widthMm = Math.max(valueOf(component.material, 'fibreDiameterMm'), THINNEST_MM)
  const path = Array.from({ length: shown }, (_, i) => {
    const angle = headings.from + ((headings.to - headings.from) * (i + 0.5)) / shown
    const lengthMm = (component.lengthMm ?? 3) * (0.9 + 0.1 * random())
    return hairPath(root, angle, lengthMm, 0.06 * (random() - 0.5))
  }).join('')
  return [{ key: component.key, path, fill: null, stroke: component.material.colourHex, strokeMm: widthMm }]
}

const radians = (degrees: number) => (degrees * Math.PI) / 180

function hairShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const middle = onShank(fly, (component.fromMm + component.toMm) / 2)
  const rear = onShank(fly, component.toMm)
  const drop = component.toMm > 0.9 * fly.hook.shankMm ? fly.hook.style.curveDeg / 2 : 0
  const fan = (root: Point, from: number, to: number, count: number) =>
    hairs(component, root, { from: radians(from), to: radians(to) }, count)
  switch (component.kind) {
    case 'tail':
    case 'shuck':
      return fan(rear, drop - 9, drop + 9, component.fibreCount ?? 14)
    case 'hackle': {
      const below = component.clipped ?? (component.side === 'above' || component.side === 'both' ? 0 : 1)
      const above = component.side === 'both' ? 0.25 : 1
      const barbs = 6 * (component.turns ?? 3)
      return [
        ...hairs(shortened(component, above), middle, { from: radians(-118), to: radians(-62) }, barbs),
        ...hairs(shortened(component, below), middle, { from: radians(62), to: radians(118) }, barbs),
      ]
    }
    case 'collar':
      return [...fan(middle, -68, -25, 12), ...fan(middle, 25, 68, 12)]
    case 'legs':
    case 'gills':
      return fan(middle, 38, 80, component.fibreCount ?? component.strands ?? 8)
    case 'post':
      return fan(middle, -100, -80, 20)
    case 'wing':
      if (component.side === 'around') return fan(middle, -32, -14, 22)
      if (component.side === 'both') return fan(middle, -14, 14, 16)
      return fan(middle, component.material.family.kind === 'cdc' ? -110 : -75, -35, 22)
    case 'strip':
      return fan(onShank(fly, component.fromMm), -12, 8, 40)
    default:
      return []
  }
}

const shortened = (component: FlyComponent, share: number): FlyComponent => ({
  ...component,
  lengthMm: (component.lengthMm ?? 4) * share,
})

function beadShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const bead = makeBead(component.material)
  const pinMm = component.lengthMm
  const centre = onShank(fly, pinMm === null ? component.fromMm + bead.diameterMm * 0.35 : -pinMm)
  const radius = bead.diameterMm / 2
  const ring: DrawingShape = {
    key: component.key,
    path: circlePath(centre, radius),
    fill: component.material.colourHex,
    stroke: '#3A4044',
    strokeMm: 0.08,
  }
  if (pinMm !== null) {
    const pin: DrawingShape = {
      key: component.key,
      path: pathThrough([onShank(fly, 0.6 * fly.hook.shankMm), centre]),
      fill: null,
      stroke: METAL,
      strokeMm: 0.6,
    }
    return [pin, ring]
  }
  if (bead.boring !== 'slotted') return [ring]
  const slot: readonly Point[] = [
    [centre[0] - radius * 0.2, centre[1] + radius * 0.1],
    [centre[0] - radius * 0.85, centre[1] + radius * 0.75],
  ]
  return [
    ring,
    {
      key: component.key,
      path: pathThrough(slot),
      fill: null,
      stroke: '#3A4044',
      strokeMm: bead.diameterMm * 0.16,
    },
  ]
}

function laidShape(component: FlyComponent, fly: Fly): DrawingShape {
  const sections = hullOf(fly)
  const top = sections
    .filter(({ fromMm, toMm }) => toMm > component.fromMm && fromMm < component.toMm)
    .flatMap(({ fromMm, toMm, diameterMm }) =>
      [fromMm, toMm].map((x): Point => [x, onShank(fly, x)[1] - diameterMm / 2]),
    )
  return {
    key: component.key,
    path: pathThrough(top),
    fill: null,
    stroke: component.material.colourHex,
    strokeMm: Math.max(valueOf(component.material, 'thicknessMm'), 0.25),
  }
}

function eyeShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const radius = Number(component.material.sizeKey || 3) / 2
  const [x, y] = onShank(fly, component.fromMm + radius * 0.6)
  const up = component.side === 'below' ? -1 : 1
  return [
    {
      key: component.key,
      path: circlePath([x, y - up * radius * 0.3], radius),
      fill: component.material.colourHex,
      stroke: '#3A4044',
      strokeMm: 0.08,
    },
  ]
}

function componentShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  switch (component.kind) {
    case 'bead':
      return beadShapes(component, fly)
    case 'eyes':
      return eyeShapes(component, fly)
    case 'rib':
      return ribShapes(component, fly)
    case 'back':
    case 'wingCase':
      return [laidShape(component, fly)]
    case 'collar':
      return component.material.family.kind === 'dubbing'
        ? [stretch(component, fly)]
        : hairShapes(component, fly)
    default:
      return BODY_ORDER.includes(component.kind) ? [stretch(component, fly)] : hairShapes(component, fly)
  }
}

/** Half of what a shape can reach beyond its body, for the box around the drawing. */
function reachOf(fly: Fly): { above: number; below: number; behind: number } {
  const { hook } = fly
  const reach = {
    above: hook.gapeMm * 0.6,
    below: Math.max(hook.gapeMm + hook.wireMm, hook.neckMm + hook.eyeOuterMm),
    behind: hook.bendRadiusMm + hook.wireMm,
  }
  for (const { kind, lengthMm, outerMm, material } of fly.components) {
    const length = lengthMm ?? 0
    const radius = kind === 'bead' || kind === 'eyes' ? Number(material.sizeKey || 3) * 0.7 : outerMm / 2
    reach.above = Math.max(reach.above, radius)
    if (kind === 'tail' || kind === 'shuck' || kind === 'strip') reach.behind = Math.max(reach.behind, length)
    if (kind === 'hackle' || kind === 'post' || kind === 'wing') reach.above = Math.max(reach.above, length)
    if (kind === 'hackle' || kind === 'legs' || kind === 'collar') reach.below = Math.max(reach.below, length)
  }
  return reach
}

/**
 * Draws a fly from its dressing, to scale in mm: hook by style and size, underbody, bead with its slot, as many rib
 * turns as there are, tail and hackle by length and count, in the materials' colours. Eye to the left, point down.
 */
export function drawFly(fly: Fly): FlyDrawing {
  const behind = fly.components.filter(({ kind }) => kind === 'wing' || kind === 'post')
  const inFront = fly.components.filter(({ kind }) => kind !== 'wing' && kind !== 'post')
  const shapes = [
    ...behind.flatMap((component) => componentShapes(component, fly)),
    ...hookShapes(fly),
    ...inFront.flatMap((component) => componentShapes(component, fly)),
  ]
  const reach = reachOf(fly)
  const pinMm = Math.max(
    0,
    ...fly.components.map(({ kind, lengthMm }) => (kind === 'bead' ? (lengthMm ?? 0) + 3 : 0)),
  )
  const ahead = Math.max(fly.hook.eyeOuterMm + fly.hook.neckMm, pinMm) + 0.5
  const arch = fly.hook.style.curveDeg > 0 ? fly.hook.shankMm * 0.14 : 0
  const minYMm = -(reach.above + arch) - 0.5
  return {
    minXMm: -ahead,
    minYMm,
    widthMm: ahead + fly.hook.shankMm + reach.behind + 0.5,
    heightMm: reach.below + 0.8 - minYMm,
    shapes,
  }
}
