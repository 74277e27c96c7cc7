import { memo, useState } from 'react'
import styled from 'styled-components'
import {
  calibrationFor,
  evaluateFly,
  LIST_CONDITIONS,
  lookAlikes,
  NOTHING_MEASURED,
  resolveDressing,
} from '../../../core/index.ts'
import type { BoxesView, VariantLine } from '../../../contract/index.ts'
import { useMeasurementsQuery } from '../../app/api.ts'
import { useWording } from '../../app/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Select, TextField } from '../../ui/fields.tsx'
import { Caution, Dense, Quiet, Row } from '../../ui/layout.tsx'
import { NumberField } from './ComponentFields.tsx'
import type { ChangeDraft, Draft, DraftVariant } from './draft.ts'
import type { MaterialBook } from './useMaterialBook.ts'
import { copyToSize, copyUnweighted, copyWithDrawer, labelFor, materialIn } from './variantActions.ts'
import type { Copied } from './variantActions.ts'
import { wording } from '../../../core/index.ts'

const Table = styled(Dense)`
  tr[data-chosen='true'] td {
    background: var(--panel);
  }
  tr[data-chosen='true'] td:first-child {
    box-shadow: inset 3px 0 0 var(--thistle);
  }
  td:first-child {
    padding-left: 8px;
  }
`

interface VariantTableProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly boxes: BoxesView | undefined
  readonly saved: readonly VariantLine[]
  readonly chosenId: string
  readonly onChoose: (id: string) => void
  readonly onChange: ChangeDraft
}

const NOWHERE = 'nowhere'

/** The name of a variant: what is typed shows at once, whatever the rest of the table is doing. */
function LabelField({
  label,
  onChange,
}: {
  readonly label: string
  readonly onChange: (label: string) => void
}) {
  const [text, setText] = useState<string | null>(null)
  const shown = text ?? label
  return (
    <TextField
      label="Name of the variant"
      hideLabel
      value={shown}
      onChange={(typed) => {
        setText(typed)
        onChange(typed)
      }}
      onBlur={() => setText(null)}
      width="150px"
      maxLength={80}
      fault={shown.trim() === '' ? 'Give it a name.' : undefined}
    />
  )
}

/** Variants: what tells them apart, what each weighs and does, where it lives; copies in one action. */
export const VariantTable = memo(function VariantTable({
  draft,
  book,
  boxes,
  saved,
  chosenId,
  onChoose,
  onChange,
}: VariantTableProps) {
  const { units, mass } = useWording()
  const { data } = useMeasurementsQuery()
  const measured = data?.measured ?? NOTHING_MEASURED
  const chosen = draft.variants.find(({ id }) => id === chosenId)
  const worked = draft.variants.map((variant) => {
    const fly = resolveDressing({ components: draft.components, steps: null }, variant, book.materials)
    return fly.kind === 'fly'
      ? { variant, fly, report: evaluateFly(fly, LIST_CONDITIONS, calibrationFor(fly, variant.id, measured)) }
      : { variant, fly: null, report: null }
  })
  const labels = new Map(draft.variants.map(({ id, label }) => [id, label]))
  const alike = lookAlikes(
    worked.flatMap(({ variant, fly, report }) =>
      fly && report ? [{ id: variant.id, fly, massMg: report.massMg.value }] : [],
    ),
  )
  const edit = (id: string, change: Partial<DraftVariant>) =>
    onChange((before) => ({
      variants: before.variants.map((variant) => (variant.id === id ? { ...variant, ...change } : variant)),
    }))
  const add = (copied: Copied | null, colour = '') => {
    if (!copied) return
    const materials = new Map(book.materials)
    for (const drawer of copied.minted) {
      const family = book.families.find(({ id }) => id === drawer.familyId)
      if (family) materials.set(drawer.id, { ...drawer, family, colourHex: '', colourWetHex: '' })
    }
    const variant = { ...copied.variant, label: labelFor(draft, copied.variant, materials, colour) }
    onChange({ variants: [...draft.variants, variant], newDrawers: [...draft.newDrawers, ...copied.minted] })
    onChoose(variant.id)
  }
  const places = (boxes?.boxes ?? []).flatMap(({ name, compartments }) =>
    compartments.map(({ id, label }) => ({ id: id as string, name: `${name}: ${label}` })),
  )
  return (
    <>
      <Table aria-label="Variants">
        <thead>
          <tr>
            <th>variant</th>
            <th className="number">weighs</th>
            <th className="number">ride</th>
            <th>lives in</th>
            <th>keep</th>
            <th className="number">on hand</th>
          </tr>
        </thead>
        <tbody>
          {worked.map(({ variant, report }) => {
            return (
              <tr
                key={variant.id}
                data-chosen={variant.id === chosenId}
                onFocus={() => onChoose(variant.id)}
                onClick={() => onChoose(variant.id)}
              >
                <td>
                  <LabelField label={variant.label} onChange={(label) => edit(variant.id, { label })} />
                </td>
                <td className="number">{report ? mass(report.massMg.value) : '–'}</td>
                <td className="number">
                  {report ? wording.reportSummary(report, units) : 'recipe incomplete'}
                </td>
                <td>
                  <Select
                    label={`Lives in, ${variant.label}`}
                    hideLabel
                    value={variant.homeCompartmentId ?? NOWHERE}
                    choices={[{ id: NOWHERE, name: 'no place yet' }, ...places]}
                    onChange={(id) => edit(variant.id, { homeCompartmentId: id === NOWHERE ? null : id })}
                    width="190px"
                  />
                </td>
                <td>
                  <NumberField
                    label={`Keep of ${variant.label}`}
                    hideLabel
                    value={variant.parCount ?? undefined}
                    min={0}
                    max={99}
                    whole
                    onChange={(parCount) => edit(variant.id, { parCount: parCount ?? null })}
                    width="58px"
                  />
                </td>
                <td className="number">{saved.find(({ id }) => id === variant.id)?.onHand ?? 0}</td>
              </tr>
            )
          })}
        </tbody>
      </Table>
      {alike.map(({ lighterId, heavierId, ratio }) => (
        <Caution key={lighterId + heavierId}>
          {labels.get(lighterId)} and {labels.get(heavierId)} look alike, and one weighs {ratio.toFixed(1)}{' '}
          times the other. A turn of another thread behind the bead tells them apart.
        </Caution>
      ))}
      {chosen ? (
        <CopyRow
          draft={draft}
          book={book}
          chosen={chosen}
          onAdd={add}
          onRemove={(id) => onChange({ variants: draft.variants.filter((variant) => variant.id !== id) })}
        />
      ) : null}
    </>
  )
})

