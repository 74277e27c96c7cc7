const NYLON_MG_PER_MM3 = 1.14
const FLAT_PACKING = 0.72
/** Filaments of a wound thread lie flat in a layer of this thickness, mm. */
export const THREAD_LAYER_MM = 0.035

/** Width of a flat thread of this denier, mm. */
export function threadWidthMm(denier: number): number {
  return denier / 9000 / NYLON_MG_PER_MM3 / FLAT_PACKING / THREAD_LAYER_MM
}
