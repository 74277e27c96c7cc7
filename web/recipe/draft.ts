import type { Component, Role, Swap } from '../../core/index.ts'
import type { CommandInput, PatternView } from '../../contract/index.ts'
import { newId } from '../wire/useCommand.ts'

/** A variant as it is being edited. */
export interface DraftVariant {
  readonly id: string
  /** empty where nobody named it: it is called by what differs */
  readonly label: string
  readonly hookMaterialId: string
  readonly swaps: readonly Swap[]
  readonly parCount: number | null
  readonly homeCompartmentId: string | null
  /** what of them was there when the draft was begun: what is not changed is not saved over what was set elsewhere since */
  readonly kept?: { readonly parCount: number | null; readonly homeCompartmentId: string | null }
}

/** A drawer that the draft names and the stores do not have yet. */
export interface NewDrawer {
  readonly id: string
  readonly familyId: string
  readonly sizeKey: string
  readonly colourName: string
  /** of a colour of one's own, which its family does not list */
  readonly colourHex?: string
}

/** A pattern as it is being edited: kept on this machine until it is saved. */
export interface Draft {
  readonly patternId: string
  /** version that the draft started from; null for a new pattern */
  readonly version: number | null
  readonly name: string
  readonly purpose: PatternView['purpose']
  readonly note: string
  readonly serves: readonly { readonly foodStageId: string; readonly weight: number; readonly name: string }[]
  readonly components: readonly Component[]
  readonly steps: PatternView['dressing']['steps']
  readonly variants: readonly DraftVariant[]
  readonly newDrawers: readonly NewDrawer[]
  readonly fishedHow: readonly string[]
  readonly waterKinds: readonly string[]
  readonly roles: readonly Role[]
  readonly ownMonths: readonly number[]
  readonly dislike: number
}

/** Changes a draft: by what is new, or by what it makes of the draft as it is. */
export type ChangeDraft = (edit: Partial<Draft> | ((before: Draft) => Partial<Draft>)) => void

/** The draft of a pattern that is there. */
export function draftOf(pattern: PatternView): Draft {
  const {
    id,
    version,
    name,
    purpose,
    note,
    serves,
    dressing,
    variants,
    fishedHow,
    waterKinds,
    roles,
    ownMonths,
    dislike,
  } = pattern
  return {
    patternId: id,
    version,
    name,
    purpose,
    note,
    serves,
    components: dressing.components,
    steps: dressing.steps,
    variants: variants.map(({ id: variantId, label, hookMaterialId, swaps, parCount, homeCompartmentId }) => ({
      id: variantId,
      label,
      hookMaterialId,
      swaps,
      parCount,
      homeCompartmentId,
      kept: { parCount, homeCompartmentId },
    })),
    newDrawers: [],
    fishedHow,
    waterKinds,
    roles,
    ownMonths,
    dislike,
  }
}

/** An empty draft; its hook is chosen first. */
export function emptyDraft(): Draft {
  return {
    patternId: newId(),
    version: null,
    name: '',
    purpose: 'imitation',
    note: '',
    serves: [],
    components: [],
    steps: null,
    variants: [
      { id: newId(), label: '', hookMaterialId: '', swaps: [], parCount: null, homeCompartmentId: null },
    ],
    newDrawers: [],
    fishedHow: [],
    waterKinds: [],
    roles: [],
    ownMonths: [],
    dislike: 0,
  }
}

/** A variant as it is saved: its place and how many to keep only where they were changed. */
function changedVariant({ kept, parCount, homeCompartmentId, ...variant }: DraftVariant) {
  return {
    ...variant,
    ...(kept && kept.parCount === parCount ? {} : { parCount }),
    ...(kept && kept.homeCompartmentId === homeCompartmentId ? {} : { homeCompartmentId }),
  }
}

/** A draft as it stands once it was saved. */
export const savedDraft = (draft: Draft, version: number): Draft => ({
  ...draft,
  version,
  variants: draft.variants.map(({ kept: _kept, ...variant }) => ({
    ...variant,
    kept: { parCount: variant.parCount, homeCompartmentId: variant.homeCompartmentId },
  })),
})

/** A draft that was changed while another state of it was being saved: it goes on from what is saved now. */
export function sinceSaved(now: Draft, saved: Draft): Draft {
  const savedOf = new Map(saved.variants.map((variant) => [variant.id, variant]))
  const variants = now.variants.map((variant) => {
    const known = savedOf.get(variant.id)
    return known?.kept ? { ...variant, label: variant.label || known.label, kept: known.kept } : variant
  })
  return { ...now, version: saved.version, variants }
}

/** The command that saves a draft. */
export function toCommand(draft: Draft): CommandInput<'patternSave'> {
  const used = new Set([
    ...draft.components.map(({ materialId }) => materialId),
    ...draft.variants.flatMap(({ hookMaterialId, swaps }) => [
      hookMaterialId,
      ...swaps.flatMap(({ materialId }) => materialId ?? []),
    ]),
  ])
  const body = {
    patternId: draft.patternId,
    version: draft.version,
    name: draft.name,
    purpose: draft.purpose,
    roles: draft.roles,
    ownMonths: draft.ownMonths,
    fishedHow: draft.fishedHow,
    waterKinds: draft.waterKinds,
    dislike: draft.dislike,
    note: draft.note,
    serves: draft.serves.map(({ foodStageId, weight }) => ({ foodStageId, weight })),
    dressing: { components: draft.components, steps: draft.steps },
    newMaterials: draft.newDrawers.filter(({ id }) => used.has(id)),
    variants: draft.variants.map(changedVariant),
  }
  return body as unknown as CommandInput<'patternSave'>
}
