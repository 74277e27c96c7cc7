import { newLine, resolveDressing } from '../dressing/index.ts'
import type { Component, Fly } from '../dressing/index.ts'
import { readTypedHook, readTypedLine } from '../entry/index.ts'
import type { NamedFamily } from '../entry/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import type { Material } from '../material/index.ts'
import { shippedMaterial } from './shippedMaterial.ts'

const families: readonly NamedFamily[] = shippedFamilies.map(({ key, ...family }) => ({ ...family, id: key }))

/** A fly of its hook and lines as a tier types them, from shipped goods. */
export function typedFly(hook: string, lines: readonly string[]): Fly {
  const materials = new Map<string, Material>()
  const drawer = (familyId: string, sizeKey: string, colourName: string) => {
    const material = shippedMaterial(familyId, sizeKey, colourName)
    materials.set(material.id, material)
    return material
  }
  const typedHook = readTypedHook(hook, families)
  if (typedHook.kind !== 'understood') throw new Error(`${hook}: ${JSON.stringify(typedHook)}`)
  const components: Component[] = []
  for (const text of lines) {
    const line = readTypedLine(text, families)
    if (line.kind !== 'understood') throw new Error(`${text}: ${JSON.stringify(line)}`)
    components.push(newLine(line.component, drawer(line.familyId, line.sizeKey, line.colourName), components))
  }
  const fly = resolveDressing(
    { components, steps: null },
    { hookMaterialId: drawer(typedHook.familyId, typedHook.sizeKey, typedHook.colourName).id, swaps: [] },
    materials,
  )
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return fly
}