interface CopyRowProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly chosen: DraftVariant
  readonly onAdd: (copied: Copied | null, colour?: string) => void
  readonly onRemove: (id: string) => void
}

/** Copies of the chosen variant: next size, other bead, other colour, unweighted. */
function CopyRow({ draft, book, chosen, onAdd, onRemove }: CopyRowProps) {
  const beadKey = draft.components.find(({ kind }) => kind === 'bead')?.key
  const beadId = beadKey ? materialIn(draft, chosen, beadKey) : null
  const bead = beadId ? book.materials.get(beadId) : undefined
  const body = draft.components.find(({ kind }) => kind === 'body' || kind === 'thorax' || kind === 'foam')
  const bodyId = body ? materialIn(draft, chosen, body.key) : null
  const bodyFamily = bodyId ? book.familyOf(bodyId) : null
  const bodyMaterial = bodyId ? book.materials.get(bodyId) : undefined
  const beadFamilies = book.families.filter(({ kind }) => kind === 'bead')
  const beadFamily = beadId ? book.familyOf(beadId) : null
  const beadChoices = [
    ...(beadFamily?.sizes ?? []).map((size) => ({
      id: `${beadFamily?.id}|${size}`,
      name: wording.beadSize(Number(size)),
    })),
    ...beadFamilies
      .filter(({ id }) => id !== beadFamily?.id)
      .map(({ id, name }) => ({ id: `${id}|${bead?.sizeKey ?? '2.8'}`, name })),
  ]
  return (
    <Row style={{ paddingTop: 8 }} $gap={8}>
      <Quiet>Copy {chosen.label} to:</Quiet>
      <Button onPress={() => void copyToSize(draft, chosen, 2, book).then((copied) => onAdd(copied))}>
        a size smaller
      </Button>
      <Button onPress={() => void copyToSize(draft, chosen, -2, book).then((copied) => onAdd(copied))}>
        a size larger
      </Button>
      {beadKey && bead ? (
        <Select
          label="Copy with another bead"
          hideLabel
          placeholder="another bead"
          value={null}
          choices={beadChoices}
          onChange={(choice) => {
            const [familyId = '', sizeKey = ''] = choice.split('|')
            const family = book.families.find(({ id }) => id === familyId)
            const colour = family?.colours.find(({ name }) => name === bead.colourName) ?? family?.colours[0]
            void copyWithDrawer(
              chosen,
              beadKey,
              { familyId, sizeKey, colourName: colour?.name ?? '' },
              book,
            ).then((copied) => onAdd(copied))
          }}
          width="150px"
        />
      ) : null}
      {body && bodyFamily && bodyMaterial ? (
        <Select
          label="Copy in another colour"
          hideLabel
          placeholder="another colour"
          value={null}
          choices={bodyFamily.colours.map(({ name }) => ({ id: name, name }))}
          onChange={(colourName) =>
            void copyWithDrawer(
              chosen,
              body.key,
              { familyId: bodyFamily.id, sizeKey: bodyMaterial.sizeKey, colourName },
              book,
            ).then((copied) => onAdd(copied, colourName))
          }
          width="150px"
        />
      ) : null}
      {bead || draft.components.some(({ kind }) => kind === 'wire') ? (
        <Button onPress={() => onAdd(copyUnweighted(draft, chosen))}>unweighted</Button>
      ) : null}
      {draft.variants.length > 1 ? (
        <Button onPress={() => onRemove(chosen.id)}>Put {chosen.label} away</Button>
      ) : null}
    </Row>
  )
}
