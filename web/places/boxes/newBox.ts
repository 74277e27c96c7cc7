import { wording } from '../../../core/index.ts'
import type { ProposedPlace } from '../../../core/index.ts'
import type { CommandInput, CompartmentId, VariantId } from '../../../contract/index.ts'
import { newId } from '../../wire/useCommand.ts'

type BoxBody = CommandInput<'boxCreate'>
const LONGEST_LABEL = 60

/** How many flies of some variants are on hand. */
export type Held = (variantIds: readonly string[]) => number

/** Compartments of rows and columns, each with its slits; null for any number. */
export const bareCompartments = (
  rows: number,
  columns: number,
  slits: number | null,
): BoxBody['compartments'] =>
  Array.from({ length: rows * columns }, (_, i) => ({
    id: newId<CompartmentId>(),
    row: Math.floor(i / columns) + 1,
    column: (i % columns) + 1,
    label: '',
    capacity: slits,
  }))

/** A compartment for each proposed place, one below the other, with room for what is on hand, and the flies' places. */
export function arrangedCompartments(
  boxName: string,
  places: readonly ProposedPlace[],
  slits: number | null,
  held: Held,
): Required<Pick<BoxBody, 'compartments' | 'homes'>> {
  const made = places.map(({ code, flyKeys }, i) => ({
    flyKeys,
    compartment: {
      id: newId<CompartmentId>(),
      row: i + 1,
      column: 1,
      label: `${boxName.trim()}: ${wording.proposedPlaceName(code)}`.slice(0, LONGEST_LABEL),
      capacity: slits === null ? null : Math.max(slits, held(flyKeys)),
    },
  }))
  return {
    compartments: made.map(({ compartment }) => compartment),
    homes: made.flatMap(({ compartment, flyKeys }) =>
      flyKeys.map((key) => ({ variantId: key as VariantId, compartmentId: compartment.id })),
    ),
  }
}
