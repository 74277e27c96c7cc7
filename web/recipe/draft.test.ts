import { describe, expect, it } from 'vitest'
import { newLine } from '../../core/index.ts'
import type { Component } from '../../core/index.ts'
import { shippedMaterial } from '../../core/testing/shippedMaterial.ts'
import { emptyDraft, savedDraft, sinceSaved, toCommand } from './draft.ts'

const hare = shippedMaterial('dubbing-hare', '', 'natural')
const line = (key: string): Component => ({ ...newLine({ kind: 'body' }, hare, []), key })

describe('a variant’s place and number', () => {
  const said = (variant: object) => {
    const [saved] = toCommand({
      ...emptyDraft(),
      variants: [{ ...emptyDraft().variants[0]!, ...variant }],
    }).variants
    return {
      ...('parCount' in saved! ? { par: saved.parCount } : {}),
      ...('homeCompartmentId' in saved! ? { home: saved.homeCompartmentId } : {}),
    }
  }
  const kept = { parCount: 3, homeCompartmentId: 'lid' }

  it('are saved where they were changed, and of a new variant', () => {
    expect(said({})).toEqual({ par: null, home: null })
    expect(said({ ...kept, kept })).toEqual({})
    expect(said({ ...kept, parCount: 4, kept })).toEqual({ par: 4 })
    expect(said({ ...kept, homeCompartmentId: null, kept })).toEqual({ home: null })
  })

  it('are not said again once they were saved', () => {
    const draft = { ...emptyDraft(), variants: [{ ...emptyDraft().variants[0]!, ...kept }] }
    const [again] = toCommand(savedDraft(draft, 2)).variants
    expect(again).not.toHaveProperty('parCount')
    expect(again).not.toHaveProperty('homeCompartmentId')
    expect(again).not.toHaveProperty('kept')
    expect(savedDraft(draft, 2).version).toBe(2)
  })

  it('are said again of what was changed while it was being saved, and of a variant that came meanwhile', () => {
    const [first] = emptyDraft().variants
    const sent = { ...emptyDraft(), variants: [{ ...first!, ...kept, label: '#16' }] }
    const [unnamed, newcomer] = [{ ...sent.variants[0]!, label: '', parCount: 5 }, emptyDraft().variants[0]!]
    const now = sinceSaved({ ...sent, name: 'Later', variants: [unnamed, newcomer] }, savedDraft(sent, 4))
    expect([now.name, now.version]).toEqual(['Later', 4])
    const [again, added] = toCommand(now).variants
    expect(again).toMatchObject({ label: '#16', parCount: 5 })
    expect(again).not.toHaveProperty('homeCompartmentId')
    expect(added).toMatchObject({ id: newcomer.id, parCount: null, homeCompartmentId: null })
  })
})

describe('toCommand', () => {
  const drawer = (id: string) => ({ id, familyId: 'f', sizeKey: '16', colourName: '' })
  const [first] = emptyDraft().variants
  if (!first) throw new Error('an empty draft has a variant')

  it('mints the drawers that the draft still uses, and no others', () => {
    const draft = {
      ...emptyDraft(),
      components: [{ ...line('body'), materialId: 'used-by-line' }],
      variants: [
        {
          ...first,
          hookMaterialId: 'used-as-hook',
          swaps: [{ componentKey: 'body', materialId: 'used-by-swap' }],
        },
        { ...first, swaps: [{ componentKey: 'body', omit: true }] },
      ],
      newDrawers: ['used-by-line', 'used-as-hook', 'used-by-swap', 'thought better of'].map(drawer),
    }
    expect(toCommand(draft).newMaterials?.map(({ id }) => id)).toEqual([
      'used-by-line',
      'used-as-hook',
      'used-by-swap',
    ])
  })

  it('sends the foods without their names', () => {
    const serves = [{ foodStageId: 's', weight: 0.5, name: 'Dark olive, nymph' }]
    expect(toCommand({ ...emptyDraft(), serves }).serves).toEqual([{ foodStageId: 's', weight: 0.5 }])
  })
})
