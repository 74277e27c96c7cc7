import { valueOf } from '../material/index.ts'
import type { FlyComponent } from '../dressing/index.ts'

/** What takes longer than this dries overnight, h. */
const AN_EVENING_H = 4

/**
 * Nights that have to pass between the bench and the water: one for each coat that does not dry within the evening, since
 * the next one goes on the evening after. Two coats of solvent varnish tied on Thursday are dry on Saturday.
 */
export function nightsToDry(components: readonly FlyComponent[]): number {
  return components.reduce((nights, { material, layers = 1 }) => {
    const overnight = material.family.kind === 'resin' && valueOf(material, 'dryingH') > AN_EVENING_H
    return overnight ? nights + layers : nights
  }, 0)
}
