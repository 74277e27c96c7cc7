import type { Material } from '../material/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import type { Component, Dressing, Variant } from '../dressing/index.ts'

/** A drawer of a shipped family, for tests; its id is made of what it is. */
export function shippedMaterial(familyKey: string, sizeKey = '', colourName = ''): Material {
  const family = shippedFamilies.find(({ key }) => key === familyKey)
  if (!family) throw new RangeError(`no family ${familyKey}`)
  const colour = family.colours.find(({ name }) => name === colourName) ?? family.colours[0]
  return {
    id: `${familyKey}|${sizeKey}|${colourName}`,
    family,
    sizeKey,
    colourName,
    colourHex: colour?.hexDry ?? '#808080',
    colourWetHex: colour?.hexWet ?? '#606060',
  }
}

type Line = Omit<Component, 'materialId' | 'place'> & {
  readonly material: Material
  readonly at: readonly [number, number]
  readonly side?: Component['place']['side']
}

/** A recipe from lines, with the materials that it names. */
export function recipe(hook: Material, lines: readonly Line[]) {
  const materials = new Map(
    [hook, ...lines.map(({ material }) => material)].map((material) => [material.id, material]),
  )
  const dressing: Dressing = {
    steps: null,
    components: lines.map(({ material, at, side, ...component }) => ({
      ...component,
      materialId: material.id,
      place: { from: at[0], to: at[1], side: side ?? 'around' },
    })),
  }
  const variant: Variant = { hookMaterialId: hook.id, swaps: [] }
  return { dressing, variant, materials }
}

/** A size 16 jig nymph as tiers tie it: slotted bead, thread body, wire rib, hare collar. */
export function jigNymph(beadFamily = 'bead-tungsten-slotted', beadSize = '2.8', hookSize = '16') {
  const thread = shippedMaterial('thread-nylon', '50', 'olive-brown')
  return recipe(shippedMaterial('hook-jig-60', hookSize, 'bronze'), [
    { key: 'bead', kind: 'bead', material: shippedMaterial(beadFamily, beadSize, 'copper'), at: [0, 0.2] },
    { key: 'thread', kind: 'thread', material: thread, at: [0.1, 1] },
    {
      key: 'tail',
      kind: 'tail',
      material: shippedMaterial('fibre-speckled-cock', '', 'speckled'),
      at: [1, 1],
      fibreCount: 6,
      length: { factor: 2 / 3, of: 'shank' },
    },
    { key: 'body', kind: 'body', material: thread, at: [0.3, 1], layers: 4 },
    {
      key: 'rib',
      kind: 'rib',
      material: shippedMaterial('wire-copper-rib', '0.12', 'copper'),
      at: [0.3, 1],
      turns: 5,
    },
    {
      key: 'collar',
      kind: 'collar',
      material: shippedMaterial('dubbing-hare', '', 'natural'),
      at: [0.12, 0.35],
      bulk: 0.35,
    },
  ])
}

/** A hackled dry with a post. */
export function hackledDry(hookSize = '16') {
  return recipe(shippedMaterial('hook-dry-fine', hookSize, 'bronze'), [
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70', 'olive'), at: [0, 1] },
    {
      key: 'tail',
      kind: 'tail',
      material: shippedMaterial('fibre-cock-stiff', '', 'pale dun'),
      at: [1, 1],
      fibreCount: 8,
      length: { factor: 1, of: 'shank' },
    },
    {
      key: 'body',
      kind: 'body',
      material: shippedMaterial('dubbing-fine-synthetic', '', 'olive'),
      at: [0.3, 1],
      bulk: 0.15,
    },
    {
      key: 'hackle',
      kind: 'hackle',
      material: shippedMaterial('hackle-cape-stiff', hookSize, 'dun'),
      at: [0.12, 0.28],
      turns: 4,
    },
  ])
}

/** An emerger on a curved hook that a tuft of feather this many gapes high holds up. */
export const emerger = (gapes: number, hook = '16') =>
  recipe(shippedMaterial('hook-curved-fine', hook), [
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '50'), at: [0, 1] },
    { key: 'body', kind: 'body', material: shippedMaterial('quill-stripped-herl'), at: [0.3, 1] },
    {
      key: 'tuft',
      kind: 'wing',
      material: shippedMaterial('cdc-feather'),
      at: [0.15, 0.28],
      side: 'above',
      strands: 2,
      length: { factor: gapes, of: 'gape' },
    },
  ])
