import { memo, useCallback, useState } from 'react'
import styled from 'styled-components'
import { COMPONENT_KINDS, is, KINDS, newLine, wording } from '../../../core/index.ts'
import type { Component, ComponentKind, DisplayUnits } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Caution, Row } from '../../ui/layout.tsx'
import { ComponentFields } from './ComponentFields.tsx'
import type { ChangeDraft, Draft, NewDrawer } from '../../recipe/draft.ts'
import { componentLine, materialText } from '../../recipe/lineText.ts'
import { MaterialPicker } from './MaterialPicker.tsx'
import { TypeLine } from './TypeLine.tsx'
import type { WorkedOut } from './useFlyReport.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labels } from '../../words/patterns.ts'

const Line = styled.li`
  border-bottom: 1px solid var(--rule);
  .head {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .swatch {
    flex: none;
    width: 14px;
    height: 14px;
    border: 1px solid var(--quiet);
    border-radius: 2px;
  }
  button.line {
    flex: 1;
    min-height: 32px;
    padding: 4px 0;
    font: inherit;
    text-align: left;
    color: var(--ink);
    background: none;
    border: 0;
    cursor: pointer;
  }
  button.line::after {
    content: ' ▾';
    color: var(--quiet);
  }
  .worked {
    flex: none;
    font-family: var(--mono);
    font-size: 13px;
    color: var(--quiet);
  }
  button.line[aria-expanded='true'] {
    font-weight: 650;
  }
  .fields {
    padding: 2px 0 12px 22px;
    display: grid;
    gap: 8px;
  }
`

interface EditorProps {
  readonly component: Component
  readonly book: MaterialBook
  readonly onEdit: (key: string, edit: Partial<Component>, minted: NewDrawer | null) => void
}

/** Fields of one component; drawn again only when it or the stores change. */
const ComponentEditor = memo(function ComponentEditor({ component, book, onEdit }: EditorProps) {
  const { key } = component
  const material = book.materials.get(component.materialId)
  const pick = useCallback(
    (materialId: string, minted: NewDrawer | null) => onEdit(key, { materialId }, minted),
    [onEdit, key],
  )
  const cautions = (material?.family.cautions ?? []).filter(
    (caution) => caution !== 'point' && caution !== 'eyes',
  )
  return (
    <>
      <MaterialPicker kind={component.kind} materialId={component.materialId} book={book} onPick={pick} />
      <ComponentFields
        component={component}
        goods={material?.family.kind ?? null}
        onChange={(edit) => onEdit(key, edit, null)}
      />
      {cautions.map((caution) => (
        <Caution key={caution}>{wording.caution(caution)}</Caution>
      ))}
    </>
  )
})

const KIND_CHOICES = COMPONENT_KINDS.map((kind) => ({ id: kind, name: wording.componentName[kind] }))

/** Adding a component: its kind is enough to start from. */
const AddComponent = memo(function AddComponent({ onAdd }: { readonly onAdd: (kind: ComponentKind) => void }) {
  return (
    <Select
      label={labels.addToTheDressing}
      hideLabel
      placeholder={labels.addAComponent}
      value={null}
      choices={KIND_CHOICES}
      onChange={(kind) => onAdd(kind as ComponentKind)}
      width="200px"
    />
  )
})

interface LinesProps {
  readonly draft: Draft
  readonly book: MaterialBook
  /** the variant that is looked at */
  readonly variantId: string
  readonly onChange: ChangeDraft
  readonly onLook: (componentKey: string | null) => void
  /** the fly that comes of it, for amounts that the lines leave out; null while it lacks something */
  readonly worked: WorkedOut | null
}

/** Puts a newly named drawer into the draft. */
export const withDrawer = (draft: Draft, minted: NewDrawer | null): Partial<Draft> =>
  minted ? { newDrawers: [...draft.newDrawers, minted] } : {}

