import { beadCentreMm, hullOf, KINDS, makeBead, pinMm } from '../dressing/index.ts'
import type { DrawnAs, Fly, FlyComponent } from '../dressing/index.ts'
import { eyeCentre, hookCurve, shankHeightMm } from '../hook/index.ts'
import { strandDiameterMm, valueOf } from '../material/index.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { circlePath, hairPath, pathThrough } from './flyDrawing.ts'
import type { DrawingShape, FlyDrawing, Point } from './flyDrawing.ts'
import { radians } from '../number/index.ts'

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

/** A wound or dubbed stretch, tapered a little at both ends. */
function stretch(component: FlyComponent, fly: Fly): DrawingShape {
  const steps = 8
  const across = (share: number) =>
    (component.outerMm / 2) * (0.82 + 0.18 * Math.sin(Math.PI * Math.min(share * 1.1, 1)))
  const at = (share: number) => onShank(fly, component.fromMm + (component.toMm - component.fromMm) * share)
  const shares = Array.from({ length: steps + 1 }, (_, i) => i / steps)
  const top = shares.map((share): Point => [at(share)[0], at(share)[1] - across(share)])
  const bottom = shares.map((share): Point => [at(share)[0], at(share)[1] + across(share)]).reverse()
  const soft = KINDS[component.kind].drawn.shape === 'coat'
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

/** Hairs of a component about a heading, from its root. */
const fan = (component: FlyComponent, root: Point, fromDeg: number, toDeg: number, count: number) =>
  hairs(component, root, { from: radians(fromDeg), to: radians(toDeg) }, count)

const middleOf = (component: FlyComponent, fly: Fly): Point =>
  onShank(fly, (component.fromMm + component.toMm) / 2)

function tailShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const drop = component.toMm > 0.9 * fly.hook.shankMm ? fly.hook.style.curveDeg / 2 : 0
  return fan(component, onShank(fly, component.toMm), drop - 9, drop + 9, component.fibreCount ?? 14)
}

function hackleShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const middle = middleOf(component, fly)
  const below = component.clipped ?? (component.side === 'above' || component.side === 'both' ? 0 : 1)
  const above = component.side === 'both' ? 0.25 : 1
  const barbs = 6 * (component.turns ?? 3)
  return [
    ...fan(shortened(component, above), middle, -118, -62, barbs),
    ...fan(shortened(component, below), middle, 62, 118, barbs),
  ]
}

function wingShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const middle = middleOf(component, fly)
  if (component.side === 'around') return fan(component, middle, -32, -14, 22)
  if (component.side === 'both') return fan(component, middle, -14, 14, 16)
  return fan(component, middle, component.material.family.kind === 'cdc' ? -110 : -75, -35, 22)
}

function collarShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  if (component.material.family.kind === 'dubbing') return [stretch(component, fly)]
  const middle = middleOf(component, fly)
  return [...fan(component, middle, -68, -25, 12), ...fan(component, middle, 25, 68, 12)]
}

const shortened = (component: FlyComponent, share: number): FlyComponent => ({
  ...component,
  lengthMm: (component.lengthMm ?? 4) * share,
})

function beadShapes(component: FlyComponent, fly: Fly): readonly DrawingShape[] {
  const bead = makeBead(component.material)
  const onPinMm = pinMm(component)
  const centre = onShank(fly, beadCentreMm(component, fly.hook))
  const radius = bead.diameterMm / 2
  const ring: DrawingShape = {
    key: component.key,
    path: circlePath(centre, radius),
    fill: component.material.colourHex,
    stroke: '#3A4044',
    strokeMm: 0.08,
  }
  if (onPinMm !== null) {
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

type Painter = (component: FlyComponent, fly: Fly) => readonly DrawingShape[]

/** How each shape of a component is painted. */
const PAINTERS: Readonly<Record<DrawnAs['shape'], Painter>> = {
  bead: beadShapes,
  eyes: eyeShapes,
  wound: (component, fly) => [stretch(component, fly)],
  coat: (component, fly) => [stretch(component, fly)],
  rib: ribShapes,
  laid: (component, fly) => [laidShape(component, fly)],
  tail: tailShapes,
  hackle: hackleShapes,
  collar: collarShapes,
  legs: (component, fly) =>
    fan(component, middleOf(component, fly), 38, 80, component.fibreCount ?? component.strands ?? 8),
  post: (component, fly) => fan(component, middleOf(component, fly), -100, -80, 20),
  wing: wingShapes,
  strip: (component, fly) => fan(component, onShank(fly, component.fromMm), -12, 8, 40),
}

const componentShapes: Painter = (component, fly) => PAINTERS[KINDS[component.kind].drawn.shape](component, fly)

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
    const { shape, reaches } = KINDS[kind].drawn
    const ball = shape === 'bead' || shape === 'eyes'
    reach.above = Math.max(reach.above, ball ? Number(material.sizeKey || 3) * 0.7 : outerMm / 2)
    for (const side of reaches) reach[side] = Math.max(reach[side], length)
  }
  return reach
}

/**
 * Draws a fly from its dressing, to scale in mm: hook by style and size, underbody, bead with its slot, as many rib
 * turns as there are, tail and hackle by length and count, in the materials' colours. Eye to the left, point down.
 */
export function drawFly(fly: Fly): FlyDrawing {
  const behind = fly.components.filter(({ kind }) => KINDS[kind].drawn.behindHook)
  const inFront = fly.components.filter(({ kind }) => !KINDS[kind].drawn.behindHook)
  const shapes = [
    ...behind.flatMap((component) => componentShapes(component, fly)),
    ...hookShapes(fly),
    ...inFront.flatMap((component) => componentShapes(component, fly)),
  ]
  const reach = reachOf(fly)
  const beads = fly.components.filter(({ kind }) => KINDS[kind].drawn.shape === 'bead')
  const pinnedMm = Math.max(0, ...beads.map((bead) => (pinMm(bead) ?? 0) + 3))
  const ahead = Math.max(fly.hook.eyeOuterMm + fly.hook.neckMm, pinnedMm) + 0.5
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
