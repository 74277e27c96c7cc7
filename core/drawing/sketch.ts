import {
  beadCentreMm, foamThicknessMm, KINDS, pinMm, seatOf, solidOuterMm, standingHairs, woundBarbs,
} from '../dressing/index.ts' // prettier-ignore
import type { DrawnAs, Fly, FlyComponent } from '../dressing/index.ts'
import type { HookShape } from '../hook/index.ts'
import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Barb, Material, MaterialKind } from '../material/index.ts'

/** A component as it is drawn: where it lies, how much of it there is, and what its goods look like. Lengths in mm. */
export interface SketchPart {
  readonly key: string
  readonly shape: DrawnAs
  readonly goods: MaterialKind
  /** when it is tied in, among the others */
  readonly order: number
  readonly side: FlyComponent['side']
  readonly fromMm: number
  readonly toMm: number
  readonly lengthMm: number | null
  /** diameter below it, over it, and over what of it light does not pass */
  readonly coreMm: number
  readonly outerMm: number
  readonly solidMm: number
  readonly turns?: number | undefined
  /** barbs of a feather wound on edge, before shears */
  readonly barbs?: number | undefined
  readonly fibreCount?: number | undefined
  readonly strands?: number | undefined
  readonly clipped?: number | undefined
  readonly formed?: FlyComponent['formed']
  readonly dryHex: string
  readonly wetHex: string
  /** thickness of a strand, and of a single fibre */
  readonly strandMm: number
  readonly fibreMm: number
  /** hairs that stand out of what is wound: how long, and how many on a mm² */
  readonly hairMm: number
  readonly hairsPerMm2: number
  /** 0 keeps its shape in the water, 1 folds back */
  readonly soft: number
  readonly clear: number
  /** of a bead, an eye, a cone: its diameter; of foam and strip: its thickness and width */
  readonly sizeMm: number
  readonly widthMm: number
  /** middle of a bead from the rear of the eye; before it on a pin */
  readonly centreMm: number
  readonly pinned: boolean
  readonly slotted: boolean
  readonly barred: boolean
  readonly resin: boolean
  readonly finish: Finish
}

/** How a hard surface takes the light: metal mirrors it, paint is glossy, what is matt scatters it. */
export const FINISHES = ['metal', 'painted', 'matt'] as const
export type Finish = (typeof FINISHES)[number]

/** The frame that holds a fly, mm, y downwards, from the rear of the eye. */
export interface FlyFrame {
  readonly leftMm: number
  readonly topMm: number
  readonly widthMm: number
  readonly heightMm: number
}

/** All that a drawing of a fly needs, a few hundred bytes: drawn anew at every scale. */
export interface BareSketch {
  readonly hook: HookShape & { readonly hex: string; readonly barb: Barb | null }
  readonly parts: readonly SketchPart[]
}

/** A sketch with the frame that its drawing will need, so that lists leave room for it. */
export interface FlySketch extends BareSketch {
  readonly frame: FlyFrame
}

const STEEL = '#6B7478'
const BARRED = /speckled|barred|grizzle|mottled|banded/i

const METALLIC = /gold|copper|silver|nickel|bronze|brass|chrome|lead|metal|pearl/i
const MATT = /matt|soft|foam|nylon/i

function finishOf({ family, colourName }: Material): Finish {
  if (MATT.test(colourName) || MATT.test(family.name)) return 'matt'
  return METALLIC.test(colourName) ? 'metal' : 'painted'
}

const to3 = (value: number) => Math.round(value * 1000) / 1000

function widthOf({ widthMm }: FlyComponent, material: Material): number {
  if (widthMm !== undefined) return widthMm
  return (material.family.kind === 'strip' ? sizeNumber(material) : null) ?? valueOf(material, 'widthMm')
}

function partOf(component: FlyComponent, fly: Fly): SketchPart {
  const { key, kind, material, side, fromMm, toMm, lengthMm, turns, fibreCount, strands, clipped, formed } =
    component
  const { family, colourName, colourHex, colourWetHex } = material
  const hairs = standingHairs(material)
  const onPinMm = pinMm(component)
  const isHead = KINDS[kind].layer === 'head'
  return {
    key,
    shape: KINDS[kind].drawn,
    goods: family.kind,
    order: Math.max(KINDS[kind].step.order, KINDS[kind].otherStep?.order ?? 0),
    side,
    fromMm: to3(fromMm),
    toMm: to3(toMm),
    lengthMm: lengthMm === null ? null : to3(lengthMm),
    coreMm: to3(component.coreMm),
    outerMm: to3(component.outerMm),
    solidMm: to3(solidOuterMm(component)),
    turns,
    barbs:
      turns === undefined || lengthMm === null ? undefined : Math.round(woundBarbs(seatOf(component, fly))),
    fibreCount,
    strands,
    clipped,
    formed,
    dryHex: colourHex,
    wetHex: colourWetHex,
    strandMm: to3(strandDiameterMm(material)),
    fibreMm: to3(valueOf(material, 'fibreDiameterMm')),
    hairMm: to3(family.kind === 'strip' ? valueOf(material, 'fibreLengthMm') : hairs.lengthMm),
    hairsPerMm2: to3(hairs.perMm2),
    soft: to3(valueOf(material, 'foldExponent')),
    clear: to3(valueOf(material, 'translucency')),
    sizeMm: to3(
      family.kind === 'foam'
        ? foamThicknessMm(material)
        : (sizeNumber(material) ?? valueOf(material, 'diameterMm')),
    ),
    widthMm: to3(widthOf(component, material)),
    centreMm: to3(isHead ? beadCentreMm(component, fly.hook) : (fromMm + toMm) / 2),
    pinned: onPinMm !== null,
    slotted: family.boring === 'slotted',
    barred: BARRED.test(colourName) || BARRED.test(family.name),
    finish: finishOf(material),
    resin: component.treatment === 'resin' || component.treatment === 'varnish',
  }
}

/** What of a fly is drawn, without the physics of its goods. */
export function bareSketchOf(fly: Fly): BareSketch {
  const { shankMm, gapeMm, wireMm, bendRadiusMm, eyeOuterMm, neckMm, style } = fly.hook
  const { curveDeg, bendDeg, neckDeg } = style
  return {
    hook: {
      ...{ shankMm: to3(shankMm), gapeMm: to3(gapeMm), wireMm: to3(wireMm), bendRadiusMm: to3(bendRadiusMm) },
      ...{ eyeOuterMm: to3(eyeOuterMm), neckMm: to3(neckMm), style: { curveDeg, bendDeg, neckDeg } },
      hex: fly.hookMaterial.colourHex || STEEL,
      barb: fly.hookMaterial.barb ?? null,
    },
    parts: fly.components.map((component) => partOf(component, fly)),
  }
}
