import type { DrawnAs } from '../dressing/index.ts'
import { drawHook } from './hook/drawHook.ts'
import { hookLine } from './hook/hookLine.ts'
import { emptyPage } from './page/page.ts'
import type { Page } from './page/page.ts'
import { paintBead, paintCone, paintEyes } from './parts/bead.ts'
import { paintCoat } from './parts/coat.ts'
import { paintCollar, paintHackle } from './parts/collar.ts'
import { paintFoam } from './parts/foam.ts'
import { paintThread } from './parts/head.ts'
import { paintLaid } from './parts/laid.ts'
import { paintGills, paintLegs } from './parts/legs.ts'
import { paintRib } from './parts/rib.ts'
import { paintStrip } from './parts/strip.ts'
import { paintTail } from './parts/trailing.ts'
import { paintPost, paintWing } from './parts/wing.ts'
import { paintWound } from './parts/wound.ts'
import type { FlyDrawing } from './flyDrawing.ts'
import type { Painter, Scene, Wetness } from './scene.ts'
import type { BareSketch } from './sketch.ts'

/** How each shape of a component is painted. */
const PAINTERS: Readonly<Record<DrawnAs, Painter>> = {
  bead: paintBead,
  cone: paintCone,
  eyes: paintEyes,
  thread: paintThread,
  wound: paintWound,
  rib: paintRib,
  coat: paintCoat,
  laid: paintLaid,
  foam: paintFoam,
  tail: paintTail,
  strip: paintStrip,
  wing: paintWing,
  post: paintPost,
  hackle: paintHackle,
  collar: paintCollar,
  legs: paintLegs,
  gills: paintGills,
}

/** How a fly is drawn: its scale decides how much is. */
export interface DrawnHow {
  readonly pxPerMm: number
  readonly wetness?: Wetness
}

/**
 * Draws a fly as it looks tied, to scale: eye to the left, point below. Parts are laid down in tying order, each layer
 * from the back to the front; the same fly at the same scale is drawn the same for ever.
 */
export function drawSketch(sketch: BareSketch, { pxPerMm, wetness = 'dry' }: DrawnHow): FlyDrawing {
  const page = emptyPage(pxPerMm)
  paintSketch(page, sketch, wetness)
  return page.finished()
}

/** Paints a fly on a page. */
export function paintSketch(page: Page, sketch: BareSketch, wetness: Wetness): void {
  const line = hookLine(sketch.hook)
  const scene: Scene = { page, sketch, line, wetness, bodies: [] }
  drawHook(page, sketch, line)
  const inTyingOrder = sketch.parts.toSorted((a, b) => a.order - b.order)
  for (const part of inTyingOrder) PAINTERS[part.shape](part, scene)
}
