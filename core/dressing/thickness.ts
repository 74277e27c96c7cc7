import type { Hook } from '../hook/index.ts'
import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Component } from './dressing.ts'
import { THREAD_LAYER_MM } from './threadWidth.ts'

/** Radial thickness of a dubbed body in gapes: the thinnest that covers, and what full bulk adds. */
const DUBBED_OF_GAPE = { thinnest: 0.05, added: 0.38 }

/** Diameter that a component, its amounts complete, adds to what lies below it, mm; nought for what sits apart from the body. */
export function addedDiameterMm(component: Component, material: Material, hook: Hook): number {
  const { layers = 1 } = component
  switch (component.kind) {
    case 'bead':
    case 'cone':
      return Math.max((sizeNumber(material) ?? valueOf(material, 'diameterMm')) - hook.wireMm, 0)
    case 'wire':
      return 2 * strandDiameterMm(material) * layers
    case 'thread':
      return 2 * THREAD_LAYER_MM * layers
    case 'sheet':
      return 2 * valueOf(material, 'thicknessMm') * layers
    case 'coat':
      return 2 * valueOf(material, 'coatThicknessMm') * layers
    case 'collar':
      return isFilling(material) ? bodyDiameterMm(component, material, hook) : 0
    case 'body':
    case 'thorax':
    case 'egg':
    case 'foam':
      return bodyDiameterMm(component, material, hook)
    default:
      return 0
  }
}

/** Feathers and hair of a collar stand out of the body; everything else makes it thicker. */
const isFilling = ({ family }: Material) =>
  !['hackle', 'feather', 'cdc', 'marabou', 'hair', 'fibre'].includes(family.kind)

function bodyDiameterMm(component: Component, material: Material, hook: Hook): number {
  const { bulk = 0, layers = 1 } = component
  switch (material.family.kind) {
    case 'thread':
      return 2 * THREAD_LAYER_MM * layers
    case 'floss':
      return 2 * valueOf(material, 'thicknessMm') * layers
    case 'quill':
    case 'tinsel':
    case 'sheet':
      return 2 * Math.max(valueOf(material, 'thicknessMm'), 0.04)
    case 'wire':
      return 2 * strandDiameterMm(material)
    case 'herl':
    case 'chenille':
    case 'yarn':
      return 2 * valueOf(material, 'diameterMm') * 0.8
    case 'foam':
      return 2 * (sizeNumber(material) ?? 2) * 0.6
    default:
      return 2 * hook.gapeMm * (DUBBED_OF_GAPE.thinnest + DUBBED_OF_GAPE.added * bulk)
  }
}
