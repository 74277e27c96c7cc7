import { useCallback, useEffect, useRef, useState } from 'react'
import { stepsAfterEdit } from '../../../core/index.ts'
import type { PatternView } from '../../../contract/index.ts'
import { draftOf, emptyDraft, sinceSaved } from '../../recipe/draft.ts'
import { dropDraft, keepDraft, keptDraft } from '../../recipe/keptDraft.ts'
import type { ChangeDraft, Draft } from '../../recipe/draft.ts'

const KEEP_AFTER_MS = 400

/** Keeps an unsaved draft on this machine: a moment after each change, and when the sheet or the tab is left. */
function useKeptDraft(draft: Draft | null, dirty: boolean): void {
  const latest = useRef({ draft, dirty })
  useEffect(() => {
    latest.current = { draft, dirty }
    if (!dirty || !draft) return
    const timer = setTimeout(() => keepDraft(draft), KEEP_AFTER_MS)
    return () => clearTimeout(timer)
  }, [draft, dirty])
  useEffect(() => {
    const keepNow = () => {
      const { draft: unsaved, dirty: isDirty } = latest.current
      if (isDirty && unsaved) keepDraft(unsaved)
    }
    window.addEventListener('pagehide', keepNow)
    return () => {
      window.removeEventListener('pagehide', keepNow)
      keepNow()
    }
  }, [])
}

/**
 * The draft of the sheet: kept on this machine with every change, until it is saved or given up.
 *
 * @param newId which of the drafts of new patterns that wait is to be gone on with; null for an empty one
 */
export function useDraft(pattern: PatternView | undefined, isNew: boolean, newId: string | null) {
  const [draft, setDraft] = useState<Draft | null>(null)
  const [dirty, setDirty] = useState(false)
  const changes = useRef(0)
  const id = isNew ? newId : pattern?.id
  useEffect(() => {
    if (!isNew && !pattern) return
    // one that was just begun or just saved: what was typed since then stands
    if (draft && draft.patternId === id) return
    if (draft && dirty) keepDraft(draft)
    const kept = id ? keptDraft(id) : null
    setDraft(kept ?? (pattern ? draftOf(pattern) : emptyDraft()))
    setDirty(Boolean(kept))
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a draft is taken up once for each pattern, not at each refetch
  }, [id, isNew, Boolean(pattern)])
  const change = useCallback<ChangeDraft>((edit) => {
    changes.current += 1
    setDraft((before) => {
      if (!before) return before
      const after = { ...before, ...(typeof edit === 'function' ? edit(before) : edit) }
      const steps = stepsAfterEdit(after.steps, before.components, after.components)
      return { ...after, steps: steps && [...steps] }
    })
    setDirty(true)
  }, [])
  useKeptDraft(draft, dirty)
  const reset = (next: Draft) => {
    if (draft) dropDraft(draft)
    setDraft(next)
    setDirty(false)
  }
  /** Asked as a draft is sent: what to call once it is saved. What is changed meanwhile stands, and is not saved yet. */
  const whenSaved = () => {
    const sentAfter = changes.current
    return (saved: Draft) => {
      if (changes.current === sentAfter) reset(saved)
      else setDraft((now) => now && sinceSaved(now, saved))
    }
  }
  return { draft, dirty, change, reset, whenSaved }
}
