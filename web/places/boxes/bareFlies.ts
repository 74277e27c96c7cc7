import type {
  CommandInput,
  FamilyFull,
  MaterialId,
  MaterialLine,
  PatternId,
  VariantId,
} from '../../../contract/index.ts'
import { newId } from '../../wire/useCommand.ts'

type PutIn = CommandInput<'fliesPutIn'>

/** The size of a fly of which nobody said one. */
const USUAL_SIZE = '14'

/** Flies without a recipe that a command will make, each once, with the hooks that they need drawers for. */
export interface BareFlies {
  readonly newFlies: PutIn['newFlies'][number][]
  readonly newMaterials: PutIn['newMaterials'][number][]
  /** the variant that stands for a name and a size, made at its first mention */
  readonly variantFor: (name: string, hookSize: string | null) => VariantId
}

/** Makes flies that have a name and a hook of a family, and nothing else. */
export function makeBareFlies(
  hooks: FamilyFull,
  drawers: readonly MaterialLine[],
  patternNames: readonly string[],
): BareFlies {
  const taken = new Set(patternNames.map((name) => name.toLowerCase()))
  /** a name that no pattern has: that of one with a recipe says so, and two sizes of one name are two flies */
  const freeName = (name: string, hookSize: string | null): string => {
    const free = [name, `${name}, no recipe`, `${name}, no recipe ${hookSize ?? ''}`.trim()].find(
      (candidate) => !taken.has(candidate.toLowerCase()),
    )
    taken.add((free ?? name).toLowerCase())
    return free ?? name
  }
  const made = new Map<string, VariantId>()
  const hookIds = new Map<string, MaterialId>()
  const newFlies: PutIn['newFlies'][number][] = []
  const newMaterials: PutIn['newMaterials'][number][] = []
  const colourName = hooks.colours[0]?.name ?? ''
  const hookFor = (asked: string): MaterialId => {
    const sizeKey = hooks.sizes.includes(asked) ? asked : (hooks.sizes[0] ?? '')
    const known =
      hookIds.get(sizeKey) ?? drawers.find((line) => line.familyId === hooks.id && line.sizeKey === sizeKey)?.id
    const id = known ?? newId<MaterialId>()
    if (!known) newMaterials.push({ id, familyId: hooks.id, sizeKey, colourName })
    hookIds.set(sizeKey, id)
    return id
  }
  return {
    newFlies,
    newMaterials,
    variantFor(name, hookSize) {
      const key = `${name.toLowerCase()}|${hookSize ?? ''}`
      const known = made.get(key)
      if (known) return known
      const variantId = newId<VariantId>()
      made.set(key, variantId)
      newFlies.push({
        patternId: newId<PatternId>(),
        variantId,
        name: freeName(name, hookSize),
        label: hookSize === null ? 'size unknown' : `#${hookSize}`,
        hookMaterialId: hookFor(hookSize ?? USUAL_SIZE),
      })
      return variantId
    },
  }
}
