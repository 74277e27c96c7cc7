import { splashEnergyMicroJ } from '../evaluate/index.ts'
import { sizeNumber } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { makeGroup } from './group.ts'
import type { Group } from './group.ts'
import { nodesTo, quickly } from './quickFall.ts'
import type { QuickNodes } from './quickFall.ts'
import { quickRide } from './quickRide.ts'
import type { FindInput, Found, WantedFall, Weighting } from './wanted.ts'

/** The quick reckoning may be this much too fast: what serves by it serves in full. */
const QUICK_MARGIN = 0.98
/** A pin longer than this no longer belongs to a fly of the size, shanks. */
const LONGEST_PIN_OF_SHANK = 1

/** What a quick reckoning says of a weighting that serves. */
type Serving = Pick<Found, 'timeS' | 'reserve' | 'massMg'> & Pick<Weighting, 'pinMm'>
/** The quick reckoning of a weighting: what it gives, or null where it does not serve. */
type Try = (bead: Material | null, wire: Material | null, turns: number) => Serving | null

/** Whether a pin carries the bead clear of the eye and is not too long. */
function pinServes(group: Group, bead: Material | null, pinMm: number | null): boolean {
  if (!bead || pinMm === null) return false
  const { eyeOuterMm, shankMm } = group.fly.hook
  return pinMm - (sizeNumber(bead) ?? 0) / 2 > eyeOuterMm && pinMm <= LONGEST_PIN_OF_SHANK * shankMm
}

function fallTry(group: Group, input: FindInput, wanted: WantedFall, nodes: QuickNodes): Try {
  const quick = quickly(group, input, wanted, nodes)
  return (bead, wire, turns) => {
    const { timeS, leadMm, massMg, pinMm } = quick(bead, wire, turns)
    const serves =
      wanted.kind === 'depthByTime'
        ? timeS <= wanted.withinS * QUICK_MARGIN
        : wanted.kind === 'lead'
          ? leadMm <= wanted.leadMm * QUICK_MARGIN
          : Number.isFinite(timeS) && pinServes(group, bead, pinMm)
    return serves ? { timeS, massMg, pinMm, reserve: null } : null
  }
}

/** What hook, bead and wire cost; null where the price of one is not known. */
function costOf(group: Group, input: FindInput, bead: Material | null, wire: Material | null, turns: number) {
  const { costs } = input.offers
  const used: readonly (readonly [Material | null, number])[] = [
    [group.hook, 1],
    [bead, 1],
    [wire, wire ? group.wireLengthMm(turns) : 0],
  ]
  let sum = 0
  for (const [material, amount] of used) {
    if (!material) continue
    const each = costs.get(material.id)
    if (each === undefined) return null
    sum += each * amount
  }
  return sum
}

/** In what a weighting may be the best of its outline; slimness is the outline's own. */
const RESPECTS: Readonly<Record<string, (found: Found) => number>> = {
  lightest: ({ massMg }) => massMg,
  fastest: ({ timeS }) => timeS,
  steadiest: ({ reserve }) => -(reserve ?? 0),
  cheapest: ({ costMinor }) => costMinor ?? Infinity,
}

/** How the weightings of each outline are tried for what is wanted; what outlines share is worked out once. */
export function triesFor(input: FindInput): (group: Group) => Try {
  const { wanted } = input
  if (wanted.kind === 'posture') return (group) => quickRide(group, input, wanted.posture)
  const nodes = nodesTo(wanted.depthMm, input.conditions)
  return (group) => fallTry(group, input, wanted, nodes)
}

/** The best weightings of one outline in each respect, for what the stores have and for all. */
function bestOfGroup(group: Group, input: FindInput, attempt: Try): readonly Found[] {
  const best = new Map<string, Found>()
  const stored = (material: Material | null) => !material || input.offers.inStores.has(material.id)
  for (const bead of group.beads) {
    for (const wire of group.wires) {
      const inStores = [group.hook, bead, wire].every(stored)
      for (let turns = wire ? 1 : 0; turns <= (wire ? group.mostTurns : 0); turns += 1) {
        const serving = attempt(bead, wire, turns)
        if (!serving) continue
        const { timeS, massMg, pinMm, reserve } = serving
        const splashMicroJ = splashEnergyMicroJ(massMg, group.airDrag)
        if (splashMicroJ > input.mostSplashMicroJ) continue
        const found: Found = {
          weighting: { hook: group.hook, bead, wire, turns, bulk: group.bulk, pinMm },
          timeS,
          reserve,
          massMg,
          splashMicroJ,
          costMinor: costOf(group, input, bead, wire, turns),
          bulkIndex: group.bulkIndex,
          inStores,
        }
        for (const [respect, of] of Object.entries(RESPECTS)) {
          const key = `${inStores} ${respect}`
          const known = best.get(key)
          if (!known || of(found) < of(known)) best.set(key, found)
        }
      }
    }
  }
  return [...new Set(best.values())]
}

/** The best of an outline, or nothing where it cannot be tied. */
export function searchShape(
  input: FindInput,
  shape: Parameters<typeof makeGroup>[1],
  tryOf: ReturnType<typeof triesFor>,
): readonly Found[] {
  const group = makeGroup(input, shape)
  return group ? bestOfGroup(group, input, tryOf(group)) : []
}
