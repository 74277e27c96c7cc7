import { newLine, resolveDressing } from '../dressing/index.ts'
import type { Component, Fly } from '../dressing/index.ts'
import { readTypedHook, readTypedLine } from '../entry/index.ts'
import type { Material } from '../material/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { shippedMaterial } from './shippedMaterial.ts'

/** A fly of each way of tying, by the lines that a tier types: what a drawing has to make plain at arm's length. */
interface TypedFly {
  readonly name: string
  readonly hook: string
  readonly lines: readonly string[]
}

const TYPED: readonly TypedFly[] = [
  {
    name: 'Hackled dry',
    hook: 'straight fine #14',
    lines: [
      'thread: nylon 70 den olive, from 0 to 1',
      'tail: 12 stiff cock fibres ginger, 1 shank',
      'body: fine synthetic dubbing olive, bulk 0.12, from 0.38 to 1',
      'rib: nylon thread 70 den cream, 6 turns, from 0.4 to 1',
      'wing: 2 barred flank feathers, 0.95 shank, upright, from 0.26 to 0.34',
      'hackle: stiff cape #14 ginger, 5 turns, 1½ gapes, from 0.14 to 0.4',
    ],
  },
  {
    name: 'Parachute',
    hook: 'straight fine #14',
    lines: [
      'thread: nylon 70 den olive, from 0 to 1',
      'tail: 8 stiff cock fibres pale dun, 1 shank',
      'body: stripped herl quill grey, from 0.4 to 1',
      'thorax: fine synthetic dubbing brown, bulk 0.2, from 0.12 to 0.4',
      'post: polypropylene white, 1 strand, 0.85 shank, upright, from 0.24 to 0.3',
      'hackle: stiff cape #14 dun, 4 turns, 1½ gapes, from 0.2 to 0.34',
    ],
  },
  {
    name: 'Spent spinner',
    hook: 'straight fine #14',
    lines: [
      'thread: nylon 70 den rust, from 0 to 1',
      'tail: 3 stiff cock fibres pale dun, 1½ shank',
      'body: nylon thread 50 den rust, 3 layers, from 0.35 to 1',
      'wing: polypropylene clear, 2 strands, 1 shank, spent, from 0.2 to 0.28',
      'thorax: fine synthetic dubbing rust, bulk 0.2, from 0.1 to 0.35',
    ],
  },
  {
    name: 'Emerger with a tuft',
    hook: 'curved fine #14',
    lines: [
      'thread: nylon 50 den brown, from 0 to 1',
      'shuck: sparkle yarn tan, 1 strand, ½ shank',
      'body: stripped herl quill grey, from 0.3 to 1',
      'wing: 2 duck down feather dun, 0.9 shank, upright, from 0.15 to 0.25',
      'thorax: hare natural, bulk 0.28, from 0.08 to 0.3',
    ],
  },
  {
    name: 'Soft hackle',
    hook: 'straight #12',
    lines: [
      'thread: nylon 70 den brown, from 0 to 1',
      'body: rayon floss orange, 2 layers, from 0.3 to 0.95',
      'rib: fine brass wire 0.12 mm gold, 5 turns, from 0.3 to 0.95',
      'thorax: hare natural, bulk 0.25, from 0.14 to 0.3',
      'collar: speckled hen #14, 2 turns, 1¼ gapes, from 0.1 to 0.16',
    ],
  },
  {
    name: 'Slim jig nymph',
    hook: 'jig 60 #14',
    lines: [
      'bead: slotted tungsten 3.3 mm copper',
      'thread: nylon 50 den olive-brown, from 0.1 to 1',
      'tail: 10 speckled cock fibres, ⅔ shank',
      'body: nylon thread 50 den olive-brown, 5 layers, from 0.28 to 1',
      'rib: fine copper wire 0.12 mm copper, 7 turns, from 0.28 to 1',
      'collar: fine synthetic dubbing orange, bulk 0.25, from 0.2 to 0.36',
    ],
  },
  {
    name: 'Spiky nymph',
    hook: 'straight 2XL #12',
    lines: [
      'thread: nylon 70 den brown, from 0 to 1',
      'tail: 10 game-bird tail fibres natural, ⅓ shank',
      'body: hare natural, bulk 0.2, from 0.35 to 1',
      'rib: fine brass wire 0.12 mm gold, 6 turns, from 0.35 to 1',
      'thorax: hare natural, bulk 0.42, from 0.1 to 0.4',
    ],
  },
  {
    name: 'Cased larva',
    hook: 'heavy 2XL #10',
    lines: [
      'thread: nylon 70 den black, from 0 to 1',
      'body: hare natural, bulk 0.5, from 0.24 to 1',
      'rib: fine copper wire 0.15 mm copper, 7 turns, from 0.24 to 1',
      'hotSpot: fine synthetic dubbing cream, bulk 0.3, from 0.14 to 0.25',
      'legs: 8 speckled cock fibres, 0.4 shank, below, from 0.12 to 0.18',
      'head: nylon thread 70 den black, 5 layers, from 0.02 to 0.14',
    ],
  },
  {
    name: 'Curved pupa',
    hook: 'curved heavy #12',
    lines: [
      'bead: tungsten straight bore 3.3 mm gold',
      'thread: nylon 70 den olive, from 0.1 to 1',
      'body: coarse sparkle dubbing amber, bulk 0.25, from 0.32 to 1',
      'rib: fine copper wire 0.15 mm copper, 6 turns, from 0.35 to 1',
      'legs: 8 game-bird tail fibres natural, 0.7 shank, below, from 0.24 to 0.3',
      'thorax: hare natural, bulk 0.36, from 0.2 to 0.38',
    ],
  },
  {
    name: 'Buzzer under resin',
    hook: 'curved heavy #12',
    lines: [
      'thread: nylon 70 den black, from 0 to 1',
      'gills: polypropylene white, 1 strand, 0.35 gape, from 0.04 to 0.1',
      'body: nylon thread 70 den black, 4 layers, from 0.28 to 1',
      'rib: fine copper wire 0.15 mm red, 9 turns, from 0.3 to 1',
      'thorax: nylon thread 70 den brown, 9 layers, from 0.08 to 0.32',
      'wing case: polyester floss orange, 4 strands, from 0.1 to 0.3',
      'coat: uv-cured resin thin clear, 1 layer, from 0.06 to 1',
    ],
  },
  {
    name: 'Leech with a strip',
    hook: 'heavy 2XL #8',
    lines: [
      'bead: brass straight bore 4.0 mm gold',
      'thread: nylon 140 den black, from 0.1 to 1',
      'body: coarse sparkle dubbing olive, bulk 0.3, from 0.24 to 1',
      'strip: squirrel-like strip 2 mm olive, 1.5 shank, from 0.3 to 1',
      'collar: coarse sparkle dubbing red, bulk 0.22, from 0.2 to 0.34',
    ],
  },
  {
    name: 'Jig streamer',
    hook: 'jig 60 #8',
    lines: [
      'bead: slotted tungsten 4.0 mm black',
      'thread: nylon 140 den black, from 0.1 to 1',
      'tail: 2 marabou plume olive, 1¼ shank',
      'body: rayon chenille 3 mm olive, from 0.25 to 1',
      'rib: fine copper wire 0.2 mm copper, 5 turns, from 0.28 to 1',
      'collar: speckled hen #10, 3 turns, 1½ gapes, from 0.2 to 0.3',
    ],
  },
  {
    name: 'Balanced fly',
    hook: 'jig 90 #10',
    lines: [
      'bead: tungsten straight bore 3.8 mm black, 4 mm',
      'thread: nylon 140 den black, from 0 to 1',
      'tail: 1 marabou plume black, 1 shank',
      'body: plastic chenille 6 mm black, from 0.1 to 1',
      'rib: fine copper wire 0.2 mm red, 5 turns, from 0.15 to 1',
    ],
  },
  {
    name: 'Foam beetle',
    hook: 'straight #12',
    lines: [
      'thread: nylon 140 den black, from 0 to 1',
      'body: long bronze-green herl peacock green, from 0.25 to 1',
      'foam: closed-cell foam medium 3 mm black, above, from 0.05 to 1',
      'legs: 6 round rubber legs 0.6 mm black, 0.9 shank, below, from 0.24 to 0.7',
    ],
  },
  {
    name: 'Hair-wing sedge',
    hook: 'straight fine #12',
    lines: [
      'thread: nylon 70 den tan, from 0 to 1',
      'body: hare natural, bulk 0.15, from 0.25 to 1',
      'rib: fine copper wire 0.12 mm copper, 6 turns, from 0.25 to 1',
      'wing: elk body hair natural, 28 fibres, 1.15 shank, tented, from 0.16 to 0.24',
      'hackle: stiff cape #14 ginger, 4 turns, 1¼ gapes, clipped below, from 0.08 to 0.2',
    ],
  },
  {
    name: 'Worm',
    hook: 'curved #10',
    lines: [
      'thread: nylon 70 den red, from 0 to 1',
      'tail: soft worm strand 1.6 mm pink, 1 strand, 1 shank',
      'body: fine synthetic dubbing pink, bulk 0.2, from 0.1 to 1',
      'legs: soft worm strand 1.6 mm pink, 1 strand, 0.7 shank, above, from 0.02 to 0.08',
    ],
  },
]

