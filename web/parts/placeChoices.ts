import type { BoxLine } from '../../contract/index.ts'

/** Compartments to choose from, each by its box and its label. */
export const placeChoices = (
  boxes: readonly BoxLine[],
): readonly { readonly id: string; readonly name: string }[] =>
  boxes.flatMap(({ name, compartments }) =>
    compartments.map(({ id, label }) => ({ id, name: `${name}: ${label}` })),
  )
