import styled from 'styled-components'
import { sketchOf } from '../../../core/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { useWording } from '../../words/useWording.ts'
import { Slits } from '../../drawing/Slits.tsx'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet } from '../../ui/layout.tsx'
import type { Draft } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import type { Copied } from '../../recipe/variantActions.ts'
import type { WorkedVariant } from './useWorkedVariants.ts'
import { makeForCell, variantSheets } from './variantSheets.ts'
import { labels } from '../../words/patterns.ts'

const Sheet = styled(Dense)`
  width: auto;
  margin-bottom: 14px;
  caption {
    text-align: left;
    padding-bottom: 2px;
  }
  th[scope='row'] {
    padding-right: 14px;
    white-space: nowrap;
    text-align: left;
    font-weight: 400;
    border-bottom: 1px solid var(--rule);
  }
  td {
    min-width: 118px;
    padding: 3px 4px;
  }
  button.cell {
    display: block;
    width: 100%;
    max-width: 224px;
    min-height: 48px;
    padding: 4px 6px;
    font: inherit;
    text-align: left;
    color: var(--ink);
    background: none;
    border: 1px solid transparent;
    border-radius: 6px;
    cursor: pointer;
  }
  button.cell:hover {
    border-color: var(--rule);
  }
  button.cell[aria-pressed='true'] {
    border-color: var(--thistle);
    background: var(--panel);
  }
`

interface VariantGridProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly worked: readonly WorkedVariant[]
  readonly chosenId: string
  readonly onChoose: (id: string) => void
  readonly onAdd: (copied: Copied | null) => void
}

/** Sizes across, weights down, one sheet a colour: fall and foam slits in a cell; an empty one makes what it stands for. */
export function VariantGrid({ draft, book, worked, chosenId, onChoose, onAdd }: VariantGridProps) {
  const sheets = variantSheets(draft, book.materials)
  const byId = new Map(worked.map((one) => [one.variant.id, one]))
  return sheets.map((sheet) => (
    <Sheet key={sheet.key} aria-label={sheet.name ? `Sizes and weights, ${sheet.name}` : 'Sizes and weights'}>
      {sheet.name ? <caption>{sheet.name}</caption> : null}
      <thead>
        <tr>
          <td />
          {sheet.sizes.map((size) => (
            <th key={size} scope="col">
              #{size}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sheet.weights.map((weight) => (
          <tr key={weight.key}>
            <th scope="row">{weight.label}</th>
            {sheet.sizes.map((size) => {
              const here = sheet.at(size, weight.key).flatMap(({ id }) => byId.get(id) ?? [])
              return (
                <td key={size}>
                  {here.map((one) => (
                    <Cell key={one.variant.id} one={one} chosenId={chosenId} onChoose={onChoose} />
                  ))}
                  {here.length === 0 ? (
                    <Button
                      aria-label={`Make #${size} ${weight.label} ${sheet.name}`.trim()}
                      onPress={() => void makeForCell(sheet, size, weight.key, book).then(onAdd)}
                    >
                      {labels.makeThis}
                    </Button>
                  ) : null}
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </Sheet>
  ))
}

interface CellProps {
  readonly one: WorkedVariant
  readonly chosenId: string
  readonly onChoose: (id: string) => void
}

function Cell({ one: { variant, figure, fly, onHand }, chosenId, onChoose }: CellProps) {
  const { fall } = useWording()
  const { data: frame } = useFrameQuery()
  const keep = variant.parCount ?? (variant.homeCompartmentId ? (frame?.settings.parCount ?? 3) : 0)
  return (
    <button
      type="button"
      className="cell"
      aria-pressed={variant.id === chosenId}
      onClick={() => onChoose(variant.id)}
    >
      <span className="figures">{figure || fly ? fall(figure) : 'recipe incomplete'}</span>
      <br />
      {keep > 0 || onHand > 0 ? (
        <Slits onHand={onHand} keep={keep} sketch={fly && sketchOf(fly)} label={variant.label} />
      ) : (
        <Quiet>{labels.noPlaceYet}</Quiet>
      )}
    </button>
  )
}
