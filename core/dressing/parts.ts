import { componentPart } from './componentParts.ts'
import type { ComponentKind } from './dressing.ts'
import type { Fly } from './fly.ts'
import { hookPart } from './hookPart.ts'
import type { Part } from './part.ts'

/** A fly taken apart: what can be reckoned with, and what cannot yet. */
export interface Parts {
  readonly parts: readonly Part[]
  readonly notReckoned: readonly { readonly key: string; readonly kind: ComponentKind }[]
}

/** All parts of a fly, the hook first, then in tying order. */
export function partsOf(fly: Fly): Parts {
  const parts: Part[] = [hookPart(fly.hook, fly.hookMaterial)]
  const notReckoned: { key: string; kind: ComponentKind }[] = []
  for (const component of fly.components) {
    const part = componentPart(component, fly.components, fly.hook.shankMm)
    if (part) parts.push(part)
    else notReckoned.push({ key: component.key, kind: component.kind })
  }
  return { parts, notReckoned }
}