const families = shippedFamilies.map(({ key, ...family }) => ({ ...family, id: key }))

function understood<Line extends { readonly kind: string }>(line: Line, text: string) {
  if (line.kind !== 'understood') throw new Error(`“${text}” is not plain: ${JSON.stringify(line)}`)
  return line as Extract<Line, { kind: 'understood' }>
}

function tied({ name, hook, lines }: TypedFly): { readonly name: string; readonly fly: Fly } {
  const materials = new Map<string, Material>()
  const materialFor = (line: { familyId: string; sizeKey: string; colourName: string }) => {
    const material = shippedMaterial(line.familyId, line.sizeKey, line.colourName)
    materials.set(material.id, material)
    return material
  }
  const components: Component[] = []
  for (const text of lines) {
    const line = understood(readTypedLine(text, families), text)
    components.push(newLine(line.component, materialFor(line), components))
  }
  const hookMaterial = materialFor(understood(readTypedHook(hook, families), hook))
  const fly = resolveDressing(
    { components, steps: null },
    { hookMaterialId: hookMaterial.id, swaps: [] },
    materials,
  )
  if (fly.kind !== 'fly') throw new Error(`${name}: ${JSON.stringify(fly.missing)}`)
  return { name, fly }
}

/** Sixteen flies, tied as their lines say. */
export const sixteenFlies = (): readonly { readonly name: string; readonly fly: Fly }[] => TYPED.map(tied)
