import { NOTHING_MEASURED } from '../calibrate/index.ts'
import { LIST_CONDITIONS } from '../evaluate/index.ts'
import type { FindInput } from '../find/index.ts'
import { jigNymph } from './shippedMaterial.ts'

/** A search for weightings of the jig nymph: two metres in six seconds at 8 °C, unless asked for otherwise. */
export function nymphSearch(
  offers: Pick<FindInput['offers'], 'hooks' | 'beads' | 'wires'> & Partial<FindInput['offers']>,
  change: Partial<FindInput> = {},
): FindInput {
  const made = jigNymph()
  return {
    dressing: made.dressing,
    variant: made.variant,
    materials: made.materials,
    offers: { mostTurns: 20, bulks: [0.1, 0.5], inStores: new Set(), costs: new Map(), ...offers },
    wanted: { kind: 'depthByTime', depthMm: 2000, withinS: 6 },
    conditions: {
      ...LIST_CONDITIONS,
      waterTempC: 8,
      tippet: { diameterMm: 0.13, densityMgPerMm3: 1.13, lengthMm: 3600, curlDeg: 0 },
    },
    measured: NOTHING_MEASURED,
    mostSplashMicroJ: Infinity,
    share: { of: 1, nth: 0 },
    ...change,
  }
}
