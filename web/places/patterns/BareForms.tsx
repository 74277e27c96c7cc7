import { useState } from 'react'
import { BARE_FORMS, newLine, readTypedLine } from '../../../core/index.ts'
import type { BareForm, Component, Material } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import type { ChangeDraft, NewDrawer } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labels } from '../../words/patterns.ts'

/** The drawers and components of a form, its materials found in the catalogue by the words of its lines. */
async function laidOut(form: BareForm, book: MaterialBook) {
  const minted = new Map<string, NewDrawer>()
  const drawer = async (familyId: string, sizeKey: string, colourName: string): Promise<Material> => {
    const known = [...minted.values()].find(
      (one) => one.familyId === familyId && one.sizeKey === sizeKey && one.colourName === colourName,
    )
    const found = await book.drawer(familyId, sizeKey, colourName)
    if (found.minted && !known) minted.set(found.id, found.minted)
    return known ? { ...found.material, id: known.id } : found.material
  }
  const hookFamily = book.families.find(({ name }) => name === form.hook.family)
  if (!hookFamily) return null
  const hook = await drawer(hookFamily.id, form.hook.size, hookFamily.colours[0]?.name ?? '')
  const components: Component[] = []
  for (const text of form.lines) {
    const line = readTypedLine(text, book.families)
    if (line.kind !== 'understood') continue
    const material = await drawer(line.familyId, line.sizeKey, line.colourName)
    components.push(newLine(line.component, material, components))
  }
  return { hookMaterialId: hook.id, components, drawers: [...minted.values()] }
}

interface BareFormsProps {
  readonly book: MaterialBook
  /** the form that suits what it is meant for; null where nothing is said */
  readonly suits: BareForm['key'] | null
  readonly onChange: ChangeDraft
}

/** Where an empty pattern may start: one of eight forms, to be changed into one's own. */
export function BareForms({ book, suits, onChange }: BareFormsProps) {
  const [busy, setBusy] = useState(false)
  const take = async (form: BareForm) => {
    setBusy(true)
    const made = await laidOut(form, book)
    setBusy(false)
    if (!made) return
    onChange((draft) => ({
      components: made.components,
      newDrawers: [...draft.newDrawers, ...made.drawers],
      variants: draft.variants.map((variant) => ({
        ...variant,
        hookMaterialId: made.hookMaterialId,
      })),
    }))
  }
  return (
    <div role="group" aria-label={labels.startFromAForm} style={{ padding: '8px 0' }}>
      <Quiet>{labels.startFromAFormOr}</Quiet>
      <Row $gap={8} style={{ paddingTop: 6 }}>
        {BARE_FORMS.map((form) => (
          <Button
            key={form.key}
            look={form.key === suits ? 'main' : 'plain'}
            onPress={() => void take(form)}
            isDisabled={busy}
          >
            {form.name}
          </Button>
        ))}
      </Row>
    </div>
  )
}
