import { readStoresTable, STORES_COLUMNS, TABLE_UNIT } from '../../../core/index.ts'
import type { CommandInput, FamilyId, MaterialId, MaterialLine } from '../../../contract/index.ts'
import { useCatalogueQuery } from '../../wire/answers.ts'
import { saveCsv } from '../../files/saveCsv.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { TableIn } from '../../files/TableIn.tsx'
import { labels } from '../../words/stores.ts'

type PutIn = CommandInput<'storesPutIn'>
const COIN = 100
const PER_UNIT = { count: 100, mm: 1000, mg: 1000, patch: 100 } as const

/** Offers what the stores hold as a table that can be taken in again. */
export function saveStores(materials: readonly MaterialLine[]): void {
  saveCsv('stores.csv', [
    [...STORES_COLUMNS],
    ...materials.map((line) => {
      const amount = (steps: number | null) =>
        steps === null || steps < 0 ? '' : String(steps / PER_UNIT[line.stockUnit])
      return [
        line.name,
        line.sizeKey,
        line.colourName,
        amount(line.onHand),
        TABLE_UNIT[line.stockUnit],
        amount(line.minimumAmount),
        amount(line.packAmount),
        line.priceMinor === null ? '' : (line.priceMinor / COIN).toFixed(2),
        line.supplier,
      ]
    }),
  ])
}

/** Takes what drawers hold in from a table: what a row says of a drawer counts, what it leaves empty stays. */
export default function StoresTableIn({
  materials,
  onDone,
}: {
  readonly materials: readonly MaterialLine[]
  readonly onDone: () => void
}) {
  const { data: catalogue } = useCatalogueQuery()
  const command = useCommand()
  const families = (catalogue?.families ?? []).map(({ id, name, stockUnit, sizes, colours }) => ({
    key: id as string,
    name,
    stockUnit,
    sizes,
    colours: colours.map((colour) => colour.name),
  }))
  const drawers = materials.map(({ id, familyId, sizeKey, colourName }) => ({
    key: id as string,
    familyKey: familyId as string,
    sizeKey,
    colourName,
  }))
  return (
    <TableIn
      label={labels.takeATableOf}
      hint={`Columns ${STORES_COLUMNS.join(', ')}, as “Save as a table” writes them. “On hand” is a count; an empty cell leaves things as they are.`}
      onDone={onDone}
      read={({ rows, unclosedQuoteRow }) => {
        const table = readStoresTable(rows, families, drawers, unclosedQuoteRow)
        const made = table.rows.filter(({ drawerKey }) => drawerKey === null).length
        return {
          faults: table.faults,
          preview: (
            <p>
              {table.rows.length} drawers{made > 0 ? `, ${made} of them new` : ''}.
            </p>
          ),
          takeLabel: `Take ${table.rows.length} over`,
          take: () => {
            const newMaterials: PutIn['newMaterials'][number][] = []
            const lines = table.rows.map(
              ({ row: _row, drawerKey, familyKey, sizeKey, colourName, ...said }) => {
                const materialId = (drawerKey ?? newId()) as MaterialId
                if (drawerKey === null)
                  newMaterials.push({ id: materialId, familyId: familyKey as FamilyId, sizeKey, colourName })
                return { materialId, ...said }
              },
            )
            return command('storesPutIn', { newMaterials, lines }, { quietly: true })
          },
        }
      }}
    />
  )
}
