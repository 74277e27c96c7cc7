import { COMPONENT_KINDS } from '../../core/index.ts'
import type { Component } from '../../core/index.ts'
import { emptyDraft } from './draft.ts'
import type { Draft, DraftVariant } from './draft.ts'

const KEY = 'heavy-thistle:draft:'
const keyOf = ({ patternId }: Draft) => KEY + patternId

/** Keeps a draft on this machine, so that a closed tab loses nothing. */
export const keepDraft = (draft: Draft): void => localStorage.setItem(keyOf(draft), JSON.stringify(draft))

/** Lets go of a draft that was saved or given up. */
export const dropDraft = (draft: Draft): void => localStorage.removeItem(keyOf(draft))

type Stored = Readonly<Record<string, unknown>>

const isStored = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

function isComponent(value: unknown): value is Component {
  if (!isStored(value) || !isStored(value.place)) return false
  const { key, kind, materialId, place } = value
  return (
    typeof key === 'string' &&
    typeof materialId === 'string' &&
    COMPONENT_KINDS.some((known) => known === kind) &&
    typeof place.from === 'number' &&
    typeof place.to === 'number' &&
    typeof place.side === 'string'
  )
}

const isVariant = (value: unknown): value is DraftVariant =>
  isStored(value) &&
  typeof value.id === 'string' &&
  typeof value.label === 'string' &&
  typeof value.hookMaterialId === 'string' &&
  Array.isArray(value.swaps)

/**
 * A draft out of what was stored, perhaps by an earlier build: what it does not say is as in an empty one. Null where its
 * lines or its variants cannot be read, since half a fly is none.
 */
export function readDraft(stored: unknown): Draft | null {
  if (!isStored(stored)) return null
  const { patternId, version, components, variants } = stored
  if (typeof patternId !== 'string' || (version !== null && typeof version !== 'number')) return null
  if (!Array.isArray(components) || !components.every(isComponent)) return null
  if (!Array.isArray(variants) || variants.length === 0 || !variants.every(isVariant)) return null
  const empty = emptyDraft()
  const said = Object.fromEntries(
    Object.entries(empty).map(([name, usual]) => {
      const value = stored[name]
      const alike = Array.isArray(usual) ? Array.isArray(value) : typeof value === typeof usual
      return [name, alike && value !== undefined ? value : usual]
    }),
  )
  return { ...empty, ...said, patternId, version, components, variants }
}

function readAt(key: string): Draft | null {
  try {
    return readDraft(JSON.parse(localStorage.getItem(key) ?? 'null'))
  } catch {
    return null
  }
}

/** The draft that is kept of a pattern, new or not; null where there is none that can be read. */
export const keptDraft = (patternId: string): Draft | null => readAt(KEY + patternId)

/** All drafts that wait on this machine, by name; those without one last. */
export function keptDrafts(): readonly Draft[] {
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
  const drafts = keys.filter((key) => key.startsWith(KEY)).flatMap((key) => readAt(key) ?? [])
  return drafts.sort((a, b) => Number(a.name === '') - Number(b.name === '') || a.name.localeCompare(b.name))
}
