import type { Amounts, Component, ComponentKind, Material, Proportion } from '../../core/index.ts'
import { strandDiameterMm, tiedInStrands, turnsThatFit, valueOf } from '../../core/index.ts'

/**
 * What a recipe that left an amount out was reckoned with before usual amounts were written into it. It stands as it was
 * then and is used once, to write those amounts into older recipes, so that no fly of theirs changes.
 */

const FEATHERS: ReadonlySet<string> = new Set(['hackle', 'feather', 'cdc', 'marabou'])
const OF_ONE_PIECE: ReadonlySet<string> = new Set(['quill', 'tinsel', 'sheet', 'herl', 'chenille', 'yarn', 'foam']) // prettier-ignore

const LENGTHS: Readonly<Partial<Record<ComponentKind, Proportion>>> = {
  tail: { factor: 2 / 3, of: 'shank' },
  shuck: { factor: 1 / 2, of: 'shank' },
  legs: { factor: 1.1, of: 'shank' },
  hackle: { factor: 1.5, of: 'gape' },
  collar: { factor: 1, of: 'gape' },
  wing: { factor: 1, of: 'shank' },
  post: { factor: 1.1, of: 'shank' },
  gills: { factor: 1 / 2, of: 'gape' },
  strip: { factor: 1.6, of: 'shank' },
}

/** The length of a component that said none; undefined for kinds that had none. */
export const lengthBefore = (kind: ComponentKind): Proportion | undefined => LENGTHS[kind]

function ofBody({ family }: Material): Amounts {
  if (family.kind === 'floss') return { layers: 2 }
  if (family.kind === 'thread') return { layers: 3 }
  return family.kind === 'wire' || OF_ONE_PIECE.has(family.kind) ? {} : { bulk: 0.3 }
}

function ofBunch({ fibreCount }: Component, material: Material): Amounts {
  const { kind } = material.family
  if (kind === 'foam' || kind === 'strip') return {}
  if (tiedInStrands(material)) return { strands: fibreCount ?? 1 }
  if (fibreCount !== undefined) return {}
  const perFeather = kind === 'fibre' ? 0 : valueOf(material, 'fibresPerFeather')
  return perFeather === 0 ? { fibreCount: 12 } : { strands: 1 }
}

/**
 * The amounts of a component that left them out, but for what still follows from hook and goods alone: turns of wire or
 * thread side by side on a body, all fibres of so many feathers.
 */
export function amountsBefore(component: Component, material: Material, placeMm: number): Amounts {
  const goods = material.family.kind
  switch (component.kind) {
    case 'wire':
      return { turns: turnsThatFit(placeMm, strandDiameterMm(material)), layers: 1 }
    case 'rib':
      return { turns: turnsThatFit(placeMm, strandDiameterMm(material)) }
    case 'thread':
      return { layers: 2 }
    case 'sheet':
    case 'coat':
      return { layers: 1 }
    case 'hotSpot':
      return { turns: 5 }
    case 'hackle':
      return { turns: 3 }
    case 'collar':
      if (FEATHERS.has(goods)) return { turns: 3 }
      return goods === 'hair' || goods === 'fibre' ? ofBunch(component, material) : ofBody(material)
    case 'body':
    case 'thorax':
    case 'egg':
      return ofBody(material)
    case 'tail':
    case 'shuck':
    case 'legs':
    case 'gills':
    case 'wing':
    case 'post':
      return ofBunch(component, material)
    default:
      return {}
  }
}
