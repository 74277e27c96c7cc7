import { useState } from 'react'
import styled from 'styled-components'
import { COMPONENT_KINDS, wording } from '../../../core/index.ts'
import type { Component, ComponentKind } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/fields.tsx'
import { Caution, Row } from '../../ui/layout.tsx'
import { ComponentFields } from './ComponentFields.tsx'
import { newComponent } from './draft.ts'
import type { Draft, NewDrawer } from './draft.ts'
import { componentLine } from './lineText.ts'
import { MaterialPicker, MATERIALS_FOR } from './MaterialPicker.tsx'
import type { MaterialBook } from './useMaterialBook.ts'

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
  button.line[aria-expanded='true'] {
    font-weight: 650;
  }
  .fields {
    padding: 2px 0 12px 22px;
    display: grid;
    gap: 8px;
  }
`

interface LinesProps {
  readonly draft: Draft
  readonly book: MaterialBook
  readonly onChange: (change: Partial<Draft>) => void
  readonly onLook: (componentKey: string | null) => void
}

/** Puts a newly named drawer into the draft. */
export const withDrawer = (draft: Draft, minted: NewDrawer | null): Partial<Draft> =>
  minted ? { newDrawers: [...draft.newDrawers, minted] } : {}

/** The dressing as lines in tying order; the fields open behind each. */
export function DressingLines({ draft, book, onChange, onLook }: LinesProps) {
  const [open, setOpen] = useState<string | null>(null)
  const { components } = draft
  const change = (key: string, edit: Partial<Component>, minted: NewDrawer | null = null) =>
    onChange({
      ...withDrawer(draft, minted),
      components: components.map((component) =>
        component.key === key ? { ...component, ...edit } : component,
      ),
      steps: null,
    })
  const remove = (key: string) =>
    onChange({
      components: components.filter((component) => component.key !== key),
      variants: draft.variants.map((variant) => ({
        ...variant,
        swaps: variant.swaps.filter(({ componentKey }) => componentKey !== key),
      })),
      steps: null,
    })
  const move = (at: number, by: -1 | 1) => {
    const next = [...components]
    const [taken] = next.splice(at, 1)
    if (taken) next.splice(at + by, 0, taken)
    onChange({ components: next, steps: null })
  }
  const add = async (kind: ComponentKind) => {
    const kinds = MATERIALS_FOR[kind]
    const there = components.find((component) =>
      kinds.includes(book.materials.get(component.materialId)?.family.kind ?? 'other'),
    )
    const family = book.families.find((candidate) => candidate.kind === kinds[0])
    if (!family) return
    const size = family.sizes[Math.floor(family.sizes.length / 2)] ?? ''
    const drawer =
      there && kind !== 'bead'
        ? { id: there.materialId, minted: null }
        : await book.drawer(family.id, size, family.colours[0]?.name ?? '')
    const component = newComponent(kind, drawer.id, components)
    onChange({ ...withDrawer(draft, drawer.minted), components: [...components, component], steps: null })
    setOpen(component.key)
  }
  return (
    <>
      <ol aria-label="Dressing in tying order" onMouseLeave={() => onLook(null)}>
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
                  {componentLine(component, material)}
                </button>
              </div>
              {isOpen ? (
                <div className="fields">
                  <MaterialPicker
                    kind={component.kind}
                    materialId={component.materialId}
                    book={book}
                    onPick={(materialId, minted) => change(component.key, { materialId }, minted)}
                  />
                  <ComponentFields
                    key={component.key}
                    component={component}
                    materialKind={material?.family.kind ?? ''}
                    onChange={(edit) => change(component.key, edit)}
                  />
                  {(material?.family.cautions ?? [])
                    .filter((key) => key !== 'point' && key !== 'eyes')
                    .map((key) => (
                      <Caution key={key}>{wording.caution(key)}</Caution>
                    ))}
                  <Row $gap={6}>
                    <Button onPress={() => move(at, -1)} isDisabled={at === 0}>
                      Earlier
                    </Button>
                    <Button onPress={() => move(at, 1)} isDisabled={at === components.length - 1}>
                      Later
                    </Button>
                    <Button onPress={() => remove(component.key)}>Take off</Button>
                  </Row>
                </div>
              ) : null}
            </Line>
          )
        })}
      </ol>
      <Row style={{ paddingTop: 8 }}>
        <Select
          label="Add to the dressing"
          hideLabel
          placeholder="Add a component"
          value={null}
          choices={COMPONENT_KINDS.map((kind) => ({ id: kind, name: wording.componentName[kind] }))}
          onChange={(kind) => void add(kind as ComponentKind)}
          width="200px"
        />
      </Row>
    </>
  )
}
