import { postureOf, wettingOf } from '../float/index.ts'
import type { Posture } from '../float/index.ts'
import { valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { waterAt } from '../water/index.ts'
import type { Group } from './group.ts'
import type { FindInput } from './wanted.ts'

/** Reckons how weightings of an outline ride: its parts with the masses of this bead and of so many turns of wire. */
export function quickRide(group: Group, input: FindInput, wanted: Posture) {
  const water = waterAt(input.conditions.waterTempC)
  const { wet } = input.conditions
  return (bead: Material | null, wire: Material | null, turns: number) => {
    let massMg = 0
    const parts = group.parts.map((part) => {
      let weighted = part
      if (bead && part.key === group.beadKey) weighted = { ...part, massMg: group.beadMg(bead) }
      if (wire && part.key === group.wireKey) {
        const mg = group.wireLengthMm(turns) * group.wireMgPerMm(wire)
        weighted = { ...part, massMg: mg, volumeMm3: mg / valueOf(wire, 'densityMgPerMm3') }
      }
      massMg += weighted.massMg
      return weighted
    })
    const ride = wet === 'soaked' ? null : postureOf(parts, water, wettingOf(wet))
    return ride?.posture === wanted ? { timeS: 0, massMg, pinMm: null, reserve: ride.reserve } : null
  }
}
