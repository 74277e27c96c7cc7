import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { Problem } from '../../../contract/index.ts'
import { api } from '../../wire/api.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { focusHeading } from '../../ui/focusHeading.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { savedDraft, toCommand } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'

/** The version of the row as it is now, from a refusal of a stale save. */
export function versionOf({ current }: Problem): number | null {
  const version = current && typeof current === 'object' && 'version' in current ? current.version : null
  return typeof version === 'number' ? version : null
}

/** Saving a pattern: what was refused, and whether it is on its way. */
export function useSavePattern(draft: Draft | null, isNew: boolean, reset: (next: Draft) => void) {
  const command = useCommand()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const [problem, setProblem] = useState<Problem | null>(null)
  const [saving, setSaving] = useState(false)
  const save = async (asVersion: number | null) => {
    if (!draft) return
    setSaving(true)
    setProblem(null)
    const delivery = await command('patternSave', toCommand({ ...draft, version: asVersion }), {
      quietly: true,
    })
    setSaving(false)
    if (delivery.kind === 'refused') {
      setProblem(delivery.problem)
      dispatch(api.util.invalidateTags(['all']))
      return
    }
    // one that waits is saved here already: what is changed next goes behind it, from the version that it will have made
    // its new drawers stay until the stores have come anew with them: without them the fly would lack materials
    reset(savedDraft(draft, (asVersion ?? 0) + 1))
    // the button that was pressed has nothing more to save
    requestAnimationFrame(focusHeading)
    if (isNew) void navigate(`/patterns/${draft.patternId}`, { replace: true })
  }
  return { problem, saving, save, forget: () => setProblem(null) }
}
