import { newLine, readTypedHook, readTypedLine } from '../core/index.ts'
import type { Component, Material, NamedFamily, Swap } from '../core/index.ts'
import { shippedFamilies } from '../core/material/shipped/catalogue.ts'
import type { DemoPattern, DemoVariant } from './patterns/index.ts'

/** A drawer by what is in it. */
export interface Drawer {
  readonly family: string
  readonly size: string
  readonly colour: string
}

/** A pattern as its typed lines make it. */
export interface TiedPattern {
  readonly components: readonly Component[]
  readonly variants: readonly {
    readonly label: string
    readonly hookMaterialId: string
    readonly swaps: readonly Swap[]
  }[]
  /** every drawer that it takes from, by its id */
  readonly drawers: ReadonlyMap<string, Drawer>
}

const families: readonly NamedFamily[] = shippedFamilies.map(({ key, ...family }) => ({ ...family, id: key }))

/** What was understood of a text; whatever would be asked of a tier is a fault here. */
function understood<Line extends { readonly kind: string }>(line: Line, text: string) {
  if (line.kind !== 'understood') throw new Error(`“${text}” is not plain: ${JSON.stringify(line)}`)
  return line as Extract<Line, { kind: 'understood' }>
}

/**
 * Ties a pattern by its typed lines, through the entry that tiers type in.
 *
 * @param materialOf the material of a drawer, under the id by which the recipe shall name it
 */
export function tie(pattern: DemoPattern, materialOf: (drawer: Drawer) => Material): TiedPattern {
  const drawers = new Map<string, Drawer>()
  const materialFor = (line: { familyId: string; sizeKey: string; colourName: string }) => {
    const drawer = { family: line.familyId, size: line.sizeKey, colour: line.colourName }
    const material = materialOf(drawer)
    drawers.set(material.id, drawer)
    return material
  }
  const components: Component[] = []
  for (const text of pattern.lines) {
    const line = understood(readTypedLine(text, families), text)
    components.push(newLine(line.component, materialFor(line), components))
  }
  const swapOf = (key: string, goods: string): Swap => {
    const component = components.find((one) => one.key === key)
    if (!component) throw new Error(`${pattern.name} has no ${key}`)
    const line = understood(readTypedLine(`${component.kind}: ${goods}`, families), goods)
    const { turns, fibreCount, strands, layers, bulk, widthMm, length } = line.component
    const said = { turns, fibreCount, strands, layers, bulk, widthMm, length }
    return {
      componentKey: key,
      materialId: materialFor(line).id,
      ...Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined)),
    }
  }
  const variantOf = ({ label, hook, instead = {}, without = [] }: DemoVariant) => ({
    label,
    hookMaterialId: materialFor(understood(readTypedHook(hook, families), hook)).id,
    swaps: [
      ...Object.entries(instead).map(([key, goods]) => swapOf(key, goods)),
      ...without.map((componentKey): Swap => ({ componentKey, omit: true })),
    ],
  })
  return { components, variants: pattern.variants.map(variantOf), drawers }
}
