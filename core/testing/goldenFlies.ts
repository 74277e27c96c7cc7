import { COMPONENT_KINDS, KINDS, resolveDressing } from '../dressing/index.ts'
import type { ComponentKind, Fly } from '../dressing/index.ts'
import type { MaterialKind } from '../material/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { hackledDry, jigNymph, recipe, shippedMaterial } from './shippedMaterial.ts'

const HOOKS = [
  ['hook-straight', '12'],
  ['hook-jig-60', '14'],
  ['hook-curved', '16'],
] as const

/** Where each kind sits when nobody says otherwise. */
const AT: Readonly<Partial<Record<ComponentKind, readonly [number, number]>>> = {
  bead: [0, 0.2], cone: [0, 0.2], eyes: [0.1, 0.2], tail: [1, 1], shuck: [1, 1], collar: [0.12, 0.3], hackle: [0.1, 0.3],
  wing: [0.25, 0.3], post: [0.3, 0.35], legs: [0.3, 0.4], gills: [0.05, 0.15], hotSpot: [0.15, 0.2], egg: [0.8, 1],
} // prettier-ignore

/** The first shipped family of a kind and, where there are several, one from the middle. */
function familiesOf(kind: MaterialKind) {
  const all = shippedFamilies.filter((family) => family.kind === kind)
  return [...new Set([all[0], all[Math.floor(all.length / 2)]])].filter((family) => family !== undefined)
}

function flyOf(made: ReturnType<typeof recipe>): Fly {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return fly
}

/**
 * Flies that between them have every kind of component of every kind of goods that it may be made of, on three hooks,
 * with the amounts left to what is usual; a weighted nymph and a hackled dry with all amounts said.
 */
export function goldenFlies(): ReadonlyMap<string, Fly> {
  const thread = shippedMaterial('thread-nylon', '70', 'black')
  const flies = new Map<string, Fly>([
    ['jig nymph', flyOf(jigNymph())],
    ['hackled dry', flyOf(hackledDry())],
  ])
  let nth = 0
  for (const kind of COMPONENT_KINDS) {
    for (const goods of KINDS[kind].madeOf) {
      for (const family of familiesOf(goods)) {
        const [hook, size] = HOOKS[nth % HOOKS.length] ?? HOOKS[0]
        nth += 1
        const of = shippedMaterial(
          family.key,
          family.sizes[Math.floor(family.sizes.length / 3)] ?? '',
          family.colours[0]?.name ?? '',
        )
        flies.set(
          `${kind} of ${family.key}, ${hook} ${size}`,
          flyOf(
            recipe(shippedMaterial(hook, size, 'bronze'), [
              { key: 'thread', kind: 'thread', material: thread, at: [0.1, 1] },
              { key: 'body', kind: 'body', material: shippedMaterial('dubbing-hare'), at: [0.3, 1] },
              { key: 'it', kind, material: of, at: AT[kind] ?? [0.3, 0.8] },
            ]),
          ),
        )
      }
    }
  }
  return flies
}
