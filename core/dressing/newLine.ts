import type { Material } from '../material/index.ts'
import type { Component, ComponentKind, Place } from './dressing.ts'
import { KINDS } from './kinds/index.ts'
import { withUsual } from './usual.ts'

/** What is said of a new line: its kind, and what was written or chosen of its amounts and place. */
export type SaidOfLine = Pick<Component, 'kind'> &
  Partial<Omit<Component, 'key' | 'materialId' | 'place'>> & { readonly place?: Partial<Place> }

/** Where a new line of a kind goes among the lines that are there already. */
function placeAmong(kind: ComponentKind, lines: readonly Component[]): Place {
  const { place: usual, over, behind } = KINDS[kind]
  const below = lines.filter((line) => over.includes(line.kind))
  if (below.length > 0) {
    return {
      ...usual,
      from: Math.min(...below.map(({ place }) => place.from)),
      to: Math.max(...below.map(({ place }) => place.to)),
    }
  }
  const front = lines.filter((line) => behind.includes(line.kind)).map(({ place }) => place.to)
  const from = Math.min(Math.max(usual.from, ...front), 1)
  if (from === usual.from) return usual
  return { ...usual, from, to: Math.max(usual.to, Math.min(from + usual.to - usual.from, 1)) }
}

/** A place that was said in part, the rest of it as is usual: never ending before it begins. */
function placed(kind: ComponentKind, said: Partial<Place>, lines: readonly Component[]): Place {
  const usual = placeAmong(kind, lines)
  const from = said.from ?? Math.min(usual.from, said.to ?? 1)
  return { from, to: said.to ?? Math.max(usual.to, from), side: said.side ?? usual.side }
}

/**
 * A new line of a dressing with what is usual of its kind and goods written in.
 *
 * @param lines those that are there: its key is free among them, and its place, where none is said, is that of what it
 *   lies over
 */
export function newLine(
  { place = {}, ...said }: SaidOfLine,
  material: Material,
  lines: readonly Component[],
): Component {
  const keys = new Set(lines.map(({ key }) => key))
  let key: string = said.kind
  for (let n = 2; keys.has(key); n += 1) key = `${said.kind}${n}`
  return withUsual({ ...said, key, materialId: material.id, place: placed(said.kind, place, lines) }, material)
}
