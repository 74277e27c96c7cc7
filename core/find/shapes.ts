import { sizeNumber, strandDiameterMm } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { FindInput } from './wanted.ts'

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
