import { sizeNumber, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Amounts } from './amount.ts'

/** A strip of foam of which no width is said is a little wider than thick. */
const UNSAID_WIDTH_OF_THICKNESS = 1.2
/** A bound strip is as thick as a round of its mean side, a tenth more (judgement). */
const BOUND_OF_MEAN_SIDE = 1.09

/** Thickness of foam sheet, or the diameter of a cylinder, mm. */
export const foamThicknessMm = (material: Material): number =>
  sizeNumber(material) ?? valueOf(material, 'thicknessMm')

const isCylinder = ({ family }: Material) => family.massModel === 'round'

/** Width of a strip of foam, mm; of a cylinder its diameter. */
export const foamWidthMm = (widthMm: number | undefined, material: Material): number =>
  isCylinder(material)
    ? foamThicknessMm(material)
    : (widthMm ?? UNSAID_WIDTH_OF_THICKNESS * foamThicknessMm(material))

/** Section of foam before it is bound down, mm². */
export const foamSectionMm2 = (widthMm: number | undefined, material: Material): number =>
  isCylinder(material)
    ? (Math.PI / 4) * foamThicknessMm(material) ** 2
    : foamWidthMm(widthMm, material) * foamThicknessMm(material)

/** What bound foam adds to the diameter of what it lies on, mm. */
export const foamAddsMm = (widthMm: number | undefined, material: Material): number =>
  (BOUND_OF_MEAN_SIDE * (foamWidthMm(widthMm, material) + foamThicknessMm(material))) / 2

/** The width of foam where a line says none; nothing of other goods and of cylinders. */
export const worksOutFoam = (material: Material): Amounts =>
  material.family.kind === 'foam' && !isCylinder(material) ? { widthMm: foamWidthMm(undefined, material) } : {}