/** What the lines do to the draft; stable, so that what is not edited is not drawn again. */
function useLineActions(book: MaterialBook, onChange: ChangeDraft, open: (key: string) => void) {
  const edit = useCallback<EditorProps['onEdit']>(
    (key, change, minted) =>
      onChange((draft) => ({
        ...withDrawer(draft, minted),
        components: draft.components.map((component) =>
          component.key === key ? { ...component, ...change } : component,
        ),
      })),
    [onChange],
  )
  const remove = (key: string) =>
    onChange((draft) => ({
      components: draft.components.filter((component) => component.key !== key),
      variants: draft.variants.map((variant) => ({
        ...variant,
        swaps: variant.swaps.filter(({ componentKey }) => componentKey !== key),
      })),
    }))
  const move = (at: number, by: -1 | 1) =>
    onChange(({ components }) => {
      const next = [...components]
      const [taken] = next.splice(at, 1)
      if (taken) next.splice(at + by, 0, taken)
      return { components: next }
    })
  const add = useCallback(
    async (kind: ComponentKind) => {
      const kinds = KINDS[kind].madeOf
      const family = book.families.find((candidate) => candidate.kind === kinds[0])
      if (!family) return
      const size = family.sizes[Math.floor(family.sizes.length / 2)] ?? ''
      const drawer = await book.drawer(family.id, size, family.colours[0]?.name ?? '')
      onChange((draft) => {
        const there = draft.components.find(({ materialId }) =>
          kinds.includes(book.materials.get(materialId)?.family.kind ?? 'other'),
        )
        const reused = there && !is(kind, 'piece') ? book.materials.get(there.materialId) : undefined
        const component = newLine({ kind }, reused ?? drawer.material, draft.components)
        open(component.key)
        return {
          ...withDrawer(draft, reused ? null : drawer.minted),
          components: [...draft.components, component],
        }
      })
    },
    [book, onChange, open],
  )
  return { edit, remove, move, add }
}

interface WorkedOutOfProps {
  readonly componentKey: string
  /** as the dressing has it, before the variant's swaps */
  readonly materialId: string
  readonly worked: WorkedOut | null
  readonly units: DisplayUnits
}

/** What the line leaves out and is worked out on this hook, and what the component weighs. */
function WorkedOutOf({ componentKey, materialId, worked, units }: WorkedOutOfProps) {
  const component = worked?.fly.components.find(({ key }) => key === componentKey)
  const part = worked?.report.parts.find(({ key }) => key === componentKey)
  if (worked && !component) return <span className="worked">{labels.notOnThisVariant}</span>
  if (!component || !part) return null
  const amounts = wording.workedOutAmounts(component, units)
  const swapped = component.material.id !== materialId
  return (
    <span className="worked">
      {swapped ? `here: ${materialText(component.material)} · ` : ''}
      {amounts.length > 0 ? `worked out: ${amounts.join(', ')} · ` : ''}
      {wording.partMass(part.massMg, units)}
    </span>
  )
}

/** The dressing as lines in tying order; the fields open behind each. */
export function DressingLines({ draft, book, variantId, onChange, onLook, worked }: LinesProps) {
  const { units } = useWording()
  const [open, setOpen] = useState<string | null>(null)
  const { edit, remove, move, add } = useLineActions(book, onChange, setOpen)
  const { components } = draft
  const onAdd = useCallback((kind: ComponentKind) => void add(kind), [add])
  return (
    <>
      <ol aria-label={labels.dressingInTyingOrder} onMouseLeave={() => onLook(null)}>
        {components.map((component, at) => {
          const material = book.materials.get(component.materialId)
          const isOpen = open === component.key
          return (
            <Line
              key={component.key}
              onMouseEnter={() => onLook(component.key)}
              onFocus={() => onLook(component.key)}
            >
              <div className="head">
                <span className="swatch" style={{ background: material?.colourHex }} />
                <button
                  type="button"
                  className="line"
                  aria-expanded={isOpen}
                  onClick={() => setOpen(isOpen ? null : component.key)}
                >
                  {componentLine(component, material, units)}
                </button>
                <WorkedOutOf
                  componentKey={component.key}
                  materialId={component.materialId}
                  worked={worked}
                  units={units}
                />
              </div>
              {isOpen ? (
                <div className="fields">
                  <ComponentEditor component={component} book={book} onEdit={edit} />
                  <Row $gap={6}>
                    <Button onPress={() => move(at, -1)} isDisabled={at === 0}>
                      {labels.earlier}
                    </Button>
                    <Button onPress={() => move(at, 1)} isDisabled={at === components.length - 1}>
                      {labels.later}
                    </Button>
                    <Button onPress={() => remove(component.key)}>{labels.takeOff}</Button>
                  </Row>
                </div>
              ) : null}
            </Line>
          )
        })}
      </ol>
      <Row style={{ paddingTop: 8 }} $align="start" $gap={18}>
        <TypeLine book={book} variantId={variantId} onChange={onChange} />
        <div style={{ paddingTop: 18 }}>
          <AddComponent onAdd={onAdd} />
        </div>
      </Row>
    </>
  )
}
