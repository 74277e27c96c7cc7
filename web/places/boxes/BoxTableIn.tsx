import { useState } from 'react'
import { BOX_COLUMNS, readBoxTable } from '../../../core/index.ts'
import type { BoxLine, CompartmentId, VariantId } from '../../../contract/index.ts'
import { useCatalogueQuery, useStoresQuery } from '../../wire/answers.ts'
import { saveCsv } from '../../files/saveCsv.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Checkbox } from '../../ui/fields.tsx'
import { TableIn } from '../../files/TableIn.tsx'
import { makeBareFlies } from './bareFlies.ts'
import { patternNamesOf } from './flyLines.ts'
import { useNamedFlies } from './useNamedFlies.ts'
import { labels } from '../../words/boxes.ts'

/** Offers what lies in the boxes as a table that can be taken in again. */
export function saveBoxes(boxes: readonly BoxLine[]): void {
  saveCsv('boxes.csv', [
    [...BOX_COLUMNS],
    ...boxes.flatMap(({ name, compartments }) =>
      compartments.flatMap(({ label, flies }) =>
        flies.map((fly) => [name, label, fly.patternName, fly.label, fly.count]),
      ),
    ),
  ])
}

const hereKey = (placeId: string, flyId: string) => `${placeId} ${flyId}`

/** Takes counts of flies in from a table: what a row names is counted anew, all else stays. */
export default function BoxTableIn({
  boxes,
  onDone,
}: {
  readonly boxes: readonly BoxLine[]
  readonly onDone: () => void
}) {
  const flies = useNamedFlies()
  const { data: stores } = useStoresQuery()
  const { data: catalogue } = useCatalogueQuery()
  const command = useCommand()
  const [takeUnknown, setTakeUnknown] = useState(false)
  const hooks = catalogue?.families.find(({ kind }) => kind === 'hook')
  const places = boxes.flatMap(({ name, compartments }) =>
    compartments.map(({ id, label }) => ({ key: id as string, boxName: name, label })),
  )
  const here = new Map(
    boxes.flatMap(({ compartments }) =>
      compartments.flatMap(({ id, flies: lying }) =>
        lying.map(({ variantId, count }) => [hereKey(id, variantId), count] as const),
      ),
    ),
  )
  return (
    <TableIn
      label={labels.takeATableOf}
      hint={`Columns ${BOX_COLUMNS.join(', ')}, as “Save as a table” writes them. Each row is a count: what lies there becomes that.`}
      onDone={onDone}
      read={({ rows, unclosedQuoteRow }) => {
        const table = readBoxTable(rows, places, flies, { takeUnknown, unclosedQuoteRow })
        const counts = table.rows.filter(
          ({ placeKey, flyKey, count }) =>
            flyKey === null || (here.get(hereKey(placeKey, flyKey)) ?? 0) !== count,
        )
        const made = table.rows.filter(({ flyKey }) => flyKey === null).length
        return {
          faults: table.faults,
          preview: (
            <p>
              {table.rows.length} rows; {counts.length} differ from what is on hand
              {made > 0 ? `, ${made} of them new, without a recipe` : ''}.
            </p>
          ),
          takeLabel: `Count ${table.rows.length} anew`,
          take: () => {
            if (!hooks) return Promise.resolve({ kind: 'waiting' })
            const bare = makeBareFlies(hooks, stores?.materials ?? [], patternNamesOf(flies))
            const lines = table.rows.map(({ placeKey, flyKey, name, label, count }) => ({
              compartmentId: placeKey as CompartmentId,
              variantId:
                (flyKey as VariantId | null) ??
                bare.variantFor(name, /^#?(\d{1,2})\b/.exec(label)?.[1] ?? null),
              count,
            }))
            const { newFlies, newMaterials } = bare
            return command('fliesPutIn', { how: 'counted', newFlies, newMaterials, lines }, { quietly: true })
          },
        }
      }}
    >
      <Checkbox isSelected={takeUnknown} onChange={setTakeUnknown}>
        {labels.namesThatNoFly}
      </Checkbox>
    </TableIn>
  )
}
